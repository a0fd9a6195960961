<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Plan;

use Hebra\Core\Course\Segment;
use Hebra\Core\Handwork\Caution;
use Hebra\Core\Piece\ParameterKind;
use Hebra\Core\Piece\Piece;
use Hebra\Core\Plan\Cut;
use Hebra\Core\Plan\Level;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Plan\Step;
use Hebra\Core\Problem;
use Hebra\Core\Quantity\LengthUnit;
use Hebra\Core\Quantity\Ruler;
use Hebra\Core\Technique\Techniques;
use Hebra\Core\Tests\Piece\Some;
use PHPUnit\Framework\TestCase;

/** All techniques have one shape: what holds for one must hold for the next that is added. */
final class TechniquesTest extends TestCase
{
    public function test_every_setting_reads_its_default_and_refuses_what_lies_outside(): void
    {
        foreach (Techniques::all() as $technique) {
            foreach ($technique->parameters() as $parameter) {
                self::assertSame(
                    $parameter->default,
                    $parameter->fromJson($parameter->default, $parameter->key),
                    $parameter->key,
                );
                if ($parameter->kind === ParameterKind::Length || $parameter->kind === ParameterKind::Count) {
                    $text = $parameter->kind === ParameterKind::Length
                        ? ($parameter->most + 1).' mm'
                        : (string) ((int) $parameter->most + 1);
                    try {
                        $parameter->fromText($text, LengthUnit::Millimetre);
                        self::fail("{$parameter->key} took {$text}");
                    } catch (Problem $problem) {
                        self::assertStringContainsString('is out of range', $problem->getMessage());
                    }
                }
            }
        }
    }

    public function test_every_technique_names_itself_its_wire_and_its_drillings(): void
    {
        foreach (Techniques::all() as $name => $technique) {
            self::assertSame($name, $technique->name());
            self::assertMatchesRegularExpression('/^[a-z-]+$/', $technique->role());
            self::assertSame($technique->takesBeads(), $technique->drillings() !== []);
            self::assertGreaterThan(0.3, $technique->usualWire()->diameterMm());
        }
    }

    private static function cut(Piece $piece, int $index): Cut
    {
        return Planner::plan($piece, new Profile)->cuts[$index];
    }

    public function test_a_plain_eye_is_trimmed_first_so_nothing_is_held(): void
    {
        $cut = self::cut(
            Some::changed(
                Some::drop(),
                ['do' => 'part.set', 'part' => 'p2', 'key' => 'top_wraps', 'value' => '0'],
                ['do' => 'part.set', 'part' => 'p2', 'key' => 'bottom_wraps', 'value' => '0'],
            ),
            1,
        );
        self::assertSame(
            ['loop', 'seat', 'loop', 'tail'],
            array_map(fn (Segment $segment): string => $segment->kind->value, $cut->segments),
        );
        self::assertEqualsWithDelta(1.0, $cut->trimmedMm(), 1e-9, 'for beads that vary');
        self::assertFalse(
            Some::drop()->parts[1]->technique()->shows(
                'tail',
                Some::changed(
                    Some::drop(),
                    ['do' => 'part.set', 'part' => 'p2', 'key' => 'top_wraps', 'value' => '0'],
                    ['do' => 'part.set', 'part' => 'p2', 'key' => 'bottom_wraps', 'value' => '0'],
                )->parts[1],
            ),
        );
    }

    public function test_one_wrap_more_adds_its_helix_and_its_neck(): void
    {
        $three = self::cut(Some::drop(), 1)->lengthMm();
        $four = self::cut(
            Some::changed(Some::drop(), ['do' => 'part.set', 'part' => 'p2', 'key' => 'top_wraps', 'value' => '4']),
            1,
        )->lengthMm();
        $d = 0.127 * 92 ** (14 / 39);
        self::assertEqualsWithDelta($d + sqrt((M_PI * 2 * $d) ** 2 + $d ** 2), $four - $three, 1e-9);
    }

    public function test_a_link_without_beads_keeps_its_bends_in_order(): void
    {
        $empty = Some::changed(
            Some::drop(),
            ['do' => 'bead.remove', 'part' => 'p2', 'at' => 0],
            ['do' => 'bead.remove', 'part' => 'p2', 'at' => 0],
        );
        $cut = self::cut($empty, 1);
        self::assertCount(2, $cut->bends);
        self::assertLessThan($cut->bends[1]->atMm, $cut->bends[0]->atMm);
        $plain = Some::changed(
            $empty,
            ['do' => 'part.set', 'part' => 'p2', 'key' => 'top_wraps', 'value' => '0'],
            ['do' => 'part.set', 'part' => 'p2', 'key' => 'bottom_wraps', 'value' => '0'],
        );
        self::assertCount(1, self::cut($plain, 1)->bends, 'two eyes back to back share one bend');
    }

    public function test_a_foot_that_slips_through_is_stopped_and_its_way_out_holds(): void
    {
        $piece = Some::changed(Some::drop(), ['do' => 'bead.edit', 'bead' => 'b3', 'hole' => '2.5mm']);
        $check = Planner::plan($piece, new Profile)->checks[0];
        self::assertSame([Level::Stop, 'foot'], [$check->level, $check->rule]);
        $mended = Planner::plan(Some::changed($piece, $check->ways[0]->change), new Profile);
        self::assertNotContains('foot', array_map(fn ($one): string => $one->rule, $mended->checks));
    }

    public function test_cautions_stand_where_the_danger_is(): void
    {
        $plan = Planner::plan(Some::drop(), new Profile);
        $with = fn (Caution $caution): array => array_values(
            array_map(
                fn (Step $step): string => $step->title,
                array_filter(
                    [...$plan->prepare(), ...$plan->steps()],
                    fn (Step $step): bool => in_array($caution, $step->cautions, true),
                ),
            ),
        );
        self::assertContains('Link: trim and tuck', $with(Caution::CutEnds));
        self::assertSame(['Ear wire: round the ear end'], $with(Caution::Filing));
        self::assertSame(['Ear wire: round the ear end'], $with(Caution::Piercing));
        self::assertContains('Drop: wrap the loop shut', $with(Caution::Crush));
        self::assertSame(['Lay everything ready'], $with(Caution::SmallParts));
    }

    public function test_words_follow_the_ruler(): void
    {
        $inches = Planner::plan(Some::drop(), new Profile(Ruler::SixteenthInch));
        self::assertSame('Cut 2 × 1 13/16 in', $inches->prepare()[1]->title);
        $metric = Planner::plan(Some::drop(), new Profile(Ruler::Millimetre));
        self::assertSame('Cut 2 × 46 mm', $metric->prepare()[1]->title);
    }

    public function test_repeated_links_are_made_one_by_one_each_hooked_on_the_last(): void
    {
        $plan = Planner::plan(
            Some::changed(Some::drop(), ['do' => 'part.repeat', 'part' => 'p2', 'count' => '3']),
            new Profile,
        );
        $hooks = array_values(
            array_filter(
                array_map(fn (Step $step): string => $step->title, $plan->steps()),
                fn (string $title): bool => str_contains($title, 'hook it on first'),
            ),
        );
        self::assertSame(['Link 2: hook it on first', 'Link 3: hook it on first', 'Drop: hook it on first'], $hooks);
        self::assertSame(count($plan->prepare()) + 2 * count($plan->steps()), $plan->stepCount());
    }

    public function test_two_thousand_parts_are_planned(): void
    {
        $piece = Some::changed(
            Some::drop(),
            ['do' => 'part.repeat', 'part' => 'p2', 'count' => '998'],
            ['do' => 'part.set', 'part' => 'p2', 'key' => 'tail', 'value' => '5mm'],
        );
        $plan = Planner::plan($piece, new Profile);
        self::assertSame(1996, $plan->cuts[1]->count);
        self::assertGreaterThan(998 * 6, count($plan->steps()));
    }
}
