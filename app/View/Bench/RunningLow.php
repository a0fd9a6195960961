<?php

declare(strict_types=1);

namespace App\View\Bench;

use App\Models\Bead;
use App\Models\Lot;
use App\Models\Supply;
use App\Models\Workshop;
use App\View\Stock\CoilDrawing;
use App\View\Stock\Heap;
use App\View\Stock\Jar;
use App\View\Stock\WireHeld;
use Hebra\Core\Quantity\Figures;
use Illuminate\Support\Collection;

/**
 * What runs low, whatever is planned, drawn as it lies in the stock: wire of which less is left than the maker wants,
 * beads and supplies below the mark they were given.
 *
 * @phpstan-type Low array{words: string, amount: string, coil: CoilDrawing|null, heap: Heap|null, jar: Jar|null}
 */
final readonly class RunningLow
{
    /** @var list<Low> */
    public array $things;

    public function __construct(private Workshop $workshop)
    {
        $this->things = [...$this->wires(), ...$this->beads(), ...$this->supplies()];
    }

    /** @return list<string> each in words: `copper 20 AWG, half hard (430 mm)` */
    public function words(): array
    {
        return array_map(fn (array $low): string => "{$low['words']} ({$low['amount']})", $this->things);
    }

    /** @return list<Low> */
    private function wires(): array
    {
        /** @var Collection<int, Lot> $lots */
        $lots = $this->workshop->lots()->withHeld()->get();
        $held = new WireHeld($this->workshop, $lots);
        $low = [];
        foreach ($held->mm as $words => $mm) {
            if ($held->isLow($words)) {
                $amount = $mm < 1 ? 'none' : $this->workshop->profile()->length($mm);
                $low[] = self::low($words, $amount, CoilDrawing::of($held->fullest[$words], 0.0));
            }
        }

        return $low;
    }

    /** @return list<Low> */
    private function beads(): array
    {
        /** @var Collection<int, Bead> $beads */
        $beads = $this->workshop->beads()->whereNotNull('low_at')->get();

        return array_values($beads->filter(fn (Bead $bead): bool => $bead->isLow())
            ->map(fn (Bead $bead): array => self::low(
                $bead->core()->words(), Figures::trim($bead->owned, 0), Heap::of($bead->core(), $bead->owned),
            ))->all());
    }

    /** @return list<Low> */
    private function supplies(): array
    {
        /** @var Collection<int, Supply> $supplies */
        $supplies = $this->workshop->supplies()->whereNotNull('low_at')->get();

        return array_values($supplies->filter(fn (Supply $supply): bool => $supply->isLow())
            ->map(fn (Supply $supply): array => self::low(
                $supply->name, $supply->words($supply->held, $this->workshop->profile()), new Jar($supply),
            ))->all());
    }

    /** @return Low */
    private static function low(string $words, string $amount, CoilDrawing|Heap|Jar $drawn): array
    {
        return [
            'words' => $words, 'amount' => $amount, 'coil' => $drawn instanceof CoilDrawing ? $drawn : null,
            'heap' => $drawn instanceof Heap ? $drawn : null, 'jar' => $drawn instanceof Jar ? $drawn : null,
        ];
    }
}
