<?php

declare(strict_types=1);

namespace Hebra\Core\Piece\Technique;

use Hebra\Core\Plan\BendMark;
use Hebra\Core\Plan\Cut;
use Hebra\Core\Plan\PartPlan;
use Hebra\Core\Plan\Segment;
use Hebra\Core\Plan\SegmentKind;
use Hebra\Core\Plan\Strung;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Working;

/**
 * Collects the stretches of one cut, start to end, and where it bends between them. Stretches of no length are left
 * out.
 */
final class Stretch
{
    /** @var list<Segment> */
    private array $segments = [];

    /** @var list<BendMark> */
    private array $bends = [];

    private float $at = 0.0;

    public function __construct(private readonly PartPlan $part)
    {
    }

    /** @param  list<Strung>  $beads  what stands on it, from the first end on */
    public function worked(
        SegmentKind $kind, float $lengthMm, string $words, string $mark, string $rule, string $numbers,
        string $source = 'geometry', array $beads = [],
    ): self {
        return $this->add(
            (new Segment($kind, $lengthMm, $words, $this->part->mark($mark), new Working($words, $rule, $numbers, $lengthMm, 'mm', $source)))->carrying(
                $beads,
            ),
        );
    }

    /** As it is set, or as is common practice. */
    public function given(SegmentKind $kind, float $lengthMm, string $words, string $mark, string $why): self
    {
        return $this->add(
            Segment::given($kind, $lengthMm, $words, $this->part->mark($mark), $why, $this->part->sourceOf($lengthMm)),
        );
    }

    public function loop(float $insideMm, float $wireMm, string $words, string $mark): self
    {
        return $this->worked(
            SegmentKind::Loop,
            M_PI * ($insideMm + $wireMm),
            $words,
            $mark,
            'π(D + d)',
            'π × ('.Figures::trim($insideMm, 3).' + '.Figures::trim($wireMm, 3).')',
        );
    }

    public function add(Segment $segment): self
    {
        if ($segment->lengthMm > 1e-9) {
            $this->segments[] = $segment;
            $this->at += $segment->lengthMm;
        }

        return $this;
    }

    /** A bend here, between what came and what comes; none at the very start. */
    public function bend(string $words): self
    {
        $last = $this->bends === [] ? 0.0 : $this->bends[count($this->bends) - 1]->atMm;
        if ($this->at > $last + 1e-9) {
            $this->bends[] = new BendMark($this->at, $words);
        }

        return $this;
    }

    public function cut(string $label, string $role, int $count, string $slot = ''): Cut
    {
        $segments = $this->segments === []
            ? [
                Segment::given(
                    SegmentKind::Straight, 1.0, 'wire', $this->part->mark('wire'), 'nothing is asked of it yet',
                    'common practice',
                ),
            ]
            : $this->segments;
        // A bend at the very end is none.
        $bends = array_values(array_filter($this->bends, fn (BendMark $bend): bool => $bend->atMm < $this->at - 1e-9));

        return new Cut(
            $label, $this->part->part->id, $role, $this->part->wireOf($role), $count, $segments, $bends, slot: $slot,
        );
    }
}
