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

    /** @var array{string, string, string} */
    private array $shades;

    private float $pxPerMm;

    /** @param  Metal|null  $metal  what it is wound of */
    public function __construct(private Bead $bead, float $scale, ?Metal $metal)
    {
        $this->shades = $metal === null ? BeadTint::shades($bead->colour) : self::ofMetal($metal);
        $this->pxPerMm = $scale * Drawing::PX_PER_MM;
    }

    /** @return array{string, string, string} light, body and deep of what is wound of it */
    private static function ofMetal(Metal $metal): array
    {
        [$edge, $body, $shine] = array_map(
            fn (array $rgb): string => vsprintf('#%02x%02x%02x', $rgb), $metal->tint(),
        );

        return [$shine, $body, $edge];
    }

    public function svg(): string
    {
        [$wide, $high] = [$this->bead->widthMm * $this->pxPerMm, $this->bead->lengthMm * $this->pxPerMm];
        $edge = self::EDGE_MM * Drawing::PX_PER_MM;
        $drawn = view('svg.bead', [
            'bead' => $this->bead, 'x' => $wide / 2 + $edge, 'y' => $edge, 'w' => $wide, 'l' => $high,
        ])->render();
        $drawn = (string) preg_replace_callback(
            '~<path class="hull" fill="(url\([^)]+\))" d="([^"]+)"/>~',
            fn (array $hull): string => $this->hull($hull[1], $hull[2], $wide, $high), $drawn,
        );
        $drawn = (string) preg_replace_callback(
            '~class="([a-z-]+)[^"]*"~', fn (array $found): string => $this->attributes($found[1]), $drawn,
        );
        [$width, $height] = [$wide + 2 * $edge, $high + 2 * $edge];

        return "<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"{$width}\" height=\"{$height}\" "
            ."viewBox=\"0 0 {$width} {$height}\"><defs>{$this->shading()}</defs>{$drawn}</svg>";
    }

    /** The pages’ own gradients of its colour. */
    private function shading(): string
    {
        $stops = [];
        foreach (['light', 'body', 'deep'] as $at => $name) {
            $stops["class=\"stop-{$name}\""] = "stop-color=\"{$this->shades[$at]}\"";
        }
        preg_match_all(
            '~<(radial|linear)Gradient id="(?:fill|tube)-'.$this->bead->colour.'".*?</\1Gradient>~s',
            view('svg.defs')->render(), $found,
        );

        return strtr(implode('', $found[0]), $stops);
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
            ."<path fill=\"{$fill}\" stroke=\"none\" d=\"{$unit}\"/></g>"
            ."<path {$this->attributes('hull')} fill=\"none\" d=\"{$path}\"/>";
    }

    /** What the style sheet of wire says of a class of a bead, as attributes. */
    private function attributes(string $class): string
    {
        return preg_match('/\.bead \.'.$class.' \{([^}]*)\}/', self::styles(), $found) !== 1
            ? ''
            : (string) preg_replace('/([a-z-]+):\s*([^;]+);/', '$1="$2"', strtr($found[1], $this->colours()));
    }

    /** @return array<string, string> what its variables stand for */
    private function colours(): array
    {
        [$light, $body, $deep] = $this->shades;

        return ['var(--b-light)' => $light, 'var(--b-body)' => $body, 'var(--b-deep)' => $deep];
    }

    private static function styles(): string
    {
        return (string) file_get_contents(resource_path('css/wire.css'));
    }
}
