<?php

declare(strict_types=1);

namespace Hebra\Core\Piece\Change;

use Hebra\Core\Bead\Bead;
use Hebra\Core\Piece\BeadRun;
use Hebra\Core\Piece\Piece;

/** What is done to runs of beads that are chosen together on one part. */
final readonly class RunsDeed
{
    public const REMOVE = 'beads.remove';

    public const SWAP = 'beads.swap';

    public const COLOUR = 'beads.colour';

    public const COUNT = 'beads.count';

    public const MOVE = 'beads.move';

    public const COPY = 'beads.copy';

    public const MIRROR = 'beads.mirror';

    public const REVERSE = 'beads.reverse';

    private const WORDS = [
        self::REMOVE => 'Took off several', self::SWAP => 'Swapped several', self::COLOUR => 'Recoloured several',
        self::COUNT => 'Counted several', self::MOVE => 'Moved several', self::COPY => 'Copied several',
        self::MIRROR => 'Mirrored several', self::REVERSE => 'Turned several round',
    ];

    /**
     * @param  Bead|string  $bead  another in their place, or its key
     * @param  int  $by  how many more of each, or which way they go
     */
    public function __construct(
        public string $name, public Bead|string $bead = '', public int $by = 0, public string $colour = '',
    ) {
    }

    public function words(): string
    {
        return self::WORDS[$this->name];
    }

    /**
     * @param  list<BeadRun>  $runs  of one part
     * @param  non-empty-list<int>  $places  those that are chosen, in their order
     * @return array{list<BeadRun>, array<string, Bead>} the runs after it, and beads that are new to the piece
     */
    public function done(Piece $piece, array $runs, array $places): array
    {
        $chosen = array_map(fn (int $place): BeadRun => $runs[$place], $places);

        return match ($this->name) {
            self::REMOVE => [array_values(array_diff_key($runs, array_flip($places))), []],
            self::COUNT => [$this->counted($runs, $places), []],
            self::MOVE => [$this->moved($runs, $places), []],
            self::REVERSE => [array_values(array_replace($runs, array_combine($places, array_reverse($chosen)))), []],
            self::COPY => [self::after($runs, $places, $chosen), []],
            self::MIRROR => [self::after($runs, $places, array_reverse($chosen)), []],
            default => $this->exchanged($piece, $runs, $places),
        };
    }

    /**
     * @param  list<BeadRun>  $runs
     * @param  list<int>  $places
     * @return list<BeadRun>
     */
    private function counted(array $runs, array $places): array
    {
        foreach ($places as $place) {
            $runs[$place] = $runs[$place]->times(max(1, min(BeadRun::MOST, $runs[$place]->count + $this->by)));
        }

        return array_values($runs);
    }

    /**
     * Each past the neighbour that is not chosen; what stands at the end stays.
     *
     * @param  list<BeadRun>  $runs
     * @param  list<int>  $places
     * @return list<BeadRun>
     */
    private function moved(array $runs, array $places): array
    {
        $way = $this->by < 0 ? -1 : 1;
        $held = [];
        foreach ($way < 0 ? $places : array_reverse($places) as $place) {
            $to = $place + $way;
            if (! isset($runs[$to]) || isset($held[$to])) {
                $held[$place] = true;

                continue;
            }
            [$runs[$place], $runs[$to]] = [$runs[$to], $runs[$place]];
            $held[$to] = true;
        }

        return array_values($runs);
    }

    /**
     * @param  list<BeadRun>  $runs
     * @param  non-empty-list<int>  $places
     * @param  list<BeadRun>  $more
     * @return list<BeadRun> with more after the last that is chosen
     */
    private static function after(array $runs, array $places, array $more): array
    {
        array_splice($runs, max($places) + 1, 0, $more);

        return $runs;
    }

    /**
     * Another bead, or the same in another colour.
     *
     * @param  list<BeadRun>  $runs
     * @param  list<int>  $places
     * @return array{list<BeadRun>, array<string, Bead>}
     */
    private function exchanged(Piece $piece, array $runs, array $places): array
    {
        $new = [];
        foreach ($places as $place) {
            $bead = $this->name === self::COLOUR
                ? $piece->beads[$runs[$place]->bead]->coloured($this->colour)
                : $this->bead;
            [$key, $more] = AddBead::keyFor($piece, $bead);
            [$piece, $new] = [$piece->withParts($piece->parts, $more), [...$new, ...$more]];
            $runs[$place] = new BeadRun($key, $runs[$place]->count);
        }

        return [array_values($runs), $new];
    }
}
