<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

use Hebra\Core\Bead\Bead;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Quantity\LengthUnit;
use Hebra\Core\Quantity\Ruler;
use Hebra\Core\School\Schools;
use Hebra\Core\Tool\ToolBox;
use Hebra\Core\Wire\SizeSystem;
use Hebra\Core\Wire\Strengths;

/**
 * What a plan takes from the maker: the ruler on the bench, the size system on the labels, habits, schools, tools,
 * metals.
 */
final readonly class Profile
{
    public const CLEARANCE_MM = 0.05;

    public const KEEP_MM = 60.0;

    public function __construct(
        public Ruler $ruler = Ruler::HalfMillimetre,
        public SizeSystem $sizes = SizeSystem::Awg,
        /** working clearance in a hole, mm [memory] */
        public float $clearanceMm = self::CLEARANCE_MM,
        /** offcuts from this length on go back to stock, mm [common practice] */
        public float $keepMm = self::KEEP_MM,
        /** one spare bead laid out for every so many [common practice: a few spare] */
        public int $spareEvery = 8,
        public Schools $schools = new Schools,
        public ToolBox $tools = new ToolBox,
        public Strengths $strengths = new Strengths,
        /** what the maker's logs taught; null where plans follow the plain sums */
        public ?FittingHand $hand = null,
    ) {
    }

    /** The same by the plain sums. */
    public function withoutHand(): self
    {
        return new self(
            $this->ruler, $this->sizes, $this->clearanceMm, $this->keepMm, $this->spareEvery, $this->schools,
            $this->tools, $this->strengths,
        );
    }

    /** Of so many of a bead one is spare; of what is irregular the largest and the smallest are sorted out. */
    public function spareEveryOf(Bead $bead): int
    {
        return $bead->shape->isIrregular() ? max(1, intdiv($this->spareEvery, 2)) : $this->spareEvery;
    }

    public function unit(): LengthUnit
    {
        return $this->ruler->unit();
    }

    public function length(float $millimetres): string
    {
        return $this->ruler->text($millimetres);
    }

    /** A length to cut: never less than it says. */
    public function cutLength(float $millimetres): string
    {
        return $this->ruler->upText($millimetres);
    }

    /** A jaw mark or an inside diameter: finer than a ruler shows, to 0.05 mm or a thousandth of an inch. */
    public function size(float $millimetres): string
    {
        return $this->ruler->isMetric()
            ? Figures::trim(round($millimetres / 0.05) * 0.05).' mm'
            : Figures::trim($millimetres / 25.4, 3).' in';
    }
}
