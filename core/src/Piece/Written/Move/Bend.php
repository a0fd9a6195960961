<?php

declare(strict_types=1);

namespace Hebra\Core\Piece\Written\Move;

use Hebra\Core\Piece\Written\Form;
use Hebra\Core\Piece\Written\Handwork;
use Hebra\Core\Piece\Written\HoldsNothing;
use Hebra\Core\Piece\Written\Laying;
use Hebra\Core\Piece\Written\Put;
use Hebra\Core\Piece\Written\Reading;
use Hebra\Core\Piece\Written\WrittenMove;
use Hebra\Core\Plan\Operation;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Quantity\Figures;

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

    public function handwork(Profile $profile, Put $put): Handwork
    {
        $side = $this->degrees < 0 ? ', to the other side.' : '.';

        return new Handwork(
            'Bend it', 'Bend '.Figures::trim(abs($this->degrees)).'° on the spot'.$side, Operation::Bend,
        );
    }
}
