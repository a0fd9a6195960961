<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Technique;

use Hebra\Core\Course\Curve;
use Hebra\Core\Course\Vector;
use Hebra\Core\Piece\PartId;
use Hebra\Core\Piece\Patterns;
use Hebra\Core\Piece\Piece;
use Hebra\Core\Plan\Cut;
use Hebra\Core\Plan\Level;
use Hebra\Core\Plan\Plan;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Problem;
use Hebra\Core\Tests\Piece\Some;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;

/** How the cores of a woven band end, in eyes or in curls, and how groups of them curve over each other. */
final class WovenBandTest extends TestCase
{
    /** @param  array<string, string>  $settings */
    private static function band(array $settings = []): Piece
    {
        $changes = [];
        foreach ($settings as $key => $value) {
            $changes[] = ['do' => 'part.set', 'part' => 'p2', 'key' => $key, 'value' => $value];
        }

        return Some::changed(Patterns::start('crossing-band', 'Band'), ...$changes);
    }

    private static function plan(Piece $piece): Plan
    {
        return Planner::plan($piece, new Profile);
    }

    /** @return array<string, Cut> by label */
    private static function cuts(Plan $plan): array
    {
        $cuts = [];
        foreach ($plan->cuts as $cut) {
            $cuts[$cut->label] = $cut;
        }

        return $cuts;
    }

    /**
     * In 18 AWG, 1.0237 mm, an eye of 2.5 takes π · 3.5237 = 11.070; a spiral of two turns from 1 takes
     * 2π(1 + 2 · 1.0237)
     * = 19.147. What is over of the hundred is trimmed.
     */
    public function test_chosen_cores_end_in_eyes_and_the_others_in_curls(): void
    {
        $piece = Some::changed(self::band(), ['do' => 'wire', 'role' => 'core', 'size' => '18 awg']);
        $cuts = self::cuts(self::plan($piece));
        $words = fn (string $label): array => array_map(
            fn ($segment): array => [$segment->words, round($segment->lengthMm, 2)],
            array_slice($cuts[$label]->segments, 0, 2),
        );
        self::assertSame([['tail', 88.93], ['eye', 11.07]], $words('Core 2, 3'));
        self::assertSame([['tail', 80.85], ['curl', 19.15]], $words('Core 1, 4'));
        $text = implode(' ', array_map(fn ($step): string => $step->text, self::plan($piece)->steps()));
        self::assertStringContainsString(
            'wind their ends to flat spirals of 2 turns, and turn an eye each of cores 2 and 3', $text,
        );
        self::assertStringContainsString('bring cores 1 and 2, side by side, over cores 3 and 4, within 18 mm', $text);
        $middle = self::cuts(self::plan(self::band(['eyes' => ''])));
        self::assertArrayHasKey('Core 2', $middle, 'nothing said, the middle one');
    }

    #[Group('wide')]
    public function test_each_eye_can_carry_something(): void
    {
        $on = fn (string $eye): array => ['do' => 'part.hang', 'part' => 'p3', 'on' => "p2/{$eye}"];
        $rules = fn (Piece $piece): array => array_map(
            fn ($check): string => $check->rule,
            array_filter(self::plan($piece)->checks, fn ($check): bool => $check->level === Level::Stop),
        );
        self::assertSame([], $rules(Some::changed(self::band(), $on('bottom-3'))));
        self::assertContains(
            'nothing to hang from', $rules(Some::changed(self::band(), $on('bottom-1'))), 'a curl is no eye',
        );
    }

    public function test_what_is_no_core_is_refused(): void
    {
        foreach (['9', 'all', '2, x'] as $text) {
            try {
                self::band(['eyes' => $text]);
                self::fail("{$text} was taken");
            } catch (Problem $problem) {
                self::assertStringContainsString('numbers of cores from 1 to 7', $problem->getMessage());
            }
        }
        self::assertSame('2 4', self::band(['eyes' => '2 4'])->part(PartId::of('p2'))->choice('eyes'));
    }

    /** What does not end in an eye is curled away from the weave, as far out at one end as at the other. */
    public function test_curls_lie_outside_the_weave_at_either_end(): void
    {
        foreach (['crossing-band', 'woven-bracelet', 'two-colour-band', 'sectioned-band'] as $pattern) {
            $part = self::plan(Patterns::start($pattern, 'Band'))->parts()['p2'];
            $reach = ['first' => 0.0, 'last' => 0.0];
            $woven = 0.0;
            foreach ($part->technique->courses($part) as $course) {
                if ($course->role === 'weave') {
                    continue;
                }
                $curves = $course->curves();
                [$first, $last] = [$curves[1], $curves[count($curves) - 2]];
                $woven = max([$woven, ...array_map(self::widest(...), array_slice($curves, 2, -2))]);
                $reach['first'] = max($reach['first'], self::widest($first));
                $reach['last'] = max($reach['last'], self::widest($last));
            }
            self::assertGreaterThan($woven + 1.0, $reach['first'], $pattern);
            self::assertEqualsWithDelta($reach['first'], $reach['last'], 0.05, $pattern);
        }
    }

    private static function widest(Curve $curve): float
    {
        return max(array_map(fn (Vector $at): float => abs($at->x), $curve->points(0.2)));
    }
}
