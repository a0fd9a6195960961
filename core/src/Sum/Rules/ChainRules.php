<?php

declare(strict_types=1);

namespace Hebra\Core\Sum\Rules;

use Hebra\Core\Chain\Links;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Sum\Answer;
use Hebra\Core\Sum\Figures\FitFigures;
use Hebra\Core\Sum\Given;
use Hebra\Core\Sum\Input;
use Hebra\Core\Sum\Sum;
use Hebra\Core\Working;

/** Chains and strung lengths. */
final class ChainRules
{
    /** @return list<Sum> */
    public static function all(): array
    {
        return [self::strand(), self::ringChain(), self::ringThrough()];
    }

    private static function strand(): Sum
    {
        return new Sum('strand', 'Chains and strands', 'How much beading wire do I cut?',
            [
                Input::length('beads', 'beads, their length together', '42 cm', null, 100_000)->after('beads', 'for'),
                Input::length('gaps', 'gaps', '0 mm', '0', 10_000)->after('gaps'),
                Input::length('turn_back', 'turned back, each end', '25 mm', '25mm', 500)->after('turn back', 'ends'),
            ],
            'beads + gaps + two turn-backs of about 25 mm (common practice)',
            function (Given $given): Answer {
                $cut = $given->mm('beads') + $given->mm('gaps') + 2 * $given->mm('turn_back');

                return new Answer(['cut_mm' => $cut], [
                    new Working(
                        'cut', 'beads + gaps + 2·turn back',
                        Figures::trim($given->mm('beads')).' + '.Figures::trim($given->mm('gaps')).' + 2 × '
                            .Figures::trim($given->mm('turn_back')),
                        $cut,
                    ),
                ],
                    ['A doubled thread counts twice in the hole and in the crimp. Leave a little slack, so that it '
                        .'flexes.']);
            }, called: ['string'], figure: FitFigures::strand(...));
    }

    private static function ringChain(): Sum
    {
        return new Sum('ring-chain', 'Chains and strands', 'How long is a chain of so many rings?',
            [
                Input::count('count', 'rings', '40', 1, 100_000)->before('rings', 'links', 'ring'),
                Input::size('inside', 'inside of a ring', '4 mm')->after('inside', 'of'),
                Input::wire(example: '18 awg'),
            ],
            'geometry: rings hooked together meet inside to inside',
            fn (Given $given): Answer => new Answer([
                'length_mm' => Links::chainMm($given->count('count'), $given->mm('inside'), $given->mm('wire')),
            ], [
                new Working(
                    'length',
                    'n·D + 2d',
                    $given->count('count').' × '.Figures::trim($given->mm('inside')).' + 2 × '
                        .Figures::trim($given->mm('wire'), 3),
                    Links::chainMm($given->count('count'), $given->mm('inside'), $given->mm('wire')),
                    'mm',
                    'geometry',
                ),
            ]), called: ['chain'], figure: FitFigures::ringChain(...));
    }

    private static function ringThrough(): Sum
    {
        return new Sum('ring-through', 'Chains and strands', 'How high must a straight hole be for this ring to pass?',
            [
                Input::size('inside', 'inside of the ring', '6 mm')->after('inside'), Input::wire(example: '18 awg'),
                Input::size('hole_length', 'length of the hole', '3 mm')->after('hole', 'through'),
            ],
            'geometry: Ro − √(Ri² − L²/4)',
            function (Given $given): Answer {
                $height = Links::throughMm($given->mm('inside'), $given->mm('wire'), $given->mm('hole_length'));

                return new Answer(
                    ['height_mm' => $height],
                    [new Working(
                        'height', 'Ro − √(Ri² − L²/4)',
                        Figures::trim($given->mm('inside') / 2 + $given->mm('wire'), 3).' − √('
                            .Figures::trim($given->mm('inside') / 2).'² − '.Figures::trim($given->mm('hole_length'))
                            .'²/4)',
                        $height, 'mm', 'geometry',
                    )],
                );
            }, figure: FitFigures::ringThrough(...));
    }
}
