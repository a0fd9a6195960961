<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Piece;

use Hebra\Core\Piece\BeadRun;
use Hebra\Core\Piece\Change\OnRuns;
use Hebra\Core\Piece\Change\RunsDeed;
use Hebra\Core\Piece\ChangeReader;
use Hebra\Core\Piece\Part;
use Hebra\Core\Piece\PartId;
use Hebra\Core\Piece\Piece;
use Hebra\Core\Problem;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Several runs of beads at once. */
final class OnRunsTest extends TestCase
{
    /** A bar with five runs of three beads: 1 a, 2 b, 3 c, 4 a, 5 b. */
    private static function piece(): Piece
    {
        $piece = Some::drop();
        foreach (['4mm bicone, sky', '5mm round, rose', '3mm round, moss'] as $bead) {
            $piece = Some::changed($piece, ['do' => 'bead.add', 'part' => 'p2', 'bead' => $bead]);
        }
        $part = $piece->part(PartId::of('p2'));
        [$a, $b, $c] = array_slice(array_column($part->beads, 'bead'), -3);

        return $piece->withPart($part->withBeads([
            new BeadRun($a, 1), new BeadRun($b, 2), new BeadRun($c, 3), new BeadRun($a, 4), new BeadRun($b, 5),
        ]));
    }

    /** @return list<string> such as `1a` */
    private static function told(Piece $piece): array
    {
        $names = [];
        $part = $piece->part(PartId::of('p2'));

        return array_map(function (BeadRun $run) use (&$names, $piece): string {
            $names[$run->bead] ??= chr(ord('a') + count($names));
            self::assertArrayHasKey($run->bead, $piece->beads);

            return $run->count.$names[$run->bead];
        }, $part->beads);
    }

    /** @return array<string, array{string, RunsDeed, list<string>}> */
    public static function deeds(): array
    {
        return [
            'taken off' => ['p2/1 p2/3', new RunsDeed(RunsDeed::REMOVE), ['1a', '3b', '5c']],
            'one more of each' => ['p2/0 p2/2', new RunsDeed(RunsDeed::COUNT, by: 1), ['2a', '2b', '4c', '4a', '5b']],
            'never fewer than one' => [
                'p2/0 p2/1', new RunsDeed(RunsDeed::COUNT, by: -9), ['1a', '1b', '3c', '4a', '5b'],
            ],
            'turned round among themselves' => [
                'p2/0 p2/2 p2/4', new RunsDeed(RunsDeed::REVERSE), ['7b', '3c', '5a'],
            ],
            'copied behind the last' => [
                'p2/1 p2/2', new RunsDeed(RunsDeed::COPY), ['1a', '2b', '3c', '2b', '3c', '4a', '5b'],
            ],
            'mirrored behind the last' => [
                'p2/1 p2/2', new RunsDeed(RunsDeed::MIRROR), ['1a', '2b', '6c', '2b', '4a', '5b'],
            ],
            'moved down together' => [
                'p2/0 p2/1', new RunsDeed(RunsDeed::MOVE, by: 1), ['3a', '1b', '2c', '4b', '5c'],
            ],
            'not past the end' => ['p2/4', new RunsDeed(RunsDeed::MOVE, by: 1), ['1a', '2b', '3c', '4a', '5b']],
            'at the end the others close up' => [
                'p2/2 p2/4', new RunsDeed(RunsDeed::MOVE, by: 1), ['1a', '2b', '4a', '3c', '5b'],
            ],
        ];
    }

    /** @param  list<string>  $after */
    #[DataProvider('deeds')]
    public function test_what_is_chosen_together_is_done_together(string $chosen, RunsDeed $deed, array $after): void
    {
        $piece = OnRuns::read($chosen, $deed)->apply(self::piece());
        // Named anew in their order, as told() names them.
        self::assertSame(self::renamed($after), self::told($piece));
    }

    /**
     * @param  list<string>  $runs
     * @return list<string>
     */
    private static function renamed(array $runs): array
    {
        $names = [];

        return array_map(function (string $run) use (&$names): string {
            $names[substr($run, -1)] ??= chr(ord('a') + count($names));

            return substr($run, 0, -1).$names[substr($run, -1)];
        }, $runs);
    }

    public function test_a_colour_makes_a_new_bead_and_leaves_the_others(): void
    {
        $before = self::piece();
        $piece = OnRuns::read('p2/0 p2/3', new RunsDeed(RunsDeed::COLOUR, colour: 'plum'))->apply($before);
        $beads = array_map(fn (BeadRun $run): string => $piece->beads[$run->bead]->colour, self::part($piece)->beads);
        self::assertSame(['plum', 'rose', 'moss', 'plum', 'rose'], $beads);
        $shapes = fn (Piece $of): array => array_map(
            fn (BeadRun $run): string => $of->beads[$run->bead]->shape->value, self::part($of)->beads,
        );
        self::assertSame($shapes($before), $shapes($piece));
    }

    private static function part(Piece $piece): Part
    {
        return $piece->part(PartId::of('p2'));
    }

    public function test_what_is_no_choice_is_refused_in_one_sentence(): void
    {
        foreach (['', 'p2', 'p2/x', 'p2/0 ; p3', 'p2/99', 'p9/0'] as $chosen) {
            try {
                ChangeReader::read(['do' => 'beads.remove', 'chosen' => $chosen])->apply(self::piece());
                self::fail("“{$chosen}” was taken");
            } catch (Problem $problem) {
                self::assertStringEndsWith('.', $problem->getMessage());
            }
        }
    }
}
