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
use Hebra\Core\Plan\Profile;

/** Straight on, millimetres. */
final readonly class Straight implements WrittenMove
{
    use HoldsNothing;

    private function __construct(private float $mm)
    {
    }

    public static function form(): Form
    {
        return new Form('straight', Form::length('length'), 'straight 12', 'millimetres');
    }

    public static function read(Reading $reading): self
    {
        return new self($reading->number('length', 0.1, 10_000.0));
    }

    public function lay(Laying $wire): void
    {
        $wire->straight($this->mm);
    }

    public function handwork(Profile $profile, Put $put): ?Handwork
    {
        return null;
    }
}
