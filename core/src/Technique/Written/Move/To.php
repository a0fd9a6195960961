<?php

declare(strict_types=1);

namespace Hebra\Core\Technique\Written\Move;

use Hebra\Core\Plan\Operation;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Technique\Written\Form;
use Hebra\Core\Technique\Written\Handwork;
use Hebra\Core\Technique\Written\HoldsNothing;
use Hebra\Core\Technique\Written\Laying;
use Hebra\Core\Technique\Written\Put;
use Hebra\Core\Technique\Written\Reading;
use Hebra\Core\Technique\Written\Start;
use Hebra\Core\Technique\Written\WrittenMove;

/** In one sweep to a place, to go on from there as told. Length: that of its curve (geometry). */
final readonly class To implements WrittenMove
{
    use HoldsNothing;

    private function __construct(private Start $place)
    {
    }

    public static function form(): Form
    {
        return new Form(
            'to',
            '.+',
            'to 4 0 heading up', 'in one sweep to a place, millimetres right and down, and towards you',
        );
    }

    public static function read(Reading $reading): self
    {
        return new self(Start::read($reading->written, $reading->field));
    }

    public function lay(Laying $wire): void
    {
        $wire->goTo($this->place->at, $this->place->isHeaded ? $this->place->ahead : $wire->frame->ahead);
    }

    public function handwork(Profile $profile, Put $put): Handwork
    {
        return new Handwork('Curve it over', 'Curve it in one sweep to where it goes on.', Operation::Bend, 'fingers');
    }
}
