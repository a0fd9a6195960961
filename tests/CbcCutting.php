<?php

declare(strict_types=1);

namespace Tests;

use Hebra\Core\Stock\CutKind;
use Hebra\Core\Stock\CuttingTerms;
use Hebra\Core\Stock\StockRow;

/**
 * The same cutting problem as a mixed-integer programme for the general solver `cbc`: for the benchmark and for checks
 * only. Scrap is worth nothing in it.
 */
final class CbcCutting
{
    public static function isThere(): bool
    {
        return trim((string) shell_exec('command -v cbc 2>/dev/null')) !== '';
    }

    /**
     * @param  list<CutKind>  $cuts
     * @param  list<StockRow>  $stock
     * @return array{float|null, bool, float} value lost of the best found, whether cbc proved it, seconds taken
     */
    public static function solve(array $cuts, array $stock, CuttingTerms $terms, int $seconds): array
    {
        $all = array_sum(array_map(fn (CutKind $cut): int => $cut->count, $cuts));
        $goal = $rules = [];
        $integers = $binaries = $bounds = [];
        $p = 0;
        foreach ($stock as $row) {
            for ($one = 0; $one < ($row->isBought() ? $all : $row->count); $one++, $p++) {
                $opening = $terms->worthMm(
                    $row->lengthMm,
                ) + $terms->handlingMm + ($row->isBought() ? $terms->buyMm : 0.0);
                $goal[] = sprintf('+ %.6f y%d - w%d', $opening, $p, $p);
                $used = implode(
                    ' ',
                    array_map(
                        fn (int $k): string => sprintf('- %.6f a%d_%d', $cuts[$k]->lengthMm + $terms->trimMm, $p, $k),
                        array_keys($cuts),
                    ),
                );
                $room = $row->lengthMm + $terms->trimMm;
                $rules[] = sprintf('%.6f y%d %s >= 0', $room, $p, $used);
                // What is left, in two parts: up to a coil, and beyond.
                $rules[] = sprintf(
                    '%.6f y%d %s - r%d - s%d - %.6f k%d >= 0',
                    $room,
                    $p,
                    $used,
                    $p,
                    $p,
                    $terms->trimMm,
                    $p,
                );
                $rules[] = sprintf('r%d + s%d - %.6f k%d >= 0', $p, $p, $terms->keepMm, $p);
                $rules[] = sprintf(
                    'w%d - %.6f r%d - s%d + %.6f k%d <= 0',
                    $p,
                    $terms->offcutWorth,
                    $p,
                    $p,
                    $terms->lotMm,
                    $p,
                );
                $rules[] = sprintf('w%d - %.6f k%d <= 0', $p, $terms->worthMm($row->lengthMm) + 1, $p);
                $rules[] = sprintf('s%d - %.6f z%d <= 0', $p, max(0.0, $row->lengthMm - $terms->coilMm), $p);
                $rules[] = sprintf('r%d - %.6f z%d >= 0', $p, $terms->coilMm, $p);
                $bounds[] = sprintf('0 <= r%d <= %.6f', $p, $terms->coilMm);
                array_push($binaries, "y{$p}", "k{$p}", "z{$p}");
                foreach (array_keys($cuts) as $k) {
                    $integers[] = "a{$p}_{$k}";
                }
            }
        }
        foreach ($cuts as $k => $cut) {
            $rules[] = implode(
                ' ',
                array_map(fn (int $one): string => "+ a{$one}_{$k}", range(0, $p - 1)),
            )." = {$cut->count}";
        }
        $file = tempnam(sys_get_temp_dir(), 'cut');
        file_put_contents(
            $file.'.lp',
            "Minimize\n obj: ".implode("\n ", $goal)."\nSubject To\n ".implode("\n ", $rules)."\nBounds\n "
                .implode("\n ", $bounds)."\nGenerals\n ".implode("\n ", $integers)."\nBinaries\n "
                .implode("\n ", $binaries)."\nEnd\n",
        );
        $start = hrtime(true);
        $said = (string) shell_exec(
            'cbc '.escapeshellarg($file.'.lp')." sec {$seconds} ratio 0 solve solu ".escapeshellarg($file.'.sol')
                .' 2>/dev/null',
        );
        $taken = (hrtime(true) - $start) / 1e9;
        $first = (string) strtok((string) @file_get_contents($file.'.sol'), "\n");
        array_map(fn (string $end) => @unlink($file.$end), ['', '.lp', '.sol']);

        return [
            preg_match('/objective value ([-\d.e+]+)/', $first, $match) === 1
                && ! str_contains(strtolower($first), 'infeasible') && ! str_contains($first, 'no integer solution')
                ? (float) $match[1]
                : null,
            str_starts_with($first, 'Optimal'),
            $taken,
        ];
    }

    /**
     * A seeded instance: so many kinds of cut, so many pieces of stock.
     *
     * @return array{list<CutKind>, list<StockRow>}
     */
    public static function instance(int $seed): array
    {
        mt_srand($seed);
        $cuts = $stock = [];
        $all = 0.0;
        for ($k = 0, $kinds = mt_rand(5, 40); $k < $kinds; $k++) {
            $cut = new CutKind("cut {$k}", (float) mt_rand(30, mt_rand(0, 3) === 0 ? 450 : 160), mt_rand(1, 6));
            $all += $cut->lengthMm * $cut->count;
            $cuts[] = $cut;
        }
        for ($s = 0, $pieces = mt_rand(10, 60); $s < $pieces; $s++) {
            $stock[] = new StockRow("piece {$s}", (float) mt_rand(70, mt_rand(0, 4) === 0 ? 2400 : 600), 1);
        }
        $stock[] = new StockRow('coil', 2000.0, 0);

        return [$cuts, $stock];
    }
}
