<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Course;

use Hebra\Core\Bead\Bead;
use Hebra\Core\Course\Course;
use Hebra\Core\Course\Crowding;
use Hebra\Core\Course\Frame;
use Hebra\Core\Course\Move;
use Hebra\Core\Course\Segment;
use Hebra\Core\Course\SegmentKind;
use Hebra\Core\Course\Shape\Straight;
use Hebra\Core\Course\Threaded;
use Hebra\Core\Piece\Patterns;
use Hebra\Core\Plan\Check;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Tests\Piece\Everything;
use Hebra\Core\Tests\Piece\Some;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;

/** No two beads of a part stand in the same place, and where settings ask for it a check says so. */
final class CrowdingTest extends TestCase
{
    /** A straight wire with a bead, so far to the right. */
    private static function wire(string $bead, float $xMm): Course
    {
        $bead = Bead::parse($bead);
        $segment = Segment::given(SegmentKind::Seat, $bead->lengthMm, 'seat', 'seat', 'for the test', 'the test');

        return new Course(
            'wire', 'wire', [new Move($segment, new Straight($bead->lengthMm), [new Threaded($bead, 1, 'bead')])],
            Frame::down(0.0, $xMm), 0,
        );
    }

    /**
     * Two round beads of 6 mm touch at 6 mm; a coin of 20 mm and one of 6 whose middle is 7 mm higher, in its plane, at
     * 13 mm.
     */
    public function test_two_that_touch_stand_and_two_that_are_closer_do_not(): void
    {
        $into = fn (string $one, string $other, float $mm): float => Crowding::of(
            [self::wire($one, 0.0), self::wire($other, $mm)],
        )[0][2] ?? 0.0;
        self::assertSame(0.0, $into('6mm round, hole 1', '6mm round, hole 1', 6.0));
        self::assertEqualsWithDelta(2.0, $into('6mm round, hole 1', '6mm round, hole 1', 4.0), 1e-9);
        self::assertSame(0.0, $into('20 x 20mm coin, hole 1.8', '6mm round, hole 1', 14.0));
        self::assertGreaterThan(1.0, $into('20 x 20mm coin, hole 1.8', '6mm round, hole 1', 8.0));
    }

    #[Group('wide')]
    public function test_beads_of_every_part_have_room(): void
    {
        $looked = 0;
        foreach (Everything::parts(60) as $name => $part) {
            // Each technique with three unlike beads as it comes is told by its check.
            $isPattern = str_contains($name, 'pattern') || str_contains($name, 'changed');
            $crowded = Crowding::of($part->technique->courses($part));
            $checks = array_filter(
                $part->technique->checks($part), fn (Check $check): bool => $check->rule === 'crowded',
            );
            if ($isPattern && $checks === []) {
                self::assertSame([], array_map(fn (array $one): float => $one[2], $crowded), $name);
                $looked++;
            }
        }
        self::assertGreaterThan(80, $looked);
        foreach (array_keys(Patterns::all()) as $pattern) {
            $rules = array_map(
                fn (Check $check): string => $check->rule,
                Planner::plan(Patterns::start($pattern, 'One'), new Profile)->checks,
            );
            self::assertNotContains('crowded', $rules, $pattern);
        }
    }

    public function test_what_is_too_close_is_said_with_how_much(): void
    {
        $piece = Some::changed(Patterns::start('tied-drop', 'One'), [
            'do' => 'part.set', 'part' => 'p2', 'key' => 'course',
            'value' => 'pin: from 0 0 · through A · tie: from 1 0 · through 1 B',
        ], ['do' => 'bead.add', 'part' => 'p2', 'bead' => '6mm round, hole 1, plum', 'at' => '1']);
        $said = array_values(array_filter(
            Planner::plan($piece, new Profile)->checks, fn (Check $check): bool => $check->rule === 'crowded',
        ));
        self::assertCount(1, $said);
        self::assertStringContainsString('in each other', $said[0]->text);
    }
}
