<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Support\Upgrade;
use Illuminate\Console\Command;
use RuntimeException;

/** Before serving: the database is looked at, copied, and brought to this version. */
final class UpgradeCommand extends Command
{
    use RefusesOnStandardError;

    protected $signature = 'hebra:upgrade';

    protected $description = 'Checks the database and brings it to this version, after a copy of it';

    public function handle(Upgrade $upgrade): int
    {
        try {
            $upgrade->run(fn (string $line) => $this->line($line));
        } catch (RuntimeException $fault) {
            return $this->refused($fault->getMessage());
        }

        return self::SUCCESS;
    }
}
