<?php

declare(strict_types=1);

namespace App\View;

use App\Models\Bead;
use App\Models\Lot;
use App\Models\Piece;
use App\Models\Workshop;
use Hebra\Core\Piece\Patterns;
use Hebra\Core\Piece\Piece as Document;
use Hebra\Core\Plan\Cut;
use Hebra\Core\Plan\Plan;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Stock\CuttingTerms;

/**
 * What a coil, an offcut, a bag of pins or a heap of beads is enough for: of the patterns and the maker's own pieces
 * those that take it, and how often.
 */
final readonly class Ideas
{
    /**
     * @var list<array{words: string, address: string, pattern: string, uses: string, much: float, drawing: Drawing}>
     *     what uses most of it first
     */
    public array $ideas;

    public string $name;

    public string $there;

    private Profile $profile;

    public function __construct(private Workshop $workshop, private Lot|Bead $of)
    {
        $this->profile = $workshop->profile();
        [$this->name, $this->there] = $of instanceof Bead
            ? [$of->core()->words(), Figures::counted($of->owned, 'bead')]
            : [$of->name, ucfirst($of->wireWords()).', '.$this->much($of)];
        $ideas = [];
        foreach ($this->workshop->pieces()->where('is_pattern', false)->latest('id')->limit(60)->get() as $piece) {
            /** @var Piece $piece */
            $ideas[] = $this->idea($piece->document(), $piece->name, "/pieces/{$piece->ulid}", '');
        }
        foreach (Patterns::all() as $name => $pattern) {
            $ideas[] = $this->idea(Patterns::start($name, $name, $this->profile->schools), $pattern->words, '', $name);
        }
        $ideas = array_values(array_filter($ideas));
        usort($ideas, fn (array $a, array $b): int => $b['much'] <=> $a['much']);
        $this->ideas = array_slice($ideas, 0, 24);
    }

    private function much(Lot $lot): string
    {
        return $lot->isPins()
            ? Figures::counted($lot->heldPins(), 'pin').' of '.$this->profile->length($lot->pinMm())
            : $this->profile->length($lot->heldMm());
    }

    /**
     * @return array{words: string, address: string, pattern: string, uses: string, much: float, drawing: Drawing}|null
     *     null where it is not enough, or not wanted
     */
    private function idea(Document $document, string $words, string $address, string $pattern): ?array
    {
        $plan = Planner::plan($document, $this->profile);
        [$one, $times, $uses] = match (true) {
            $this->of instanceof Bead => $this->counted($this->beads($plan, $this->of), $this->of->owned),
            $this->of->isPins() => $this->counted($this->pins($plan, $this->of), $this->of->heldPins()),
            default => $this->wire($plan, $this->of),
        };

        if ($times < 1) {
            return null;
        }
        $name = 'idea-'.($pattern !== '' ? $pattern : substr($address, -8));

        return [
            'words' => $words.', '.$plan->piece->makes->words(), 'address' => $address, 'pattern' => $pattern,
            'uses' => $uses.($times > 1 ? ", {$times} times" : ''), 'much' => $one,
            'drawing' => new Drawing($plan->assembly(), 150, 150, 0, 8, $name),
        ];
    }

    /** @return array{float, int, string} how much one takes, how often there is enough, and that in words */
    private function counted(int $one, int $held): array
    {
        return [(float) $one, $one === 0 ? 0 : intdiv($held, $one), "{$one} of them"];
    }

    /** @return array{float, int, string} */
    private function wire(Plan $plan, Lot $lot): array
    {
        $trim = (new CuttingTerms)->trimMm;
        $one = 0.0;
        foreach ($plan->cuts as $cut) {
            if ($cut->wire->temper->value === $lot->temper && $lot->isOf($cut->wire)) {
                $one += min(2000, $cut->count) * ($this->profile->ruler->upMm($cut->lengthMm()) + $trim);
            }
        }

        return [
            $one,
            $one <= 0 ? 0 : (int) floor(($lot->heldMm() + $trim + 1e-6) / $one),
            $this->profile->length($one).' of it',
        ];
    }

    /** Drops that are planned on such pins, or on cut wire for which such a pin is long enough. */
    private function pins(Plan $plan, Lot $lot): int
    {
        $isDrop = fn (Cut $cut): bool => $plan->piece->part($cut->part)->technique()->name() === 'head-pin';
        $fits = fn (Cut $cut): bool => $lot->isOf($cut->wire) && ($cut->pinMm === null
            ? $cut->lengthMm() <= $lot->pinMm() + 1e-6 && $isDrop($cut)
            : $lot->kind === $cut->pinKind->value && abs($cut->pinMm - $lot->pinMm()) < 0.5);

        return array_sum(array_map(fn (Cut $cut): int => $fits($cut) ? $cut->count : 0, $plan->strips()));
    }

    /** The same bead, or another for which it would do: about as large, its hole no smaller. */
    private function beads(Plan $plan, Bead $bead): int
    {
        $own = $bead->core();
        $most = 0;
        foreach ($plan->beads as $count) {
            $most = $own->standsInFor($count->bead) ? max($most, $count->all) : $most;
        }

        return $most;
    }
}
