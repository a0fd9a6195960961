<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Plan;

use Hebra\Core\Piece\Patterns;
use Hebra\Core\Piece\Piece;
use Hebra\Core\Plan\Check;
use Hebra\Core\Plan\Level;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Tests\Piece\Some;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;

/** What is wrong with a piece of each family is said with its figure, and its first way out mends it. */
final class WaysOutTest extends TestCase
{
    /** @return array<string, array{string, list<array<string, string|int>>, string, Level, string}> */
    public static function faults(): array
    {
        $set = fn (string $part, string $key, string $value): array => [
            'do' => 'part.set',
            'part' => $part,
            'key' => $key,
            'value' => $value,
        ];

        return [
            // Eight beads of 3 and thirty of 6 are 204 on π·32 = 100.5.
            'a hoop too small for its beads' => [
                'hoop', [['do' => 'bead.count', 'part' => 'p1', 'at' => 1, 'count' => 30]], 'room', Level::Stop,
                'The beads cover 204 mm, the hoop is 100.5 mm round: 103.5 mm too many.',
            ],
            'an eye that a bead slips over' => [
                'hoop', [$set('p1', 'eye', '0.8 mm'), ['do' => 'bead.edit', 'bead' => 'b1', 'hole' => '2.8 mm']], 'eye',
                Level::Warn, 'The eye is narrower than the hole of the',
            ],
            'a frame too small for its beads' => [
                'framed-drop', [['do' => 'bead.count', 'part' => 'p2', 'at' => 0, 'count' => 60]], 'room', Level::Stop,
                'too many.',
            ],
            'memory wire too short' => [
                'memory-bracelet', [['do' => 'bead.count', 'part' => 'p1', 'at' => 0, 'count' => 200]], 'room',
                Level::Stop, 'longer than the wire.',
            ],
            'memory wire left bare' => [
                'memory-bracelet', [['do' => 'bead.count', 'part' => 'p1', 'at' => 0, 'count' => 30]], 'room',
                Level::Note, 'of the wire stays bare.',
            ],
            'a core that falls out' => [
                'woven-bracelet', [$set('p2', 'pattern', '4@1-2')], 'weave', Level::Stop,
                'No section holds core 3: it would fall out.',
            ],
            'a core too many' => [
                'woven-bracelet', [$set('p2', 'cores', '2')], 'weave', Level::Stop, 'names core 3 of 2',
            ],
            'a gap too wide' => [
                'open-ring', [$set('p1', 'gap', '9 mm')], 'gap', Level::Warn, 'more than a third of the finger',
            ],
            'a foot that slips through' => [
                'single-drop', [$set('p2', 'foot', '0 mm'), ['do' => 'bead.edit', 'bead' => 'b2', 'hole' => '2 mm']],
                'foot', Level::Stop, 'would slip through the 2 mm hole',
            ],
            'a ball of coated wire' => [
                'single-drop',
                [$set('p2', 'stop', 'ball'), ['do' => 'wire', 'role' => 'pin', 'metal' => 'gold-filled']], 'ball',
                Level::Warn, 'does not draw to a clean ball',
            ],
            'hammered thicker than it is' => [
                'hammered-cuff', [$set('p1', 'hammered', '3 mm')], 'hammered', Level::Stop,
                'cannot be: the wire is 2.05 mm thick',
            ],
            'a chain too long' => [
                'ring-chain', [['do' => 'part.repeat', 'part' => 'p2', 'count' => 60]], 'length', Level::Note,
                'too long.',
            ],
            'a part with nothing to hang from' => [
                'single-drop', [['do' => 'part.add', 'technique' => 'jump-ring', 'at' => 2]], 'nothing to hang from',
                Level::Stop, 'Nothing can hang from the drop',
            ],
            'a hook with no ring' => ['linked-bracelet', [
                ['do' => 'part.remove', 'part' => 'p4'], ['do' => 'part.remove', 'part' => 'p3'],
                ['do' => 'part.remove', 'part' => 'p2'],
            ], 'clasp', Level::Note, 'has nothing to close in'],
        ];
    }

    /** @param  list<array<string, string|int>>  $changes */
    #[DataProvider('faults')]
    #[Group('wide')]
    public function test_a_fault_is_named_and_its_way_out_mends_it(
        string $pattern, array $changes, string $rule, Level $level, string $sentence,
    ): void {
        $start = Patterns::start($pattern, 'Faulty');
        self::assertNull(self::fault($start, $rule, $level), 'the pattern itself has no such fault');
        $piece = Some::changed($start, ...$changes);
        $check = self::fault($piece, $rule, $level);
        self::assertNotNull($check, $rule);
        self::assertStringContainsString($sentence, $check->text);
        self::assertNotSame([], $check->ways);
        self::assertNull(
            self::fault(Some::changed($piece, $check->ways[0]->change), $rule, $level),
            'mended by “'.$check->ways[0]->words.'”',
        );
    }

    private static function fault(Piece $piece, string $rule, Level $level): ?Check
    {
        foreach (Planner::plan($piece, new Profile)->checks as $check) {
            if ($check->rule === $rule && $check->level === $level) {
                return $check;
            }
        }

        return null;
    }
}
