<?php

declare(strict_types=1);

namespace Hebra\Core\Technique\Written\Move;

use Hebra\Core\Handwork\Moment;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Technique\Written\Form;
use Hebra\Core\Technique\Written\HoldsNothing;
use Hebra\Core\Technique\Written\Laying;
use Hebra\Core\Technique\Written\Put;
use Hebra\Core\Technique\Written\Reading;
use Hebra\Core\Technique\Written\WrittenMove;

/** What follows bends in another plane, degrees about the wire. */
final readonly class Turn implements WrittenMove
{
    use HoldsNothing;

    private function __construct(private float $degrees)
    {
    }

    public static function form(): Form
    {
        return new Form(
            'turn',
            Form::number('degrees'),
            'turn 90', 'degrees about itself: what follows bends in another plane',
        );
    }

    public static function read(Reading $reading): self
    {
        return new self($reading->number('degrees', -360.0, 360.0));
    }

    public function lay(Laying $wire): void
    {
        $wire->turn($this->degrees);
    }

    /** Nothing of its own: it is said where the next move is made. */
    public function handwork(Profile $profile, Put $put, Moment $moment): null
    {
        return null;
    }

    public function words(): string
    {
        return 'First turn the wire '.Figures::trim(abs($this->degrees)).'° about itself in the pliers.';
    }
}
