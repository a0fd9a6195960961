<?php

declare(strict_types=1);

namespace App\View;

use Hebra\Core\Plan\HandHint;
use Hebra\Core\Plan\Hands;
use Hebra\Core\Plan\Jaw;

/** What hands and tools do at a step, as shapes that carry their own colours: for pages, files and paper. */
final readonly class HandSigns
{
    private const HINT = 'fill="none" stroke="#2a8f7c" stroke-width="3" stroke-linecap="round" '
        .'stroke-linejoin="round"';

    /** Of pliers: what they hold is seen through them. */
    private const STEEL = 'fill="#8d897e" fill-opacity="0.82" stroke="#4b4740" stroke-width="1.2"';

    /** So much of flat jaws is seen beside a loop. */
    private const JAW_PX = 70.0;

    private const DASHED = 'stroke-dasharray="7 6"';

    /** A winding is drawn no wider, a way no shorter: nothing would be seen of it. */
    private const WIDEST_PX = 62.0;

    private const LEAST_PX = 20.0;

    /** How long the head of an arrow is, in pixels. */
    private const HEAD_PX = 12.0;

    public function __construct(private Hands $hands, private Drawing $drawing, private bool $isMirrored)
    {
    }

    /** Pliers on the wire, and over them what the hands do. */
    public function over(): string
    {
        return implode('', array_map($this->jaw(...), $this->hands->jaws))
            .implode('', array_map($this->hint(...), $this->hands->hints));
    }

    /** @return array{float, float, float} where it lies and how far it reaches, in pixels */
    private function placed(Jaw $one): array
    {
        return [$this->drawing->x($one->xMm), $this->drawing->y($one->yMm), $this->drawing->px($one->radiusMm)];
    }

    /** A rod seen from its end, or a block, under the wire. */
    public function under(): string
    {
        $under = $this->hands->under;
        if ($under === null) {
            return '';
        }
        [$x, $y, $reach] = $this->placed($under);

        return $under->isRound
            ? '<circle cx="'.round($x, 1).'" cy="'.round($y, 1).'" r="'.round($reach, 1)
                .'" fill="#d9cfb8" stroke="#8a7a55" stroke-width="1.2"/>'
            : '<rect x="'.round($x - $reach, 1).'" y="'.round($y - $reach, 1).'" width="'.round(2 * $reach, 1)
                .'" height="'.round(2 * $reach, 1).'" rx="5" fill="#c9c5bb" stroke="#8d897e" stroke-width="1.2"/>';
    }

    /** Round ones from their tips, flat ones from aside: as far as the loop’s middle. */
    private function jaw(Jaw $jaw): string
    {
        [$x, $y, $radius] = $this->placed($jaw);
        if ($jaw->isRound) {
            return '<circle cx="'.round($x, 1).'" cy="'.round($y, 1).'" r="'.round($radius, 1).'" '.self::STEEL.'/>';
        }
        [$tip, $wide, $far] = [0.34 * $radius, 0.85 * $radius, -$radius - self::JAW_PX];
        $edge = fn (float $at): string => 'M'.self::pair($far, $at * $wide).'L'.self::pair(0.1 * $radius, $at * $tip);

        return '<g transform="translate('.self::pair($x, $y).')'.$this->flip().' rotate('
            .round($jaw->degrees - 180.0, 1).')"><path d="'
            .$edge(-1.0).'A'.self::pair($tip, $tip).' 0 0 1 '.self::pair(0.1 * $radius, $tip).'L'
            .self::pair($far, $wide).'Z" '.self::STEEL.'/><path d="'.$edge(0.0).'" fill="none" stroke="#4b4740"/></g>';
    }

    /** Signs and pliers stand where the wire does, the other way round where all is mirrored. */
    private function flip(): string
    {
        return $this->isMirrored ? ' scale(-1 1)' : '';
    }

    /** What the hands do, as a sign: arrows for ways, a pair of blades for a cut. */
    private function hint(HandHint $hint): string
    {
        $size = $this->drawing->px($hint->sizeMm);

        return '<g transform="translate('.self::pair($this->drawing->x($hint->xMm), $this->drawing->y($hint->yMm)).')'
            .$this->flip().'">'
            .match ($hint->kind) {
                HandHint::TURN => $this->turning($hint, $size + 14.0),
                HandHint::WIND => $this->winding($hint, min(self::WIDEST_PX, max(20.0, 2.2 * $size))),
                HandHint::TAP => $this->tapping(),
                HandHint::FILE => $this->filing($hint),
                HandHint::SWING => $size < self::LEAST_PX ? '' : $this->swinging($hint),
                default => $this->cutting($hint, max(3.0, $size)),
            }.'</g>';
    }

    /** Round the eye, most of the way, from where it begins. */
    private function turning(HandHint $hint, float $radius): string
    {
        $sense = $hint->degrees <=> 0.0;
        $on = fn (float $at): array => [$radius * cos(deg2rad($at)), $radius * sin(deg2rad($at))];
        [$first, $last] = [$hint->fromDegrees + $sense * 25.0, $hint->fromDegrees + $sense * 285.0];
        $way = 'M'.self::pair(...$on($first)).'A'.self::pair($radius, $radius).' 0 1 '.($sense > 0 ? 1 : 0)
            .' '.self::pair(...$on($last));

        return $this->path($way).$this->head($on($last), $last + $sense * 90.0);
    }

    /** Round what it is wound on: before it whole, behind it dashed. */
    private function winding(HandHint $hint, float $radius): string
    {
        [$axis, $isToRight] = [$hint->fromDegrees, $hint->degrees > 0.0];
        // Looked at a little from above, what is near lies low on the page: of both ways along an axis the one down.
        if (sin(deg2rad($axis)) < 0.0) {
            [$axis, $isToRight] = [$axis + 180.0, ! $isToRight];
        }
        $round = 'A'.self::pair($radius, 0.34 * $radius).' 0 0 '.($isToRight ? 1 : 0).' ';
        // Right of an axis that runs down is left on the page.
        [$from, $to] = $isToRight ? [$radius, -$radius] : [-$radius, $radius];

        return '<g transform="rotate('.round($axis - 90.0, 1).')">'
            .$this->path('M'.self::pair($to, 0).$round.self::pair($from, 0), self::DASHED)
            .$this->path('M'.self::pair($from, 0).$round.self::pair($to, 0)).$this->head([$to, 0.0], -90.0).'</g>';
    }

    private function swinging(HandHint $hint): string
    {
        [$dx, $dy] = array_map(
            $this->drawing->px(...), [$hint->toXMm - $hint->xMm, $hint->toYMm - $hint->yMm],
        );
        // Bowed to the left of its way, as an end swings round what is held.
        [$midX, $midY] = [$dx / 2 + 0.25 * $dy, $dy / 2 - 0.25 * $dx];

        return $this->path('M0 0Q'.self::pair($midX, $midY).' '.self::pair($dx, $dy), self::DASHED)
            .$this->head([$dx, $dy], rad2deg(atan2($dy - $midY, $dx - $midX)));
    }

    /** The cutter's flush side stands against what stays. */
    private function cutting(HandHint $hint, float $wire): string
    {
        $reach = 0.5 * $wire + 4.0;
        [$out, $long] = [$reach + 26.0, 0.9 * $reach + 12.0];
        $blade = fn (int $side): string => '<path d="M'.self::pair(0, 1.5 * $side).'V'.round($side * $out, 1)
            .'L'.self::pair($long, $side * $out)
            .'Z" fill="#8d897e" fill-opacity="0.85" stroke="#4b4740" stroke-width="1.2"/>';

        return '<g transform="rotate('.round($hint->degrees, 1).')">'.$blade(-1).$blade(1).'</g>';
    }

    /** A hammer above where it falls. */
    private function tapping(): string
    {
        $strokes = '';
        foreach ([-100.0, -60.0, -20.0] as $degrees) {
            [$x, $y] = [cos(deg2rad($degrees)), sin(deg2rad($degrees))];
            $strokes .= $this->path('M'.self::pair(9 * $x, 9 * $y).'L'.self::pair(19 * $x, 19 * $y));
        }

        return $strokes.'<g transform="translate(24 -36) rotate(35)"><path d="M-15 -13h30v20h-30z" '.self::STEEL
            .'/><path d="M-18 7h36v6h-36z" '.self::STEEL.'/><path d="M15 -6h58v8h-58z" fill="#a98a5b" '
            .'fill-opacity="0.9" stroke="#6d5532"/></g>';
    }

    /** A needle file slanting over the end, and the way it goes. */
    private function filing(HandHint $hint): string
    {
        return '<g transform="rotate('.round($hint->degrees + 62.0, 1).')"><path d="M-26 -5h62v8h-62l-8 -4z" '
            .self::STEEL.'/><path d="M36 -8h30a5 5 0 0 1 5 5v4a5 5 0 0 1 -5 5h-30z" fill="#a98a5b" '
            .'fill-opacity="0.9" stroke="#6d5532"/>'.$this->path('M-14 -16h32').$this->head([-16.0, -16.0], 180.0)
            .$this->head([20.0, -16.0], 0.0).'</g>';
    }

    /** @param  array{float, float}  $at */
    private function head(array $at, float $degrees): string
    {
        return '<path transform="translate('.self::pair(...$at).') rotate('.round($degrees, 1).')" d="M-'.self::HEAD_PX
            .' -7L0 0L-'.self::HEAD_PX.' 7" '.self::HINT.'/>';
    }

    private function path(string $way, string $more = ''): string
    {
        return '<path d="'.$way.'" '.self::HINT.($more === '' ? '' : ' '.$more).'/>';
    }

    private static function pair(float $x, float $y): string
    {
        return round($x, 1).' '.round($y, 1);
    }
}
