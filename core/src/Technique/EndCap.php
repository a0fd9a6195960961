<?php

declare(strict_types=1);

namespace Hebra\Core\Technique;

use Hebra\Core\Course\Course;
use Hebra\Core\Course\Frame;
use Hebra\Core\Course\Move;
use Hebra\Core\Course\Segment;
use Hebra\Core\Course\SegmentKind;
use Hebra\Core\Course\Shape\Arc;
use Hebra\Core\Course\Shape\Straight;
use Hebra\Core\Plan\Eye;
use Hebra\Core\Plan\EyeKind;
use Hebra\Core\Plan\PartPlan;
use Hebra\Core\Plate\Plate;

/**
 * What is put on either end of a cord or a ball chain: a ring of a size inside on a cap that takes some of it in. Both
 * hang, ring to ring: rings' insides, their wire, caps, and what lies between. Millimetres. Common practice.
 */
final readonly class EndCap
{
    /** So much wider than what it takes in a cap is seen. */
    private const WIDER_MM = 0.9;

    public function __construct(
        private PartPlan $part, private float $insideMm, public float $capMm, private string $words,
    ) {
    }

    private function ringMm(): float
    {
        return Plate::ringWireMm($this->insideMm);
    }

    public function eye(string $instance, string $name, EyeKind $kind): Eye
    {
        return new Eye(
            "{$instance}/{$name}", $kind, $this->insideMm, $this->ringMm(), "{$this->words} at its {$name}",
            $this->part->mark($name.'-loop'),
        );
    }

    /** How far below the top of the upper ring what lies between the caps begins. */
    public function beginsMm(): float
    {
        return $this->insideMm + $this->ringMm() + $this->capMm;
    }

    /** From where the upper ring hangs to where the next thing hangs in the lower one. */
    public function hangsMm(float $betweenMm): float
    {
        return 2 * $this->beginsMm() + $betweenMm;
    }

    /** @return list<Course> the two rings */
    public function rings(float $betweenMm): array
    {
        $lower = $this->beginsMm() + $betweenMm + $this->capMm;

        return [$this->ring('top', -$this->ringMm() / 2), $this->ring('bottom', $lower + $this->ringMm() / 2)];
    }

    private function ring(string $name, float $atMm): Course
    {
        $arc = Arc::turns($this->insideMm, $this->ringMm(), 1.0);
        $move = new Move($this->nothing($name.'-loop', 'ring'), $arc, wideMm: $this->ringMm());

        return (new Stretch($this->part))->move($move)
            ->course('Ring', $this->part->part->wire, $this->part->times, Frame::right(0.0, $atMm));
    }

    /** A cap, upwards or downwards of what it takes in. */
    public function cap(string $name, float $thickMm): Move
    {
        return new Move(
            $this->nothing($name.'-cap', 'cap'), new Straight($this->capMm), wideMm: $thickMm + self::WIDER_MM,
            isRounded: true,
        );
    }

    /** It is bought, and takes nothing of what is cut. */
    private function nothing(string $mark, string $words): Segment
    {
        return Segment::given(
            SegmentKind::Straight, 0.0, $words, $this->part->mark($mark), 'it is bought', 'common practice',
        );
    }
}
