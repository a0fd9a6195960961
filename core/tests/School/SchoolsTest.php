<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\School;

use Hebra\Core\Piece\ChangeReader;
use Hebra\Core\Piece\Fit;
use Hebra\Core\Piece\FitKind;
use Hebra\Core\Piece\PartId;
use Hebra\Core\Piece\Patterns;
use Hebra\Core\Piece\Piece;
use Hebra\Core\Plan\Check;
use Hebra\Core\Plan\FitSheet;
use Hebra\Core\Plan\Plan;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Plan\Step;
use Hebra\Core\Quantity\LengthUnit;
use Hebra\Core\Quantity\Unreadable;
use Hebra\Core\School\School;
use Hebra\Core\School\Schools;
use Hebra\Core\Tests\Piece\Some;
use Hebra\Core\Tool\Tool;
use Hebra\Core\Tool\ToolBox;
use Hebra\Core\Tool\ToolKind;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;

final class SchoolsTest extends TestCase
{
    private static function plan(Piece $piece): Plan
    {
        return Planner::plan($piece, new Profile);
    }

    private static function text(Plan $plan): string
    {
        return implode(
            "\n",
            array_map(
                fn (Step $step): string => "{$step->title}: {$step->text} [{$step->tool}]",
                [...$plan->prepare(), ...$plan->steps()],
            ),
        );
    }

    public function test_every_choice_is_explained_and_the_first_stands(): void
    {
        foreach (School::cases() as $school) {
            self::assertStringEndsWith('?', $school->question());
            self::assertGreaterThan(1, count($school->choices()));
            self::assertSame($school->usual(), (new Schools)->choice($school));
            foreach ($school->choices() as [$words, $why]) {
                self::assertNotSame('', $words);
                self::assertStringEndsWith('.', $why);
            }
        }
    }

    /** Each choice other than the usual one changes a plan, a cut, a default or a fit. */
    #[Group('wide')]
    public function test_every_choice_changes_something(): void
    {
        $plain = Some::changed(
            Some::drop(),
            ['do' => 'part.set', 'part' => 'p2', 'key' => 'top_wraps', 'value' => '0'],
        );
        $rings = Patterns::start('cluster', 'Rings');
        $tools = new ToolBox(
            [Tool::of(ToolKind::Winder, 'Winder', [5.0], 20.0), Tool::of(ToolKind::Mandrel, 'Rods', [5.0])],
        );
        $made = fn (Schools $schools): string => json_encode([
            self::text(Planner::plan($rings, new Profile(schools: $schools, tools: $tools))),
            Planner::plan($rings, new Profile(schools: $schools, tools: $tools))->toArray()['cuts'],
            self::text(Planner::plan($plain, new Profile(schools: $schools))),
            Planner::plan($plain, new Profile(schools: $schools))->toArray()['cuts'],
            ChangeReader::read(
                ['do' => 'fit', 'kind' => 'finger', 'fit' => '60 mm'],
                schools: $schools,
            )->apply($plain)->fit->mm,
            $schools->straighteningNumbers(),
            $schools->hands(),
            array_map(fn ($part) => $part->settings, Patterns::start('link-and-drop', 'x', $schools)->parts),
        ], JSON_THROW_ON_ERROR);
        foreach (School::cases() as $school) {
            foreach (array_slice(array_keys($school->choices()), 1) as $choice) {
                // A sizer and a mandrel are read alike.
                if ("{$school->value} {$choice}" !== 'ring-measure sizer') {
                    self::assertNotSame(
                        $made(new Schools),
                        $made(Schools::of([$school->value => $choice])),
                        "{$school->value} {$choice}",
                    );
                }
            }
        }
    }

    public function test_new_parts_begin_with_the_wraps_of_the_school(): void
    {
        $add = ['do' => 'part.add', 'technique' => 'wrapped-link'];
        $wraps = fn (array $chosen): int => ChangeReader::read(
            $add,
            LengthUnit::Millimetre,
            Schools::of($chosen),
        )->apply(Some::drop())->parts[2]->count('top_wraps');
        self::assertSame(
            [3, 2, 3, 4],
            [$wraps([]), $wraps(['wraps' => 'two']), $wraps(['wraps' => 'three']), $wraps(['wraps' => 'fill'])],
        );
    }

    /**
     * Turned then trimmed, a plain eye has 6 mm to hold that go to the scrap jar: gross is net and scrap all the same.
     */
    public function test_an_eye_trimmed_last_is_cut_longer(): void
    {
        $plain = Some::changed(
            Some::drop(),
            ['do' => 'part.set', 'part' => 'p2', 'key' => 'top_wraps', 'value' => '0'],
            ['do' => 'part.set', 'part' => 'p2', 'key' => 'bottom_wraps', 'value' => '0'],
        );
        $first = self::plan($plain)->cuts[1];
        $last = Planner::plan($plain, new Profile(schools: Schools::of(['eye-trim' => 'turn-first'])))->cuts[1];
        // What is held besides takes the place of the millimetre for beads that vary.
        self::assertEqualsWithDelta(11.0, $last->lengthMm() - $first->lengthMm(), 1e-9);
        self::assertEqualsWithDelta($first->netMm(), $last->netMm(), 1e-9);
        foreach ($last->bends as $bend) {
            self::assertGreaterThan(0, $bend->atMm);
            self::assertLessThan($last->lengthMm(), $bend->atMm);
        }
    }

    /** One tool trims and turns: the same cut, one step an eye, and eyes of its own sizes. */
    public function test_looping_pliers_trim_and_turn_in_one(): void
    {
        $plain = Some::changed(
            Some::drop(),
            ['do' => 'part.set', 'part' => 'p2', 'key' => 'top_wraps', 'value' => '0'],
            ['do' => 'part.set', 'part' => 'p2', 'key' => 'bottom_wraps', 'value' => '0'],
        );
        $plan = fn (string $school, Tool ...$tools): Plan => Planner::plan($plain, new Profile(
            schools: Schools::of(['eye-trim' => $school]), tools: new ToolBox(array_values($tools)),
        ));
        $looped = $plan('looping-pliers');
        self::assertSame($plan('turn-first')->cuts[1]->lengthMm(), $looped->cuts[1]->lengthMm());
        self::assertStringContainsString(
            'Lay the end of the wire in the looping pliers and squeeze: they trim it and turn an eye of 2.5 mm',
            self::text($looped),
        );
        self::assertStringContainsString('close beside them and squeeze', self::text($looped));
        self::assertStringNotContainsString('Roll the eye', implode(' ', array_map(
            fn (Step $step): string => str_starts_with($step->title, 'Link') ? $step->text : '', $looped->steps(),
        )));
        $tool = Tool::of(ToolKind::Looping, 'Small looping pliers', [1.5, 3.0]);
        $checks = array_values(array_filter(
            $plan('looping-pliers', $tool)->checks, fn (Check $check): bool => $check->rule === 'looping pliers',
        ));
        self::assertSame('Your looping pliers turn eyes of 3 mm, and this one is 2.5 mm.', $checks[0]->text);
        self::assertSame(3.0, $checks[0]->ways[0]->change->apply($plain)->part(PartId::of('p2'))->mm('top_inside'));
        self::assertSame([], array_filter(
            $plan('turn-first', $tool)->checks, fn (Check $check): bool => $check->rule === 'looping pliers',
        ));
    }

    public function test_left_handed_words_are_mirrored(): void
    {
        self::assertStringContainsString('in your left hand; with the right', self::text(self::plan(Some::drop())));
        self::assertStringContainsString(
            'in your right hand; with the left',
            self::text(Planner::plan(Some::drop(), new Profile(schools: Schools::of(['hand' => 'left'])))),
        );
    }

    public function test_hammering_stands_in_for_temper_and_brings_its_caution(): void
    {
        $soft = Some::changed(Some::drop(), ['do' => 'wire', 'role' => 'ear', 'temper' => 'dead-soft']);
        $rules = fn (Plan $plan): array => array_map(fn ($check): string => $check->rule, $plan->checks);
        self::assertContains('temper', $rules(self::plan($soft)));
        $hammered = Planner::plan($soft, new Profile(schools: Schools::of(['hammering' => 'finish'])));
        self::assertNotContains('temper', $rules($hammered));
        self::assertContains('hammer', $hammered->tools());
    }

    public function test_refuses_schools_it_does_not_know(): void
    {
        foreach ([['wraps' => 'nine'], ['wings' => 'two']] as $chosen) {
            try {
                Schools::of($chosen);
                self::fail('It was taken.');
            } catch (Unreadable $refusal) {
                self::assertStringContainsString('is not known here: give one of', $refusal->getMessage());
            }
        }
    }

    /** What a fit means: one row a kind, the figures worked by hand. */
    public function test_a_fit_has_consequences(): void
    {
        $sheet = fn (FitKind $kind, float $mm, Profile $profile = new Profile): FitSheet => FitSheet::of(
            Planner::plan(Some::drop()->withFit(Fit::of($kind, $mm)), $profile),
        );
        self::assertEqualsWithDelta(17.3, $sheet(FitKind::Finger, 17.3)->lines[0]->result, 1e-9);
        self::assertEqualsWithDelta(M_PI * (17.3 + 0.81182), $sheet(FitKind::Finger, 17.3)->lines[1]->result, 1e-3);
        self::assertEqualsWithDelta(
            165 + 18 + M_PI * 8,
            FitSheet::of(Planner::plan(Patterns::start('linked-bracelet', 'Wrist'), new Profile))->lines[0]->result,
            1e-9,
        );
        // Where there is no line round it, what an open bangle would measure inside.
        self::assertEqualsWithDelta((165 + 18) / M_PI, $sheet(FitKind::Wrist, 165)->lines[0]->result, 1e-9);
        self::assertEqualsWithDelta(M_PI * 30, $sheet(FitKind::Hoop, 30)->lines[0]->result, 1e-9);
        self::assertStringContainsString('goes over the head', $sheet(FitKind::Neck, 700)->sentences[1]);
        self::assertStringContainsString('needs a clasp', $sheet(FitKind::Neck, 450)->sentences[1]);
        self::assertStringContainsString('lower than you want', $sheet(FitKind::Ear, 20)->sentences[0]);
        self::assertContains(
            'fit',
            array_map(
                fn ($check): string => $check->rule,
                Planner::plan(Some::drop()->withFit(Fit::of(FitKind::Ear, 20)), new Profile)->checks,
            ),
        );
    }

    public function test_a_fit_is_read_as_written(): void
    {
        $read = fn (array $change): Fit => ChangeReader::read(['do' => 'fit'] + $change)->apply(Some::drop())->fit;
        self::assertEqualsWithDelta(17.3196, $read(['kind' => 'finger', 'fit' => 'us 7'])->mm, 1e-9);
        // A length too long for a diameter goes round; a string runs large by 4 mm.
        self::assertEqualsWithDelta(63.5 / M_PI, $read(['kind' => 'finger', 'fit' => '2 1/2 in'])->mm, 1e-9);
        self::assertSame('round 2 1/2 in', $read(['kind' => 'finger', 'fit' => '2 1/2 in'])->said);
        $byString = ChangeReader::read(
            ['do' => 'fit', 'kind' => 'finger', 'fit' => '60'],
            schools: Schools::of(['ring-measure' => 'string']),
        )->apply(Some::drop())->fit;
        self::assertEqualsWithDelta(56 / M_PI, $byString->mm, 1e-9);
        self::assertSame('string 60 mm', $byString->said);
        self::assertEqualsWithDelta($byString->mm, $read(['kind' => 'finger', 'fit' => $byString->said])->mm, 1e-9);
        self::assertSame(60.0, $read(['kind' => 'ear', 'fit' => '6 cm'])->mm);
        // Another kind begins with its usual size, whatever stood there for the last.
        self::assertSame(165.0, $read(['kind' => 'wrist', 'was' => 'ear', 'fit' => '70 mm'])->mm);
        foreach ([
            ['kind' => 'tail'], ['kind' => 'ear', 'fit' => '3 m'], ['kind' => 'finger', 'fit' => 'us 99'],
        ] as $change) {
            try {
                $read($change);
                self::fail('It was taken.');
            } catch (\Hebra\Core\Problem $problem) {
                self::assertContains($problem->field(), ['kind', 'fit']);
            }
        }
    }

    /** Every choice stands in its sentence, each in words of its own. */
    public function test_every_choice_is_said_in_a_sentence(): void
    {
        foreach (School::cases() as $school) {
            [$before, $after] = $school->sentence();
            self::assertNotSame('', $before);
            self::assertMatchesRegularExpression('/[.,]$/', $after);
            $said = array_map($school->said(...), array_keys($school->choices()));
            self::assertSame($said, array_unique($said));
        }
        $this->expectException(Unreadable::class);
        School::Eye->said('guess');
    }
}
