<?php

declare(strict_types=1);

namespace Hebra\Core\Wire;

/** The systems in which wire is sold. "Gauge" alone means AWG. */
enum SizeSystem: string
{
    case Awg = 'awg';
    case Swg = 'swg';
    case Metric = 'mm';

    /**
     * Diameters of BS 3737 in thousandths of an inch, sizes 1 to 40 [published: BS 3737, standard wire gauge; from
     * memory, checked against the handbook's rows].
     */
    private const SWG_THOUSANDTHS = [
        1 => 300, 276, 252, 232, 212, 192, 176, 160, 144, 128, 116, 104, 92, 80, 72, 64, 56, 48, 40, 36, 32, 28, 24,
        22, 20,
        18, 16.4, 14.8, 13.6, 12.4, 11.6, 10.8, 10, 9.2, 8.4, 7.6, 6.8, 6, 5.2, 4.8,
    ];

    /** Diameters as sold, in millimetres [common practice]. */
    private const METRIC_MM = [0.2, 0.25, 0.3, 0.4, 0.5, 0.6, 0.7, 0.8, 0.9, 1.0, 1.2, 1.5, 2.0, 2.5, 3.0];

    public function words(): string
    {
        return match ($this) {
            self::Awg => 'AWG, American wire gauge',
            self::Swg => 'SWG, standard wire gauge',
            self::Metric => 'millimetres',
        };
    }

    /** AWG: d = 0.127 · 92^((36 − n)/39) mm [published: ASTM B258]. */
    public static function awgMm(int $number): float
    {
        return 0.127 * 92 ** ((36 - $number) / 39);
    }

    public static function swgMm(int $number): float
    {
        return self::SWG_THOUSANDTHS[$number] * 0.0254;
    }

    /** The AWG number nearest by diameter, 0 to 40. */
    public static function nearestAwg(float $diameterMm): int
    {
        $exact = 36 - 39 * log($diameterMm / 0.127) / log(92);
        $low = max(0, min(40, (int) floor($exact)));
        $high = min(40, $low + 1);

        return abs(self::awgMm($low) - $diameterMm) <= abs(self::awgMm($high) - $diameterMm) ? $low : $high;
    }

    /** The SWG number nearest by diameter, 1 to 40. */
    public static function nearestSwg(float $diameterMm): int
    {
        $nearest = 1;
        foreach (self::SWG_THOUSANDTHS as $number => $thousandths) {
            if (abs($thousandths * 0.0254 - $diameterMm) < abs(self::swgMm($nearest) - $diameterMm)) {
                $nearest = $number;
            }
        }

        return $nearest;
    }

    /**
     * The sizes a maker of wrapped jewelry chooses among, thick to thin.
     *
     * @return list<WireSize>
     */
    public function common(): array
    {
        return match ($this) {
            self::Awg => array_map(WireSize::awg(...), range(14, 30)),
            self::Swg => array_map(WireSize::swg(...), range(15, 30)),
            self::Metric => array_map(WireSize::millimetres(...), array_reverse(array_slice(self::METRIC_MM, 1, 11))),
        };
    }
}
