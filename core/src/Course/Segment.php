<?php

declare(strict_types=1);

namespace Hebra\Core\Course;

use Hebra\Core\Working;

/**
 * One stretch of a cut: what it becomes, how long it is and why. Lengths in millimetres, ≥ 0. `mark` names the same
 * wire in the drawing, `beads` what stands on it, from the first end of the cut to its last.
 */
final readonly class Segment
{
    public function __construct(
        public SegmentKind $kind,
        public float $lengthMm,
        public string $words,
        public string $mark,
        public Working $working,
        /** @var list<Strung> */
        public array $beads = [],
    ) {
    }

    /** @param  list<Strung>  $beads  from the first end of the cut on */
    public function carrying(array $beads): self
    {
        return new self(
            $this->kind, $this->lengthMm, $this->words, $this->mark, $this->working, Stringing::joined($beads),
        );
    }

    /** So much of it. */
    public function shared(float $share): self
    {
        return new self($this->kind, $share * $this->lengthMm, $this->words, $this->mark, $this->working, $this->beads);
    }

    public function marked(string $mark): self
    {
        return new self($this->kind, $this->lengthMm, $this->words, $mark, $this->working, $this->beads);
    }

    public static function given(
        SegmentKind $kind, float $lengthMm, string $words, string $mark, string $why, string $source,
    ): self {
        return new self(
            $kind,
            $lengthMm,
            $words,
            $mark,
            new Working($words, $why, \Hebra\Core\Quantity\Figures::trim($lengthMm, 3), $lengthMm, 'mm', $source),
        );
    }

    /** What a bought pin comes with, its head or its eye: none of its length, and made before it is in the hand. */
    public static function ready(string $words, string $mark): self
    {
        return self::given(SegmentKind::Foot, 0.0, $words, $mark, 'it comes with it', 'the maker’s');
    }

    public function isReady(): bool
    {
        return $this->kind === SegmentKind::Foot && $this->lengthMm === 0.0;
    }
}
