<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Plan;

use Hebra\Core\Bead\Bead;
use Hebra\Core\Figure\BeadMark;
use Hebra\Core\Figure\View;
use Hebra\Core\Piece\Patterns;
use Hebra\Core\Piece\Piece;
use Hebra\Core\Piece\PieceJson;
use Hebra\Core\Plan\Check;
use Hebra\Core\Plan\FormingPicture;
use Hebra\Core\Plan\FormingStates;
use Hebra\Core\Plan\Plan;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Plan\Step;
use Hebra\Core\Tests\Piece\Some;
use PHPUnit\Framework\TestCase;

/** Beads that are wound of wire: one coil for the whole making, cut to lengths, and threaded as any bead. */
final class CoilBeadsTest extends TestCase
{
    private static function plan(?Piece $piece = null): Plan
    {
        return Planner::plan($piece ?? Patterns::start('wound-bead-drop', 'One'), new Profile);
    }

    /**
     * Two in each of a pair, 7 mm on a mandrel of 2 in 22 AWG: a turn √((π · 2.6438)² + 0.6438²) = 8.3306; four times
     * 7 / 0.6438 turns and one that is lost are 44.49: 370.64 mm.
     */
    public function test_all_are_one_winding(): void
    {
        $coils = array_values(array_filter(self::plan()->cuts, fn ($cut): bool => $cut->rings !== null));
        self::assertCount(1, $coils);
        self::assertSame(['Coil beads', 1, 4], [$coils[0]->label, $coils[0]->count, $coils[0]->rings?->count]);
        self::assertEqualsWithDelta(370.64, $coils[0]->lengthMm(), 0.02);
        $told = json_decode((string) json_encode(self::plan()->toArray()), true)['rings'][0];
        self::assertEqualsWithDelta(370.64, $told['wire_length_mm'], 0.02);
        self::assertEqualsWithDelta(44.49 * 0.6438, $told['coil_length_mm'], 0.02);
    }

    public function test_it_is_wound_and_cut_before_it_is_threaded(): void
    {
        $steps = [...\Hebra\Core\Plan\Prepare::of(self::plan()), ...self::plan()->steps()];
        $titles = array_map(fn (Step $step): string => $step->title, $steps);
        $wind = array_search('Wind 4 coil beads', $titles, true);
        self::assertIsInt($wind);
        self::assertLessThan(array_search('Link: thread the beads', $titles, true), $wind);
        self::assertStringContainsString('Wind 45 close turns on the 2 mm mandrel', $steps[$wind]->text);
        self::assertStringContainsString('every 7 mm, 10.9 turns: 4 coil beads come of it', $steps[$wind]->text);
    }

    /** Metal, not a bead to buy: it is weighed as wire, and neither counted nor bought. */
    public function test_it_is_metal(): void
    {
        self::assertSame(0.0, Bead::parse('3.3 x 7mm coil, hole 2')->grams());
        self::assertSame([], array_filter(self::plan()->beads, fn ($count): bool => $count->bead->shape->isWound()));
        $without = Some::changed(
            Patterns::start('wound-bead-drop', 'One'), ['do' => 'bead.remove', 'part' => 'p3', 'at' => 0],
        );
        // 7 mm of coil are 90.58 mm of 0.6438: 0.3255 mm² · 90.58 · 8.53 / 1000 = 0.2515 g, and 7 mm of the pin 0.0123.
        self::assertEqualsWithDelta(0.2638, self::plan()->gramsEach - self::plan($without)->gramsEach, 0.0005);
    }

    /** Wherever it is drawn, also while the part is made, it is of the metal that it is wound of. */
    public function test_it_is_drawn_in_its_metal(): void
    {
        $piece = Some::changed(
            Patterns::start('wound-bead-drop', 'One'), ['do' => 'wire', 'role' => 'coil-bead', 'metal' => 'copper'],
        );
        $plan = self::plan($piece);
        $wound = fn (array $beads): array => array_values(array_unique(array_map(
            fn (BeadMark $bead): ?string => $bead->metal?->value,
            array_filter($beads, fn (BeadMark $bead): bool => $bead->bead->shape->isWound()),
        )));
        self::assertSame(['copper'], $wound($plan->assembly()->beads()));
        self::assertSame(['copper'], $wound($plan->seen(View::Side)->beads()));
        $states = new FormingStates($plan);
        $picture = FormingPicture::of($plan, $states, $states->count() - 2);
        self::assertSame(['copper'], $wound($picture->after->whole()->beads));
        self::assertSame([null], array_values(array_unique(array_map(
            fn (BeadMark $bead): ?string => $bead->metal?->value,
            self::plan(Patterns::start('single-drop', 'One'))->assembly()->beads(),
        ))));
    }

    public function test_its_wire_is_chosen_and_kept(): void
    {
        $piece = Patterns::start('wound-bead-drop', 'One');
        self::assertContains('coil-bead', $piece->roles());
        self::assertSame(
            Patterns::start('wound-bead-drop', 'One')->wires['link']->metal, $piece->wires['coil-bead']->metal,
        );
        $thin = Some::changed($piece, ['do' => 'wire', 'role' => 'coil-bead', 'size' => '26 awg']);
        $checks = array_values(
            array_filter(self::plan($thin)->checks, fn (Check $check): bool => $check->rule === 'coil bead')
        );
        self::assertSame('A coil of 26 AWG on 2 mm comes out 2.8 mm wide, and this says 3.3 mm.', $checks[0]->text);
        $as = $checks[0]->ways[0]->change->apply($thin);
        self::assertEqualsWithDelta(2.81, $as->beads[$as->parts[1]->beads[1]->bead]->widthMm, 0.005);
        self::assertEquals($thin, PieceJson::read(PieceJson::write($thin)));
        self::assertNotContains('coil-bead', Patterns::start('single-drop', 'One')->roles());
    }
}
