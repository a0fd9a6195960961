<?php

declare(strict_types=1);

namespace App\View\Market;

use App\Models\Finished;
use App\Models\Workshop;
use App\View\Coins;
use App\View\SeenPiece;
use Hebra\Core\Market\Place;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Wire\Metal;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/**
 * The box of what is made: alike pieces in one compartment, where they are chosen by; found by name or number. A page
 * holds so many compartments, however many pieces there are.
 */
final class BoxDesk
{
    /** What is with the maker, where nothing else is asked for. */
    public const WITH_YOU = 'with-you';

    private const MOST = 24;

    /** @var list<Compartment> */
    public readonly array $compartments;

    public readonly int $more;

    /** @var array<string, int> how many, by place */
    public readonly array $places;

    public function __construct(
        public readonly Workshop $workshop, public readonly string $where, public readonly string $words,
    ) {
        $this->places = DB::table('finished')->where('workshop_id', $workshop->id)->groupBy('place')
            ->selectRaw('place, COUNT(*) AS many')->pluck('many', 'place')
            ->map(fn (mixed $many): int => (int) $many)
            ->all();
        $groups = $this->found()->groupBy('piece_id', 'place')->selectRaw(
            'piece_id, place, COUNT(*) AS many, MAX(id) AS last, MIN(number) AS first',
        )->orderByDesc('last')->toBase()->get();
        $this->more = max(0, $groups->count() - self::MOST);
        $shown = $groups->take(self::MOST);
        $last = Finished::query()->with('making')->whereIn('id', $shown->pluck('last'))->get()->keyBy('id');
        $seen = SeenPiece::in($workshop);
        $compartments = [];
        foreach ($shown as $group) {
            $one = $last->findOrFail((int) $group->last);
            $compartments[] = new Compartment(
                $one, (int) $group->many, $this->numbers((int) $group->piece_id, (string) $group->place),
                $seen($one->making->document),
            );
        }
        $this->compartments = $compartments;
    }

    /** @return Builder<Finished> */
    private function found(): Builder
    {
        $query = Finished::query()->where('workshop_id', $this->workshop->id);
        $place = Place::tryFrom($this->where);
        $place === null
            ? $query->whereIn('place', Place::withMaker())
            : $query->where('place', $place->value);
        // `no. 7` is the number.
        $words = (string) preg_replace('/\bno\.?\s*(?=\d)/i', '', $this->words);
        foreach (array_filter(explode(' ', $words)) as $word) {
            $number = preg_match('/^\d{1,9}$/', $word) === 1 ? (int) $word : null;
            $query->where(fn (Builder $any) => $any->whereRaw('instr(lower(name), ?) > 0', [mb_strtolower($word)])
                ->orWhere('number', $number ?? -1));
        }

        return $query;
    }

    /** @return Collection<int, Finished> the latest of a compartment, by their numbers */
    private function numbers(int $piece, string $place): Collection
    {
        /** @var Collection<int, Finished> $numbers */
        $numbers = $this->found()->where('piece_id', $piece)->where('place', $place)->orderBy('number')
            ->limit(Compartment::MOST)->get(['id', 'ulid', 'number', 'price_cents']);

        return $numbers;
    }

    /** @return list<array{where: string, words: string, many: int, isHere: bool}> what can be looked at */
    public function choices(): array
    {
        $withYou = array_sum(array_intersect_key(
            $this->places, array_flip(Place::withMaker()),
        ));
        $choices = [[self::WITH_YOU, 'with you', $withYou]];
        foreach (Place::cases() as $place) {
            if (($this->places[$place->value] ?? 0) > 0) {
                $choices[] = [$place->value, $place->words(), $this->places[$place->value]];
            }
        }

        return array_map(fn (array $one): array => [
            'where' => $one[0], 'words' => $one[1], 'many' => $one[2], 'isHere' => $one[0] === $this->where,
        ], $choices);
    }

    /** `18.4 g sterling silver and 3.2 g copper with you, 266.00 EUR on their labels`. */
    public function sum(): string
    {
        $metals = [];
        $with = Place::withMaker();
        foreach (DB::select(
            'SELECT metals.key AS metal, SUM(metals.value) AS mg FROM finished, json_each(finished.metals) AS metals '
                .'WHERE workshop_id = ? AND place IN ('.implode(', ', array_fill(0, count($with), '?')).') '
                .'GROUP BY metals.key', [$this->workshop->id, ...$with],
        ) as $row) {
            $metals[] = Figures::grams($row->mg / 1000).' '.(Metal::tryFrom($row->metal)?->words() ?? $row->metal);
        }
        $labels = (int) DB::table('finished')->where('workshop_id', $this->workshop->id)
            ->whereIn('place', Place::atHand())->sum('price_cents');
        $words = array_filter([
            $metals === [] ? '' : Figures::listed($metals).' with you',
            $labels === 0 ? '' : Coins::amount($labels).' on their labels',
        ]);

        return implode(', ', $words);
    }

    /** What was sold, and what of it was more than it cost. */
    public function sold(): string
    {
        $sold = DB::table('finished')->where('workshop_id', $this->workshop->id)->whereNotNull('sold_at')->selectRaw(
            'COUNT(*) AS many, SUM(sold_cents) AS cents, SUM(cost_cents) AS cost',
        )->first();
        if ($sold === null || (int) $sold->many === 0) {
            return '';
        }

        return "{$sold->many} sold for ".Coins::amount((int) $sold->cents)
            .($sold->cost === null ? '' : ', made for '.Coins::text((int) $sold->cost));
    }
}
