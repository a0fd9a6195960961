<?php

declare(strict_types=1);

namespace Hebra\Core\Technique\Written\Move;

use Hebra\Core\Course\SegmentKind;
use Hebra\Core\Course\Shape;
use Hebra\Core\Course\Stringing;
use Hebra\Core\Course\Strung;
use Hebra\Core\Handwork\Handwork;
use Hebra\Core\Handwork\Moment;
use Hebra\Core\Handwork\Operation;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Technique\Written\Form;
use Hebra\Core\Technique\Written\HoldsNothing;
use Hebra\Core\Technique\Written\Laying;
use Hebra\Core\Technique\Written\Put;
use Hebra\Core\Technique\Written\Reading;
use Hebra\Core\Technique\Written\WrittenMove;

/** Through the next beads of the line, so many of one of its runs, or all of that; through those once more. */
final readonly class Through implements WrittenMove
{
    use HoldsNothing;

    /** @param  int|null  $run  whose beads; null for the next of the line */
    private function __construct(private ?int $run, private ?int $count)
    {
    }

    public static function form(): Form
    {
        return new Form(
            'through',
            '(?:'.Form::beads('beads', 'of').'|'.Form::letter('all').')',
            'through 3, or through A',
            'the next so many beads, or those of a letter; once more through what is on a wire',
        );
    }

    public static function read(Reading $reading): self
    {
        return $reading->has('all')
            ? new self($reading->run('all'), null)
            : new self($reading->run('of'), (int) $reading->number('beads', 1.0, 2000.0));
    }

    public function lay(Laying $wire): void
    {
        $construction = $wire->construction;
        if ($this->run !== null && $this->count === null && $construction->isHeld($this->run)) {
            $this->again($wire, $this->run);

            return;
        }
        $count = $this->count ?? $construction->run((int) $this->run)->count;
        $taken = $construction->takes($count, $this->run);
        $beads = array_map(fn (array $one): Strung => $one[1], $taken);
        $mm = array_sum(array_map(fn (Strung $run): float => $run->lengthMm(), $beads));
        $from = $wire->frame;
        $construction->strings($taken);
        $wire->worked(
            SegmentKind::Seat, $mm, Figures::counted($count, 'bead'), 'sum of bead lengths', Figures::trim($mm),
            new Shape\Straight($mm), array_map(fn (Strung $run) => $construction->threaded($run), $beads), $beads,
        );
        $gone = 0.0;
        foreach ($taken as [$run, $strung]) {
            if ($strung->count === $construction->run($run)->count) {
                $construction->stands($run, $from->on($gone)->at, $from->on($gone + $strung->lengthMm())->at);
            }
            $gone += $strung->lengthMm();
        }
    }

    private function again(Laying $wire, int $run): void
    {
        $held = $wire->construction->held($run);
        $room = $held->room($wire->frame->at, $wire->wireMm);
        $ends = [$held->from->plus($room), $held->to->plus($room)];
        $far = fn (int $end): float => $ends[$end]->minus($wire->frame->at)->lengthMm();
        [$in, $out] = $far(0) <= $far(1) ? $ends : array_reverse($ends);
        $ahead = $out->minus($in)->unit();
        $wire->goTo($in, $ahead);
        $wire->construction->again($run);
        $wire->worked(
            SegmentKind::Seat, $held->lengthMm(), 'through it again', 'length of the hole',
            Figures::trim($held->lengthMm()), new Shape\Straight($held->lengthMm()), [],
            [$wire->construction->run($run)],
        );
    }

    public function handwork(Profile $profile, Put $put, Moment $moment): ?Handwork
    {
        if ($put->beads === []) {
            return null;
        }
        $words = Stringing::words($put->beads);

        return $put->isAgain
            ? new Handwork(
                $moment, 'Through it again', "Once more through {$words}, beside the wire that is in it.",
                Operation::Thread, 'fingers',
            )
            : new Handwork(
                $moment, 'Thread the beads', "Over the open end: {$words}.", Operation::Thread, 'fingers',
                $put->count(), 'beads',
            );
    }
}
