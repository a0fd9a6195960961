<?php

declare(strict_types=1);

namespace Hebra\Core\Piece\Written\Move;

use Hebra\Core\Course\SegmentKind;
use Hebra\Core\Piece\Written\Form;
use Hebra\Core\Piece\Written\Handwork;
use Hebra\Core\Piece\Written\HoldsNothing;
use Hebra\Core\Piece\Written\Laying;
use Hebra\Core\Piece\Written\Put;
use Hebra\Core\Piece\Written\Reading;
use Hebra\Core\Piece\Written\WrittenMove;
use Hebra\Core\Plan\Operation;
use Hebra\Core\Plan\Profile;

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

    public function handwork(Profile $profile, Put $put): Handwork
    {
        return new Handwork(
            'Trim and tuck',
            'Flat side of the cutter towards the piece, trim the tail. Press the end in, so that it catches nothing.',
            Operation::Trim, 'flush cutter, chain-nose pliers',
        );
    }
}
