<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Course;

use Hebra\Core\Course\Curve;
use Hebra\Core\Course\Repeat;
use Hebra\Core\Course\Span;
use Hebra\Core\Course\Vector;
use Hebra\Core\Tests\Piece\Everything;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;

/** Whatever repeats in a curve is told as often as it is there, in its order, and nothing is lost. */
final class RepeatTest extends TestCase
{
    /** @return list<Span> a turn of two spans, so many times, a pitch apart */
    private static function turns(int $times): array
    {
        $turn = [
            Span::straight(new Vector(0.0, 0.0), new Vector(2.0, 0.5)),
            Span::straight(new Vector(2.0, 0.5), new Vector(0.0, 1.0)),
        ];

        return (new Curve(array_merge(...array_map(
            fn (int $time): array => (new Curve($turn))->moved(new Vector(0.0, (float) $time))->spans,
            range(0, $times - 1),
        ))))->spans;
    }

    public function test_turns_a_pitch_apart_are_one_repeat(): void
    {
        $repeats = Repeat::in(self::turns(5));

        self::assertCount(1, $repeats);
        self::assertCount(5, $repeats[0]->times);
        self::assertEquals(new Vector(0.0, 2.0), $repeats[0]->between(1, 3));
    }

    public function test_what_is_no_copy_stands_alone(): void
    {
        $plain = [
            Span::straight(new Vector(0.0, 0.0), new Vector(1.0, 0.0)),
            Span::straight(new Vector(1.0, 0.0), new Vector(2.0, 0.0)),
        ];
        $repeats = Repeat::in([...$plain, ...self::turns(2)]);

        self::assertSame([1, 2], array_map(fn (Repeat $repeat): int => count($repeat->times), $repeats));
        self::assertSame($plain, $repeats[0]->times[0]);
        self::assertNull($repeats[0]->between(0, 0));
        self::assertSame([], Repeat::in([]));
    }

    #[Group('wide')]
    public function test_all_of_every_wire_is_in_its_repeats(): void
    {
        $repeated = 0;
        foreach (Everything::parts(10) as $name => $plan) {
            foreach ($plan->technique->courses($plan) as $course) {
                foreach ($course->curves() as $curve) {
                    $repeats = $curve->repeats();
                    $spans = array_merge(...array_map(
                        fn (Repeat $repeat): array => array_merge(...$repeat->times), $repeats,
                    ));
                    self::assertSame($curve->spans, $spans, $name);
                    $repeated += count($curve->spans) > count($repeats) ? 1 : 0;
                }
            }
        }
        self::assertGreaterThan(100, $repeated);
    }
}
