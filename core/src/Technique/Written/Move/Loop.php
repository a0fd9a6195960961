<?php

declare(strict_types=1);

namespace Hebra\Core\Technique\Written\Move;

use Hebra\Core\Course\SegmentKind;
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
use Hebra\Core\Wrap\Turn as OneTurn;

/** One turn in the middle of a wire, which goes on as it came. Length: √((π(D + d))² + d²) (geometry). */
final readonly class Loop implements WrittenMove
{
    private function __construct(private float $inside)
    {
    }

    public static function form(): Form
    {
        return new Form(
            'loop',
            Form::length('inside'),
            'loop 3', 'inside, millimetres: once round, and on as it came',
        );
    }

    public static function read(Reading $reading): self
    {
        return new self($reading->number('inside', 0.5, 100.0));
    }

    public function lay(Laying $wire): void
    {
        $d = $wire->wireMm;
        $wire->worked(
            SegmentKind::Eye, OneTurn::mm($this->inside, $d), 'loop', '√((π(D + d))² + d²)',
            'D = '.Figures::trim($this->inside).', d = '.Figures::trim($d, 3),
            new Helix(($this->inside + $d) / 2, 1.0, $d),
        );
    }

    public function handwork(Profile $profile, Put $put, Moment $moment): Handwork
    {
        return new Handwork(
            $moment, 'Turn the loop',
            'Once round '.$profile->size($this->inside).', until the wire crosses itself and goes on.',
            Operation::Eye, 'round-nose pliers',
        );
    }

    public function insideMm(): float
    {
        return $this->inside;
    }
}
