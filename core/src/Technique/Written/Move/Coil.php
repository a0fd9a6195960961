<?php

declare(strict_types=1);

namespace Hebra\Core\Technique\Written\Move;

use Hebra\Core\Course\SegmentKind;
use Hebra\Core\Course\Shape\Helix;
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
use Hebra\Core\Wrap\Turn as OneTurn;

/** Close turns on a mandrel. Length: N·√((π(M + d))² + d²) (geometry). */
final readonly class Coil implements WrittenMove
{
    use HoldsNothing;

    /** So few turns are rings that are seen through. */
    private const OPEN = 3.0;

    private function __construct(public float $turns, private float $mandrelMm)
    {
    }

    public static function form(): Form
    {
        return new Form(
            'coil',
            Form::number('turns').' on '.Form::length('mandrel'),
            'coil 8 on 2', 'turns on a mandrel, millimetres',
        );
    }

    public static function read(Reading $reading): self
    {
        return new self($reading->number('turns', 0.5, 2000.0), $reading->number('mandrel', 0.3, 100.0));
    }

    public function lay(Laying $wire): void
    {
        $d = $wire->wireMm;
        [$one, $turns] = [OneTurn::mm($this->mandrelMm, $d), Figures::trim($this->turns)];
        $wire->worked(
            $this->turns <= self::OPEN ? SegmentKind::Round : SegmentKind::Coil, $this->turns * $one, "{$turns} turns",
            'N·√((π(M + d))² + d²)', "{$turns} × ".Figures::trim($one, 3),
            new Helix(($this->mandrelMm + $d) / 2, $this->turns, $d),
        );
    }

    public function handwork(Profile $profile, Put $put, Moment $moment): Handwork
    {
        return new Handwork(
            $moment, 'Wind the coil',
            'Wind '.Figures::trim($this->turns).' close turns on '.$profile->size($this->mandrelMm).'.',
            Operation::Coil, 'flat-nose pliers',
        );
    }
}
