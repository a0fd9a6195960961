<?php

declare(strict_types=1);

namespace App\View;

use App\Models\Lot;
use App\Models\Piece;
use App\Models\Workshop;
use Hebra\Core\Piece\Patterns;
use Hebra\Core\Piece\Piece as Document;
use Hebra\Core\Plan\Cut;
use Hebra\Core\Plan\Plan;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Stock\CuttingTerms;

/** What a lot is enough for: of each pattern and each of the maker's own pieces all cuts of its wire, and how often. */
final readonly class LotIdeas
{
    /** @var list<array{words: string, address: string, pattern: string, times: int, usesMm: float, drawing: Drawing}> most of the lot used first */
    public array $ideas;

    public function __construct(private Workshop $workshop, public Lot $lot)
    {
        $ideas = [];
        foreach ($this->workshop->pieces()->where('is_pattern', false)->latest('id')->limit(60)->get() as $piece) {
            /** @var Piece $piece */
            $ideas[] = $this->idea($piece->document(), $piece->name, "/pieces/{$piece->ulid}", '');
        }
        foreach (Patterns::all() as $name => $pattern) {
            $ideas[] = $this->idea(Patterns::start($name, $name, $this->workshop->profile()->schools), $pattern->words, '', $name);
        }
        $ideas = array_values(array_filter($ideas));
        usort($ideas, fn (array $a, array $b): int => $b['usesMm'] <=> $a['usesMm']);
        $this->ideas = array_slice($ideas, 0, 24);
    }

    /** @return array{words: string, address: string, pattern: string, times: int, usesMm: float, drawing: Drawing}|null null where it is not enough, or not wanted */
    private function idea(Document $document, string $words, string $address, string $pattern): ?array
    {
        $plan = Planner::plan($document, $this->workshop->profile());
        $lengths = $this->wanted($plan);
        $trim = (new CuttingTerms)->trimMm;
        $one = array_sum(array_map(fn (float $length): float => $length + $trim, $lengths));
        $times = $lengths === [] ? 0 : (int) floor(($this->lot->heldMm() + $trim + 1e-6) / $one);

        return $times < 1 ? null : ['words' => $words.', '.$plan->piece->makes->words(), 'address' => $address, 'pattern' => $pattern, 'times' => $times, 'usesMm' => $one,
            'drawing' => new Drawing($plan->assembly, 150, 150, 0, 8, 'idea-'.($pattern !== '' ? $pattern : substr($address, -8)))];
    }

    /** @return list<float> its cuts of the lot's own wire: metal, thickness and temper */
    private function wanted(Plan $plan): array
    {
        $lengths = [];
        foreach ($plan->cuts as $cut) {
            if (abs($cut->wire->diameterMm() - $this->lot->wire()->diameterMm()) < 0.02 && $this->fits($cut)) {
                array_push($lengths, ...array_fill(0, min(2000, $cut->count), $this->workshop->profile()->ruler->upMm($cut->lengthMm())));
            }
        }

        return $lengths;
    }

    private function fits(Cut $cut): bool
    {
        return $cut->wire->metal->value === $this->lot->metal && $cut->wire->temper->value === $this->lot->temper;
    }
}
