<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Support\QrCode;
use Illuminate\Console\Command;

/** An address as a QR code on the terminal, for the phone at the bench. */
final class QrCommand extends Command
{
    protected $signature = 'hebra:qr {text}';

    protected $description = 'Shows a text as a QR code';

    public function handle(): int
    {
        $this->output->write(QrCode::of((string) $this->argument('text'))->blocks());

        return self::SUCCESS;
    }
}
