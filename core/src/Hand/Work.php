<?php

declare(strict_types=1);

namespace Hebra\Core\Hand;

use Hebra\Core\Course\Segment;
use Hebra\Core\Course\SegmentKind;
use Hebra\Core\Plan\Cut;
use Hebra\Core\Wire\SizeSystem;

/**
 * What one cut asks of the hand: how much of it is formed, how much only laid straight, and which way of forming it
 * teaches. Formed are loops, necks, wraps, coils, bindings and weave; arches, frames, seats and tails have no ratio. A
 * way teaches where it is 70 % of what is formed [memory]. Millimetres.
 */
final readonly class Work
{
    public const LOOPS = 'loops';

    public const WAYS = [
        self::LOOPS => 'loops and wraps',
        'coil' => 'coils',
        'binding' => 'bindings',
        'weave' => 'weaves',
    ];

    private const TEACHES_FROM = 0.7;

    private function __construct(
        public float $straightMm, public float $formedMm, public float $tailMm, public ?string $way, public int $awg,
    ) {
    }

    public static function in(Cut $cut): self
    {
        $straight = $tail = 0.0;
        $by = [];
        foreach ($cut->segments as $segment) {
            $way = self::wayOf($segment);
            match (true) {
                $way !== null => $by[$way] = ($by[$way] ?? 0.0) + $segment->lengthMm,
                $segment->kind->stays() => $straight += $segment->lengthMm,
                default => $tail += $segment->lengthMm,
            };
        }
        $formed = array_sum($by);
        arsort($by);
        $most = array_key_first($by);

        return new self(
            $straight,
            (float) $formed,
            $tail,
            $most !== null && $formed > 0 && $by[$most] >= self::TEACHES_FROM * $formed ? $most : null,
            SizeSystem::nearestAwg($cut->wire->diameterMm()),
        );
    }

    public static function wayOf(Segment $segment): ?string
    {
        return match ($segment->kind) {
            SegmentKind::Loop, SegmentKind::Neck, SegmentKind::Wraps, SegmentKind::Eye, SegmentKind::Foot,
            SegmentKind::Curl => self::LOOPS,
            SegmentKind::Coil => 'coil',
            SegmentKind::Binding => 'binding',
            SegmentKind::Weave => 'weave',
            default => null,
        };
    }

    /** What is learned together: `loops/22`; null where the cut teaches nothing. */
    public function key(): ?string
    {
        return $this->way === null ? null : $this->way.'/'.$this->awg;
    }

    /** Used over what the sum says, of what was really used of the wire. */
    public function ratio(float $usedMm): float
    {
        return ($usedMm - $this->straightMm) / $this->formedMm;
    }
}
