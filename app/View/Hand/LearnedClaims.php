<?php

declare(strict_types=1);

namespace App\View\Hand;

use App\Models\Measurement;
use App\Models\Piece;
use App\Read\HandDesk;
use App\View\SeenPiece;
use Hebra\Core\Hand\Consistency;
use Hebra\Core\Hand\Learned;
use Hebra\Core\Hand\Log;
use Hebra\Core\Hand\Pace;
use Hebra\Core\Wire\Metal;
use Hebra\Core\Wire\Temper;
use Illuminate\Support\Collection;

/**
 * What was learned of a hand, in four claims, each with the figures that its drawing proves it by; null where too
 * little is known for one.
 *
 * @phpstan-type Pair array{differMm: float, isSeen: bool}
 * @phpstan-type WireUse array{words: string, percent: float, enough: float, ticks: list<float>}
 * @phpstan-type Opening array{wire: string, byMm: float, foretoldMm: float, measuredMm: float, count: int}
 * @phpstan-type Stretch array{kind: string, guess: float, own: float}
 */
final readonly class LearnedClaims
{
    private const MOST_PAIRS = 16;

    private const MOST_WIRES = 4;

    /** Enough in so many of a hundred cases is drawn as what is cut now. */
    private const ENOUGH = 0.8;

    public function __construct(private HandDesk $desk)
    {
    }

    /** @return list<Pair> loops that were made one after the other for one size, the latest pairs last */
    public function pairs(): array
    {
        $pairs = [];
        foreach ($this->desk->loops as $loops) {
            foreach (array_chunk($loops['sizes'], 2) as $two) {
                if (count($two) === 2) {
                    $pairs[] = $two;
                }
            }
        }
        usort($pairs, fn (array $one, array $other): int => $one[1]->id <=> $other[1]->id);

        return array_map(function (array $two): array {
            $differ = abs($two[0]->measuredMm() - $two[1]->measuredMm());

            return ['differMm' => $differ, 'isSeen' => $differ > Consistency::TO_THE_EYE_MM];
        }, array_slice($pairs, -self::MOST_PAIRS));
    }

    /**
     * How many pairs the eye takes for alike.
     *
     * @param  list<Pair>  $pairs
     */
    public static function alike(array $pairs): int
    {
        return count(array_filter($pairs, fn (array $pair): bool => ! $pair['isSeen']));
    }

    /** @return list<WireUse> more wire than the sum by gauge, in hundredths */
    public function wires(): array
    {
        $learned = array_filter($this->desk->ways, fn (array $way): bool => $way['learned']->isLearned());

        return array_map(fn (array $way): array => [
            'words' => $way['words'], 'percent' => 100 * ($way['learned']->factor() - 1),
            'enough' => 100 * ($way['learned']->quantile(self::ENOUGH) - 1),
            'ticks' => array_map(fn ($cut): float => 100 * ($cut->ratio() - 1), $way['cuts']),
        ], array_slice(array_values($learned), 0, self::MOST_WIRES));
    }

    /** How much more wire, over all that is learned, each way as often as it was logged. */
    public function morePercent(): float
    {
        $sum = $count = 0.0;
        foreach ($this->desk->ways as $way) {
            if ($way['learned']->isLearned()) {
                $sum += $way['learned']->count * 100 * ($way['learned']->factor() - 1);
                $count += $way['learned']->count;
            }
        }

        return $count > 0 ? $sum / $count : 0.0;
    }

    /** @return Opening|null of the bends that were measured most */
    public function opening(): ?array
    {
        /** @var Collection<int, Measurement> $rows */
        $rows = $this->desk->workshop->measurements()->where('what', 'inside')->whereNull('forgotten_at')
            ->where('wanted_um', '>', 0)->orderBy('id')->get();
        /** @var Collection<int, Measurement> $most */
        $most = $rows->groupBy(fn (Measurement $one): string => "{$one->metal}/{$one->temper}")
            ->sortByDesc(fn (Collection $of): int => $of->count())->first() ?? new Collection;
        $last = $most->last();
        if ($last === null || $most->count() < Learned::LEAST) {
            return null;
        }
        $factor = Learned::from(array_values($most->map(
            fn (Measurement $one): Log => new Log($one->measured_um / $one->wanted_um),
        )->all()))->factor();
        $wire = Temper::from($last->temper)->words().' '.Metal::from($last->metal)->words();

        return [
            'wire' => ucfirst($wire), 'byMm' => $last->wantedMm() * ($factor - 1), 'foretoldMm' => $last->wantedMm(),
            'measuredMm' => $last->wantedMm() * $factor, 'count' => $most->count(),
        ];
    }

    /** Whether plans follow what was learned. */
    public function isPlannedSo(): bool
    {
        return $this->desk->workshop->hand_on;
    }

    /** The piece whose making is told: the latest that was made, else the latest there is. */
    public function piece(): ?Piece
    {
        $pieces = $this->desk->workshop->pieces()->where('is_pattern', false);

        return (clone $pieces)->whereHas('makings')->latest('updated_at')->first() ?? $pieces->latest('id')->first();
    }

    /** @return list<Stretch> minutes of each kind of step, as guessed and as this hand takes */
    public function stretches(Piece $piece): array
    {
        $stretches = [];
        $seen = SeenPiece::in($this->desk->workshop)($piece->json());
        foreach ($seen->minutes() as $kind => $minutes) {
            $stretches[] = [
                'kind' => Pace::KINDS[$kind] ?? $kind, 'guess' => $minutes,
                'own' => $this->desk->pace->about([$kind => $minutes]),
            ];
        }

        return $stretches;
    }
}
