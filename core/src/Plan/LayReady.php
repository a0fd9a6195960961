<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

use Hebra\Core\Piece\Makes;
use Hebra\Core\School\Schools;

/** Everything to put on the bench before work starts, for one, the pair, or any number: needed, and needed each. */
final readonly class LayReady
{
    /**
     * @param  list<array{
     *     role: string, wire: \Hebra\Core\Wire\Wire, allMm: float,
     *     cuts: list<array{label: string, each: int, all: int, lengthMm: float}>,
     * }>  $wires
     * @param  list<BeadCount>  $beads
     * @param  list<Finding>  $findings
     * @param  list<string>  $tools
     */
    private function __construct(
        public int $count,
        public array $wires,
        public array $beads,
        public array $findings,
        public array $tools,
    ) {
    }

    /**
     * Where it lies, for a maker of this hand: what is taken lies at the hand that holds, tools at the one that works
     * [common practice].
     *
     * @return array{left: string, middle: string, right: string}
     */
    public function places(Schools $schools): array
    {
        $taken = implode(', ', array_filter([
            'the cut wires by length, the longest at the back', $this->beads === []
                ? ''
                : 'beads in a tray in the order in which they go on, spares apart',
            $this->findings === [] ? '' : 'findings in a lid',
        ]));
        $tools = ucfirst(implode(', ', $this->tools));
        [$left, $right] = $schools->isLeftHanded() ? [$tools, ucfirst($taken)] : [ucfirst($taken), $tools];

        return [
            'left' => $left, 'middle' => 'A mat, a ruler at its edge, the lamp from the side of the hand that holds',
            'right' => $right,
        ];
    }

    /** For $count pieces, each cut rounded up to the ruler. */
    public static function of(\Hebra\Core\Piece\Piece $piece, Profile $profile, int $count): self
    {
        $plan = Planner::plan($piece->withMakes(Makes::batch($count)), $profile);
        $wires = [];
        foreach ($plan->cuts as $cut) {
            $key = $cut->role.'/'.$cut->wire->key();
            $wires[$key] ??= ['role' => $cut->role, 'wire' => $cut->wire, 'cuts' => [], 'allMm' => 0.0];
            $length = $cut->printedMm($profile->ruler);
            $wires[$key]['cuts'][] = [
                'label' => $cut->label,
                'each' => intdiv($cut->count, $count),
                'all' => $cut->count,
                'lengthMm' => $length,
            ];
            $wires[$key]['allMm'] += $cut->grossMm($profile->ruler) * $cut->count;
        }

        return new self($count, array_values($wires), $plan->beads, $plan->findings, $plan->tools());
    }
}
