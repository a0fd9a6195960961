<?php

declare(strict_types=1);

namespace App\View\Stock;

use App\Models\Lot;
use App\Models\Workshop;
use Illuminate\Support\Collection;

/** How much there is of each wire, over all its coils and offcuts, and whether that is less than the maker wants. */
final readonly class WireHeld
{
    /** @var array<string, float> millimetres by a wire's words */
    public array $mm;

    /** @var array<string, Lot> by a wire's words, of its lots the fullest */
    public array $fullest;

    private float $leastMm;

    /** @param  Collection<int, Lot>  $lots */
    public function __construct(Workshop $workshop, Collection $lots)
    {
        $this->leastMm = $workshop->low_um / 1000;
        $mm = $most = $fullest = $known = [];
        foreach ($lots->reject(fn (Lot $lot): bool => $lot->isPins()) as $lot) {
            $wire = $lot->wire();
            $words = $known[spl_object_id($wire)] ??= $wire->words();
            $held = $lot->heldMm();
            $mm[$words] = ($mm[$words] ?? 0.0) + $held;
            if ($held > ($most[$words] ?? -1.0)) {
                [$most[$words], $fullest[$words]] = [$held, $lot];
            }
        }
        [$this->mm, $this->fullest] = [$mm, $fullest];
    }

    public function isLow(string $words): bool
    {
        return ($this->mm[$words] ?? 0.0) < $this->leastMm;
    }
}
