<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Pdf\SheetFonts;
use Illuminate\Console\Command;
use RuntimeException;

/** Run where Hebra is installed: the letters of its sheets and labels. */
final class FontsCommand extends Command
{
    use RefusesOnStandardError;

    protected $signature = 'hebra:fonts';

    protected $description = 'Makes the letters of sheets and labels from the ones of the pages';

    public function handle(): int
    {
        try {
            SheetFonts::make(base_path('node_modules'));
        } catch (RuntimeException $fault) {
            return $this->refused($fault->getMessage());
        }

        return self::SUCCESS;
    }
}
