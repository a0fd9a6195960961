<?php

declare(strict_types=1);

namespace App\Support;

/** A QR code as rows of dark and light, drawn by blocks on a terminal or as a path on a page. */
final readonly class QrCode
{
    /** Light all round, as readers want it [ISO/IEC 18004: four modules]. */
    private const QUIET = 4;

    /** @param  list<list<bool>>  $rows  dark or not */
    private function __construct(private array $rows)
    {
    }

    public static function of(string $text): self
    {
        $code = (new \TCPDF2DBarcode($text, 'QRCODE,M'))->getBarcodeArray();
        $rows = array_map(
            fn (array $row): array => array_map(fn (mixed $one): bool => (int) $one === 1, array_values($row)),
            array_values($code['bcode']),
        );
        $wide = count($rows[0]) + 2 * self::QUIET;
        $light = array_fill(0, $wide, false);
        $side = array_fill(0, self::QUIET, false);

        return new self(
            [
                ...array_fill(0, self::QUIET, $light),
                ...array_map(fn (array $row): array => [...$side, ...$row, ...$side], $rows),
                ...array_fill(0, self::QUIET, $light),
            ],
        );
    }

    /** Two rows in one line; light is drawn, since most terminals are dark. */
    public function blocks(): string
    {
        $lines = '';
        foreach (array_chunk($this->rows, 2) as $pair) {
            [$upper, $lower] = $pair + [1 => array_fill(0, count($pair[0]), false)];
            foreach ($upper as $at => $isDark) {
                $lines .= [' ', '▄', '▀', '█'][($isDark ? 0 : 2) + ($lower[$at] ? 0 : 1)];
            }
            $lines .= "\n";
        }

        return $lines;
    }

    /** Its dark modules as an SVG path, one unit each. */
    public function path(): string
    {
        $path = '';
        foreach ($this->rows as $y => $row) {
            foreach ($row as $x => $isDark) {
                $path .= $isDark ? "M{$x} {$y}h1v1h-1z" : '';
            }
        }

        return $path;
    }

    public function size(): int
    {
        return count($this->rows);
    }
}
