<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Database\QueryException;
use Throwable;

/**
 * What of a fault goes into the log: what it was and where, and nothing of a maker's data. A statement is told with
 * its placeholders.
 */
final class Faults
{
    private const FRAMES = 12;

    public static function told(Throwable $fault): string
    {
        $told = $fault::class.' at '.self::place($fault->getFile(), $fault->getLine());
        if ($fault instanceof QueryException) {
            $told .= ' ['.implode(
                ' ',
                array_map(strval(...), array_slice((array) $fault->errorInfo, 0, 2)),
            ).'] '.$fault->getSql();
        } elseif ($fault instanceof \Error) {
            $told .= ': '.$fault->getMessage();
        }
        foreach (array_slice($fault->getTrace(), 0, self::FRAMES) as $frame) {
            $told .= "\n  ".self::place($frame['file'] ?? '', $frame['line'] ?? 0).' '.($frame['class'] ?? '')
                .($frame['type'] ?? '').$frame['function'];
        }

        return $told;
    }

    private static function place(string $file, int $line): string
    {
        return str_replace(base_path().'/', '', $file).":{$line}";
    }
}
