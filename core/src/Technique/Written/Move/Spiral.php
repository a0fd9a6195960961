<?php

declare(strict_types=1);

namespace Hebra\Core\Technique\Written\Move;

use Hebra\Core\Course\SegmentKind;
use Hebra\Core\Course\Shape\FlatSpiral;
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
use Hebra\Core\Wrap\Spiral as Flat;

/** A flat spiral, wound inwards. Length: N·π(D + N·d) (geometry). */
final readonly class Spiral implements WrittenMove
{
    use HoldsNothing;

    /** The eye that it begins with, inside, mm. */
    private const EYE_MM = 0.8;

    private function __construct(private float $turns)
    {
    }

    public static function form(): Form
    {
        return new Form('spiral', Form::number('turns'), 'spiral 2', 'turns, wound inwards');
    }

    public static function read(Reading $reading): self
    {
        return new self($reading->number('turns', 0.5, 40.0));
    }

    public function lay(Laying $wire): void
    {
        $spiral = new Flat($wire->wireMm, self::EYE_MM, $this->turns);
        $turns = Figures::trim($this->turns);
        $wire->worked(
            SegmentKind::Curl, $spiral->wireLengthMm(), 'spiral', 'N·π(D + N·d)',
            "{$turns} × π × (".self::EYE_MM." + {$turns} × ".Figures::trim($wire->wireMm, 3).')',
            new FlatSpiral($spiral),
        );
    }

    public function handwork(Profile $profile, Put $put, Moment $moment): Handwork
    {
        return new Handwork(
            $moment, 'Wind the spiral', 'Wind a flat spiral of '.Figures::trim($this->turns).' turns, inwards.',
            Operation::Spiral, 'flat-nose pliers',
        );
    }
}
