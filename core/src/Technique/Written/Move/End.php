<?php

declare(strict_types=1);

namespace Hebra\Core\Technique\Written\Move;

use Hebra\Core\Bend\WrappedLoop;
use Hebra\Core\Course\Segment;
use Hebra\Core\Course\SegmentKind;
use Hebra\Core\Course\Shape\Eye;
use Hebra\Core\Course\Shape\Helix;
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

/** An eye at the end of a wire, plain or wrapped shut on its own neck: see WrappedLoop. */
final readonly class End implements WrittenMove
{
    private function __construct(private float $inside, public int $wraps)
    {
    }

    public static function form(): Form
    {
        return new Form(
            'eye',
            Form::length('inside').'(?: wrapped '.Form::number('wraps').')?',
            'eye 2.5, or eye 2.5 wrapped 3', 'inside, millimetres, at the end of a wire; wrapped shut so many times',
        );
    }

    public static function read(Reading $reading): self
    {
        return new self($reading->number('inside', 0.8, 30.0), (int) $reading->number('wraps', 1.0, 20.0));
    }

    public function lay(Laying $wire): void
    {
        $loop = new WrappedLoop($wire->wireMm, $this->inside, $this->wraps, $wire->wireMm, 0.0);
        $wraps = $this->wraps === 0 ? null : Helix::wraps($this->wraps, $wire->wireMm, $wire->wireMm);
        $wire->straight($loop->neckMm(), SegmentKind::Neck, 'neck');
        $wire->lay(
            new Segment(SegmentKind::Loop, $loop->loopMm(), 'eye', $wire->mark(), $loop->loopWorking()),
            new Eye($this->inside, $wire->wireMm, $wraps),
        );
        if ($wraps !== null) {
            $words = Figures::counted($this->wraps, 'wrap');
            $wire->lay(
                new Segment(SegmentKind::Wraps, $loop->wrapsMm(), $words, $wire->mark(), $loop->wrapsWorking()), $wraps,
            );
        }
    }

    public function handwork(Profile $profile, Put $put, Moment $moment): Handwork
    {
        $wrapped = $this->wraps === 0
            ? '.'
            : ' and wrap it shut: '.Figures::counted($this->wraps, 'wrap').' down its own neck.';

        return new Handwork(
            $moment, 'Turn the eye',
            'Turn the end round '.$profile->size($this->inside).' to an eye over the middle of its wire'.$wrapped,
            Operation::Eye, 'round-nose pliers',
        );
    }

    public function insideMm(): float
    {
        return $this->inside;
    }
}
