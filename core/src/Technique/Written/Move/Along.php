<?php

declare(strict_types=1);

namespace Hebra\Core\Technique\Written\Move;

use Hebra\Core\Course\SegmentKind;
use Hebra\Core\Course\Span;
use Hebra\Core\Course\Vector;
use Hebra\Core\Handwork\Handwork;
use Hebra\Core\Handwork\Moment;
use Hebra\Core\Handwork\Operation;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Technique\Written\Form;
use Hebra\Core\Technique\Written\HoldsNothing;
use Hebra\Core\Technique\Written\Laying;
use Hebra\Core\Technique\Written\Name;
use Hebra\Core\Technique\Written\Put;
use Hebra\Core\Technique\Written\Reading;
use Hebra\Core\Technique\Written\WrittenMove;

/** Beside another wire from one place of it to another. Length: that of the line beside it (geometry). */
final readonly class Along implements WrittenMove
{
    use HoldsNothing;

    private const STEP_MM = 2.0;

    private function __construct(
        private string $on, private string $from, private string $to, private string $side,
    ) {
    }

    public static function form(): Form
    {
        return new Form(
            'along',
            Form::name('on').'(?: from '.Form::place('from').')? to '.Form::place('to')
                .'(?: (?<side>inside|outside|before|behind))?',
            'along frame to right', 'beside a wire to a place of it',
        );
    }

    public static function read(Reading $reading): self
    {
        return new self($reading->word('on'), $reading->word('from'), $reading->word('to'), $reading->word('side'));
    }

    /** @return array{float, float} so far off on the side where it lies most: outwards, or before */
    private static function nearest(float $outwards, float $before, float $off): array
    {
        $signed = fn (float $mm): float => $mm < 0 ? -$off : $off;

        return abs($outwards) >= abs($before) ? [$signed($outwards), 0.0] : [0.0, $signed($before)];
    }

    public function lay(Laying $wire): void
    {
        $thing = $wire->construction->thing($this->on);
        $host = $thing->host();
        $from = $this->from === '' ? $thing->nearest($wire->frame->at) : $thing->place($this->from);
        $to = $thing->place($this->to);
        $off = ($thing->wireMm + $wire->wireMm) / 2;
        $first = $host->at($from);
        $aside = $wire->frame->at->minus($first->at);
        // Outwards or inwards, or towards the viewer and away, as told; else where it comes from.
        [$out, $before] = match ($this->side) {
            'outside' => [$off, 0.0],
            'inside' => [-$off, 0.0],
            'before' => [0.0, $off],
            'behind' => [0.0, -$off],
            default => self::nearest($aside->dot($first->towards), -$aside->dot($first->beside()), $off),
        };
        $way = $to < $from ? -1.0 : 1.0;
        $pieces = max(1, (int) ceil(abs($to - $from) / self::STEP_MM));
        $stands = function (int $piece) use ($host, $from, $to, $pieces, $out, $before, $way): array {
            $frame = $host->at($from + ($to - $from) * $piece / $pieces);
            $at = $frame->at->plus($frame->towards->times($out))->minus($frame->beside()->times($before));

            return [$at, $frame->ahead->times($way)];
        };
        /** @var array{Vector, Vector} $last */
        $last = $stands(0);
        $wire->goTo(...$last);
        $spans = [];
        for ($piece = 1; $piece <= $pieces; $piece++) {
            $next = $stands($piece);
            $spans[] = Span::along($last[0], $last[1], $next[0], $next[1]);
            $last = $next;
        }
        $wire->laid(
            SegmentKind::Leg, 'along '.Name::words($this->on), $spans, 'the length of the line beside it',
            Figures::trim(abs($to - $from)).' of it',
        );
    }

    public function handwork(Profile $profile, Put $put, Moment $moment): Handwork
    {
        return new Handwork(
            $moment, 'Lay it along', 'Lay it close along '.Name::words($this->on).'.', Operation::Bend, 'fingers',
        );
    }
}
