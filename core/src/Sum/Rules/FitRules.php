<?php

declare(strict_types=1);

namespace Hebra\Core\Sum\Rules;

use Hebra\Core\Bend\Hammered;
use Hebra\Core\Bend\Loop;
use Hebra\Core\Figure\Diagram;
use Hebra\Core\Fit\Band;
use Hebra\Core\Fit\Frame;
use Hebra\Core\Fit\RingSize;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Quantity\OutOfRange;
use Hebra\Core\Sum\Answer;
use Hebra\Core\Sum\Figures\FitFigures;
use Hebra\Core\Sum\Given;
use Hebra\Core\Sum\Input;
use Hebra\Core\Sum\Sum;
use Hebra\Core\Wire\Section;
use Hebra\Core\Working;

/** Fingers, wrists, necks, hoops and frames. */
final class FitRules
{
    /** @return list<Sum> */
    public static function all(): array
    {
        return [
            self::ringSize(), self::ringBlank(), self::hoop(), self::frame(), self::bangle(), self::cuff(),
            self::bracelet(), self::strandClosure(), self::necklace(), self::memoryWire(),
        ];
    }

    private static function ringSize(): Sum
    {
        return new Sum('ring-size', 'Fit', 'What is this ring size in the other scales?',
            [Input::ring()], RingSize::SOURCE,
            function (Given $given): Answer {
                $ring = $given->ring();

                return new Answer([
                    'inside_diameter_mm' => $ring->insideMm(), 'circumference_mm' => $ring->circumferenceMm(),
                    'us' => $ring->us(), 'iso' => $ring->iso(), 'jp' => $ring->jp(), 'uk' => $ring->uk(),
                ], [
                    new Working(
                        'inside diameter', 'size', $given->texts['size'], $ring->insideMm(), 'mm', RingSize::SOURCE,
                    ),
                    new Working(
                        'ISO',
                        'π·ID',
                        'π × '.Figures::trim($ring->insideMm(), 3),
                        $ring->iso(),
                        '',
                        'ISO 8653',
                    ),
                    new Working(
                        'US',
                        '(ID − 11.63)/0.8128',
                        '('.Figures::trim($ring->insideMm(), 3).' − 11.63)/0.8128',
                        $ring->us(),
                        '',
                        'common practice',
                    ),
                    new Working(
                        'Japan',
                        '3·ID − 38',
                        '3 × '.Figures::trim($ring->insideMm(), 3).' − 38',
                        $ring->jp(),
                        '',
                        'from memory',
                    ),
                ], ['A string measure runs large, by about 4 mm of circumference; a band of 6 mm or wider wants a '
                    .'quarter to half a size more.']);
            }, called: ['ring'],
            figure: fn (Given $given): Diagram => (new Diagram('its inside at true size: lay a ring on it'))->circle(
                'hole', 0, 0, $given->ring()->insideMm() / 2,
            ));
    }

    private static function ringBlank(): Sum
    {
        return new Sum('ring-blank', 'Fit', 'How long do I cut the wire for a ring?',
            [
                Input::ring(),
                Input::across('thickness', 'thickness of the band', '1.3 mm', null, 10)->after('of', 'thick', 'in'),
                Input::section(), Input::number('turns', 'turns', '1', 0.1, 50, '1')->before('turns', 'turn'),
                Input::length('overlap', 'overlap', '0 mm', '0', 300)->after('overlap'),
                Input::size('width', 'width of the band', '3 mm', null, 40)->optional()->after('wide', 'width'),
                Input::choice('measured', 'measured with', ['mandrel', 'sizer', 'string'], 'mandrel'),
            ], 'turns·π(ID + 2a) + overlap, a = the neutral axis above the inside (half-round, flat side in: '
                .'4t/3π); corrections for string and wide bands: common practice',
            function (Given $given): Answer {
                $ring = $given->ring();
                $wide = $given->mm('width');
                $step = Band::widerMm($wide) / RingSize::US_STEP_MM;
                $circumference = $ring->circumferenceMm() + M_PI * Band::widerMm(
                    $wide,
                ) - ($given->text('measured') === 'string' ? Band::STRING_RUNS_LARGE_MM : 0.0);
                $inside = $circumference / M_PI;
                $neutral = Band::neutralMm(
                    Section::parse($given->text('section'), $given->mm('thickness'))->kind,
                    $given->mm('thickness'),
                );
                $cut = Band::ringBlankMm($inside, $neutral, $given->number('turns'), $given->mm('overlap'));
                $added = $step === 0.5 ? 'half a size' : 'a quarter size';
                $notes = array_filter([
                    $step > 0 ? "A band this wide sits tighter: {$added} was added." : null,
                    $given->text('measured') === 'string'
                        ? 'A string runs large: 4 mm of circumference were taken off.'
                        : null,
                    'Form it on the mandrel, never on the finger; let it spring and form it again.',
                ]);

                return new Answer(['cut_mm' => $cut], [
                    new Working('inside', 'size', $given->texts['size'], $inside, 'mm', RingSize::SOURCE),
                    new Working(
                        'neutral axis',
                        'a above the inside',
                        $given->text('section').', '.Figures::trim($given->mm('thickness'), 3).' thick',
                        $neutral,
                        'mm',
                        'geometry',
                    ),
                    new Working(
                        'cut',
                        'turns·π(ID + 2a) + overlap',
                        Figures::trim($given->number('turns')).' × π × ('.Figures::trim($inside, 3).' + 2 × '
                            .Figures::trim($neutral, 3).') + '.Figures::trim($given->mm('overlap')),
                        $cut,
                    ),
                ], array_values($notes));
            }, called: ['blank', 'ring band', 'shank'], figure: FitFigures::ringBlank(...));
    }

    private static function hoop(): Sum
    {
        return new Sum('hoop', 'Fit', 'How long do I cut the wire for a hoop?',
            [
                Input::size('diameter', 'diameter, to the wire’s middle', '30 mm')->after('hoop', 'across', 'diameter'),
                Input::wire(example: '20 awg'),
                Input::length('eye', 'eye, inside', '2 mm', null, 50)->after('eye'),
                Input::length('hook', 'hook', '8 mm', null, 300)->after('hook'), Input::have(),
            ], Loop::SOURCE,
            function (Given $given): Answer {
                [$d, $eye, $hook] = [$given->mm('wire'), $given->mm('eye'), $given->mm('hook')];
                $diameter = $given->has('have')
                    ? Band::hoopDiameterMm($given->mm('have'), $d, $eye, $hook)
                    : $given->mm('diameter');
                $cut = Band::hoopMm($diameter, $d, $eye, $hook);

                return new Answer($given->has('have') ? [
                    'cut_mm' => $cut, 'diameter_mm' => $diameter,
                ] : ['cut_mm' => $cut], [
                    new Working(
                        'round', 'π·diameter', 'π × '.Figures::trim($diameter), M_PI * $diameter, 'mm', 'geometry',
                    ),
                    Loop::working('eye', $eye, $d),
                    new Working(
                        'cut',
                        'round + eye + hook',
                        Figures::trim(M_PI * $diameter).' + '.Figures::trim(Loop::lengthMm($eye, $d)).' + '
                            .Figures::trim($hook),
                        $cut,
                    ),
                ], ['Try the lock before beads go on.']);
            }, oneOf: [['diameter', 'have']],
            figure: function (Given $given): Diagram {
                $diameter = $given->has('have')
                    ? Band::hoopDiameterMm(
                        $given->mm('have'),
                        $given->mm('wire'),
                        $given->mm('eye'),
                        $given->mm('hook'),
                    )
                    : $given->mm('diameter');
                $r = $diameter / 2;
                $eye = ($given->mm('eye') + $given->mm('wire')) / 2;

                return (new Diagram('the hoop from the front'))->bow('wire', 0, 0, $r, $given->mm('wire'), 0.77, 1.73)
                    ->bow('wire', $r * cos(2 * M_PI * 0.77), $r * sin(2 * M_PI * 0.77) - $eye, $eye, $given->mm('wire'))
                    ->line(
                        'wire',
                        [[$r * cos(2 * M_PI * 0.73), $r * sin(2 * M_PI * 0.73)], [
                            $r * cos(2 * M_PI * 0.73) + $given->mm('hook') * 0.8,
                            $r * sin(2 * M_PI * 0.73) - $given->mm('hook') * 0.25,
                        ]],
                        $given->mm('wire'),
                    );
            });
    }

    private static function frame(): Sum
    {
        return new Sum('frame', 'Fit', 'How big a frame does this wire bend, or how long do I cut it?',
            [
                Input::choice('shape', 'shape', ['hoop', 'square', 'triangle', 'drop'], null),
                Input::size(
                    'size', 'size to the wire’s middle: diameter, side or width', '25 mm', null, 500,
                )->after('of', 'size'),
                Input::length('ends', 'both ends together', '20 mm', '0', 300)->after('ends'), Input::have(),
            ],
            'geometry: the ends off, the rest is the outline',
            function (Given $given): Answer {
                $shape = Frame::from($given->text('shape'));
                $size = $given->has('have')
                    ? ($given->mm('have') - $given->mm('ends')) / $shape->outline()
                    : $given->mm('size');
                if ($size <= 0) {
                    throw OutOfRange::tooShort('have', $given->mm('have'), $given->mm('ends'), 'the ends alone');
                }
                $results = [
                    'cut_mm' => $size * $shape->outline() + $given->mm('ends'),
                    'outline_mm' => $size * $shape->outline(),
                ];

                return new Answer($given->has('have') ? $results + ['size_mm' => $size] : $results, [
                    new Working(
                        'outline',
                        [
                            'hoop' => 'π·size', 'square' => '4·size', 'triangle' => '3·size',
                            'drop' => 'half circle and two tangents, '.Figures::trim($shape->outline(), 4).'·size',
                        ][$shape->value],
                        Figures::trim($shape->outline(), 4).' × '.Figures::trim($size),
                        $size * $shape->outline(),
                        'mm',
                        'geometry',
                    ),
                    new Working(
                        'cut',
                        'outline + ends',
                        Figures::trim($size * $shape->outline()).' + '.Figures::trim($given->mm('ends')),
                        $results['cut_mm'],
                    ),
                ]);
            }, oneOf: [['size', 'have']], figure: FitFigures::frame(...));
    }

    private static function bangle(): Sum
    {
        return new Sum('bangle', 'Fit', 'How long do I cut the wire for a bangle?',
            [
                Input::size('inside', 'inside diameter', '63 mm')->after('inside', 'bangle'),
                Input::wire(example: '12 awg'),
                Input::length('ends', 'both ends together', '40 mm', null, 500)->after('ends'),
                Input::across('hammered_to', 'hammered to', '1.5 mm', null, 20)->optional()->after('hammered to', 'to'),
                Input::have(),
            ], 'geometry of the neutral axis; hammering keeps the volume ('.Hammered::SOURCE.')',
            function (Given $given): Answer {
                [$d, $ends] = [$given->mm('wire'), $given->mm('ends')];
                $flat = $given->has('hammered_to') ? Hammered::of($d, $given->mm('hammered_to'), 'hammered_to') : null;
                $inside = $given->has('have')
                    ? Band::bangleInsideMm($given->mm('have'), $d, $ends, $flat)
                    : $given->mm('inside');
                $cut = Band::bangleMm($inside, $d, $ends, $flat);
                $t = $flat->thicknessMm ?? $d;

                $results = ['cut_mm' => $cut, ...($given->has('have') ? ['inside_mm' => $inside] : [])];

                return new Answer($results, [
                    new Working(
                        'round',
                        'π(inside + t)',
                        'π × ('.Figures::trim($inside).' + '.Figures::trim($t, 3).')',
                        M_PI * ($inside + $t),
                        'mm',
                        'geometry',
                    ),
                    new Working(
                        'lengthening',
                        $flat === null ? 'not hammered' : '(πd²/4)/A',
                        $flat === null ? '1' : Figures::trim($flat->lengthening(), 4),
                        $flat?->lengthening() ?? 1.0,
                        '',
                        Hammered::SOURCE,
                    ),
                    new Working(
                        'cut',
                        '(round + ends)/lengthening',
                        '('.Figures::trim(M_PI * ($inside + $t)).' + '.Figures::trim($ends).')/'
                            .Figures::trim($flat?->lengthening() ?? 1.0, 4),
                        $cut,
                    ),
                ], ['Over the hand with the thumb tucked in, the inside is the hand’s girth / π; most are 57 to '
                    .'70 mm.']);
            }, oneOf: [['inside', 'have']], figure: FitFigures::bangle(...));
    }

    private static function cuff(): Sum
    {
        return new Sum('cuff', 'Fit', 'How long do I cut a cuff for this wrist?',
            [
                Input::size('girth', 'girth of the wrist', '16 cm', null, 400)->after('wrist', 'girth', 'for'),
                Input::across('thickness', 'thickness', '2 mm', null, 20)->after('of', 'thick'),
                Input::length('gap', 'gap', '28 mm', '28 mm', 100)->after('gap'),
            ],
            'girth less the gap of 25 to 30 mm (common practice), along the neutral axis (geometry)',
            function (Given $given): Answer {
                [$girth, $gap, $t] = [$given->mm('girth'), $given->mm('gap'), $given->mm('thickness')];
                if ($gap >= $girth) {
                    throw OutOfRange::because(
                        'gap',
                        round($gap, 1).' mm',
                        'is the whole wrist',
                        'less than '.round($girth, 1).' mm',
                    );
                }
                $inside = $girth - $gap;
                $cut = $inside + M_PI * $t * $inside / $girth;

                return new Answer(['cut_mm' => $cut, 'inside_length_mm' => $inside], [
                    new Working('inside', 'girth − gap', Figures::trim($girth).' − '.Figures::trim($gap), $inside),
                    new Working(
                        'cut',
                        'inside + πt·inside/girth',
                        Figures::trim($inside).' + π × '.Figures::trim($t).' × '.Figures::trim($inside / $girth, 3),
                        $cut,
                        'mm',
                        'geometry',
                    ),
                ]);
            }, figure: FitFigures::cuff(...));
    }

    private static function bracelet(): Sum
    {
        return new Sum('bracelet', 'Fit', 'How long must a bracelet be for this wrist, with beads this thick?',
            [
                Input::size('wrist', 'wrist', '16 cm', null, 400)->after('wrist', 'for'),
                Input::length('ease', 'ease', '18 mm', '18 mm', 100)->after('ease'),
                Input::length('bead', 'thickness of the beads', '8 mm', '0', 100)->after('beads', 'with'),
            ],
            'wrist + 12 to 25 mm (common practice) + π·bead (geometry)',
            fn (Given $given): Answer => new Answer([
                'length_mm' => $given->mm('wrist') + $given->mm('ease') + M_PI * $given->mm('bead'),
                'inside_circumference_mm' => $given->mm('wrist') + $given->mm('ease'),
            ], [
                new Working(
                    'length, clasp included',
                    'wrist + ease + π·B',
                    Figures::trim($given->mm('wrist')).' + '.Figures::trim($given->mm('ease')).' + π × '
                        .Figures::trim($given->mm('bead')),
                    $given->mm('wrist') + $given->mm('ease') + M_PI * $given->mm('bead'),
                ),
            ], ['Loose or snug is taste: 12 mm is snug, 25 hangs.']), figure: FitFigures::bracelet(...));
    }

    private static function strandClosure(): Sum
    {
        return new Sum('strand-closure', 'Fit', 'How much room is inside a closed strand of thick beads?',
            [
                Input::size('length', 'length of the strand', '19 cm', null, 10_000)->after('length', 'of'),
                Input::length('bead', 'thickness of the beads', '10 mm', null, 100)->after('beads', 'with'),
            ],
            'geometry: the inside of a ring whose middle line is L long',
            function (Given $given): Answer {
                $inside = Band::strandInsideMm($given->mm('length'), $given->mm('bead'));
                if ($inside <= 0) {
                    throw OutOfRange::because(
                        'length',
                        Figures::trim($given->mm('length')).' mm',
                        'does not close round at all with beads of '.Figures::mm($given->mm('bead')),
                        'more than '.Figures::mm(M_PI * $given->mm('bead')),
                    );
                }

                return new Answer(
                    ['inside_circumference_mm' => $inside],
                    [new Working(
                        'inside', 'L − πB',
                        Figures::trim($given->mm('length')).' − π × '.Figures::trim($given->mm('bead')), $inside,
                        'mm', 'geometry',
                    )],
                );
            }, called: ['closure'], figure: FitFigures::closure(...));
    }

    private static function necklace(): Sum
    {
        return new Sum('necklace', 'Fit', 'Where does a necklace of this length lie, and does it need a clasp?',
            [
                Input::size('length', 'length', '18 in', null, 3000)->after('of', 'length'),
                Input::length('bead', 'thickness of the beads', '6 mm', '0', 100)->after('beads', 'with'),
                Input::size('head', 'girth of the head', '58 cm', '580 mm', 1000)->after('head'),
                Input::size('neck', 'girth of the neck', '36 cm', '360 mm', 1000)->after('neck'),
            ],
            'lengths of 14, 16, 18, 20 to 24 and 28 to 34 in are common practice; girths of head and neck from memory, '
                .'give your own',
            function (Given $given): Answer {
                $inside = Band::strandInsideMm($given->mm('length'), $given->mm('bead'));
                $spare = $inside - $given->mm('neck');
                $inches = $given->mm('length') / 25.4;
                $where = match (true) {
                    $inches < 15 => 'close round the neck',
                    $inches < 17 => 'at the base of the neck',
                    $inches < 19 => 'on the collar bones',
                    $inches < 26 => 'on the breast bone',
                    default => 'long',
                };

                return new Answer([
                    'inside_circumference_mm' => max(0.0, $inside), 'passes_head' => $inside >= $given->mm('head'),
                    'lies' => $where,
                ], [
                    new Working(
                        'inside',
                        'L − πB',
                        Figures::trim($given->mm('length')).' − π × '.Figures::trim($given->mm('bead')),
                        $inside,
                        'mm',
                        'geometry',
                    ),
                    new Working(
                        'to spare round the neck',
                        'inside − neck',
                        Figures::trim($inside).' − '.Figures::trim($given->mm('neck')),
                        $spare,
                    ),
                ], [
                    $inside >= $given->mm('head')
                        ? 'It goes over the head: a clasp is a choice.'
                        : 'It does not go over the head: it needs a clasp.',
                    'Long cords are not for small children.',
                ]);
            }, figure: FitFigures::necklace(...));
    }

    private static function memoryWire(): Sum
    {
        return new Sum('memory-wire', 'Fit', 'How much memory wire do I cut?',
            [
                Input::size('coil', 'coil, to the wire’s middle', '55 mm')->after('coil', 'of'),
                Input::number('loops', 'loops', '3', 0.1, 200)->before('loops', 'loop'),
                Input::length('end', 'for each end', '13 mm', '13mm', 100)->after('end', 'ends'),
            ],
            'loops·π·coil + 2·end; about 13 mm an end (common practice)',
            fn (Given $given): Answer => new Answer([
                'cut_mm' => Band::memoryWireMm($given->mm('coil'), $given->number('loops'), $given->mm('end')),
            ], [
                new Working(
                    'cut',
                    'loops·π·coil + 2·end',
                    Figures::trim($given->number('loops')).' × π × '.Figures::trim($given->mm('coil')).' + 2 × '
                        .Figures::trim($given->mm('end')),
                    Band::memoryWireMm($given->mm('coil'), $given->number('loops'), $given->mm('end')),
                ),
            ], ['Memory wire ruins plain cutters and whips when cut: use cutters made for it, and glasses.']),
            called: ['memory'], figure: FitFigures::memoryWire(...));
    }
}
