<?php

declare(strict_types=1);

namespace Hebra\Core\Course;

use Hebra\Core\Course\Shape\Laid;
use Hebra\Core\Course\Shape\Taken;

/** How far a move is made while its wire is formed, and what of it is there. */
final readonly class MoveState
{
    /** @param  list<Threaded>  $threaded  what stands on it already */
    public function __construct(
        /** how much of it is made, 0…1, from the anchor of its course outwards */
        public float $share,
        private array $threaded,
        /** whether it is made bit by bit, in several steps */
        private bool $isInStages = false,
        /** false once it is trimmed off */
        private bool $isThere = true,
        /** whether it is as wide as it will be: hammered, pressed or melted */
        private bool $isWide = true,
    ) {
    }

    /** States of one move that are alike have the same, whatever plan they are of. */
    public function key(): string
    {
        $runs = array_map(
            fn (Threaded $run): string => "{$run->mark} {$run->count} {$run->atMm} {$run->bead->key()}",
            $this->threaded,
        );

        return "{$this->share}/".implode(',', $runs)
            .'/'.(int) $this->isInStages.(int) $this->isThere.(int) $this->isWide;
    }

    /**
     * The moves that it is seen as, outwards.
     *
     * @return non-empty-list<Move>
     */
    public function formed(Move $move, Curve $outwards): array
    {
        $spans = $this->isThere ? $outwards->spans : [];
        if (! $this->isInStages) {
            return [$this->bit($move, $spans, $this->threaded)];
        }
        $madeMm = $this->share >= 1.0
            ? INF
            : $outwards->lengthMm() - (1 - $this->share) * $move->segment->lengthMm;
        [$made, $rest, $mm] = [[], [], 0.0];
        foreach ($spans as $span) {
            $mm += $span->lengthMm();
            $mm <= $madeMm + 1e-6 ? $made[] = $span : $rest[] = $span;
        }
        [$on, $beyond] = $this->partedAt($madeMm);

        return [$this->bit($move, $made, $on), $this->rest($move, $rest, $beyond)];
    }

    /** @return array{list<Threaded>, list<Threaded>} what stands on its first so many millimetres, and on the rest */
    private function partedAt(float $madeMm): array
    {
        [$on, $beyond, $mm] = [[], [], 0.0];
        foreach ($this->threaded as $run) {
            $mm = $run->atMm ?? $mm;
            if ($mm < $madeMm) {
                $on[] = $run;
            } else {
                $beyond[] = $run->at($mm - $madeMm);
            }
            $mm += $run->count * $run->bead->lengthMm;
        }

        return [$on, $beyond];
    }

    /**
     * @param  list<Span>  $spans
     * @param  list<Threaded>  $threaded
     */
    private function bit(Move $move, array $spans, array $threaded): Move
    {
        return $move->whileFormed(
            $spans === [] ? new Taken : Laid::through($spans), $threaded, $this->isInStages ? $this->share : 1.0,
            $this->isWide,
        );
    }

    /**
     * @param  list<Span>  $spans
     * @param  list<Threaded>  $threaded
     */
    private function rest(Move $move, array $spans, array $threaded): Move
    {
        return $move->whileFormed(
            $spans === [] ? new Taken : Laid::through($spans), $threaded, 1 - $this->share, false,
        )->unmarked();
    }
}
