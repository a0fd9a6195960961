<?php

declare(strict_types=1);

namespace App\View;

use Symfony\Component\Finder\Finder;

/**
 * The rooms of the house as a picture, read off their imports: `php artisan hebra:docs`. Each stands above those that
 * it builds on; what is built on through another room has no line of its own. Pixels.
 */
final class MapDocument
{
    private const WIDE = 1120;

    private const ROW = 62;

    private const BOX = [128, 30];

    private const GAP = 30;

    /** @var array<string, array<string, true>> what each room builds on; those of the application are `app/…` */
    private array $on = [];

    /** @var array<string, int> how many rooms stand below each at most */
    private array $heights = [];

    private function __construct()
    {
        foreach (['core/src', 'app'] as $folder) {
            foreach (Finder::create()->files()->in(base_path($folder))->name('*.php')->depth('>= 1') as $file) {
                $of = explode('/', str_replace('\\', '/', $file->getRelativePathname()))[0];
                $this->file($folder === 'app' ? "app/{$of}" : $of, $file->getContents());
            }
        }
        ksort($this->on);
        array_map($this->height(...), array_keys($this->on));
        ksort($this->heights);
    }

    public static function svg(): string
    {
        return (new self)->drawn();
    }

    private function file(string $room, string $code): void
    {
        $this->on[$room] ??= [];
        preg_match_all('~^use (Hebra\\\\Core|App)\\\\(\w+)\\\\~m', $code, $uses, PREG_SET_ORDER);
        foreach ($uses as [, $world, $name]) {
            $other = $world === 'App' ? "app/{$name}" : $name;
            if ($other !== $room) {
                $this->on[$room][$other] = true;
            }
        }
    }

    private function height(string $room): int
    {
        return $this->heights[$room] ??= max([-1, ...array_map($this->height(...), $this->builtOn($room))]) + 1;
    }

    /** @return list<string> */
    private function builtOn(string $room): array
    {
        $on = array_keys($this->on[$room] ?? []);
        sort($on);

        return $on;
    }

    /** Whether a room is built on through another. */
    private function isThrough(string $room, string $other): bool
    {
        foreach ($this->builtOn($room) as $between) {
            if ($between !== $other && $this->reaches($between, $other)) {
                return true;
            }
        }

        return false;
    }

    private function reaches(string $room, string $other): bool
    {
        foreach ($this->builtOn($room) as $next) {
            if ($next === $other || $this->reaches($next, $other)) {
                return true;
            }
        }

        return false;
    }

    /** @return array<string, array{float, float}> the middle of each */
    private function places(): array
    {
        $rows = [];
        foreach ($this->heights as $room => $height) {
            $rows[$height][] = $room;
        }
        $places = [];
        foreach ($rows as $height => $row) {
            foreach ($row as $at => $room) {
                $places[$room] = [
                    self::WIDE / 2 + ($at - (count($row) - 1) / 2) * (self::BOX[0] + self::GAP),
                    (max([0, ...$this->heights]) - $height + 0.5) * self::ROW,
                ];
            }
        }

        return $places;
    }

    private function drawn(): string
    {
        $places = $this->places();
        $high = (max([0, ...$this->heights]) + 1) * self::ROW;
        $lines = $boxes = '';
        foreach ($places as $room => [$x, $y]) {
            foreach ($this->builtOn($room) as $other) {
                $lines .= $this->isThrough($room, $other) ? '' : self::line([$x, $y], $places[$other]);
            }
            $boxes .= self::box($room, $x, $y);
        }

        return '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 '.self::WIDE." {$high}\" role=\"img\" "
            ."aria-label=\"The rooms of Hebra, each above those that it builds on\" font-family=\"sans-serif\">\n"
            ."<rect width=\"100%\" height=\"100%\" fill=\"#fdf9ef\"/>\n{$lines}{$boxes}</svg>\n";
    }

    /**
     * @param  array{float, float}  $from
     * @param  array{float, float}  $to
     */
    private static function line(array $from, array $to): string
    {
        [$top, $end] = [$from[1] + self::BOX[1] / 2, $to[1] - self::BOX[1] / 2];
        $bend = ($end - $top) / 2;

        return "<path fill=\"none\" stroke=\"#b9a98a\" d=\"M{$from[0]} {$top}C{$from[0]} ".($top + $bend)
            ." {$to[0]} ".($end - $bend)." {$to[0]} {$end}\"/>\n";
    }

    private static function box(string $room, float $x, float $y): string
    {
        [$wide, $high] = self::BOX;
        $fill = str_starts_with($room, 'app/') ? '#efe6d2' : '#dbe9e2';

        return '<rect x="'.($x - $wide / 2).'" y="'.($y - $high / 2)."\" width=\"{$wide}\" height=\"{$high}\" rx=\"3\" "
            ."fill=\"{$fill}\" stroke=\"#1d665a\"/><text x=\"{$x}\" y=\"".($y + 5).'" text-anchor="middle" '
            ."font-size=\"14\" fill=\"#231f1a\">{$room}</text>\n";
    }
}
