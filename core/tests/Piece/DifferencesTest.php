<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Piece;

use Hebra\Core\Piece\ChangeReader;
use Hebra\Core\Piece\Differences;
use Hebra\Core\Piece\Patterns;
use Hebra\Core\Piece\Piece;
use Hebra\Core\Piece\PieceJson;
use Hebra\Core\Quantity\Figures;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class DifferencesTest extends TestCase
{
    /** @return list<string> */
    private static function between(Piece $from, Piece $to): array
    {
        return Differences::between($from, $to, fn (float $mm): string => Figures::mm($mm));
    }

    /** @return array<string, array{list<array<string, mixed>>, list<string>}> */
    public static function changes(): array
    {
        return [
            'a wire' => [
                [['do' => 'wire', 'role' => 'link', 'size' => '24 awg', 'temper' => 'half-hard']],
                ['wire of link: 22 AWG, dead soft → 24 AWG, half hard'],
            ],
            'a loop' => [
                [['do' => 'part.set', 'part' => 'p2', 'key' => 'top_inside', 'value' => '3 mm']],
                ['link, top loop, inside: 2.5 mm → 3 mm'],
            ],
            'a bead' => [
                [['do' => 'bead.swap', 'part' => 'p3', 'at' => 0, 'bead' => 'Buoy: 6mm round, hole 1, rust']],
                ['drop, beads: '],
            ],
            'a part less' => [[['do' => 'part.remove', 'part' => 'p3']], ['without the drop']],
            'how many' => [[['do' => 'makes', 'kind' => 'batch', 'count' => 4]], ['makes: a pair → a batch of 4']],
            'how long it may hang' => [[['do' => 'fit', 'kind' => 'ear', 'fit' => '60 mm']], ['fits: an ear of ']],
            'its name' => [[['do' => 'name', 'name' => 'Another'], ['do' => 'note', 'note' => 'For the fair.']], []],
        ];
    }

    /**
     * @param  list<array<string, mixed>>  $changes
     * @param  list<string>  $told  how each difference begins
     */
    #[DataProvider('changes')]
    public function test_what_was_changed_is_told(array $changes, array $told): void
    {
        $piece = Patterns::start('link-and-drop', 'One');
        $other = $piece;
        foreach ($changes as $change) {
            $other = ChangeReader::read($change)->apply($other);
        }
        $differences = self::between($piece, $other);
        foreach ($told as $at => $begins) {
            self::assertStringStartsWith($begins, $differences[$at] ?? '');
        }
        self::assertCount(count($told), $differences, implode('; ', $differences));
    }

    /** Over everything: nothing is told of a piece and itself, something of two whose documents are not the same. */
    public function test_nothing_is_told_of_alike_and_something_of_unlike_pieces(): void
    {
        $design = function (Piece $piece): string {
            $json = json_decode(PieceJson::write($piece->withName('One')), true);
            unset($json['note'], $json['name']);

            return (string) json_encode($json);
        };
        $last = null;
        $unlike = 0;
        foreach (Everything::changed(200) as $name => $piece) {
            self::assertSame([], self::between($piece, $piece), (string) $name);
            if ($last !== null && $design($last) !== $design($piece)) {
                self::assertNotSame([], self::between($last, $piece), (string) $name);
                $unlike++;
            }
            $last = $piece;
        }
        self::assertGreaterThan(100, $unlike);
    }

    public function test_one_change_after_another_is_each_told(): void
    {
        $told = $tried = 0;
        foreach (Patterns::all() as $name => $pattern) {
            $piece = Patterns::start($name, 'One');
            foreach ($piece->parts as $part) {
                $other = ChangeReader::read(
                    ['do' => 'part.repeat', 'part' => $part->id->text, 'count' => $part->repeat + 1]
                );
                $tried++;
                try {
                    $told += self::between($piece, $other->apply($piece)) === [] ? 0 : 1;
                } catch (\Hebra\Core\Problem) {
                    $told++;
                }
            }
        }
        self::assertSame($tried, $told);
    }
}
