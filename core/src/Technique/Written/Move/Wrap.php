<?php

declare(strict_types=1);

namespace Hebra\Core\Technique\Written\Move;

use Hebra\Core\Course\Curve;
use Hebra\Core\Course\Host;
use Hebra\Core\Course\SegmentKind;
use Hebra\Core\Course\Shape\Wound;
use Hebra\Core\Course\Span;
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
use Hebra\Core\Technique\Written\Thing;
use Hebra\Core\Technique\Written\WrittenMove;

/**
 * Close turns round a wire, or round two together, at a place of it; the nearest where none is named. They begin on the
 * side that it comes from. Length: N·√((π(D + d) + 2s)² + d²), s between two (geometry).
 */
final readonly class Wrap implements WrittenMove
{
    use HoldsNothing;

    /** The cosine from which on a wire comes along what it goes round. */
    private const ALONG = 0.7;

    private function __construct(public float $turns, private string $on, private string $and, private string $at)
    {
    }

    public static function form(): Form
    {
        return new Form(
            'wrap',
            Form::number('turns').' on '.Form::name('on').'(?: and '.Form::name('and').')?'
                .'(?: at '.Form::place('at').')?',
            'wrap 3 on frame at left', 'turns round a wire, or two together, at a place of it',
        );
    }

    public static function read(Reading $reading): self
    {
        $turns = max(0.5, round(2 * $reading->number('turns', 0.5, 500.0)) / 2);

        return new self($turns, $reading->word('on'), $reading->word('and'), $reading->word('at'));
    }

    public function lay(Laying $wire): void
    {
        $thing = $wire->construction->thing($this->on);
        $mm = $this->at === '' ? $thing->nearest($wire->frame->at) : $thing->place($this->at);
        $wound = $this->and === '' ? $this->roundOne($wire, $thing, $mm) : $this->roundBoth($wire, $thing, $mm);
        $start = $wound->start();
        $wire->goTo($start->at, $start->ahead);
        $wire->laid(
            SegmentKind::Wraps, Figures::trim($this->turns).' wraps', $wound->laid($start)[0],
            'N·√((π(D + d) + 2s)² + d²)',
            Figures::trim($this->turns).' × '.Figures::trim($wound->lengthMm() / $this->turns, 3),
        );
    }

    private function roundOne(Laying $wire, Thing $thing, float $mm): Wound
    {
        [$all, $long] = [$thing->curve()->lengthMm(), $this->turns * $wire->wireMm];
        // Round it either way and along it either way: as the wire comes to it.
        $ways = [];
        foreach ([[false, $mm], [true, $all - $mm]] as [$isReversed, $at]) {
            $facing = $thing->facing($isReversed, $at, $wire->frame->at);
            foreach ([1, -1] as $way) {
                $isAlong = $way * $facing->at($at)->ahead->dot($wire->frame->ahead) > self::ALONG;
                // About the place, or on from it where the wire comes along.
                $begins = $this->within($isAlong ? $at : $at - $way * $long / 2, $way * $long, $all);
                $ways[] = new Wound(
                    $facing, $begins, ($thing->wireMm + $wire->wireMm) / 2, $this->turns, $way * $wire->wireMm,
                );
            }
        }

        return self::nearest($ways, $wire);
    }

    /** @param  non-empty-list<Wound>  $ways */
    private static function nearest(array $ways, Laying $wire): Wound
    {
        usort($ways, fn (Wound $one, Wound $other): int => self::detour($one, $wire) <=> self::detour($other, $wire));

        return $ways[0];
    }

    /** Not beyond what they go round, from where they would begin so far on or back. */
    private function within(float $begins, float $onMm, float $allMm): float
    {
        return max(max(0.0, -$onMm), min($allMm - max(0.0, $onMm), $begins));
    }

    /** How far it is to where the turns begin, and how much of a turn to their way, as lengths of its wire. */
    private static function detour(Wound $wound, Laying $wire): float
    {
        $start = $wound->start();

        $turn = 1 - $start->ahead->dot($wire->frame->ahead);

        // Of ways that are as long the first is taken, whatever the last digits of their lengths are.
        return round($start->at->minus($wire->frame->at)->lengthMm() + 2 * $wire->wireMm * $turn, 6);
    }

    private function roundBoth(Laying $wire, Thing $thing, float $mm): Wound
    {
        $other = $wire->construction->thing($this->and);
        $at = $thing->host()->at($mm);
        $beside = $other->host()->at($other->nearest($at->at))->at->minus($at->at);
        $beside = $beside->minus($at->ahead->times($beside->dot($at->ahead)));
        $middle = $at->at->plus($beside->times(0.5));
        $half = $this->turns * $wire->wireMm;
        $along = $at->ahead->times($half);
        $ways = [];
        foreach ([[1, 1], [1, -1], [-1, 1], [-1, -1]] as [$side, $way]) {
            $host = new Host(
                new Curve([Span::straight($middle->minus($along->times($side)), $middle->plus($along->times($side)))]),
                $beside->unit(),
            );
            $ways[] = new Wound(
                $host, $half - $way * $half / 2, ($thing->wireMm + $wire->wireMm) / 2, $this->turns,
                $way * $wire->wireMm, $beside->lengthMm(),
            );
        }

        return self::nearest($ways, $wire);
    }

    public function handwork(Profile $profile, Put $put, Moment $moment): Handwork
    {
        $both = $this->and === '' ? '' : ' and '.Name::words($this->and).' together';
        [$turns, $on] = [Figures::trim($this->turns), Name::words($this->on)];
        $at = preg_match('/^(left|right|top|bottom)$/', $this->at) === 1 ? ', '.$this->at : '';

        return new Handwork(
            $moment, 'Wrap it on', "Wrap {$turns} times round {$on}{$both}{$at}, pulled tight, side by side.",
            Operation::Wrap, 'chain-nose pliers', (int) ceil($this->turns), 'wraps',
        );
    }
}
