<?php

declare(strict_types=1);

namespace App\Pdf;

use RuntimeException;

/** The TrueType font that a WOFF file wraps, its tables unpacked [W3C, WOFF File Format 1.0, sections 3 to 5]. */
final class Woff
{
    private const HEAD_BYTES = 44;

    private const ENTRY_BYTES = 20;

    /** @throws RuntimeException if it is no WOFF file */
    public static function toTrueType(string $woff): string
    {
        $head = substr($woff, 0, 4) === 'wOFF' ? unpack('Nflavor/Nlength/ncount', substr($woff, 4, 10)) : false;
        $head !== false || throw new RuntimeException('This is no WOFF file.');
        $count = (int) $head['count'];
        $step = 2 ** (int) floor(log(max(1, $count), 2));
        $font = pack(
            'Nnnnn', $head['flavor'], $count, 16 * $step, (int) log($step, 2), 16 * ($count - $step),
        );
        $tables = '';
        $begins = 12 + 16 * $count;
        for ($at = 0; $at < $count; $at++) {
            [$tag, $sum, $data] = self::table($woff, self::HEAD_BYTES + self::ENTRY_BYTES * $at);
            $font .= $tag.pack('NNN', $sum, $begins + strlen($tables), strlen($data));
            $tables .= str_pad($data, (int) ceil(strlen($data) / 4) * 4, "\0");
        }

        return $font.$tables;
    }

    /** @return array{string, int, string} */
    private static function table(string $woff, int $entry): array
    {
        $told = unpack('a4tag/Nat/Npacked/Nlength/Nsum', substr($woff, $entry, self::ENTRY_BYTES));
        $told !== false || throw new RuntimeException('This WOFF file ends within its list of tables.');
        $data = substr($woff, $told['at'], $told['packed']);
        // What would not become shorter is not packed.
        $data = $told['packed'] < $told['length'] ? (string) gzuncompress($data) : $data;
        strlen($data) === $told['length'] || throw new RuntimeException("Table {$told['tag']} of this file is broken.");

        return [$told['tag'], $told['sum'], $data];
    }
}
