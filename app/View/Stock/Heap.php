<?php

declare(strict_types=1);

namespace App\View\Stock;

use Hebra\Core\Bead\Bead;

/**
 * Beads as the heap they make: all of them, row upon row, at one scale with the other heaps unless there are too many
 * for that. Pixels, from the middle of the shelf up.
 */
final readonly class Heap
{
    public const WIDE = 92;

    public const HIGH = 84;

    private const PX_PER_MM = 2.0;

    private const MOST_SHOWN = 120;

    /** What lies on its side is longer than it is wide. */
    private const LIES_DOWN = 1.6;

    public float $wide;

    public float $long;

    /** @var list<array{float, float}> where each bead's middle is */
    public array $places;

    private function __construct(public Bead $bead, int $count)
    {
        $shown = min($count, self::MOST_SHOWN);
        $perMm = self::PX_PER_MM;
        $across = $this->liesDown() ? $bead->lengthMm : $bead->widthMm;
        $high = $this->liesDown() ? $bead->widthMm : $bead->lengthMm;
        $atFoot = max(1, (int) ceil((sqrt(8 * $shown + 1) - 1) / 2));
        // Low things make low, wide heaps; what is tall stands in fewer rows.
        $perMm = min($perMm, self::WIDE / ($atFoot * $across), self::HIGH / ($high * (1 + ($atFoot - 1) * 0.87)));
        $this->wide = round($bead->widthMm * $perMm, 2);
        $this->long = round($bead->lengthMm * $perMm, 2);
        $this->places = self::rows($shown, $atFoot, [$across * $perMm, $high * $perMm]);
    }

    public static function of(Bead $bead, int $count): self
    {
        return new self($bead, $count);
    }

    public function liesDown(): bool
    {
        return $this->bead->lengthMm > self::LIES_DOWN * $this->bead->widthMm && $this->bead->shape->value !== 'drop';
    }

    /**
     * @param  array{float, float}  $each  how wide and how high one lies
     * @return list<array{float, float}>
     */
    private static function rows(int $count, int $atFoot, array $each): array
    {
        [$across, $high] = $each;
        $places = [];
        for ($row = 0; $count > 0; $row++) {
            $here = min($count, max(1, $atFoot - $row));
            for ($at = 0; $at < $here; $at++) {
                $places[] = [
                    round(($at - ($here - 1) / 2) * $across, 1), round(-$high / 2 - $row * $high * 0.87, 1),
                ];
            }
            $count -= $here;
        }

        return $places;
    }
}
