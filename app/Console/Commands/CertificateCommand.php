<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Support\Certificate;
use Illuminate\Console\Command;
use RuntimeException;

/** The certificate by which the phone at the bench knows this workshop, and the page that lets it trust it. */
final class CertificateCommand extends Command
{
    use RefusesOnStandardError;

    protected $signature = 'hebra:certificate {address? : of this machine in its network} {name? : of this machine}
        {--page : prints the page for the phone}';

    protected $description = 'Makes what TLS in the workshop’s own network needs';

    public function handle(): int
    {
        if ($this->option('page')) {
            $this->output->write(view('trust', ['address' => (string) config('hebra.lan')])->render());

            return self::SUCCESS;
        }
        try {
            Certificate::make(
                storage_path('app/tls'),
                (string) $this->argument('address'),
                (string) $this->argument('name'),
            );
        } catch (RuntimeException $fault) {
            return $this->refused($fault->getMessage());
        }

        return self::SUCCESS;
    }
}
