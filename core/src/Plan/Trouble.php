<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

use Hebra\Core\Wire\Temper;

/**
 * What goes wrong at the bench, and what it means now: what can still be saved, what has to be opened, what comes again
 * [common practice].
 */
enum Trouble: string
{
    case Spoiled = 'spoiled';
    case Short = 'short';
    case Bead = 'bead';
    case Size = 'size';
    case Cracked = 'cracked';
    case Kinked = 'kinked';
    case Count = 'count';
    case Other = 'other';
    case Interrupted = 'interrupted';

    /** What is seen, and the key that says so. */
    private const SEEN = [
        'spoiled' => ['The cut is spoiled', 'x'], 'short' => ['The wire ran short', 'r'],
        'bead' => ['A bead broke', 'b'], 'size' => ['It came out the wrong size', 'w'],
        'cracked' => ['It cracked', 'c'], 'kinked' => ['It kinked', 'k'], 'count' => ['The count is wrong', 'n'],
        'other' => ['I took another bead', 'o'], 'interrupted' => ['I have to stop', 'i'],
    ];

    public function words(): string
    {
        return self::SEEN[$this->value][0];
    }

    public function key(): string
    {
        return self::SEEN[$this->value][1];
    }

    /** Whether the wire is cut anew, and all that was done with it comes again. */
    public function takesAnotherCut(): bool
    {
        return in_array($this, [self::Spoiled, self::Short, self::Cracked], true);
    }

    /** Whether it may take another cut, if what is told first does not help. */
    public function mayTakeAnotherCut(): bool
    {
        return in_array($this, [self::Bead, self::Size, self::Kinked], true);
    }

    private const MEANS = [
        'spoiled' => 'It is noted and its lot has so much less; '
            .'the steps of this wire come again with a new cut.',
        'short' => 'It is noted, so that the next plan of this piece gives it more; '
            .'the steps of this wire come again with a longer cut.',
        'bead' => 'While nothing behind it is shut, slide it off and thread another. '
            .'Behind a shut loop the wire comes off with it: a new cut. Gather the splinters before you go on.',
        'size' => 'Open it on the jaw and turn it again. '
            .'Once is well; bent a third time it is hard and may crack. ',
        'cracked' => 'It was bent to and fro until it was hard: a crack does not mend. Take a new cut.',
        'kinked' => 'Draw it through your fingers or nylon jaws, away from the kink, a few times. '
            .'Where it still shows it would break later: a new cut.',
        'count' => 'One step back takes back what was counted last. '
            .'A wrap more can be counted beyond the plan.',
        'other' => 'This making goes on with the design it began with: '
            .'a bead as long as the planned one and with as wide a hole changes nothing. '
            .'Another size moves what is hooked on above; lay it out first.',
        'interrupted' => 'Leave it as it is: it opens at this step again, on any device. '
            .'What was bent stays as hard as it is.',
    ];

    /** Of wire that is hard before it is bent. */
    private const MEANS_HARD = [
        'size' => 'This wire is hard already: open it once at most, on the jaw, and turn it again. ',
        'cracked' => 'It was too hard for this bend: a crack does not mend. '
            .'Take a new cut, softer or annealed first.',
    ];

    /** Whether wire is hard before it is bent. */
    public static function isHard(Temper $temper): bool
    {
        return $temper !== Temper::DeadSoft;
    }

    /** What it means for this wire, at this temper. */
    public function means(Temper $temper): string
    {
        $means = (self::isHard($temper) ? self::MEANS_HARD : []) + self::MEANS;

        return $means[$this->value]
            .($this === self::Size ? 'If it is off each time, ten loops on the mark show why.' : '');
    }
}
