<?php

declare(strict_types=1);

namespace App\View;

use App\Models\Bead;
use App\Models\Finished;
use App\Models\Lot;
use App\Models\Making;
use App\Models\Movement;
use App\Models\Occasion;
use App\Models\Piece;
use App\Models\Repair;
use App\Models\Supply;
use App\Models\Workshop;
use Hebra\Core\Quantity\Figures;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Facades\DB;

/**
 * Everything in a workshop that a line looks for: pieces by their words, tags and what they contain; what was made of
 * them; wire, beads and findings; orders and repairs; lines of the book.
 *
 * @phpstan-type Row array{words: string, says: string, url: string}
 */
final class Found
{
    public const MOST_LETTERS = 80;

    /** So many of a kind are shown. */
    private const MOST = 12;

    /** So many things of the stock are looked through. */
    private const MOST_STOCK = 5000;

    /** The latest lines of the book that are looked through; its own page looks through all. */
    private const MOST_LINES = 5000;

    /** @var array<string, array{rows: list<Row>, more: int}> by what they are, without the empty ones */
    public readonly array $groups;

    private readonly Sought $sought;

    public function __construct(private readonly Workshop $workshop, public readonly string $line)
    {
        $this->sought = Sought::read(mb_substr($line, 0, self::MOST_LETTERS));
        $groups = $this->sought->words === [] ? [] : [
            'Pieces' => $this->pieces(), 'In the box' => $this->finished(), 'Makings' => $this->makings(),
            'Wire' => $this->lots(), 'Beads' => $this->beads(), 'Findings' => $this->supplies(),
            'Orders and repairs' => $this->occasions(), 'Lines of the book' => $this->lines(),
        ];
        $this->groups = array_filter($groups, fn (array $group): bool => $group['rows'] !== []);
    }

    public function count(): int
    {
        return array_sum(array_map(
            fn (array $group): int => count($group['rows']) + max(0, $group['more']), $this->groups,
        ));
    }

    /**
     * The first of what a query finds, and how many more there are.
     *
     * @template T of Model
     *
     * @param  Builder<T>  $found
     * @param  callable(T): Row  $row
     * @return array{rows: list<Row>, more: int}
     */
    private static function first(Builder $found, callable $row): array
    {
        $rows = [];
        /** @var Collection<int, T> $first */
        $first = (clone $found)->limit(self::MOST)->get();
        foreach ($first as $one) {
            $rows[] = $row($one);
        }

        return ['rows' => $rows, 'more' => count($rows) < self::MOST ? 0 : $found->count() - self::MOST];
    }

    /**
     * @param  list<Row>  $rows
     * @return array{rows: list<Row>, more: int}
     */
    private static function cut(array $rows): array
    {
        return ['rows' => array_slice($rows, 0, self::MOST), 'more' => count($rows) - self::MOST];
    }

    /** @return Builder<Piece> */
    private function found(): Builder
    {
        return Piece::query()->where('workshop_id', $this->workshop->id)->where('is_pattern', false)
            ->where(fn (Builder $piece) => $this->sought->in($piece, Piece::TOLD));
    }

    /** @return array{rows: list<Row>, more: int} */
    private function pieces(): array
    {
        return self::first($this->found()->latest('updated_at'), fn (Piece $piece): array => [
            'words' => $piece->name, 'says' => $piece->tags, 'url' => "/pieces/{$piece->ulid}",
        ]);
    }

    /** @return array{rows: list<Row>, more: int} by name, number or note, and all made of a piece that was found */
    private function finished(): array
    {
        $found = Finished::query()->where('workshop_id', $this->workshop->id)
            ->where(fn (Builder $one) => $one->whereIn('piece_id', $this->found()->select('id'))
                ->orWhere(fn (Builder $own) => $this->sought->in($own, Finished::TOLD)))
            ->latest('number');

        return self::first($found, fn (Finished $one): array => [
            'words' => "No. {$one->number}, {$one->name}", 'says' => $one->place->words(), 'url' => "/box/{$one->ulid}",
        ]);
    }

    /** @return array{rows: list<Row>, more: int} */
    private function makings(): array
    {
        $found = Making::query()->where('workshop_id', $this->workshop->id)
            ->with(['piece' => fn ($piece) => $piece->withTrashed()])
            ->where(fn (Builder $one) => $one->whereIn('piece_id', $this->found()->select('id'))
                ->orWhere(fn (Builder $own) => $this->sought->in($own, 'lower(note)')))
            ->latest('id');

        return self::first($found, fn (Making $making): array => [
            'words' => $making->piece->name,
            'says' => implode(': ', array_filter([
                $making->closed_at === null ? 'under way' : 'made '.$making->closed_at->format('j F Y'), $making->note,
            ])),
            'url' => $making->closed_at === null
                ? "/pieces/{$making->piece->ulid}/make"
                : "/makings/{$making->ulid}/record",
        ]);
    }

    /** @return array{rows: list<Row>, more: int} */
    private function lots(): array
    {
        $profile = $this->workshop->profile();
        $rows = [];
        /** @var Lot $lot */
        foreach ($this->workshop->lots()->withHeld()->latest('id')->limit(self::MOST_STOCK)->get() as $lot) {
            if ($this->sought->isIn("{$lot->name} {$lot->kind} {$lot->wireWords()} {$lot->tags}")) {
                $rows[] = [
                    'words' => "{$lot->name}: {$lot->wireWords()}",
                    'says' => trim(
                        ($lot->isPins() ? "{$lot->heldPins()} pins" : $profile->length($lot->heldMm()))." {$lot->tags}"
                    ),
                    'url' => "/stock?lot={$lot->ulid}#story",
                ];
            }
        }

        return self::cut($rows);
    }

    /** @return array{rows: list<Row>, more: int} */
    private function beads(): array
    {
        $found = $this->workshop
            ->beads()
            ->limit(self::MOST_STOCK)
            ->get()
            ->filter(fn (Bead $bead): bool => $this->sought->isIn(
                "{$bead->name} {$bead->core()->words()} bead {$bead->colour} {$bead->shape} {$bead->material}",
            ));

        return self::cut(array_values($found->map(fn (Bead $bead): array => [
            'words' => ucfirst($bead->core()->words()), 'says' => "{$bead->owned} there",
            'url' => $this->rows(),
        ])->all()));
    }

    /** @return array{rows: list<Row>, more: int} */
    private function supplies(): array
    {
        $profile = $this->workshop->profile();
        $found = $this->workshop->supplies()->limit(self::MOST_STOCK)->get()->filter(
            fn (Supply $supply): bool => $this->sought->isIn("{$supply->name} {$supply->kind}"),
        );

        return self::cut(array_values($found->map(fn (Supply $supply): array => [
            'words' => ucfirst($supply->name), 'says' => $supply->words($supply->held, $profile).' there',
            'url' => $this->rows(),
        ])->all()));
    }

    /** Where beads and findings that are looked for stand. */
    private function rows(): string
    {
        return '/stock?'.http_build_query(['as' => 'rows', 'line' => $this->line]);
    }

    /** @return array{rows: list<Row>, more: int} */
    private function occasions(): array
    {
        $found = $this->workshop->occasions()->with('repair')
            ->where(
                fn (Builder $one) => $this->sought->in($one, "lower(name || ' ' || note)")
            )->latest('due_on')->get();
        $repairs = $this->workshop->repairs()
            ->where(fn (Builder $one) => $this->sought->in($one, "lower(name || ' ' || words)"))->latest('id')->get();
        $rows = $found->map(fn (Occasion $one): array => [
            'words' => $one->name, 'says' => "{$one->kind}, {$one->due_on->format('j F Y')}",
            'url' => $one->repair === null ? '/plan' : "/repairs/{$one->repair->ulid}",
        ])->values()->all();

        return self::cut([...$rows, ...$repairs->map(fn (Repair $one): array => [
            'words' => "{$one->name}: {$one->words}", 'says' => $one->done_at === null
                ? 'to be repaired'
                : 'repaired '.$one->done_at->format('j F Y'),
            'url' => "/repairs/{$one->ulid}",
        ])->values()->all()]);
    }

    /** @return array{rows: list<Row>, more: int} */
    private function lines(): array
    {
        $latest = DB::table('movements')->where('workshop_id', $this->workshop->id)->orderByDesc('id')
            ->limit(self::MOST_LINES)->select('id');
        /** @var Builder<Movement> $found */
        $found = Movement::query()->whereIn('id', $latest)
            ->where(fn (Builder $one) => $this->sought->in($one, 'lower(words)'))->latest('id');

        return self::first($found, fn (Movement $line): array => [
            'words' => $line->words,
            'says' => $line->created_at->format('j F Y').', '.Figures::grams($line->mass_mg / 1000),
            'url' => '/stock/book?'.http_build_query(['words' => $this->line]),
        ]);
    }
}
