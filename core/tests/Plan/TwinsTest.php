<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Plan;

use Hebra\Core\Handwork\EventKind;
use Hebra\Core\Handwork\Moment;
use Hebra\Core\Piece\Change\CopyPart;
use Hebra\Core\Piece\Piece;
use Hebra\Core\Plan\CourseSteps;
use Hebra\Core\Plan\Cut;
use Hebra\Core\Plan\PartPlan;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Plan\Twins;
use Hebra\Core\Problem;
use Hebra\Core\Tests\Piece\Everything;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;

/** What is told of a part because another is alike is what it would tell of itself. */
final class TwinsTest extends TestCase
{
    /** @return iterable<string, Piece> every pattern with each of its parts once more */
    private static function copied(): iterable
    {
        foreach (Everything::patterns() as $name => $piece) {
            foreach ($piece->parts as $part) {
                try {
                    yield "{$name}, {$part->id} copied" => (new CopyPart($part->id))->apply($piece);
                } catch (Problem) {
                    // What there may be but one of has no twin.
                }
            }
        }
    }

    /** @return list<Moment> */
    private static function moments(PartPlan $part): array
    {
        $moments = [Moment::thread()];
        foreach ($part->technique->along($part) as $place) {
            array_push($moments, Moment::form($place), Moment::close($place), Moment::work($place));
        }

        return $moments;
    }

    #[Group('wide')]
    public function test_a_twin_tells_what_it_would_tell_itself(): void
    {
        $twins = 0;
        foreach (self::copied() as $name => $piece) {
            $known = new Twins(null);
            $first = [];
            foreach ($piece->parts as $one) {
                $part = PartPlan::of($piece, $one, new Profile);
                $twins += isset($first[$part->content()]) ? 1 : 0;
                $first[$part->content()] = true;
                $where = "{$name}: {$one->id}";
                self::assertEquals($part->cuts(), $known->cuts($part), $where);
                self::assertEquals(
                    $part->technique->eyes($part, $one->id->text), $known->eyes($part, $one->id->text), $where,
                );
                foreach (self::moments($part) as $moment) {
                    $told = array_map(
                        fn ($step) => $part->wireOfCut($step->cut)->isHardened() ? $step->inHardWire() : $step,
                        CourseSteps::of($part)[$moment->text()] ?? [],
                    );
                    self::assertEquals($told, $known->steps($part, $moment), "{$where}, {$moment->text()}");
                }
            }
        }
        self::assertGreaterThan(150, $twins);
    }

    /** An id may have a hyphen, as a cut's key has before its wire. */
    public function test_a_twin_of_any_name_keeps_its_wires(): void
    {
        foreach (Everything::patterns() as $name => $piece) {
            $part = PartPlan::of($piece, $piece->parts[0], new Profile);
            $known = new Twins(null);
            $known->cuts($part);
            $other = PartPlan::of(
                $piece, $piece->parts[0]->withId(\Hebra\Core\Piece\PartId::of('left-half-2')), new Profile,
            );
            self::assertEquals($other->cuts(), $known->cuts($other), $name);
            self::assertEquals(
                array_map(fn (Cut $cut): string => $cut->key(), $other->cuts()),
                array_map(fn (Cut $cut): string => $cut->key(), $known->cuts($other)),
            );
            $threaded = new Moment(EventKind::Thread);
            $known->steps($part, $threaded);
            self::assertEquals(
                array_column(CourseSteps::of($other)['thread'] ?? [], 'cut'),
                array_column($known->steps($other, $threaded), 'cut'),
            );
        }
    }
}
