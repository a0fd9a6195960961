<?php

declare(strict_types=1);

namespace Hebra\Core\Figure;

use Hebra\Core\Wrap\WeaveMove;

/**
 * Single moves of a weave, drawn to scale: as notes on their running cores, and cut across, with the way of the wire
 * round the cores. Millimetres; kinds as of Woven.
 */
final readonly class WeaveNotes
{
    /** So many turns of a move are drawn at most; the rest is told. */
    private const TURNS = 8;

    /** How much longer a note is than its cores are wide together. */
    private const WIDE = 2.4;

    /** Half a circle is drawn of so many straight pieces. */
    private const PIECES = 12;

    /** @param  non-empty-list<float>  $middlesMm  how far below the first core each stands */
    public function __construct(private array $middlesMm, private float $coreMm, private float $wireMm)
    {
    }

    /** @return non-empty-list<float> so many cores, each a spacing below the one before */
    public static function spaced(int $cores, float $spacingMm): array
    {
        return array_map(fn (int $core): float => $core * $spacingMm, range(0, $cores - 1));
    }

    private function halfMm(): float
    {
        return ($this->coreMm + $this->wireMm) / 2;
    }

    /** Seen from the front, on a stretch of all the cores. */
    public function note(WeaveMove $move, bool $isLit = false): Diagram
    {
        $drawn = new Diagram($move->words());
        if ($move->isFront === false) {
            $this->turns($drawn, $move, $isLit ? 'lit' : 'under');
        }
        $half = self::WIDE / 2 * (max($this->middlesMm) + 2 * $this->halfMm());
        foreach ($this->middlesMm as $y) {
            $drawn->line('core', [[-$half, $y], [$half, $y]], $this->coreMm);
        }
        if ($move->isFront !== false) {
            $this->turns($drawn, $move, $isLit ? 'lit' : 'wrap');
        }

        return $drawn;
    }

    private function turns(Diagram $drawn, WeaveMove $move, string $kind): void
    {
        $upper = $this->middlesMm[$move->from - 1] - $this->halfMm();
        $lower = $this->middlesMm[$move->to - 1] + $this->halfMm();
        $turns = min(self::TURNS, $move->turns);
        for ($turn = 0; $turn < $turns; $turn++) {
            $x = ($turn - ($turns - 1) / 2) * $this->wireMm;
            $slant = 0.25 * $this->wireMm;
            $drawn->line($kind, [[$x - $slant, $upper], [$x + $slant, $lower]], $this->wireMm);
        }
    }

    /** Cut across the cores: the front at the left, the first core above, and the wire as it lies round them. */
    public function across(WeaveMove $move): Diagram
    {
        $drawn = new Diagram("{$move->words()}, cut across the cores");
        foreach ($this->middlesMm as $core => $y) {
            $drawn->circle('copper', 0.0, $y, $this->coreMm / 2)->label((string) ($core + 1), 0.0, $y);
        }
        [$over, $under] = [$this->bow($move->from, -1.0), $this->bow($move->to, 1.0)];
        $half = intdiv(self::PIECES, 2);
        // A pass lies on one side of its core alone: from between the cores to between them.
        /** @var non-empty-list<array{float, float}> $way */
        $way = match ($move->isFront) {
            true => [...array_slice($under, $half), ...array_slice($over, 0, $half + 1)],
            false => [...array_slice($over, $half), ...array_slice($under, 0, $half + 1)],
            null => [...$over, ...$under],
        };

        return $drawn->line('lit', $way, $this->wireMm, $move->isFront === null);
    }

    /**
     * Half round the outside of a core: over the upper from the front to the back, under the lower back to the front.
     *
     * @return non-empty-list<array{float, float}>
     */
    private function bow(int $core, float $side): array
    {
        $points = [];
        for ($piece = 0; $piece <= self::PIECES; $piece++) {
            $angle = M_PI * $piece / self::PIECES;
            $points[] = [
                $side * $this->halfMm() * cos($angle),
                $this->middlesMm[$core - 1] + $side * $this->halfMm() * sin($angle),
            ];
        }

        return $points;
    }
}
