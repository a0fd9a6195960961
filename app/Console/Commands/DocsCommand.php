<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\View\MapDocument;
use App\View\MetalsDocument;
use App\View\SumsDocument;
use Illuminate\Console\Command;

/** Writes the pages of docs/ that follow from the code. */
final class DocsCommand extends Command
{
    protected $signature = 'hebra:docs';

    protected $description = 'Writes docs/sums.md, docs/metals.md and docs/map.svg from the code';

    public function handle(): int
    {
        file_put_contents(base_path('docs/sums.md'), SumsDocument::text());
        file_put_contents(base_path('docs/metals.md'), MetalsDocument::text());
        file_put_contents(base_path('docs/map.svg'), MapDocument::svg());

        return self::SUCCESS;
    }
}
