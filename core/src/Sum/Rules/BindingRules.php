<?php

declare(strict_types=1);

namespace Hebra\Core\Sum\Rules;

use Hebra\Core\Figure\Diagram;
use Hebra\Core\Figure\Woven;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Quantity\OutOfRange;
use Hebra\Core\Sum\Answer;
use Hebra\Core\Sum\Figures\BeadFigures;
use Hebra\Core\Sum\Figures\BoundFigures;
use Hebra\Core\Sum\Given;
use Hebra\Core\Sum\Input;
use Hebra\Core\Sum\Sum;
use Hebra\Core\Working;
use Hebra\Core\Wrap\BasketWeave;
use Hebra\Core\Wrap\BeadWrap;
use Hebra\Core\Wrap\Binding;
use Hebra\Core\Wrap\Turn;
use Hebra\Core\Wrap\Weave;
use Hebra\Core\Wrap\WeavePattern;

/** What is bound, woven or wound round something else. */
final class BindingRules
{
    private const MOST_DRAWN_MM = 130.0;

    /** @return list<Sum> */
    public static function all(): array
    {
        return [
            self::beadWrap(), self::weave(), self::basketWeave(), self::surround(), self::fillBeads(),
            self::multiPass(),
        ];
    }

    private static function beadWrap(): Sum
    {
        return new Sum('bead-wrap', 'Binding and weaving', 'How much wire do I need to bind these beads along a frame?',
            [
                Input::wire('core', 'frame wire', '18 awg')->after('on', 'along', 'round', 'around', 'frame', 'core'),
                Input::count('cores', 'frame wires side by side', '1', 1, 2, '1')->before('cores', 'frames'),
                Input::wire('wire', 'binding wire', '28 awg')->after('with', 'of wire'),
                Input::count('beads', 'beads', '17', 1, 10_000)->before('beads', 'bead'),
                Input::size(
                    'bead_length', 'bead length, along the frame', '3 mm', null, 100,
                )->after('beads of', 'each', 'beads'),
                Input::size('bead_width', 'bead width', '3 mm', '=bead_length', 100)->after('wide'),
                Input::number(
                    'wraps_between', 'wraps between beads', '2', 0, 100, '2',
                )->before('wraps', 'wraps between'),
                Input::endCoil()->after('end coil', 'ends'),
                Input::choice('seat', 'beads sit', ['on', 'centred'], 'on'), Input::have(),
            ], BeadWrap::SOURCE,
            function (Given $given): Answer {
                $bound = self::bound($given);
                $results = ['wire_length_mm' => $bound->wireLengthMm(), 'covered_length_mm' => $bound->coveredMm()];
                [$b, $w, $d, $t] = [
                    Figures::trim($bound->beadLengthMm), Figures::trim($bound->beadWidthMm),
                    Figures::trim($bound->wireMm, 3), Figures::trim($bound->wrapMm(), 3),
                ];

                return new Answer($given->has('have') ? $results + ['beads' => $bound->beads] : $results, [
                    new Working(
                        'one wrap',
                        $bound->cores === 1 ? 'T = √((π(D + w))² + w²)' : 'T = √((π(D + w) + 2D)² + w²)',
                        'D = '.Figures::trim($bound->coreMm, 3).", w = {$d}",
                        $bound->wrapMm(),
                        'mm',
                        Turn::SOURCE,
                    ),
                    new Working(
                        'one bead',
                        $bound->isCentred ? 'b + 2√(((W − w)/2)² + (W/2)²)' : 'b + 2·(W − w)/2',
                        "b = {$b}, W = {$w}, w = {$d}",
                        $bound->beadMm(),
                        'mm',
                        BeadWrap::SOURCE,
                    ),
                    new Working(
                        'wraps',
                        'k·(beads − 1) + both end coils',
                        Figures::trim($bound->wrapsBetween, 1).' × '.($bound->beads - 1).' + 2 × '
                            .Figures::trim($bound->endCoilTurns, 1),
                        $bound->wraps(),
                        '',
                    ),
                    new Working(
                        'wire',
                        'beads · one bead + wraps · T',
                        $bound->beads.' × '.Figures::trim($bound->beadMm(), 3).' + '.Figures::trim($bound->wraps(), 1)
                            ." × {$t}",
                        $bound->wireLengthMm(),
                    ),
                    new Working(
                        'covered',
                        'Σ b + wraps·w',
                        $bound->beads." × {$b} + ".Figures::trim($bound->wraps(), 1)." × {$d}",
                        $bound->coveredMm(),
                    ),
                ], ['Tails are not in it: about 50 mm to start with, and enough to hold at the end.']);
            }, oneOf: [['beads', 'have']], called: ['bind', 'binding', 'bead wrap'],
            figure: fn (Given $given): Diagram => self::boundDrawn(self::bound($given)));
    }

    private static function bound(Given $given): BeadWrap
    {
        $bound = new BeadWrap(
            $given->mm('core'), $given->count('cores'), $given->mm('wire'), $given->count('beads'),
            $given->mm('bead_length'), $given->mm('bead_width'), $given->number('wraps_between'),
            $given->endCoilTurns($given->mm('wire')), $given->text('seat') === 'centred',
        );

        return $given->has('have') ? $bound->fromWire($given->mm('have')) : $bound;
    }

    private static function boundDrawn(BeadWrap $bound): Diagram
    {
        $length = min($bound->coveredMm(), self::MOST_DRAWN_MM);
        $drawn = new Diagram($length < $bound->coveredMm() ? 'the beginning of the bound frame' : 'the bound frame');
        for ($core = 0; $core < $bound->cores; $core++) {
            $drawn->line('core', [[-5, $core * $bound->coreMm], [$length + 5, $core * $bound->coreMm]], $bound->coreMm);
        }
        $half = $bound->coreMm / 2 + $bound->wireMm / 2;
        $bottom = ($bound->cores - 1) * $bound->coreMm + $half;
        $x = 0.0;
        $wraps = function (float $turns) use (&$x, $drawn, $bound, $half, $bottom, $length): void {
            for ($turn = 0.0; $turn < $turns && $x < $length; $turn++) {
                $drawn->line(
                    'wrap',
                    [[$x + 0.25 * $bound->wireMm, -$half], [$x + 0.75 * $bound->wireMm, $bottom]],
                    $bound->wireMm,
                );
                $x += $bound->wireMm;
            }
        };
        $wraps($bound->endCoilTurns);
        for ($bead = 0; $bead < $bound->beads && $x < $length; $bead++) {
            $y = $bound->isCentred ? ($bottom - $half) / 2 : -$half - $bound->beadWidthMm / 2 + $bound->wireMm / 2;
            $drawn->circle(
                'bead',
                $x + $bound->beadLengthMm / 2,
                $y,
                min($bound->beadLengthMm, $bound->beadWidthMm) / 2,
            );
            $x += $bound->beadLengthMm;
            if ($bead < $bound->beads - 1) {
                $wraps($bound->wrapsBetween);
            }
        }
        $wraps($bound->endCoilTurns);

        return $drawn;
    }

    private static function weave(): Sum
    {
        return new Sum('weave', 'Binding and weaving', 'How much wire does this weave take, and how far does it reach?',
            [
                Input::count('cores', 'cores', '3', 1, 12)->before('cores', 'core'),
                Input::wire('core', 'core wire', '20 awg')->after('over', 'on', 'cores of', 'core'),
                Input::wire('wire', 'weaving wire', '28 awg')->after('with'),
                Input::pattern('pattern', 'weave', '4@2 3@1-2'),
                Input::count('repeats', 'repeats', '10', 1, 100_000)->before('repeats', 'times'),
                Input::size('length', 'or: woven length', '5 cm', null, 100_000)->after('for', 'long', 'length'),
                Input::size(
                    'spacing', 'from core to core', '1.2 mm', null, 100,
                )->optional()->after('spacing', 'spaced'),
                Input::have(),
            ], 'geometry of the taut wire round k neighbours: √((π(D + w) + 2(k − 1)s)² + w²)',
            function (Given $given): Answer {
                $weave = self::woven($given);
                $working = [
                    new Working(
                        'core to core',
                        $weave->pattern->passesBetween()
                            ? 's ≥ D + w, the wire passes between'
                            : 's = D, every figure takes all cores',
                        'D = '.Figures::trim($weave->coreMm, 3).', w = '.Figures::trim($weave->wireMm, 3),
                        $weave->spacingMm,
                    ),
                ];
                foreach (array_slice($weave->pattern->figures, 0, 12) as $figure) {
                    $cores = $figure['from'] === $figure['to']
                        ? (string) $figure['from']
                        : "{$figure['from']}–{$figure['to']}";
                    $working[] = new Working(
                        "{$figure['turns']} round {$cores}",
                        'turns·√((π(D + w) + 2(k − 1)s)² + w²)',
                        "{$figure['turns']} × ".Figures::trim($weave->figureMm($figure) / $figure['turns'], 3),
                        $weave->figureMm($figure),
                        'mm',
                        Turn::SOURCE,
                    );
                }
                $working[] = new Working(
                    'wire',
                    'repeats · one repeat',
                    "{$weave->repeats} × ".Figures::trim($weave->repeatMm(), 3),
                    $weave->wireLengthMm(),
                );
                $working[] = new Working(
                    'woven',
                    'turns·w',
                    $weave->turns().' × '.Figures::trim($weave->wireMm, 3),
                    $weave->wovenMm(),
                );
                $free = $weave->pattern->freeCores();

                return new Answer([
                    'wire_length_mm' => $weave->wireLengthMm(), 'woven_length_mm' => $weave->wovenMm(),
                    'turns' => $weave->turns(), 'repeats' => $weave->repeats,
                ], $working, array_values(array_filter([
                    $free === [] ? null : 'No figure takes core '.implode(' or ', $free).': it would fall out.',
                    self::reached($weave),
                    'Tails are not in it: start with about 50 mm; cores want what their curves and ends need, about '
                        .'100 mm a side in a bracelet.',
                ])));
            }, oneOf: [['repeats', 'length', 'have']], called: ['figure weave'],
            figure: fn (Given $given): Diagram => self::wovenDrawn(self::woven($given)));
    }

    private static function reached(Weave $weave): ?string
    {
        return $weave->reachedMm() > 0.0
            ? 'From a figure to one beyond it the wire goes on behind, 2·s for each core: '
                .Figures::trim($weave->repeats * $weave->reachedMm(), 1).' mm more, which a band has in it.'
            : null;
    }

    private static function woven(Given $given): Weave
    {
        $weave = Weave::of(
            WeavePattern::parse($given->text('pattern'), $given->count('cores')),
            $given->mm('core'),
            $given->mm('wire'),
            $given->maybeMm('spacing'),
        );

        return match (true) {
            $given->has('have') => $weave->fromWire($given->mm('have')),
            $given->has('length') => $weave->reaching($given->mm('length')),
            default => $weave->times($given->count('repeats')),
        };
    }

    private static function wovenDrawn(Weave $weave): Diagram
    {
        $turns = min($weave->turns(), 220, max(1, (int) floor(60.0 / $weave->wireMm)));

        return Woven::figure(
            $weave,
            $turns,
            words: $turns < $weave->turns() ? 'the beginning of the weave, from the front' : 'the weave from the front',
        );
    }

    private static function basketWeave(): Sum
    {
        return new Sum('basket-weave', 'Binding and weaving', 'How much wire does a basket weave take?',
            [
                Input::count('cores', 'cores', '3', 1, 12)->before('cores', 'core'),
                Input::wire('core', 'core wire', '20 awg')->after('over', 'on', 'cores of', 'core'),
                Input::wire('wire', 'weaving wire', '28 awg')->after('with'),
                Input::pattern('passes', 'passes of one repeat: f in front, b behind', 'f1 b2 f3 b3 f2 b1'),
                Input::count('repeats', 'repeats', '10', 1, 100_000)->before('repeats', 'times'),
                Input::size(
                    'spacing', 'from core to core', '1.2 mm', null, 100,
                )->optional()->after('spacing', 'spaced'),
                Input::have(),
            ], 'geometry: the taut string round the cores, every full turn counted, climbing one wire for each stroke '
                .'on one face of the busiest core',
            function (Given $given): Answer {
                $passes = BasketWeave::parse($given->text('passes'), $given->count('cores'));
                [$core, $wire] = [$given->mm('core'), $given->mm('wire')];
                $spacing = $given->maybeMm('spacing') ?? $core + $wire;
                if ($spacing < $core + $wire - 1e-9) {
                    throw OutOfRange::because(
                        'spacing',
                        round($spacing, 3).' mm',
                        'leaves no room for the wire to pass between the cores',
                        'at least '.round($core + $wire, 3).' mm',
                    );
                }
                $one = $passes->wireMm($core, $wire, $spacing, 1);
                $repeats = $given->has('have')
                    ? (int) floor($given->mm('have') / $one + 1e-9)
                    : $given->count('repeats');
                if ($repeats < 1) {
                    throw OutOfRange::tooShort('have', $given->mm('have'), $one, 'one repeat');
                }

                return new Answer([
                    'wire_length_mm' => $repeats * $one, 'woven_length_mm' => $repeats * $passes->climbMm($wire),
                    'repeats' => $repeats,
                ], [
                    new Working(
                        'taut string',
                        'straight stretches + arcs of (D + w)/2',
                        "{$passes->passes} passes, s = ".Figures::trim($spacing, 3),
                        $passes->flatMm($core, $wire, $spacing),
                        'mm',
                        'geometry',
                    ),
                    new Working(
                        'one repeat',
                        '√(string² + climb²)',
                        '√('.Figures::trim($passes->flatMm($core, $wire, $spacing), 3).'² + '
                            .Figures::trim($passes->climbMm($wire), 3).'²)',
                        $one,
                        'mm',
                        'geometry',
                    ),
                    new Working(
                        'wire',
                        'repeats · one repeat',
                        "{$repeats} × ".Figures::trim($one, 3),
                        $repeats * $one,
                    ),
                ], array_values(array_filter([$passes->objection(), 'Tails are not in it.'])));
            }, oneOf: [['repeats', 'have']], called: ['basket'], figure: BoundFigures::basket(...));
    }

    private static function surround(): Sum
    {
        return new Sum('surround', 'Binding and weaving', 'How much wire goes round a bead’s rim, down its hole and '
            .'into a bail?',
            [
                Input::wire(example: '20 awg'),
                Input::size('rim', 'length round the rim', '62 mm', null, 1000)->after('rim', 'round', 'around'),
                Input::length('hole', 'length of the hole', '12 mm', null, 300)->after('hole'),
                Input::size('bail', 'bail, inside', '4 mm')->after('bail'),
                Input::count('wraps', 'wraps, each leg', '2', 0, 100)->before('wraps', 'wrap'), Input::have(),
            ], 'geometry: bail loop + 2 × hole + rim + each leg’s wraps round both legs',
            function (Given $given): Answer {
                [$d, $hole, $bail, $wraps] = [
                    $given->mm('wire'), $given->mm('hole'), $given->mm('bail'), $given->count('wraps'),
                ];
                $rest = Binding::surroundMm($d, 0.0, $hole, $bail, $wraps);
                $rim = $given->has('have') ? $given->mm('have') - $rest : $given->mm('rim');
                if ($rim <= 0) {
                    throw OutOfRange::tooShort('have', $given->mm('have'), $rest, 'bail, hole and wraps alone');
                }
                $results = ['wire_length_mm' => $rest + $rim];

                return new Answer($given->has('have') ? $results + ['rim_mm' => $rim] : $results, [
                    new Working(
                        'bail',
                        'π(B + d)',
                        'π × ('.Figures::trim($bail).' + '.Figures::trim($d, 3).')',
                        M_PI * ($bail + $d),
                        'mm',
                        'geometry',
                    ),
                    new Working('legs through the hole', '2·hole', '2 × '.Figures::trim($hole), 2 * $hole),
                    new Working(
                        'wraps',
                        '2·N·√((2πd + 2d)² + d²)',
                        "2 × {$wraps} × ".Figures::trim(Binding::legsMm($d), 3),
                        2 * $wraps * Binding::legsMm($d),
                        'mm',
                        Turn::SOURCE,
                    ),
                    new Working(
                        'wire',
                        'bail + 2·hole + rim + wraps',
                        Figures::trim($rest).' + '.Figures::trim($rim),
                        $rest + $rim,
                    ),
                ], ['Stay loose at one leg until a bound row is on.']);
            }, oneOf: [['rim', 'have']], figure: BoundFigures::surround(...));
    }

    private static function fillBeads(): Sum
    {
        return new Sum('fill-beads', 'Binding and weaving', 'How many fill beads lie along each half of this frame?',
            [
                Input::size('rim', 'frame, inside diameter', '20 mm')->after('in', 'round', 'around', 'rim'),
                Input::size('bead_length', 'bead length', '3 mm', null, 100)->after('of', 'beads of'),
                Input::size('bead_width', 'bead width', '3 mm', '=bead_length', 100),
            ],
            'geometry: half a circle through the beads’ middles, π(rim + bead width)/2',
            function (Given $given): Answer {
                [$rim, $b, $w] = [$given->mm('rim'), $given->mm('bead_length'), $given->mm('bead_width')];
                $arc = M_PI * ($rim + $w) / 2;
                $count = (int) round($arc / $b);
                $gap = $arc - $count * $b;
                $other = $gap >= 0 ? $count + 1 : $count - 1;

                return new Answer(['count' => $count, 'gap_mm' => $gap], [
                    new Working(
                        'half the way round',
                        'π(rim + W)/2',
                        'π × ('.Figures::trim($rim).' + '.Figures::trim($w).')/2',
                        $arc,
                        'mm',
                        'geometry',
                    ),
                    new Working(
                        'beads',
                        'nearest whole number of half way / b',
                        Figures::trim($arc, 3).' / '.Figures::trim($b),
                        $count,
                        '',
                    ),
                    new Working(
                        'gap',
                        'half way − beads·b',
                        Figures::trim($arc, 3)." − {$count} × ".Figures::trim($b),
                        $gap,
                    ),
                ], [
                    "Or {$other} a half: ".($gap >= 0 ? 'a squeeze of ' : 'a gap of ')
                        .Figures::mm(abs($arc - $other * $b)).'.',
                ]);
            }, called: ['fill'], figure: BeadFigures::fill(...));
    }

    private static function multiPass(): Sum
    {
        return new Sum('multi-pass', 'Binding and weaving', 'How much wire binds these rows of beads, or how many '
            .'passes does this wire give?',
            [
                Input::wire('wire', 'binding wire', '28 awg')->after('with'),
                Input::wire('core', 'frame wire', '18 awg')->after('on', 'frame', 'between'),
                Input::count('beads', 'beads in a row', '7', 1, 1000)->before('beads', 'bead'),
                Input::size('bead_length', 'bead length', '4 mm', null, 100)->after('beads of', 'of', 'beads'),
                Input::size('bead_width', 'bead width', '4 mm', '=bead_length', 100),
                Input::count('passes', 'passes', '4', 1, 1000)->before('passes', 'pass'),
                Input::length(
                    'first', 'what the first pass took', '90 mm', null, 100_000,
                )->optional()->after('first pass took', 'first pass'),
                Input::have(),
            ], 'geometry: half a turn round each bead, a third of its width to the next, two turns on the frame at '
                .'each end of a pass; the first pass teaches the rest (common practice)',
            function (Given $given): Answer {
                [$w, $width, $count] = [$given->mm('wire'), $given->mm('bead_width'), $given->count('beads')];
                $ends = Binding::endsMm($w, $given->mm('core'));
                $reckoned = Binding::passMm($w, $count, $width) + $ends;
                $pass = $given->maybeMm('first') ?? $reckoned;
                $passes = $given->has('have')
                    ? (int) floor($given->mm('have') / $pass + 1e-9)
                    : $given->count('passes');
                if ($passes < 1) {
                    throw OutOfRange::tooShort('have', $given->mm('have'), $pass, 'the first pass with both ends');
                }

                return new Answer(['passes' => $passes, 'pass_mm' => $pass, 'wire_length_mm' => $passes * $pass], [
                    new Working(
                        'round the beads',
                        'beads·(π(W + w)/2 + W/3)',
                        $count.' × (π × ('.Figures::trim($width).' + '.Figures::trim($w, 3).')/2 + '
                            .Figures::trim($width).'/3)',
                        $reckoned - $ends,
                    ),
                    new Working(
                        'ends of a pass',
                        '4·√((π(D + w))² + w²)',
                        '4 × '.Figures::trim($ends / 4, 3),
                        $ends,
                        'mm',
                        Turn::SOURCE,
                    ),
                    new Working(
                        'one pass',
                        $given->maybeMm('first') === null ? 'round the beads + ends' : 'as the first one took',
                        $given->maybeMm('first') === null
                            ? Figures::trim($reckoned - $ends, 3).' + '.Figures::trim($ends, 3)
                            : Figures::trim($pass),
                        $pass,
                    ),
                    new Working('wire', 'passes · one pass', "{$passes} × ".Figures::trim($pass, 3), $passes * $pass),
                ], $given->maybeMm('first') === null ? [
                    'Measure what the first pass really took, and ask again with it.',
                ] : []);
            }, oneOf: [['passes', 'have']], called: ['passes'], figure: BoundFigures::passes(...));
    }
}
