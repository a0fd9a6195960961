<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Sum;

use Hebra\Core\Piece\Patterns;
use Hebra\Core\Plan\Cut;
use Hebra\Core\Plan\FitSheet;
use Hebra\Core\Plan\Plan;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Sum\Given;
use Hebra\Core\Sum\Sums;
use Hebra\Core\Tests\Piece\Everything;
use Hebra\Core\Tests\Piece\Some;
use Hebra\Core\Working;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;

/** One arithmetic: what a sum answers is what a piece takes, and what a working shows is what it comes to. */
final class OneArithmeticTest extends TestCase
{
    /**
     * @return array<string, array{string, list<array<string, string|int>>, string, list<string>|null, string, array<string, string>, string, float}>
     */
    public static function pairs(): array
    {
        $set = fn (string $part, string $key, string $value): array => [
            'do' => 'part.set',
            'part' => $part,
            'key' => $key,
            'value' => $value,
        ];

        return [
            'eye' => [
                'single-drop', [], 'Ear wire', ['eye'], 'simple-loop', ['wire' => '20awg', 'inside' => '2.4'],
                'wire_length_mm', 1.0,
            ],
            'wrapped loop' => [
                'single-drop', [$set('p2', 'wraps', '4')], 'Drop', ['neck', 'loop', '4 wraps', 'tail'], 'wrapped-loop',
                ['wire' => '24awg', 'inside' => '2', 'wraps' => '4', 'tail' => '10'], 'total_mm', 1.0,
            ],
            'wrapped link' => [
                'link-and-drop', [], 'Link', null, 'wrapped-link',
                ['wire' => '22awg', 'inside' => '2.5', 'wraps' => '3', 'body' => '12', 'tail' => '10'], 'cut_mm', 1.0,
            ],
            'coil' => [
                'coil-drop', [], 'Coil', ['23.5 turns'], 'coil',
                ['wire' => '24awg', 'mandrel' => '20awg', 'length' => '12'], 'wire_length_mm', 1.0,
            ],
            'coiled coil' => [
                'coiled-drop', [], 'Coil', ['@coil'], 'coiled-coil',
                ['wire' => '28awg', 'core' => '24awg', 'mandrel' => '20awg', 'length' => '14'], 'wire_length_mm', 1.0,
            ],
            'its inner wire' => [
                'coiled-drop', [], 'Inner wire', ['@coil'], 'coiled-coil',
                ['wire' => '28awg', 'core' => '24awg', 'mandrel' => '20awg', 'length' => '14'], 'core_length_mm', 1.0,
            ],
            'spiral' => [
                'spiral-drop', [], 'Drop', ['spiral'], 'spiral', ['wire' => '24awg', 'inside' => '0.8', 'turns' => '3'],
                'wire_length_mm', 1.0,
            ],
            'jump rings' => [
                'ring-chain', [], 'Rings', null, 'jump-rings', ['wire' => '18awg', 'mandrel' => '4.5', 'count' => '37'],
                'wire_length_mm', 1.0,
            ],
            'bound beads' => ['framed-drop', [], 'Binding', ['9 beads, 2 wraps between', '4 wraps'], 'bead-wrap', [
                'core' => '18awg', 'wire' => '28awg', 'beads' => '9', 'bead_length' => '4', 'wraps_between' => '2',
                'end_coil' => '4',
            ], 'wire_length_mm', 1.0],
            'beads astride' => ['bound-hoop', [], 'Binding', ['5 beads, 3 wraps between', '4 wraps'], 'bead-wrap', [
                'core' => '20awg', 'wire' => '28awg', 'beads' => '5', 'bead_length' => '8', 'bead_width' => '5',
                'wraps_between' => '3', 'end_coil' => '4', 'seat' => 'centred',
            ], 'wire_length_mm', 1.0],
            'bound on two wires' => [
                'doubled-bangle',
                [
                    ['do' => 'bead.add', 'part' => 'p1', 'bead' => '4mm round, hole 1'],
                    ['do' => 'bead.count', 'part' => 'p1', 'at' => '0', 'count' => '9'],
                ],
                'Binding', ['9 beads, 2 wraps between', '4 wraps'], 'bead-wrap',
                [
                    'core' => '12awg', 'cores' => '2', 'wire' => '28awg', 'beads' => '9', 'bead_length' => '4',
                    'wraps_between' => '2', 'end_coil' => '4',
                ],
                'wire_length_mm', 1.0,
            ],
            'rows there and back' => [
                'two-row-frame', [], 'Binding', ['16 beads in 2 rows', '2 wraps'], 'multi-pass',
                ['core' => '18awg', 'wire' => '28awg', 'beads' => '8', 'bead_length' => '3', 'passes' => '2'],
                'wire_length_mm', 1.0,
            ],
            'weave' => [
                'woven-bracelet', [], 'Weaving wire', ['its share of the weave'], 'weave',
                ['cores' => '3', 'core' => '20awg', 'wire' => '28awg', 'pattern' => '6@1-2 6@2-3', 'length' => '147'],
                'wire_length_mm', 2.0,
            ],
            'surround' => [
                'disc', [], 'Surround', ['3 wraps', 'down the hole', 'round the rim', 'up the hole', 'bail', '3 wraps'],
                'surround',
                [
                    'wire' => '20awg', 'rim' => (string) (M_PI * (18 + 0.127 * 92 ** (16 / 39))), 'hole' => '18',
                    'bail' => '4', 'wraps' => '3',
                ],
                'wire_length_mm', 1.0,
            ],
            'hoop' => [
                'hoop', [], 'Hoop', null, 'hoop',
                ['diameter' => '32', 'wire' => '20awg', 'eye' => '1.6', 'hook' => '6'], 'cut_mm', 1.0,
            ],
            'hammered bangle' => [
                'curled-bangle', [$set('p1', 'inside', '60 mm'), $set('p1', 'hammered', '1.5 mm')], 'Bangle', null,
                'bangle', ['inside' => '60', 'wire' => '12awg', 'ends' => '60', 'hammered_to' => '1.5'], 'cut_mm', 1.0,
            ],
            'memory wire' => [
                'memory-bracelet', [$set('p1', 'coil', '58 mm'), $set('p1', 'loops', '2.25')], 'Memory wire', null,
                'memory-wire', ['coil' => '58', 'loops' => '2.25', 'end' => '13'], 'cut_mm', 1.0,
            ],
            'shank' => [
                'wound-ring', [], 'Ring', ['3 turns'], 'ring-blank',
                ['size' => 'diameter 17.3mm', 'thickness' => '20awg', 'turns' => '3'], 'cut_mm', 1.0,
            ],
        ];
    }

    /**
     * @param  list<array<string, string|int>>  $changes
     * @param  list<string>|null  $stretches  by their words, or by kind after an @; all but what is held where null
     * @param  array<string, string>  $inputs
     */
    #[DataProvider('pairs')]
    public function test_a_piece_takes_what_the_sum_says(
        string $pattern, array $changes, string $label, ?array $stretches, string $sum, array $inputs, string $result,
        float $count,
    ): void {
        $plan = Planner::plan(Some::changed(Patterns::start($pattern, 'One'), ...$changes), new Profile);
        $cut = self::cut($plan, $label);
        $taken = 0.0;
        foreach ($cut->segments as $segment) {
            $is = $stretches === null
                ? $segment->words !== 'for the beads'
                : in_array($segment->words, $stretches, true) || in_array('@'.$segment->kind->value, $stretches, true);
            $taken += $is ? $segment->lengthMm : 0.0;
        }
        $answer = Sums::named($sum)->work(Given::read(Sums::named($sum), $inputs))->results[$result];
        self::assertIsFloat($answer);
        self::assertEqualsWithDelta($answer, $taken * $count, 1e-3);
    }

    private static function cut(Plan $plan, string $label): Cut
    {
        foreach ($plan->cuts as $cut) {
            if ($cut->label === $label) {
                return $cut;
            }
        }
        self::fail("No cut is called {$label}: ".implode(', ', array_column($plan->cuts, 'label')));
    }

    /**
     * What a stretch of wire is reckoned by, worked out with a pocket calculator, is its length; whatever else shows a
     * working keeps to it.
     */
    #[Group('wide')]
    public function test_each_working_comes_to_its_result(): void
    {
        $reckoned = 0;
        foreach (Everything::pieces(60) as $name => $piece) {
            $plan = Planner::plan($piece, new Profile);
            foreach ($plan->strips() as $cut) {
                foreach ($cut->segments as $segment) {
                    self::assertNotNull(
                        Reckoner::value($segment->working->numbers),
                        "{$name}, {$cut->label}: {$segment->working->text()}",
                    );
                    $reckoned += self::keeps($segment->working, "{$name}, {$cut->label}");
                }
            }
            foreach (FitSheet::of($plan)->lines as $line) {
                $reckoned += self::keeps($line, "{$name}, fit");
            }
        }
        foreach (Sums::all() as $sum) {
            foreach ($sum->work(Given::read($sum, $sum->example()))->working as $working) {
                // The three strengths stand beside each other, as data.
                $reckoned += str_contains($working->numbers, ' · ') ? 0 : self::keeps($working, $sum->name);
            }
        }
        self::assertGreaterThan(2000, $reckoned);
    }

    private static function keeps(Working $working, string $where): int
    {
        $value = Reckoner::value($working->numbers);
        if ($value === null) {
            return 0;
        }
        self::assertEqualsWithDelta(
            $working->result,
            $value,
            max(0.02, 0.004 * abs($working->result)),
            "{$where}: {$working->text()}",
        );

        return 1;
    }
}
