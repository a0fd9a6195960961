<?php

declare(strict_types=1);

namespace Hebra\Core\Technique\Written\Move;

use Hebra\Core\Handwork\Handwork;
use Hebra\Core\Handwork\Moment;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Technique\Written\Form;
use Hebra\Core\Technique\Written\HoldsNothing;
use Hebra\Core\Technique\Written\Laying;
use Hebra\Core\Technique\Written\Put;
use Hebra\Core\Technique\Written\Reading;
use Hebra\Core\Technique\Written\WrittenMove;

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

    public function handwork(Profile $profile, Put $put, Moment $moment): ?Handwork
    {
        return null;
    }
}
