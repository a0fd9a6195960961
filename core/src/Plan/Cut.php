<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

use Hebra\Core\Copy;
use Hebra\Core\Course\Course;
use Hebra\Core\Course\Move;
use Hebra\Core\Course\PinKind;
use Hebra\Core\Course\Segment;
use Hebra\Core\Course\Strung;
use Hebra\Core\Piece\PartId;
use Hebra\Core\Quantity\Ruler;
use Hebra\Core\Stock\CuttingTerms;
use Hebra\Core\Wire\Wire;

/**
 * One kind of cut: a straight length of wire and what each stretch of it becomes.
 *
 * Invariants: its length is the sum of its segments; bends lie strictly in order and strictly inside it. A bought pin
 * is a cut that comes ready at `pinMm`; what is over is its last segment.
 */
final readonly class Cut
{
    private float $lengthMm;

    private float $netMm;

    /**
     * @param  non-empty-list<Segment>  $segments
     * @param  list<BendMark>  $bends
     */
    public function __construct(
        public string $label,
        public PartId $part,
        public string $role,
        public Wire $wire,
        public int $count,
        public array $segments,
        public array $bends,
        public ?float $pinMm = null,
        /** which of the wires of its part, where there are several; empty for the first */
        public string $slot = '',
        /** how it was fitted to the maker's hand, where it was */
        public ?Advice $advice = null,
        /** the rings that it is cut into, where it is wound to a coil of them */
        public ?RingCoil $rings = null,
        public PinKind $pinKind = PinKind::Head,
    ) {
        $length = $net = 0.0;
        foreach ($segments as $segment) {
            $length += $segment->lengthMm;
            $net += $segment->kind->stays() ? $segment->lengthMm : 0.0;
        }
        [$this->lengthMm, $this->netMm] = [$length, $net];
    }

    /** What is cut for a course, with a mark wherever it bends strictly inside it and strictly in order. */
    public static function of(Course $course, PartPlan $part): self
    {
        $all = array_sum(array_map(fn (Move $move): float => $move->segment->lengthMm, $course->moves));
        $segments = $bends = [];
        $at = $last = 0.0;
        foreach ($course->moves as $move) {
            if ($move->segment->lengthMm > 1e-9) {
                $segments[] = $move->segment;
                $at += $move->segment->lengthMm;
            }
            if ($move->bendAfter !== '' && $at > $last + 1e-9 && $at < $all - 1e-9) {
                $bends[] = new BendMark($at, $move->bendAfter);
                $last = $at;
            }
        }
        /** @var non-empty-list<Segment> $segments */

        return new self(
            $course->label, $part->part->id, $course->role, $part->wireOf($course->role), $course->times, $segments,
            $bends, $course->pinMm, $course->slot, pinKind: $course->pinKind,
        );
    }

    /**
     * Alike cuts as one.
     *
     * @param  list<self>  $cuts
     * @return list<self> in the order of the first of each kind
     */
    public static function together(array $cuts): array
    {
        $kinds = [];
        foreach ($cuts as $cut) {
            $alike = array_keys(array_filter($kinds, fn (self $kind): bool => $kind->times($cut->count) == $cut))[0]
                ?? null;
            if ($alike === null) {
                $kinds[] = $cut;
            } else {
                $kinds[$alike] = $kinds[$alike]->times($kinds[$alike]->count + $cut->count);
            }
        }

        return array_values($kinds);
    }

    /** What one kind of cut is told by, in forms and in the book. */
    public function key(): string
    {
        return $this->part.($this->slot === '' ? '' : '-'.$this->slot);
    }

    public function lengthMm(): float
    {
        return $this->lengthMm;
    }

    /** @return array<string, mixed> its stretches from the first end to the last, as `hebra:plan` tells them */
    public function course(): array
    {
        return [
            'wire' => $this->key(), 'cut' => $this->label, 'count' => $this->count, 'from' => 'end',
            'moves' => array_map(fn (Segment $segment): array => [
                'kind' => $segment->kind->value, 'length_mm' => $segment->lengthMm, 'place' => $segment->words,
                ...($segment->beads === [] ? [] : ['things' => array_map(
                    fn (Strung $run): array => ['bead' => $run->bead->words(), 'count' => $run->count], $segment->beads,
                )]),
            ], $this->segments),
        ];
    }

    /** What is left in the piece. */
    public function netMm(): float
    {
        return $this->netMm;
    }

    public function trimmedMm(): float
    {
        return $this->lengthMm - $this->netMm;
    }

    /** As it is cut: up to what the maker's ruler shows; a bought pin as it comes. */
    public function printedMm(Ruler $ruler): float
    {
        return $this->pinMm === null ? $ruler->upMm($this->lengthMm) : max($this->pinMm, $this->lengthMm);
    }

    /** What it costs of its lot: as it is cut, and a clean end. This is gross wherever gross is told. */
    public function grossMm(Ruler $ruler): float
    {
        return $this->printedMm($ruler) + $this->trimMm();
    }

    public function trimMm(): float
    {
        return $this->pinMm === null ? CuttingTerms::TRIM_MM : 0.0;
    }

    public function isBoughtPin(): bool
    {
        return $this->pinMm !== null;
    }

    public function times(int $count): self
    {
        return $this->changed(['count' => $count]);
    }

    public function labelled(string $label): self
    {
        return $this->changed(['label' => $label]);
    }

    /** The same of a part that is alike. */
    public function ofPart(PartId $part): self
    {
        $segments = array_map(
            fn (Segment $segment): Segment => $segment->marked($part->markLike($segment->mark)), $this->segments,
        );

        return $this->changed(['part' => $part, 'segments' => $segments]);
    }

    /** @param  non-empty-list<Segment>  $segments */
    public function wound(array $segments, RingCoil $rings): self
    {
        return $this->changed(
            ['label' => ucfirst($rings->thing()).'s', 'count' => 1, 'segments' => $segments, 'bends' => [],
                'rings' => $rings],
        );
    }

    /** @param  non-empty-list<Segment>  $segments */
    public function with(array $segments): self
    {
        return $this->changed(['segments' => $segments]);
    }

    /**
     * @param  non-empty-list<Segment>  $segments
     * @param  list<BendMark>  $bends
     */
    public function fitted(array $segments, array $bends, Advice $advice): self
    {
        return $this->changed(['segments' => $segments, 'bends' => $bends, 'advice' => $advice]);
    }

    /** @param  array<string, mixed>  $changed */
    private function changed(array $changed): self
    {
        $now = get_object_vars($this);
        unset($now['lengthMm'], $now['netMm']);

        return Copy::of(self::class, $now, $changed);
    }
}
