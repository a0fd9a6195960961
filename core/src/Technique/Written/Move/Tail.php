<?php

declare(strict_types=1);

namespace Hebra\Core\Technique\Written\Move;

use Hebra\Core\Course\SegmentKind;
use Hebra\Core\Handwork\Handwork;
use Hebra\Core\Handwork\Moment;
use Hebra\Core\Handwork\Operation;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Technique\Written\Form;
use Hebra\Core\Technique\Written\HoldsNothing;
use Hebra\Core\Technique\Written\Laying;
use Hebra\Core\Technique\Written\Put;
use Hebra\Core\Technique\Written\Reading;
use Hebra\Core\Technique\Written\WrittenMove;

/** What the fingers hold meanwhile, trimmed off, millimetres. */
final readonly class Tail implements WrittenMove
{
    use HoldsNothing;

    private function __construct(private float $mm)
    {
    }

    public static function form(): Form
    {
        return new Form('tail', Form::length('length'), 'tail 10', 'millimetres to hold, trimmed off');
    }

    public static function read(Reading $reading): self
    {
        return new self($reading->number('length', 0.1, 300.0));
    }

    public function lay(Laying $wire): void
    {
        $wire->straight($this->mm, SegmentKind::Tail, 'tail');
    }

    public function handwork(Profile $profile, Put $put, Moment $moment): Handwork
    {
        return new Handwork(
            $moment, 'Trim and tuck',
            'Flat side of the cutter towards the piece, trim the tail. Press the end in, so that it catches nothing.',
            Operation::Trim, 'flush cutter, chain-nose pliers',
        );
    }
}
