<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Hebra\Core\Figure\View;
use Hebra\Core\Piece\PieceJson;
use Hebra\Core\Plan\Plan;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Quantity\Unreadable;

/** A command about one piece that Hebra exported. */
trait ReadsPiece
{
    use RefusesOnStandardError;

    /** @throws \Hebra\Core\Problem if it cannot be read or is no piece */
    protected function plan(): Plan
    {
        $file = (string) $this->argument('file');
        if (! is_file($file) || ! is_readable($file)) {
            throw Unreadable::file($file);
        }
        $json = (string) file_get_contents($file, length: PieceJson::MOST_BYTES + 1);

        return Planner::plan(PieceJson::readAll($json)[0], new Profile);
    }

    /** In the order that is asked for, else the usual one for so many parts. */
    protected function inOrder(Plan $plan): Plan
    {
        return $plan->inOperations(
            (bool) $this->option('operations') || (! $this->option('parts') && $plan->isManyAlike()),
        );
    }

    /** @throws Unreadable if it is no side */
    protected function side(): View
    {
        $view = (string) $this->option('view');

        return View::tryFrom($view) ?? throw Unreadable::choice(
            'view', $view, array_map(fn (View $one): string => $one->value, View::cases()),
        );
    }
}
