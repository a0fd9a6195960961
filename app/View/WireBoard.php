<?php

declare(strict_types=1);

namespace App\View;

use Hebra\Core\Plan\WireRow;
use Hebra\Core\Plan\WireTable;
use Hebra\Core\Quantity\Figures;

/** Wire & fit: a map of sizes and tempers for the open wire, what is claimed of the chosen one, every wire in a row. */
final class WireBoard
{
    /** A claim as it is drawn, pixels. */
    public const BAR_PX = 300;

    private const DRAWING_WIDE = 190.0;

    private const DRAWING_HIGH = 400.0;

    public function __construct(private readonly Desk $desk)
    {
    }

    /** The piece beside the map, the open wire lit. */
    public function drawing(string $role): Drawing
    {
        $parts = array_map(fn ($part): string => $part->id->text, $this->desk->partsOf($role));

        return (new Drawing(
            $this->desk->plan->seen($this->desk->side), self::DRAWING_WIDE, self::DRAWING_HIGH, 0, 12,
        ))->lighting($parts);
    }

    /** @return list<WireUse> every wire that is chosen, as the piece has it */
    public function uses(): array
    {
        $sources = CutSources::of($this->desk);
        $uses = [];
        foreach ($this->desk->document->rolesToChoose() as $role) {
            $row = WireTable::chosen(
                $this->desk->document, $role, $this->desk->profile, $this->desk->supply(),
            );
            $its = array_values(array_filter(
                $sources, fn (CutSource $source): bool => $source->cut->role === $role && ! $source->cut->isBoughtPin(),
            ));
            $takes = array_sum(array_map(fn (CutSource $source): float => $source->takes, $its));
            $uses[] = new WireUse(
                $role, $this->desk->roleWords($role), $row, $takes, $this->fromOne($its, $takes),
                $row->marginMm !== null && $row->marginMm < -1e-6
                    ? WireTable::thickestPassing($this->desk->document, $role, $this->desk->profile)
                    : null,
            );
        }

        return $uses;
    }

    /**
     * All of a wire as from the lot that its first cut comes from.
     *
     * @param  list<CutSource>  $sources
     */
    private function fromOne(array $sources, float $takes): ?CutSource
    {
        $first = $sources[0] ?? null;

        return $first === null ? null : new CutSource($first->cut, 0, $first->lot, $first->before, $takes);
    }

    /**
     * What is claimed of a wire, each with its bar against the mark it is measured by.
     *
     * @return list<array{words: string, against: string, share: float, mark: float, at: string}>
     */
    public function claims(WireRow $row, string $usual): array
    {
        $claims = [
            self::against($row->said->hold.'.', $row->holds, $usual),
            self::against('It '.$row->said->bend.'.', $row->effort, $usual),
        ];
        if ($row->opensN !== null && $row->said->loadN !== null) {
            $most = max(2 * $row->said->loadN, 1.15 * $row->opensN);
            $claims[] = [
                'words' => 'Its eye bears '.Figures::trim($row->opensN, 1).' N.',
                'against' => 'what hangs, and a tug, come to '.Figures::trim($row->said->loadN, 1).' N',
                'share' => $row->opensN / $most, 'mark' => $row->said->loadN / $most,
                'at' => Figures::trim($row->said->loadN, 1).' N',
            ];
        }

        return $claims;
    }

    /** @return array{words: string, against: string, share: float, mark: float, at: string} */
    private static function against(string $words, float $ratio, string $usual): array
    {
        $most = max(2.0, 1.1 * $ratio);

        return [
            'words' => $words, 'against' => Figures::trim($ratio, $ratio < 10 ? 1 : 0)." × {$usual}",
            'share' => $ratio / $most, 'mark' => 1 / $most, 'at' => '1 ×',
        ];
    }
}
