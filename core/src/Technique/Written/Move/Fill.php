<?php

declare(strict_types=1);

namespace Hebra\Core\Technique\Written\Move;

use Hebra\Core\Course\SegmentKind;
use Hebra\Core\Course\Shape\Wound;
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
use Hebra\Core\Technique\Written\Refused;
use Hebra\Core\Technique\Written\WrittenMove;

/**
 * Bound there and back over the whole of a stretch until the wire is used up: as many whole passes as its length gives,
 * each two wires' thickness a turn, each over the one before it, the first over what is bound there. Length:
 * N·√((πD)² + p²) a pass (geometry).
 */
final readonly class Fill implements WrittenMove
{
    use HoldsNothing;

    private const MOST_PASSES = 60;

    private function __construct(private string $on, public float $lengthMm)
    {
    }

    public static function form(): Form
    {
        return new Form(
            'fill',
            Form::name('on').' until '.Form::length('length'),
            'fill stem until 600', 'there and back over a stretch until the wire is so long',
        );
    }

    public static function read(Reading $reading): self
    {
        return new self($reading->word('on'), $reading->number('length', 10.0, 50_000.0));
    }

    public function lay(Laying $wire): void
    {
        $thing = $wire->construction->thing($this->on);
        $all = $thing->curve()->lengthMm();
        $isAtEnd = $thing->nearest($wire->frame->at) > $all / 2;
        $turns = max(1.0, floor($all / (2 * $wire->wireMm)));
        for ($number = 0; $number < self::MOST_PASSES; $number++) {
            $pass = new Wound(
                $thing->host($isAtEnd === ($number % 2 === 0)), 0.0,
                ($thing->boundMm() + $wire->wireMm) / 2 + $number * $wire->wireMm, $turns, $all / $turns,
            );
            $start = $pass->start();
            $needed = $wire->construction->lineMm($wire) + $wire->wayMm($start->at, $start->ahead) + $pass->lengthMm();
            if ($needed > $this->lengthMm) {
                break;
            }
            $wire->goTo($start->at, $start->ahead);
            $wire->laid(
                SegmentKind::Binding, 'pass '.($number + 1), $pass->laid($start)[0], 'N·√((πD)² + p²)',
                Figures::trim($turns).' × '.Figures::trim($pass->lengthMm() / $turns, 3),
            );
        }
        $number > 0 || throw Refused::because(
            'course', Figures::mm($this->lengthMm), 'does not reach once over '.Name::words($this->on),
            Figures::mm(ceil($needed)).' or more',
        );
    }

    public function handwork(Profile $profile, Put $put, Moment $moment): Handwork
    {
        $name = Name::words($this->on);

        return new Handwork(
            $moment, 'Bind there and back',
            "Bind the long end over the whole of {$name} and back, as often as its wire gives: end where a pass ends.",
            Operation::Bind, 'fingers, chain-nose pliers',
        );
    }
}
