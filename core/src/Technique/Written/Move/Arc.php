<?php

declare(strict_types=1);

namespace Hebra\Core\Technique\Written\Move;

use Hebra\Core\Course\SegmentKind;
use Hebra\Core\Course\Shape;
use Hebra\Core\Handwork\Handwork;
use Hebra\Core\Handwork\Moment;
use Hebra\Core\Handwork\Operation;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Technique\Written\Form;
use Hebra\Core\Technique\Written\Laying;
use Hebra\Core\Technique\Written\Put;
use Hebra\Core\Technique\Written\Reading;
use Hebra\Core\Technique\Written\WrittenMove;

/** A part of a circle: its inside, mm, and degrees, less than 0 to the other side. Length: φ·(D + d)/2 (geometry). */
final readonly class Arc implements WrittenMove
{
    /** From so far round on an arc holds what hangs in it. */
    private const HOLDS_DEGREES = 90.0;

    private function __construct(private float $inside, private float $degrees)
    {
    }

    public static function form(): Form
    {
        return new Form(
            'arc',
            Form::length('inside').' '.Form::number('degrees'),
            'arc 20 180', 'inside, millimetres, and degrees; less than 0 to the right of its way',
        );
    }

    public static function read(Reading $reading): self
    {
        return new self($reading->number('inside', 0.2, 1000.0), $reading->number('degrees', -3600.0, 3600.0));
    }

    public function lay(Laying $wire): void
    {
        [$d, $angle] = [$wire->wireMm, deg2rad($this->degrees)];
        $shape = new Shape\Arc(($this->inside + $d) / 2, $angle);
        $wire->worked(
            SegmentKind::Arch, $shape->lengthMm(), 'arc', 'φ·(D + d)/2',
            Figures::trim(abs($angle), 4).' × ('.Figures::trim($this->inside).' + '.Figures::trim($d, 3).')/2', $shape,
        );
    }

    public function handwork(Profile $profile, Put $put, Moment $moment): Handwork
    {
        $side = $this->degrees < 0 ? ', to the other side.' : '.';

        return new Handwork(
            $moment, 'Bend the arc',
            'Bend '.Figures::trim(abs($this->degrees)).'° round '.$profile->size($this->inside).$side,
            Operation::Bend, 'flat-nose pliers',
        );
    }

    public function insideMm(): ?float
    {
        return abs($this->degrees) >= self::HOLDS_DEGREES ? $this->inside : null;
    }
}
