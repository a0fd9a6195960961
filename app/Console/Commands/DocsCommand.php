<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\View\SumsDocument;
use Illuminate\Console\Command;

/** Writes the pages of docs/ that follow from the code. */
final class DocsCommand extends Command
{
    protected $signature = 'hebra:docs';

    protected $description = 'Writes docs/sums.md from the registry of sums';

    public function handle(): int
    {
        file_put_contents(base_path('docs/sums.md'), SumsDocument::text());

        return self::SUCCESS;
    }
}
