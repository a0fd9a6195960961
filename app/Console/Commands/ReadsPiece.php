<?php

declare(strict_types=1);

namespace App\Console\Commands;

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
}
