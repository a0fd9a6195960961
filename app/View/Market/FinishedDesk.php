<?php

declare(strict_types=1);

namespace App\View\Market;

use App\Models\Finished;
use App\Models\FinishedMove;
use App\Models\Making;
use App\Models\Movement;
use App\Models\Want;
use App\Models\Workshop;
use App\View\Coins;
use Hebra\Core\Piece\Differences;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Wire\Metal;
use Illuminate\Support\Collection;

/** One finished piece: what is in it and from which lots, what it took and cost, where it was and is. */
final class FinishedDesk
{
    public readonly CustomerSheet $sheet;

    public function __construct(public readonly Finished $finished, public readonly Workshop $workshop)
    {
        $this->sheet = CustomerSheet::receipt($finished, $workshop);
    }

    /** @return list<array{string, string}> what can be said of it */
    public function facts(): array
    {
        $one = $this->finished;
        $facts = [['Made', $one->created_at->format('j F Y')]];
        foreach ($one->metals as $metal => $mg) {
            $facts[] = [ucfirst(Metal::tryFrom($metal)?->words() ?? $metal), Figures::grams($mg / 1000)];
        }
        if ($this->lots() !== []) {
            $facts[] = ['Cut from', implode(', ', $this->lots())];
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

    /** @return list<string> the lots it was cut from */
    private function lots(): array
    {
        /** @var Collection<int, Movement> $lines */
        $lines = Movement::query()->with('lot')->where('making_id', $this->finished->making_id)->where('kind', 'made')
            ->where('account', 'lot')->where('mass_mg', '<', 0)->get();

        return array_values($lines->map(fn (Movement $line): string => $line->lot->name ?? '')->unique()->all());
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

    /** @return Collection<int, Want> what it could be kept for, first what is due first */
    public function wants(): Collection
    {
        /** @var Collection<int, Want> $wants */
        $wants = $this->workshop->wants()->with('occasion')->where('piece_id', $this->finished->piece_id)
            ->whereHas('occasion', fn ($occasion) => $occasion->where('due_on', '>=', now()->format('Y-m-d')))
            ->get()->sortBy('occasion.due_on')->values();

        return $this->finished->place->isAtHand() ? $wants : new Collection;
    }

    /** @return list<string> in what its making was another than the one before of the same piece */
    public function changes(): array
    {
        /** @var Making|null $before */
        $before = Making::query()->where('piece_id', $this->finished->piece_id)->whereNotNull('closed_at')
            ->where('id', '<', $this->finished->making_id)->latest('id')->first();

        return $before === null ? [] : Differences::between(
            $before->document(), $this->finished->making->document(), $this->workshop->profile()->length(...),
        );
    }
}
