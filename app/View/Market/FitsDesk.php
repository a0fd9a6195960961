<?php

declare(strict_types=1);

namespace App\View\Market;

use App\Models\Piece;
use App\Models\Workshop;
use App\Read\Holdings;
use App\Read\PieceBills;
use App\Read\PieceWork;
use App\View\Coins;
use App\View\HungPicture;
use App\View\SeenPiece;
use Carbon\CarbonImmutable;
use Hebra\Core\Market\Needs;
use Hebra\Core\Market\Task;
use Hebra\Core\Price\Bill;
use Illuminate\Support\Collection;

/**
 * What could be made in so much time at the bench: each piece as often as it fits, as far as the stock goes, and what
 * it would bring. What brings most in that time goes first.
 *
 * @phpstan-type Fit array{
 *     piece: Piece, hung: HungPicture, many: int, stock: int, lacks: string, minutes: float, brings: int|null,
 *     at: list<float>, key: string,
 * }
 */
final class FitsDesk
{
    /** The latest pieces that are tried. */
    private const MOST_PIECES = 24;

    /** No more of one are shown. */
    public const MOST = 40;

    private const HIGH = 62.0;

    /** What is hung on one rail shares so many pixels. */
    private const WIDE = 640.0;

    private const MOST_RATIO = 0.6;

    private const SAME = 1e-9;

    /** @var list<Fit> */
    public readonly array $fits;

    private readonly Holdings $held;

    /** @var callable(string): SeenPiece */
    private $seen;

    /** @var callable(Piece): Bill */
    private $bill;

    public function __construct(
        private readonly Workshop $workshop, public readonly CarbonImmutable $date, public readonly int $minutes,
    ) {
        $this->held = new Holdings($workshop);
        $work = PieceWork::in($workshop);
        $this->seen = SeenPiece::in($workshop);
        $this->bill = PieceBills::in($workshop);
        $fits = [];
        foreach ($this->pieces() as $piece) {
            $fit = $this->fit($piece, $work($piece));
            if ($fit['many'] > 0) {
                $fits[] = $fit;
            }
        }
        usort($fits, fn (array $one, array $other): int => self::worth($other) <=> self::worth($one));
        $this->fits = $fits;
    }

    /** @return Collection<int, Piece> */
    private function pieces(): Collection
    {
        /** @var Collection<int, Piece> $pieces */
        $pieces = $this->workshop->pieces()->where('is_pattern', false)->with('openMaking')->latest('updated_at')
            ->limit(self::MOST_PIECES)->get();

        return Piece::designed($pieces);
    }

    /** @return Fit */
    private function fit(Piece $piece, PieceWork $work): array
    {
        $ends = $this->ends($work);
        $stock = 0;
        $lacks = '';
        while ($stock < count($ends) && $lacks === '') {
            $lacks = $this->held->lacks(Needs::of([[$work->taken, $stock + 1]]));
            $stock += $lacks === '' ? 1 : 0;
        }

        return [
            'piece' => $piece, 'many' => count($ends), 'stock' => $stock, 'lacks' => $lacks,
            'minutes' => $ends[max(0, $stock - 1)] ?? 0.0,
            'brings' => $stock === 0 ? null : self::brings(($this->bill)($piece), $stock),
            'at' => array_map(fn (float $end): float => round(100 * $end / $this->minutes, 2), $ends),
            'key' => "fit-{$piece->id}",
            'hung' => ($this->seen)($piece->json())->hung([
                min(self::HIGH, self::WIDE / max(1, count($ends))), self::HIGH, self::MOST_RATIO,
            ]),
        ];
    }

    /** @return list<float> minutes after which each making is done, of those that fit */
    private function ends(PieceWork $work): array
    {
        $each = array_sum(array_map(fn (Task $task): float => $task->minutes, $work->tasks->times(1)));
        $many = $each > 0 ? min(self::MOST, (int) floor($this->minutes / $each + self::SAME)) : 0;

        return array_map(fn (int $at): float => $at * $each, $many === 0 ? [] : range(1, $many));
    }

    /** By the usual list; null where something of it has no price. */
    private static function brings(Bill $bill, int $makings): ?int
    {
        return $bill->unpriced > 0 ? null : $makings * $bill->totalCents();
    }

    /**
     * What can be made goes before what nothing is there for.
     *
     * @param  Fit  $fit
     * @return array{bool, int}
     */
    private static function worth(array $fit): array
    {
        return [$fit['stock'] > 0, $fit['brings'] ?? -1];
    }

    /**
     * `3, and the stock is there`, `2 of 4: copper 20 AWG, dead soft lacks`.
     *
     * @param  Fit  $fit
     */
    public function words(array $fit): string
    {
        return match (true) {
            $fit['lacks'] === '' => "{$fit['many']}, and all of it is in stock",
            default => "{$fit['stock']} of {$fit['many']}: {$fit['lacks']} lacks",
        };
    }

    /**
     * @param  Fit  $fit
     */
    public function money(array $fit): string
    {
        return $fit['brings'] === null || $fit['stock'] === 0 ? '' : Coins::amount($fit['brings']);
    }

    public function listName(): string
    {
        return $this->workshop->priceLists()[0]->name;
    }

    /** @return list<array{float, string}> marks of the ruler, in percent */
    public function hours(): array
    {
        $marks = [];
        for ($hour = 1; $hour * 60 <= $this->minutes; $hour++) {
            $marks[] = [round(6000 * $hour / $this->minutes, 2), "{$hour} h"];
        }

        return $marks;
    }
}
