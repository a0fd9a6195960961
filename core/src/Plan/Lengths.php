<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

use Hebra\Core\Course\Groups;
use Hebra\Core\Piece\BeadRun;
use Hebra\Core\Piece\Change;
use Hebra\Core\Piece\Change\CountBead;
use Hebra\Core\Piece\Change\RepeatPart;
use Hebra\Core\Piece\Change\SetGroup;
use Hebra\Core\Piece\Change\SetSetting;
use Hebra\Core\Piece\Part;
use Hebra\Core\Piece\Piece;
use Hebra\Core\Problem;
use Hebra\Core\Quantity\Figures;

/**
 * Ways to bring a line round wrist or neck to the length that fits: other counts of what repeats, of links or of beads,
 * smaller or larger rings, rings to lengthen it, and pairs of these. What is alike changes alike, so that halves stay
 * halves. Each way is tried: only what then fits, and brings no stop, is offered.
 */
final readonly class Lengths
{
    private const MOST = 5;

    /** So many beads more or fewer in a row, or as many as there are, still look like the same design. */
    private const BEADS = 3;

    private const LEAST_RING_MM = 2.0;

    private const MOST_RING_MM = 12.0;

    /** A ring grown or shrunk by more than this share looks like another ring. */
    private const RING_SHARE = 0.45;

    /** What is set to a length, as it is said. */
    private const SET = ['length' => 'woven ', 'gap' => 'gaps of '];

    /** @param  int  $stops  how many the piece has as it is */
    public function __construct(
        private Piece $piece,
        private Profile $profile,
        private Layout $layout,
        private Reach $reach,
        private int $stops,
    ) {
    }

    /** @return list<Way> those that come nearest, first those that change least */
    public function ways(): array
    {
        $ways = [];
        foreach ($this->candidates() as [$words, $changes, $leftMm]) {
            $isNew = count($ways) < self::MOST && ! isset($ways[$words]);
            if ($isNew && abs($leftMm) <= $this->reach->toleranceMm() && $this->isSound($changes)) {
                $ways[$words] = Way::all($words, $changes);
            }
        }

        return array_values($ways);
    }

    /**
     * @param  non-empty-list<Change>  $changes
     */
    private function isSound(array $changes): bool
    {
        try {
            $piece = Way::all('', $changes)->change->apply($this->piece);
        } catch (Problem) {
            return false;
        }
        $plan = Planner::plan($piece, $this->profile, false);

        return $plan->reach()?->fits() === true && Tried::stops($plan->checks) <= $this->stops;
    }

    /**
     * @return iterable<array{string, non-empty-list<Change>, float}> words, changes, and how far off it would still be
     */
    private function candidates(): iterable
    {
        $off = $this->reach->offMm();
        $kinds = $this->kinds();
        $repeats = $this->repeats($off);
        yield from $repeats;
        // Whole repeats, and what is left by rings or beads.
        foreach ($repeats as $first) {
            yield from $this->besides($first, $kinds);
        }
        foreach ($kinds as $parts) {
            yield from $this->ofKind($parts, $off);
        }
        yield from $this->extended($off);
    }

    /**
     * @param  array{string, non-empty-list<Change>, float, int}  $first
     * @param  list<non-empty-list<Part>>  $kinds
     * @return iterable<array{string, non-empty-list<Change>, float}>
     */
    private function besides(array $first, array $kinds): iterable
    {
        [$words, $changes, $off, $count] = $first;
        foreach ($kinds as $parts) {
            foreach ($this->ofKind($parts, $off, $count / max(1, $this->reach->count)) as [$more, $besides, $left]) {
                yield ["{$words}, {$more}", [...$changes, ...$besides], $left];
            }
        }
        foreach ($this->extended($off) as [$more, $besides, $left]) {
            yield ["{$words}, {$more}", [...$changes, ...$besides], $left];
        }
    }

    /**
     * @return list<array{string, non-empty-list<Change>, float, int}> the whole numbers on either side of what would
     *     fit, the nearer first
     */
    private function repeats(float $offMm): array
    {
        if ($this->reach->unitMm <= 0 || $this->reach->isLinks) {
            return [];
        }
        $exact = $this->reach->count - $offMm / $this->reach->unitMm;
        $counts = abs($exact - floor($exact)) < 0.5
            ? [(int) floor($exact), (int) ceil($exact)]
            : [(int) ceil($exact), (int) floor($exact)];
        $found = [];
        foreach (array_unique($counts) as $count) {
            if ($count < 1 || $count === $this->reach->count) {
                continue;
            }
            $changes = $this->reach->part !== null
                ? [new RepeatPart($this->reach->part, $count)]
                : array_map(
                    fn (string $group): Change => new SetGroup($group, $count), explode(' ', $this->reach->group),
                );
            $found[] = [
                Figures::counted($count, 'repeat'),
                $changes,
                $offMm + ($count - $this->reach->count) * $this->reach->unitMm,
                $count,
            ];
        }

        return $found;
    }

    /**
     * The parts of the line by what they are: those alike, turned about or not, together.
     *
     * @return list<non-empty-list<Part>>
     */
    private function kinds(): array
    {
        $kinds = $aside = [];
        foreach ($this->piece->parts as $part) {
            $kind = self::kind($part);
            if ($this->layout->lengthOf($part->id) > 0) {
                $kinds[$kind][] = $part;
            } else {
                $aside[$kind] = true;
            }
        }

        // What stands in a strand beside the line too would have to change there as well.
        return array_values(array_diff_key($kinds, $aside));
    }

    private static function kind(Part $part): string
    {
        $runs = fn (Part $of): array => array_map(fn (BeadRun $run): string => $run->bead.' '.$run->count, $of->beads);
        $ways = [
            json_encode([$part->technique, $part->settings, $runs($part)], JSON_THROW_ON_ERROR),
            json_encode([$part->technique, $part->mirrored()->settings, $runs($part->mirrored())], JSON_THROW_ON_ERROR),
        ];
        sort($ways);

        return $ways[0];
    }

    /**
     * @param  non-empty-list<Part>  $parts  alike
     * @return iterable<array{string, non-empty-list<Change>, float}>
     */
    private function ofKind(array $parts, float $offMm, float $more = 1.0): iterable
    {
        $part = $parts[0];
        $times = $more * array_sum(array_map(fn (Part $one): int => $this->piece->times($one), $parts));
        yield from match ($part->technique) {
            'chain' => $this->links($parts, $offMm, $times),
            'jump-ring' => $this->rings($parts, $offMm, $times),
            'strand' => $part->choice('set') === 'spaced' && $part->choice('gaps') === '' && $part->beads !== []
                ? $this->gaps($parts, $offMm, $times)
                : [],
            'woven-band' => $this->set($parts, 'length', $part->mm('length') - $offMm / $times),
            default => [],
        };
        yield from $this->beads($parts, $offMm, $times);
    }

    /**
     * @param  non-empty-list<Part>  $parts
     * @return list<array{string, non-empty-list<Change>, float}>
     */
    private function links(array $parts, float $offMm, float $times): array
    {
        $eachMm = $times * $parts[0]->mm('inside');
        $by = -(int) round($offMm / $eachMm);
        $count = $parts[0]->count('links') + $by;
        $words = Figures::counted($count, 'link').(count($parts) > 1 ? ' in each of '.count($parts) : '');

        return $by === 0 || $count < 1
            ? []
            : [[$words, $this->setAll($parts, 'links', (string) $count), $offMm + $by * $eachMm]];
    }

    /**
     * @param  non-empty-list<Part>  $parts
     * @return list<array{string, non-empty-list<Change>, float}>
     */
    private function rings(array $parts, float $offMm, float $times): array
    {
        $was = $parts[0]->mm('inside');
        $inside = round($was - $offMm / $times, 1);
        if (
            $inside === round($was, 1)
            || $inside < self::LEAST_RING_MM
            || $inside > self::MOST_RING_MM
            || abs($inside - $was) > self::RING_SHARE * $was
        ) {
            return [];
        }

        return [
            [
                'rings of '.$this->profile->size($inside), $this->setAll($parts, 'inside', $inside.' mm'),
                $offMm + ($inside - $was) * $times,
            ],
        ];
    }

    /**
     * @param  non-empty-list<Part>  $parts
     * @return list<array{string, non-empty-list<Change>, float}>
     */
    private function gaps(array $parts, float $offMm, float $times): array
    {
        $groups = Groups::read($parts[0]->choice('groups'), 'groups');
        $gaps = $groups->count(array_column($parts[0]->beads, 'count')) + 1;

        return $this->set($parts, 'gap', $parts[0]->mm('gap') - $offMm / $times / $gaps);
    }

    /**
     * @param  non-empty-list<Part>  $parts
     * @param  key-of<self::SET>  $key
     * @return list<array{string, non-empty-list<Change>, float}>
     */
    private function set(array $parts, string $key, float $millimetres): array
    {
        $mm = round($millimetres, 1);
        $words = self::SET[$key].$this->profile->size($mm);

        return $mm <= 0 ? [] : [[$words, $this->setAll($parts, $key, $mm.' mm'), 0.0]];
    }

    /**
     * @param  non-empty-list<Part>  $parts
     * @return non-empty-list<Change>
     */
    private function setAll(array $parts, string $key, string $value): array
    {
        return array_map(
            fn (Part $part): Change => new SetSetting($part->id, $key, $value),
            $parts,
        );
    }

    /**
     * Other counts of one of its beads; where its beads are alike from both ends, of both that answer each other.
     *
     * @param  non-empty-list<Part>  $parts
     * @return iterable<array{string, non-empty-list<Change>, float}>
     */
    private function beads(array $parts, float $offMm, float $times): iterable
    {
        $beads = $parts[0]->beads;
        $last = count($beads) - 1;
        $isMirrored = self::names($beads) === self::names(array_reverse($beads));
        foreach ($beads as $at => $run) {
            $answers = $isMirrored && $at !== $last - $at ? [$at, $last - $at] : [$at];
            $eachMm = $this->piece->beads[$run->bead]->lengthMm * count($answers) * $times;
            $by = -(int) round($offMm / $eachMm);
            if (
                $by === 0
                || abs($by) > max(self::BEADS, $run->count)
                || $run->count + $by < 1
                || $run->count + $by > BeadRun::MOST
                || $at > $last - $at
                && $isMirrored
            ) {
                continue;
            }
            $changes = [];
            foreach ($parts as $part) {
                $isTurned = self::names($part->beads) !== self::names($beads);
                foreach ($answers as $place) {
                    $changes[] = new CountBead($part->id, $isTurned ? $last - $place : $place, $run->count + $by);
                }
            }
            yield [$run->count + $by.' × '.$this->piece->beads[$run->bead]->words(), $changes, $offMm + $by * $eachMm];
        }
    }

    /**
     * @param  list<BeadRun>  $runs
     * @return list<string>
     */
    private static function names(array $runs): array
    {
        return array_map(fn (BeadRun $run): string => $run->bead.' '.$run->count, $runs);
    }

    /** @return iterable<array{string, non-empty-list<Change>, float}> more rings where it ends in one */
    private function extended(float $offMm): iterable
    {
        $last = $this->piece->parts[count($this->piece->parts) - 1];
        if ($offMm >= 0 || $last->technique !== 'jump-ring' || $last->group !== '' || $last->is('closed')) {
            return;
        }
        $more = (int) round(-$offMm / $last->mm('inside'));
        yield [
            Figures::counted($more, 'ring').' to lengthen it',
            [new RepeatPart($last->id, $last->repeat + $more)],
            $offMm + $more * $last->mm('inside'),
        ];
    }
}
