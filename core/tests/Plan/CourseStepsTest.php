<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Plan;

use Hebra\Core\Course\Move;
use Hebra\Core\Course\SegmentKind;
use Hebra\Core\Course\Strung;
use Hebra\Core\Handwork\Moment;
use Hebra\Core\Plan\CourseSteps;
use Hebra\Core\Plan\Event;
use Hebra\Core\Plan\PartPlan;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Plan\Step;
use Hebra\Core\Plan\WireEnd;
use Hebra\Core\Plan\WireRun;
use Hebra\Core\Tests\Piece\Everything;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;

/** Steps are read off courses, by one implementation for all techniques. */
final class CourseStepsTest extends TestCase
{
    /** What is never straight: hands make it. */
    private const MADE = [
        SegmentKind::Loop, SegmentKind::Eye, SegmentKind::Arch, SegmentKind::Round, SegmentKind::Curl,
        SegmentKind::Foot, SegmentKind::Wraps, SegmentKind::Coil, SegmentKind::Binding, SegmentKind::Weave,
    ];

    #[Group('wide')]
    public function test_all_that_is_told_comes_in_the_order_of_work(): void
    {
        $read = 0;
        foreach (Everything::parts(60) as $name => $part) {
            $run = new WireRun('p', $part->technique->along($part), $part->technique->eyes($part, 'p'));
            $events = array_map(fn (Event $event): string => $event->moment()->text(), $run->events());
            foreach (CourseSteps::of($part) as $moment => $steps) {
                self::assertContains($moment, $events, "{$name}: {$steps[0]->title} would never be said");
                $read += count($steps);
            }
        }
        self::assertGreaterThan(1000, $read);
    }

    #[Group('wide')]
    public function test_hands_are_told_of_all_that_they_make(): void
    {
        $made = 0;
        foreach (Everything::parts(60) as $name => $part) {
            // Rings that are wound with others are made with them.
            $isReady = $part->technique->isBought($part->part) || ($part->part->settings['wound'] ?? '') === 'coil';
            foreach ($isReady ? [] : $part->courses() as $course) {
                foreach ($course->isWire ? array_filter($course->moves, self::isMade(...)) : [] as $move) {
                    self::assertNotSame([], $move->handwork, "{$name}: {$move->segment->words}");
                    $made++;
                }
            }
        }
        self::assertGreaterThan(1000, $made);
    }

    private static function isMade(Move $move): bool
    {
        return in_array($move->segment->kind, self::MADE, true) && $move->isSeen() && ! $move->segment->isReady();
    }

    /** @return list<Step> */
    private static function steps(string $name, Moment $moment): array
    {
        return self::read($name)[$moment->text()] ?? [];
    }

    /** @return array<string, list<Step>> */
    private static function read(string $name): array
    {
        $piece = iterator_to_array(Everything::techniques())[$name];

        return CourseSteps::of(PartPlan::of($piece, $piece->parts[0], new Profile));
    }

    public function test_a_binding_is_made_bit_by_bit(): void
    {
        $steps = self::steps('hoop, bound', Moment::work('beads'));
        self::assertSame(
            ['Start the binding', 'Bind the beads on', 'End the binding', 'Turn it over'],
            array_column($steps, 'title'),
        );
        [$first, $second] = [$steps[0]->shares['p1:binding'], $steps[1]->shares['p1:binding']];
        self::assertGreaterThan(0.0, $first);
        self::assertGreaterThan($first, $second);
        self::assertLessThan(1.0, $second);
        self::assertSame([], $steps[2]->shares, 'the last makes all that is left');
        self::assertSame('p1-binding', $steps[1]->cut);
    }

    public function test_what_is_said_alike_of_several_wires_is_one_step(): void
    {
        [$file, $bind] = self::steps('split-ring', Moment::work('bundle'));
        self::assertSame(['p1:curls'], $file->marks);
        self::assertSame(['p1:binding'], $bind->marks);
        [$threads] = self::steps('memory-wire, strands two', Moment::thread());
        self::assertSame([2, 'p1'], [$threads->times, $threads->cut], 'both wires at once');
    }

    public function test_beads_come_over_the_end_that_they_lie_towards(): void
    {
        [, $first, $second] = self::steps('open-ring', Moment::work('ends'));
        self::assertSame([WireEnd::First, WireEnd::Last], [$first->over, $second->over]);
        // Four are shared out, the one next to the shank first: sea, amber | amber, plum.
        $colours = fn (Step $step): array => array_map(
            fn (Strung $run): string => $run->bead->words(), $step->putsOn,
        );
        self::assertSame(['sea 4 mm round', 'amber 5 × 3 mm rondelle'], $colours($first));
        self::assertSame(['amber 5 × 3 mm rondelle', 'plum 3 mm bicone'], $colours($second));
    }

    public function test_nothing_is_done_to_what_is_bought(): void
    {
        foreach (['ear-wire', 'hook', 'toggle-bar'] as $technique) {
            self::assertNotSame([], self::read("{$technique}, source made"), $technique);
            self::assertSame([], self::read("{$technique}, source bought"), $technique);
        }
    }

    public function test_ends_are_filed_before_they_are_bent_and_hammered_after(): void
    {
        self::assertSame(
            ['Round the tip', 'Bend the hook', 'Hammer the hook'],
            array_column(self::steps('hook', Moment::work('hook')), 'title'),
        );
    }
}
