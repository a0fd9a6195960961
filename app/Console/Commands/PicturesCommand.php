<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\View\StepPicture;
use Hebra\Core\Piece\Patterns;
use Hebra\Core\Plan\FormingStates;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Plan\Profile;
use Illuminate\Console\Command;

/** Contact sheets of every step of every pattern, to be looked through: one page each, and one that leads to them. */
final class PicturesCommand extends Command
{
    protected $signature = 'hebra:pictures {folder : where they are written} {pattern?* : these alone}';

    protected $description = 'Writes a contact sheet of the step pictures of every pattern';

    private const STYLE = 'body{font:14px Verdana,sans-serif;background:#f5f0e3;margin:12px}ol{display:grid;'
        .'grid-template-columns:repeat(auto-fill,minmax(360px,1fr));gap:10px;list-style:none;padding:0}'
        .'li{background:#fcf9f0;border:1px solid #d8ccb2;padding:6px}img{width:100%;height:170px;object-fit:contain}';

    public function handle(): int
    {
        $folder = (string) $this->argument('folder');
        if (! is_dir($folder) && ! @mkdir($folder, 0777, true)) {
            $this->error("{$folder} cannot be made: give a folder that can be written to.");

            return self::FAILURE;
        }
        $asked = (array) $this->argument('pattern');
        $known = array_keys(Patterns::all());
        foreach (array_diff($asked, $known) as $unknown) {
            $this->error("“{$unknown}” is no pattern: give one such as {$known[0]}.");

            return self::FAILURE;
        }
        $links = '';
        foreach ($asked === [] ? $known : $asked as $pattern) {
            $steps = $this->sheet($folder, $pattern);
            $links .= '<li><a href="'.$pattern.'.html">'.$pattern."</a>, {$steps} steps</li>";
            $this->line("{$pattern}: {$steps} steps");
        }
        file_put_contents(
            "{$folder}/index.html",
            '<!doctype html><meta charset="utf-8"><style>'.self::STYLE.'</style><ul>'.$links.'</ul>',
        );

        return self::SUCCESS;
    }

    private function sheet(string $folder, string $pattern): int
    {
        $plan = Planner::plan(Patterns::start($pattern, $pattern), new Profile);
        $states = new FormingStates($plan);
        $items = '';
        for ($step = 0; $step < $states->count(); $step++) {
            $picture = base64_encode(StepPicture::of($plan, $step, null, $states));
            $items .= '<li><img alt="" src="data:image/svg+xml;base64,'.$picture.'"><b>'.($step + 1).'</b> '
                .e($states->step($step)->title).'</li>';
        }
        file_put_contents(
            "{$folder}/{$pattern}.html",
            '<!doctype html><meta charset="utf-8"><title>'.$pattern.'</title><style>'.self::STYLE.'</style><ol>'.$items
                .'</ol>',
        );

        return $states->count();
    }
}
