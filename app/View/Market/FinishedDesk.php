<?php

declare(strict_types=1);

namespace App\View\Market;

use App\Models\Finished;
use App\Models\FinishedMove;
use App\Models\Movement;
use App\Models\Photo;
use App\Models\Repair;
use App\Models\Want;
use App\Models\Workshop;
use App\Read\MadeEditions;
use App\View\Coins;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Wire\Metal;
use Illuminate\Support\Collection;

/** One finished piece: what is in it and from which lots, what it took and cost, where it was and is. */
final class FinishedDesk
{
    public readonly CustomerSheet $sheet;

    /** @var Collection<int, Want>|null */
    private ?Collection $wants = null;

    public function __construct(public readonly Finished $finished, public readonly Workshop $workshop)
    {
        $this->sheet = CustomerSheet::receipt($finished, $workshop);
    }

    /** @return list<array{string, string}> what can be said of it */
    public function facts(): array
    {
        $one = $this->finished;
        $facts = [['Made', $one->created_at->format('j F Y')], ['Size', $this->sheet->lines[0] ?? '']];
        foreach ($one->metals as $metal => $mg) {
            $facts[] = [ucfirst(Metal::tryFrom($metal)?->words() ?? $metal), Figures::grams($mg / 1000)];
        }
        if ($this->lots() !== []) {
            $facts[] = ['Cut from', implode('; ', $this->lots())];
        }
        if ($one->minutes !== null) {
            $facts[] = ['Took', PlanDesk::time((float) $one->minutes)];
        }
        if ($one->want !== null) {
            $facts[] = ['Kept for', $one->want->occasion->name];
        }
        if ($one->cost_cents !== null) {
            $facts[] = ['Cost you', $this->money($one->cost_cents)];
        }
        if ($one->sold_cents !== null) {
            $facts[] = ['Sold for', $this->money($one->sold_cents)];
        }

        return $facts;
    }

    /** @return list<string> the lots it was cut from, with its share of what was cut off each */
    private function lots(): array
    {
        /** @var Collection<int, Movement> $lines */
        $lines = Movement::query()->with('lot')->where('making_id', $this->finished->making_id)->where('kind', 'made')
            ->where('account', 'lot')->where('mass_mg', '<', 0)->get();
        $many = max(1, Finished::query()->where('making_id', $this->finished->making_id)->count());
        $cut = [];
        foreach ($lines as $line) {
            $name = $line->lot->name ?? '';
            $cut[$name] = ($cut[$name] ?? 0) - $line->mass_mg;
        }

        return array_map(
            fn (string $name): string => $name.', '.Figures::grams($cut[$name] / $many / 1000), array_keys($cut),
        );
    }

    /** The photo of its making that was kept first. */
    public function photo(): ?Photo
    {
        /** @var Photo|null $photo */
        $photo = $this->finished
            ->making
            ->photos()
            ->orderBy('id')
            ->first(['id', 'ulid', 'width', 'height', 'making_id']);

        return $photo;
    }

    public function money(int $cents): string
    {
        return Coins::amount($cents);
    }

    /** @return Collection<int, FinishedMove> the latest first */
    public function moves(): Collection
    {
        /** @var Collection<int, FinishedMove> $moves */
        $moves = $this->finished->moves()->latest('id')->limit(60)->get();

        return $moves;
    }

    /** @return Collection<int, Repair> the latest first */
    public function repairs(): Collection
    {
        /** @var Collection<int, Repair> $repairs */
        $repairs = $this->finished->repairs()->latest('id')->limit(60)->get();

        return $repairs;
    }

    /** @return Collection<int, Want> what it could be kept for, first what is due first */
    public function wants(): Collection
    {
        return $this->wants ??= $this->finished->place->isAtHand() ? $this->wanted() : new Collection;
    }

    /** @return Collection<int, Want> */
    private function wanted(): Collection
    {
        /** @var Collection<int, Want> $wants */
        $wants = $this->workshop->wants()->with('occasion')->where('piece_id', $this->finished->piece_id)
            ->whereHas('occasion', fn ($occasion) => $occasion->where('due_on', '>=', now()->format('Y-m-d')))
            ->get()->sortBy('occasion.due_on')->values();

        return $wants;
    }

    /**
     * The editions of its piece, where there are several, with the one that it is of.
     *
     * @return list<array{words: string, says: string, changes: list<string>, isThis: bool}>
     */
    public function editions(): array
    {
        $all = (new MadeEditions($this->finished->piece, $this->workshop))->all;
        if (count($all) < 2) {
            return [];
        }

        return array_map(fn (array $one): array => [
            'words' => "Edition {$one['number']}, since {$one['since']}",
            'says' => implode(', ', array_filter([
                "{$one['made']} made",
                $one['sold'] > 0 ? "{$one['sold']} sold for ".$this->money($one['cents']) : '',
            ])),
            'changes' => $one['changes'], 'isThis' => in_array($this->finished->making_id, $one['makings'], true),
        ], $all);
    }
}
