<?php

declare(strict_types=1);

namespace Hebra\Core\Technique\Written\Move;

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

/** Bent on the spot, degrees, less than 0 to the other side. */
final readonly class Bend implements WrittenMove
{
    use HoldsNothing;

    private function __construct(private float $degrees)
    {
    }

    public static function form(): Form
    {
        return new Form(
            'bend',
            Form::number('degrees'),
            'bend 60', 'degrees on the spot; less than 0 to the right of its way',
        );
    }

    public static function read(Reading $reading): self
    {
        return new self($reading->number('degrees', -170.0, 170.0));
    }

    public function lay(Laying $wire): void
    {
        $wire->bend($this->degrees);
    }

    public function handwork(Profile $profile, Put $put, Moment $moment): Handwork
    {
        $side = $this->degrees < 0 ? ', to the other side.' : '.';

        return new Handwork(
            $moment, 'Bend it', 'Bend '.Figures::trim(abs($this->degrees)).'° on the spot'.$side,
            Operation::Bend, 'flat-nose pliers',
        );
    }
}
