<?php

declare(strict_types=1);

namespace App\Pdf;

use App\View\BeadTint;
use App\View\Drawing;
use Hebra\Core\Bead\Bead;
use Hebra\Core\Wire\Metal;

/**
 * A bead as the pages draw it, for paper, with every style put in: the library that writes the file knows attributes
 * alone, and shades a path only within a square of one millimetre.
 */
final readonly class PaperBead
{
    /** Room for its rim, mm. */
    public const EDGE_MM = 0.3;

    /** A path is shaded within one millimetre: so many pixels as TCPDF reckons them, 90 to the inch. */
    private const UNIT_PX = 90 / 25.4;

    /** How far a shade reaches in the templates’ own gradients. */
    private const ROUND = '<radialGradient id="fill" cx="36%" cy="30%" r="78%">';

    private const LONG = '<linearGradient id="tube">';

    /** @var array{string, string, string} */
    private array $shades;

    private float $pxPerMm;

    /** @param  Metal|null  $metal  what it is wound of */
    public function __construct(private Bead $bead, float $scale, private ?Metal $metal)
    {
        $this->shades = BeadTint::shades($bead->colour);
        $this->pxPerMm = $scale * Drawing::PX_PER_MM;
    }

    public function svg(): string
    {
        [$wide, $high] = [$this->bead->widthMm * $this->pxPerMm, $this->bead->lengthMm * $this->pxPerMm];
        $edge = self::EDGE_MM * Drawing::PX_PER_MM;
        $drawn = view('svg.bead', [
            'bead' => $this->bead, 'x' => $wide / 2 + $edge, 'y' => $edge, 'w' => $wide, 'l' => $high,
        ])->render();
        $drawn = (string) preg_replace_callback(
            '~<path class="hull" fill="url\(#(fill|tube)-[a-z]+\)" d="([^"]+)"/>~',
            fn (array $hull): string => $this->hull($hull[1], $hull[2], $wide, $high), $drawn,
        );
        $drawn = (string) preg_replace('~url\(#(fill|tube)-[a-z]+\)~', 'url(#$1)', $drawn);
        $drawn = (string) preg_replace_callback(
            '~class="([a-z-]+)[^"]*"~', fn (array $found): string => $this->attributes($found[1]), $drawn,
        );
        [$width, $height] = [$wide + 2 * $edge, $high + 2 * $edge];

        return "<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"{$width}\" height=\"{$height}\" "
            ."viewBox=\"0 0 {$width} {$height}\"><defs>{$this->shading()}</defs>{$drawn}</svg>";
    }

    private function shading(): string
    {
        [$light, $body, $deep] = $this->shades;
        if ($this->metal !== null) {
            [$deep, $body] = array_map(
                fn (array $rgb): string => vsprintf('#%02x%02x%02x', $rgb), $this->metal->tint(),
            );
        }
        $stop = fn (float $at, string $colour): string => "<stop offset=\"{$at}\" stop-color=\"{$colour}\"/>";

        return self::ROUND.$stop(0, $light).$stop(0.42, $body).$stop(1, $deep).'</radialGradient>'
            .self::LONG.$stop(0, $deep).$stop(0.3, $light).$stop(0.55, $body).$stop(1, $deep).'</linearGradient>';
    }

    /** A shaded path in that square, stretched to its size, and its rim on top. */
    private function hull(string $fill, string $path, float $wide, float $high): string
    {
        $isAcross = true;
        $unit = (string) preg_replace_callback(
            '/[MLHVCQZ]|-?[0-9.]+/',
            function (array $found) use ($wide, $high, &$isAcross): string {
                [$one] = $found;
                if (ctype_alpha($one)) {
                    $isAcross = $one !== 'V';

                    return $one;
                }
                $at = $isAcross ? ((float) $one + $wide / 2) / $wide : (float) $one / $high;
                $isAcross = ! $isAcross;

                return (string) round(self::UNIT_PX * $at, 5);
            },
            $path,
        );

        [$x, $across, $down] = [-$wide / 2, $wide / self::UNIT_PX, $high / self::UNIT_PX];

        return "<g transform=\"translate({$x} 0) scale({$across} {$down})\">"
            ."<path fill=\"url(#{$fill})\" stroke=\"none\" d=\"{$unit}\"/></g>"
            ."<path fill=\"none\" stroke=\"{$this->shades[2]}\" stroke-width=\"0.8\" d=\"{$path}\"/>";
    }

    private function attributes(string $class): string
    {
        [$light, , $deep] = $this->shades;

        return match ($class) {
            'hull' => "stroke=\"{$deep}\" stroke-width=\"0.8\"",
            'facet' => "fill=\"{$deep}\" opacity=\"0.28\"",
            'facet-light' => "fill=\"{$light}\" opacity=\"0.55\"",
            'edge-line' => "stroke=\"{$deep}\" stroke-opacity=\"0.45\" stroke-width=\"0.7\" fill=\"none\"",
            'glow' => 'fill="#ffffff" opacity="0.62"',
            'coil-shine' => "stroke=\"{$light}\" stroke-opacity=\"0.7\" fill=\"none\"",
            'setting' => 'fill="#d9d6cd" stroke="#8d897e" stroke-width="0.6"',
            'bore' => "fill=\"{$deep}\" opacity=\"0.75\"",
            default => '',
        };
    }
}
