<?php

declare(strict_types=1);

namespace Hebra\Core\Course;

use Closure;
use Hebra\Core\Copy;
use Hebra\Core\Course\Shape\Later;
use Hebra\Core\Handwork\Handwork;

/** One stretch of a wire's course: what it becomes and how long it is, how it lies, and what stands on it. */
final readonly class Move
{
    /** @param  list<Threaded>|Closure(): list<Threaded>  $threaded  from the first end of the wire on */
    public function __construct(
        public Segment $segment,
        public Shape $shape,
        private array|Closure $threaded = [],
        /** what the maker marks where it ends, towards the last end of the wire */
        public string $bendAfter = '',
        /**
         * how wide it is seen, mm, where that is not the wire's thickness; its ends round where it was melted or
         * hammered
         */
        public ?float $wideMm = null,
        public bool $isRounded = false,
        /** of what is turned back and hidden, which is no longer the piece's and yet is seen */
        private bool $staysSeen = false,
        /** how wide it is seen before it is hammered or pressed, mm; null for as wide as its wire */
        private ?float $roundMm = null,
        /** @var list<Closure(): Handwork> what the hands do to it, said when it is asked */
        public array $handwork = [],
    ) {
    }

    public function lying(Shape $shape): self
    {
        return $this->with(['shape' => $shape]);
    }

    /**
     * More is done to it.
     *
     * @param  Closure(): Handwork  ...$handwork
     */
    public function by(Closure ...$handwork): self
    {
        return $this->with(['handwork' => [...$this->handwork, ...array_values($handwork)]]);
    }

    /**
     * While its wire is formed: so much of it, and whether it is as wide already as it will be.
     *
     * @param  list<Threaded>  $threaded
     */
    public function whileFormed(Shape $shape, array $threaded, float $share, bool $isWide): self
    {
        return $this->with([
            'segment' => $share < 1.0 ? $this->segment->shared($share) : $this->segment, 'shape' => $shape,
            'threaded' => $threaded, 'wideMm' => $isWide ? $this->wideMm : $this->roundMm,
            'isRounded' => $isWide && $this->isRounded, 'staysSeen' => true, 'handwork' => [],
        ]);
    }

    /** Lit by nothing that is done. */
    public function unmarked(): self
    {
        return $this->with(['segment' => $this->segment->marked('')])->untouched();
    }

    /** Nothing is done to it. */
    public function untouched(): self
    {
        return $this->with(['handwork' => []]);
    }

    /** Whether it is still there when the piece is finished. */
    public function stays(): bool
    {
        return $this->staysSeen || $this->segment->kind->stays();
    }

    /** Whether it is seen in the finished piece. */
    public function isSeen(): bool
    {
        return $this->stays() && $this->shape->lengthMm() > 1e-6;
    }

    public function bending(string $words): self
    {
        return $this->with(['bendAfter' => $words]);
    }

    /** @return list<Threaded> */
    public function threaded(): array
    {
        return $this->threaded instanceof Closure ? ($this->threaded)() : $this->threaded;
    }

    /**
     * Every bead on it where it stands, with how its wire runs there.
     *
     * @return list<array{Threaded, Vector, Vector}>
     */
    public function standing(Curve $curve): array
    {
        $standing = [];
        $mm = 0.0;
        foreach ($this->threaded() as $run) {
            $mm = ($run->atMm ?? $mm) + ($run->held?->beforeMm() ?? 0.0);
            for ($bead = 0; $bead < $run->count; $bead++) {
                [$at, $runs] = $curve->at($mm + $run->bead->lengthMm / 2);
                $standing[] = [$run, $run->aside === null ? $at : $at->plus($run->aside), $run->ahead ?? $runs];
                $mm += $run->bead->lengthMm;
            }
            $mm += $run->held?->afterMm() ?? 0.0;
        }

        return $standing;
    }

    /** @param  list<Threaded>|Closure(): list<Threaded>  $threaded */
    public function threading(array|Closure $threaded): self
    {
        return $this->with(['threaded' => $threaded instanceof Closure ? Later::once($threaded) : $threaded]);
    }

    /** @param  array<string, mixed>  $changed */
    private function with(array $changed): self
    {
        return Copy::of(self::class, get_object_vars($this), $changed);
    }
}
