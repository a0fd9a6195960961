<?php

declare(strict_types=1);

namespace App\View;

use App\Models\Bead;
use App\Models\Lot;
use App\Models\Piece;
use App\Models\Supply;
use App\Models\Workshop;
use Hebra\Core\Plan\Planner;
use Illuminate\Support\Collection;

/**
 * What some pieces take beyond what there is: beads, findings and pins. Wire to be bought stands in the cutting plan
 * itself.
 */
final readonly class ToBuy
{
    /** @var list<array{words: string, wanted: string, owned: string, short: string}> */
    public array $rows;

    /** @param  Collection<int, Piece>  $pieces */
    public function __construct(private Workshop $workshop, Collection $pieces)
    {
        $beads = $findings = [];
        foreach ($pieces as $piece) {
            $plan = Planner::plan($piece->document(), $workshop->profile());
            foreach ($plan->beads as $count) {
                $beads[$count->bead->key()] = [
                    'bead' => $count->bead,
                    'all' => ($beads[$count->bead->key()]['all'] ?? 0) + $count->all,
                ];
            }
            foreach ($plan->findings as $finding) {
                $key = $finding->isPin() ? $finding->words : mb_strtolower($finding->stock);
                $findings[$key] = ['finding' => $finding, 'all' => ($findings[$key]['all'] ?? 0.0) + $finding->taken()];
            }
        }
        $rows = [];
        $own = $beads === [] ? new Collection : $workshop->beads()->get();
        foreach ($beads as $key => ['bead' => $bead, 'all' => $all]) {
            $rows[] = $this->row(
                $bead->words(),
                $all,
                (float) $own->filter(fn (Bead $one): bool => $one->core()->key() === $key)->sum('owned'),
                strval(...),
            );
        }
        $supplies = $findings === [] ? new Collection : $workshop->supplies()->get();
        $lots = $findings === [] ? new Collection : $workshop->lots()->withHeld()->whereIn('kind', Lot::PINS)->get();
        foreach ($findings as ['finding' => $finding, 'all' => $all]) {
            $held = $finding->isPin()
                ? $lots->filter(
                    fn (Lot $lot): bool => $lot->isPinOf($finding),
                )->sum(fn (Lot $lot): int => $lot->heldPins())
                : $supplies->filter(
                    fn (Supply $supply): bool => $supply->isCalled($finding->stock) && $supply->isByLength() === $finding->isByLength(),
                )->sum('held') / ($finding->isByLength() ? 1000 : 1);
            $rows[] = $this->row(
                $finding->isPin() ? $finding->words : $finding->stock,
                $all,
                (float) $held,
                $finding->isByLength()
                    ? $workshop->profile()->length(...)
                    : fn (float $count): string => (string) (int) $count,
            );
        }
        $this->rows = array_values(array_filter($rows));
    }

    /**
     * @param  callable(float): string  $words
     * @return array{words: string, wanted: string, owned: string, short: string}|null
     */
    private function row(string $what, float $wanted, float $owned, callable $words): ?array
    {
        return $wanted <= $owned + 1e-6
            ? null
            : [
                'words' => $what,
                'wanted' => $words($wanted),
                'owned' => $words($owned),
                'short' => $words($wanted - $owned),
            ];
    }
}
