<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\View\MetalsDocument;
use App\View\SumsDocument;
use Illuminate\Console\Command;

/** Writes the pages of docs/ that follow from the code. */
final class DocsCommand extends Command
{
    protected $signature = 'hebra:docs';

    protected $description = 'Writes docs/sums.md and docs/metals.md from the registry of sums and the table of metals';

    public function handle(): int
    {
        file_put_contents(base_path('docs/sums.md'), SumsDocument::text());
        file_put_contents(base_path('docs/metals.md'), MetalsDocument::text());

        return self::SUCCESS;
    }
}
