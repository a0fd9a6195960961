<?php

declare(strict_types=1);

namespace Hebra\Core\Technique\Written\Move;

use Hebra\Core\Course\Curve;
use Hebra\Core\Course\Host;
use Hebra\Core\Course\Lashing;
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
use Hebra\Core\Technique\Written\Refused;
use Hebra\Core\Technique\Written\WrittenMove;

/**
 * Bound there and back over the whole of a stretch until the wire is used up: as many whole passes as its length gives,
 * each two wires' thickness a turn, or, where beads are bound on it, down between them; each over the one before it,
 * the first over what is bound there. Length: N·√((πD)² + p²) a pass, or that of its curve (geometry).
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
        [$all, $gaps] = [$thing->curve()->lengthMm(), $thing->gaps($wire->wireMm)];
        $back = array_map(fn (float $mm): float => $all - $mm, array_reverse($gaps));
        $isAtEnd = $thing->nearest($wire->frame->at) > $all / 2;
        for ($number = 0; $number < self::MOST_PASSES; $number++) {
            $isBack = $isAtEnd === ($number % 2 === 0);
            $radius = ($thing->boundMm() + $wire->wireMm) / 2 + $number * $wire->wireMm;
            $places = $isBack ? $back : $gaps;
            $pass = $places === []
                ? self::evenly($thing->host($isBack), $radius, $wire->wireMm)
                : (new Lashing($thing->host($isBack), $places, $radius))->spans();
            [$first, $mm] = [$pass[0], (new Curve($pass))->lengthMm()];
            $ahead = $first->runs(0.0)->unit();
            $needed = $wire->construction->lineMm($wire) + $wire->wayMm($first->from, $ahead) + $mm;
            if ($needed > $this->lengthMm) {
                break;
            }
            $wire->goTo($first->from, $ahead);
            $wire->laid(
                SegmentKind::Binding, 'pass '.($number + 1), $pass,
                $gaps === [] ? 'N·√((πD)² + p²)' : 'the length of its curve', Figures::trim($mm, 2),
            );
        }
        $number > 0 || throw Refused::because(
            'course', Figures::mm($this->lengthMm), 'does not reach once over '.Name::words($this->on),
            Figures::mm(ceil($needed)).' or more',
        );
    }

    /** @return non-empty-list<Span> two thicknesses of its wire a turn */
    private static function evenly(Host $host, float $radiusMm, float $wireMm): array
    {
        $turns = max(1.0, floor($host->lengthMm() / (2 * $wireMm)));
        $wound = new Wound($host, 0.0, $radiusMm, $turns, $host->lengthMm() / $turns);
        /** @var non-empty-list<Span> $spans */
        $spans = $wound->laid($wound->start())[0];

        return $spans;
    }

    public function handwork(Profile $profile, Put $put, Moment $moment): Handwork
    {
        $name = Name::words($this->on);

        return new Handwork(
            $moment, 'Bind there and back',
            "Bind the long end over the whole of {$name} and back, down between its beads where it has any, "
                .'as often as its wire gives: end where a pass ends.',
            Operation::Bind, 'fingers, chain-nose pliers',
        );
    }
}
