<?php

declare(strict_types=1);

namespace Hebra\Core\Sum\Rules;

use Hebra\Core\Bend\EyeStrength;
use Hebra\Core\Bend\Loop;
use Hebra\Core\Bend\SpringBack;
use Hebra\Core\Bend\WrappedLoop;
use Hebra\Core\Figure\Diagram;
use Hebra\Core\Plan\PinFit;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Quantity\OutOfRange;
use Hebra\Core\Sum\Answer;
use Hebra\Core\Sum\Figures\BendFigures;
use Hebra\Core\Sum\Given;
use Hebra\Core\Sum\Input;
use Hebra\Core\Sum\Sum;
use Hebra\Core\Tool\ToolKind;
use Hebra\Core\Working;

/** Eyes, loops, pins and what springs back. */
final class BendRules
{
    /** @return list<Sum> */
    public static function all(): array
    {
        return [
            self::simpleLoop(), self::wrappedLoop(), self::wrappedLink(), self::pinFit(), self::loopStrength(),
            self::springBack(),
        ];
    }

    private static function simpleLoop(): Sum
    {
        return new Sum('simple-loop', 'Loops and bends', 'How much wire does a plain eye take?',
            [
                Input::wire(example: '20 awg'),
                Input::size('inside', 'inside diameter', '2.5 mm')->after('inside', 'on', 'of'),
            ], Loop::SOURCE,
            fn (Given $given): Answer => new Answer(
                ['wire_length_mm' => Loop::lengthMm($given->mm('inside'), $given->mm('wire'))],
                [Loop::working('eye', $given->mm('inside'), $given->mm('wire'))],
            ),
            called: ['eye', 'plain eye', 'loop', 'plain loop'],
            figure: fn (Given $given): Diagram => (new Diagram('the eye from the front'))->bow(
                'wire',
                0,
                0,
                ($given->mm('inside') + $given->mm('wire')) / 2,
                $given->mm('wire'),
            ),
            settings: fn (Given $given): array => [
                'wrapped-link' => ['top_inside' => $given->mm('inside').' mm', 'top_wraps' => '0'],
                'head-pin' => ['inside' => $given->mm('inside').' mm', 'wraps' => '0'],
                'ear-wire' => ['eye' => $given->mm('inside').' mm'],
            ]);
    }

    private static function wrappedLoop(): Sum
    {
        return new Sum('wrapped-loop', 'Loops and bends', 'How much wire does a wrapped loop take?',
            [
                Input::wire(), Input::size('inside', 'inside diameter', '2.5 mm')->after('inside', 'of'),
                Input::number('wraps', 'wraps', '3', 0, 100)->before('wraps', 'wrap', 'turns'),
                Input::across('stem', 'what it wraps round', '22 awg', '=wire', 50)->after('on', 'round', 'around'),
                Input::length('tail', 'tail to hold', '10 mm', '0', 1000)->after('tail'),
            ], WrappedLoop::SOURCE,
            function (Given $given): Answer {
                $loop = new WrappedLoop(
                    $given->mm('wire'), $given->mm('inside'), $given->number('wraps'), $given->mm('stem'),
                    $given->mm('tail'),
                );

                return new Answer([
                    'neck_mm' => $loop->neckMm(), 'loop_mm' => $loop->loopMm(), 'wraps_mm' => $loop->wrapsMm(),
                    'tail_mm' => $loop->tailMm, 'total_mm' => $loop->totalMm(),
                ], [
                    $loop->neckWorking(), $loop->loopWorking(), $loop->wrapsWorking(),
                    new Working(
                        'all',
                        'neck + loop + wraps + tail',
                        implode(
                            ' + ',
                            array_map(
                                fn (float $mm): string => Figures::trim($mm),
                                [$loop->neckMm(), $loop->loopMm(), $loop->wrapsMm(), $loop->tailMm],
                            ),
                        ),
                        $loop->totalMm(),
                    ),
                ]);
            },
            figure: BendFigures::wrappedLoop(...),
            settings: fn (Given $given): array => [
                'wrapped-link' => [
                    'top_inside' => $given->mm('inside').' mm', 'top_wraps' => Figures::trim($given->number('wraps')),
                    'bottom_inside' => $given->mm('inside').' mm',
                    'bottom_wraps' => Figures::trim($given->number('wraps')),
                ],
                'head-pin' => [
                    'inside' => $given->mm('inside').' mm', 'wraps' => Figures::trim($given->number('wraps')),
                ],
            ]);
    }

    private static function wrappedLink(): Sum
    {
        return new Sum('wrapped-link', 'Loops and bends', 'How long do I cut a wrapped link, and where does it bend?',
            [
                Input::wire(),
                Input::size('inside', 'inside diameter of both loops', '2.5 mm')->after('inside', 'loops'),
                Input::number('wraps', 'wraps, each end', '3', 0, 100)->before('wraps', 'wrap'),
                Input::length('body', 'beads', '8 mm', null, 1000)->after('beads', 'body', 'bead'),
                Input::length('tail', 'tail to hold, each end', '10 mm', '0', 1000)->after('tail'),
                Input::have()->optional(),
            ], WrappedLoop::SOURCE,
            function (Given $given): Answer {
                $wire = $given->mm('wire');
                $end = new WrappedLoop($wire, $given->mm('inside'), $given->number('wraps'), $wire, $given->mm('tail'));
                $body = $given->mm('body');
                $cut = $body + 2 * $end->totalMm();
                $bend = $end->tailMm + $end->wrapsMm() + $end->loopMm();
                $results = [
                    'cut_mm' => $cut, 'inside_length_mm' => $body + 2 * $end->reachMm(),
                    'bends_mm' => [$bend, $cut - $bend],
                ];
                $room = $given->has('have') ? $given->mm('have') - 2 * $end->totalMm() : null;
                if ($room !== null && $room <= 0.0) {
                    throw OutOfRange::tooShort('have', $given->mm('have'), 2 * $end->totalMm(),
                        'both ends without a bead');
                }

                return new Answer($room === null ? $results : $results + ['beads_mm' => $room], [
                    ...($room === null ? [] : [new Working(
                        'room for beads', 'wire in hand − 2(neck + loop + wraps + tail)',
                        Figures::trim($given->mm('have')).' − 2 × '.Figures::trim($end->totalMm()), $room,
                    )]),
                    $end->neckWorking(), $end->loopWorking(), $end->wrapsWorking(),
                    new Working(
                        'cut',
                        'body + 2(neck + loop + wraps + tail)',
                        Figures::trim($body).' + 2 × '.Figures::trim($end->totalMm()),
                        $cut,
                    ),
                    new Working(
                        'from loop to loop',
                        'body + 2(neck + d + D)',
                        Figures::trim($body).' + 2 × '.Figures::trim($end->reachMm()),
                        $body + 2 * $end->reachMm(),
                    ),
                    new Working(
                        'first bend',
                        'tail + wraps + loop',
                        Figures::trim($end->tailMm).' + '.Figures::trim($end->wrapsMm()).' + '
                            .Figures::trim($end->loopMm()),
                        $bend,
                    ),
                ]);
            }, called: ['link'],
            figure: BendFigures::link(...),
            settings: fn (Given $given): array => ['wrapped-link' => [
                'top_inside' => $given->mm('inside').' mm', 'top_wraps' => Figures::trim($given->number('wraps')),
                'bottom_inside' => $given->mm('inside').' mm', 'bottom_wraps' => Figures::trim($given->number('wraps')),
                'tail' => $given->mm('tail').' mm',
            ]]);
    }

    private static function pinFit(): Sum
    {
        return new Sum('pin-fit', 'Loops and bends', 'Is this head pin long enough, and what is trimmed?',
            [
                Input::size('pin', 'length of the pin', '50 mm')->after('pin'),
                Input::wire('wire', 'wire of the pin', '24 awg'),
                Input::length('stack', 'beads', '12 mm', null, 1000)->after('beads', 'stack'),
                Input::size('inside', 'inside diameter of the loop', '2 mm')->after('inside', 'loop'),
                Input::count('wraps', 'wraps, 0 for a plain eye', '2', 0, 100, '0')->before('wraps', 'wrap'),
                Input::length('grip', 'what the tool must grip', '8 mm', '8mm', 100)->after('grip'),
            ], 'common practice: stack + neck + loop + wraps + what the tool must grip',
            function (Given $given): Answer {
                $wire = $given->mm('wire');
                $fit = new PinFit(
                    $given->mm('pin'),
                    $given->mm('stack'),
                    new WrappedLoop($wire, $given->mm('inside'), $given->count('wraps'), $wire),
                    $given->mm('grip'),
                );

                return new Answer([
                    'needed_mm' => $fit->neededMm(), 'trimmed_mm' => $fit->trimmedMm(), 'fits' => $fit->fits(),
                ], [
                    $fit->loop->neckWorking(), $fit->loop->loopWorking(), $fit->loop->wrapsWorking(),
                    new Working(
                        'needed',
                        'stack + neck + loop + wraps + grip',
                        Figures::trim($fit->usedMm()).' + '.Figures::trim($fit->gripMm),
                        $fit->neededMm(),
                    ),
                    new Working(
                        'trimmed',
                        'pin − stack − neck − loop − wraps',
                        Figures::trim($fit->pinMm).' − '.Figures::trim($fit->usedMm()),
                        $fit->trimmedMm(),
                    ),
                ]);
            }, called: ['pin', 'head pin'],
            figure: BendFigures::pin(...),
            settings: fn (Given $given): array => ['head-pin' => [
                'source' => 'bought', 'pin_length' => $given->mm('pin').' mm', 'inside' => $given->mm('inside').' mm',
                'wraps' => (string) $given->count('wraps'),
            ]]);
    }

    private static function loopStrength(): Sum
    {
        return new Sum('loop-strength', 'Loops and bends', 'What pull opens this eye?',
            [
                Input::wire(example: '20 awg'), Input::size('inside', 'inside diameter', '2.5 mm')->after('inside'),
                Input::metal(), Input::temper('temper, once made'),
            ], EyeStrength::SOURCE,
            function (Given $given): Answer {
                [$d, $inside, $yield] = [$given->mm('wire'), $given->mm('inside'), $given->yieldMpa()];
                $force = EyeStrength::openingN($d, $inside, $yield);

                return new Answer([
                    'opening_force_n' => $force, 'first_yield_n' => EyeStrength::firstYieldN($d, $inside, $yield),
                ], [
                    new Working(
                        'opens',
                        '(4/3)·r³·Y/R',
                        '(4/3) × '.Figures::trim($d / 2, 3).'³ × '.Figures::trim($yield, 1).'/'
                            .Figures::trim(($inside + $d) / 2, 3),
                        $force,
                        'N',
                        EyeStrength::SOURCE,
                    ),
                    new Working(
                        'gap starts to open',
                        '(3π/16)·F',
                        '0.589 × '.Figures::trim($force, 2),
                        EyeStrength::firstYieldN($d, $inside, $yield),
                        'N',
                        EyeStrength::SOURCE,
                    ),
                ], ['The second is the pull to compare a load with: '.Figures::trim(
                    EyeStrength::firstYieldN($d, $inside, $yield) / 9.80665 * 1000, 0,
                ).' g hung still.']);
            }, called: ['strength', 'pull'], figure: BendFigures::pulled(...));
    }

    /** @return list<string> the mark the maker owns that comes nearest, what it ends at and which way that is off */
    private static function owned(Given $given, SpringBack $bend, float $mandrelMm): array
    {
        $mark = $given->tools->nearest(
            $mandrelMm, ToolKind::RoundNose, ToolKind::Stepped, ToolKind::Mandrel, ToolKind::RingMandrel,
            ToolKind::BangleMandrel,
        );
        $ends = $mark === null ? INF : $bend->insideMm($mark->mm);
        if ($mark === null || ! is_finite($ends)) {
            return [];
        }
        $off = $ends - $given->mm('inside');
        $than = match (true) {
            abs($off) < 0.05 => 'as wanted.',
            $off > 0 => Figures::mm($off).' larger.',
            default => Figures::mm(-$off).' smaller.',
        };

        return ['Nearest of your tools: '.$mark->words().'. It ends at '.Figures::mm($ends).", {$than}"];
    }

    private static function springBack(): Sum
    {
        return new Sum('spring-back', 'Loops and bends', 'On what mandrel do I form this so that it ends at the size I '
            .'want?',
            [
                Input::metal(), Input::temper(), Input::wire(example: '16 awg'),
                Input::size('inside', 'inside wanted', '17 mm')->after('inside', 'to', 'for'), Input::section(),
            ], SpringBack::SOURCE,
            function (Given $given): Answer {
                $section = $given->section();
                $bend = new SpringBack($section, $given->strength()->modulusMpa(), $given->yieldMpa());
                $mandrel = $bend->mandrelMm($given->mm('inside'));
                $held = $mandrel / 2 + $section->neutralMm();

                return new Answer([
                    'mandrel_mm' => $mandrel, 'released_inside_mm' => $bend->insideMm($mandrel),
                    'ratio' => $bend->ratio($held),
                ], [
                    new Working(
                        'yields at',
                        'data of the metal and temper',
                        $given->metal()->words().', '.$given->temper()->words(),
                        $given->yieldMpa(),
                        'MPa',
                        $given->strength()->source,
                    ),
                    new Working(
                        'held, neutral radius',
                        'mandrel/2 + a',
                        Figures::trim($mandrel, 2).'/2 + '.Figures::trim($section->neutralMm(), 3),
                        $held,
                    ),
                    new Working(
                        'released, neutral radius',
                        '1/Rf = 1/Ri − M/(E·I)',
                        '1/'.Figures::trim($held, 3).' − M/('.Figures::trim($given->strength()->modulusMpa(), 0).' × '
                            .Figures::trim($section->secondMomentMm4(), 5).')',
                        $bend->releasedMm($held),
                        'mm',
                        SpringBack::SOURCE,
                    ),
                    new Working(
                        'mandrel',
                        'solved so that it ends at the inside wanted',
                        Figures::trim($given->mm('inside')).' wanted',
                        $mandrel,
                    ),
                ], self::owned($given, $bend, $mandrel));
            }, called: ['springback', 'spring back', 'mandrel for'],
            figure: function (Given $given): Diagram {
                $section = $given->section();
                $mandrel = (new SpringBack($section, $given->strength()->modulusMpa(), $given->yieldMpa()))->mandrelMm(
                    $given->mm('inside'),
                );
                $half = $section->thicknessMm() / 2;

                return (new Diagram('dashed: held on the mandrel; solid: let go'))
                    ->circle('mandrel', 0, 0, $mandrel / 2)
                    ->bow('wanted', 0, 0, $mandrel / 2 + $half, 2 * $half, 0.05, 0.95)
                    ->bow(
                        'wire',
                        ($given->mm('inside') - $mandrel) / 2,
                        0,
                        $given->mm('inside') / 2 + $half,
                        2 * $half,
                        0.06,
                        0.94,
                    );
            });
    }
}
