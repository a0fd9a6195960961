<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Piece;

use Hebra\Core\Piece\Change;
use Hebra\Core\Piece\ChangeReader;
use Hebra\Core\Piece\Patterns;
use Hebra\Core\Piece\Piece;

/** Pieces for the tests, and a source of seeded random changes. */
final class Some
{
    public static function drop(): Piece
    {
        return Patterns::start('link-and-drop', 'Test drops');
    }

    /** @param  array<string, mixed>|Change  ...$changes */
    public static function changed(Piece $piece, array|Change ...$changes): Piece
    {
        foreach ($changes as $change) {
            $piece = (is_array($change) ? ChangeReader::read($change) : $change)->apply($piece);
        }

        return $piece;
    }

    /** A piece of thirty parts, as the benchmark takes it. */
    public static function thirtyParts(): Piece
    {
        $piece = Patterns::start('two-links', 'Thirty parts');
        while (count($piece->parts) < 30) {
            $piece = self::changed($piece, ['do' => 'part.copy', 'part' => 'p2']);
        }

        return $piece;
    }

    public static function randomChange(Piece $piece): Change
    {
        $part = $piece->parts === [] ? 'p1' : $piece->parts[mt_rand(0, count($piece->parts) - 1)]->id->text;
        $by = mt_rand(0, 1) === 1 ? 1 : -1;
        $all = [
            ['do' => 'part.add', 'technique' => ['ear-wire', 'wrapped-link', 'head-pin'][mt_rand(0, 2)]],
            ['do' => 'part.add', 'technique' => 'wrapped-link'],
            ['do' => 'part.remove', 'part' => $part],
            ['do' => 'part.move', 'part' => $part, 'by' => $by],
            ['do' => 'part.copy', 'part' => $part],
            ['do' => 'part.repeat', 'part' => $part, 'by' => $by],
            ['do' => 'bead.add', 'part' => $part, 'bead' => mt_rand(2, 14).'mm round, hole '.mt_rand(5, 15) / 10],
            ['do' => 'bead.count', 'part' => $part, 'at' => 0, 'by' => $by],
            ['do' => 'bead.move', 'part' => $part, 'at' => 0, 'by' => $by],
            ['do' => 'bead.mirror', 'part' => $part],
            ['do' => 'bead.remove', 'part' => $part, 'at' => 0],
            [
                'do' => 'part.set', 'part' => $part, 'key' => ['top_wraps', 'wraps', 'bottom_wraps'][mt_rand(0, 2)],
                'value' => (string) mt_rand(0, 6),
            ],
            [
                'do' => 'part.set', 'part' => $part, 'key' => ['tail', 'inside', 'eye'][mt_rand(0, 2)],
                'value' => mt_rand(0, 40) / 10 .'mm',
            ],
            ['do' => 'part.set', 'part' => $part, 'key' => 'source', 'value' => ['cut', 'bought'][mt_rand(0, 1)]],
            ['do' => 'wire', 'role' => ['ear', 'link', 'pin'][mt_rand(0, 2)], 'size' => mt_rand(18, 28).'awg'],
            ['do' => 'makes', 'kind' => 'batch', 'count' => mt_rand(1, 9)],
        ];

        return ChangeReader::read($all[mt_rand(0, count($all) - 1)]);
    }
}
