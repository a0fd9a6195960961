<?php

declare(strict_types=1);

namespace App\View;

use Hebra\Core\Bead\Bead;
use Hebra\Core\Figure\Assembly;
use Hebra\Core\Figure\BeadMark;
use Hebra\Core\Figure\PieceFigure;
use Hebra\Core\Figure\Pose;
use Hebra\Core\Figure\Stroke;

/**
 * A piece in pixels, ready to be placed: strokes joined by wire and layer, beads, the scale. What a part made often is
 * drawn of is there once and used wherever it lies.
 *
 * @phpstan-type DrawnStroke array{
 *     mark: string, metal: string, width: string, bodyWidth: string, shineWidth: string,
 *     shineX: string, shineY: string, runsOn: bool, rank: int, face: string, colour: string, isEdge: bool,
 *     section: string, path: string,
 * }
 * @phpstan-type UsedStroke array{
 *     mark: string, metal: string, width: string, bodyWidth: string, shineWidth: string,
 *     shineX: string, shineY: string, runsOn: bool, rank: int, face: string, colour: string, isEdge: bool,
 *     section: string, path: string,
 *     uses: list<array{string, string}>, lies: list<Stroke>,
 * }
 * @phpstan-type NamedStroke array{
 *     id: string, drawn: string, mark: string, metal: string, width: string, bodyWidth: string, shineWidth: string,
 *     shineX: string, shineY: string, runsOn: bool, rank: int, face: string, colour: string, isEdge: bool,
 *     section: string, path: string,
 * }
 */
final class Drawing
{
    public const PX_PER_MM = 96 / 25.4;

    private const RATIOS = [
        6, 5, 4, 3.5, 3, 2.5, 2.4, 2.2, 2, 1.8, 1.6, 1.5, 1.25, 1, 0.9, 0.8, 0.7, 0.6, 0.5, 0.4, 0.3, 0.25, 0.2, 0.15,
        0.1, 0.05, 0.02, 0.01,
    ];

    /** From so many on, alike parts are drawn by reference. */
    private const ALIKE = 3;

    /** A bead that is seen by less than this narrower is drawn as it is. */
    private const NARROW = 0.03;

    /** From so many characters on a path is told once and used three times. */
    private const LONG = 45;

    /** What is cut off in the end is drawn apart. */
    private const TAIL = 'tail';

    public readonly float $ratio;

    public readonly float $width;

    public readonly float $height;

    private readonly float $k;

    private readonly float $originX;

    /** @var array<int, list<UsedStroke>>|null */
    private ?array $layers = null;

    /** @var list<string>|null marks whose stretches are drawn apart, null for all */
    private ?array $apart = [];

    /** @var array<string, int> how many paths have a name, of each part or of all */
    private array $paths = [];

    /** @var array<string, int>|null kinds of beads, numbered in the order of their keys */
    private ?array $kinds = null;

    /** @var list<string> ids of parts whose wire is lit */
    private array $lit = [];

    /** @var list<string> ids of parts that are not made yet */
    private array $unmade = [];

    /** @var array<int|string, NamedStroke> */
    private array $templates = [];

    public function __construct(
        private readonly Assembly $assembly,
        float $roomWide = 330,
        float $roomHigh = 560,
        private readonly float $dimension = 64,
        private readonly float $room = 26,
        private readonly string $name = '',
        public readonly bool $isMirrored = false,
        ?float $ratioGiven = null,
        private readonly bool $byReference = true,
        private readonly float $rulerWide = 0.0,
    ) {
        $this->ratio = $ratioGiven ?? self::ratioFor(
            $assembly,
            $roomWide - $rulerWide - $dimension - 2 * $this->room,
            $roomHigh - 2 * $this->room,
        );
        $this->k = $this->ratio * self::PX_PER_MM;
        $wide = 2 * $this->room + $rulerWide + $dimension + $assembly->widthMm() * $this->k;
        // A ruler lies at the edge of its room, the piece in the middle of what is left.
        $aside = $rulerWide > 0.0 ? max(0.0, $roomWide - $wide) / 2 : 0.0;
        $this->originX = $this->room + $rulerWide + $dimension + $aside
            + ($isMirrored ? $assembly->right : -$assembly->left) * $this->k;
        $this->width = round($wide + 2 * $aside, 1);
        // Laid round, it has its dimension below.
        $this->height = round(
            2 * $this->room + ($dimension === 0.0 && $room > 20 ? 22 : 0) + $assembly->heightMm() * $this->k,
            1,
        );
    }

    private static function ratioFor(Assembly $assembly, float $wide, float $high): float
    {
        foreach (self::RATIOS as $ratio) {
            $k = $ratio * self::PX_PER_MM;
            if ($assembly->heightMm() * $k <= $high && $assembly->widthMm() * $k <= $wide) {
                return $ratio;
            }
        }

        return 0.005;
    }

    /** With every stretch apart, so that each can be taken hold of. */
    public function allApart(): self
    {
        $this->apart = null;

        return $this;
    }

    /**
     * With some stretches apart; what else goes on in the next is drawn as one with it, without a seam.
     *
     * @param  list<string>  $marks
     */
    public function apart(array $marks): self
    {
        $this->apart = $marks;

        return $this;
    }

    /**
     * With the wire of some parts lit.
     *
     * @param  list<string>  $parts
     */
    public function lighting(array $parts): self
    {
        $this->lit = $parts;

        return $this;
    }

    /**
     * With some parts faint: they are not made yet.
     *
     * @param  list<string>  $parts
     */
    public function fading(array $parts): self
    {
        $this->unmade = $parts;

        return $this;
    }

    /** What marks a bead or a wire of a part that is not made yet. */
    public function faded(string $mark): string
    {
        return $this->unmade !== [] && in_array(strtok($mark, ':'), $this->unmade, true) ? ' is-unmade' : '';
    }

    public function x(float $mm): float
    {
        return round($this->originX + ($this->isMirrored ? -$mm : $mm) * $this->k, 2);
    }

    public function y(float $mm): float
    {
        return round($this->room + $mm * $this->k, 2);
    }

    public function px(float $mm): float
    {
        return round($mm * $this->k, 2);
    }

    public function dimensionX(): float
    {
        return $this->room + $this->rulerWide + 12;
    }

    /** From so many pixels apart on every millimetre has its tick. */
    private const FINE_PX = 4.0;

    /**
     * Ticks of the ruler at its edge: how far down, how long, and what stands there.
     *
     * @return list<array{float, float, string}>
     */
    public function ruler(): array
    {
        $ticks = [];
        $step = match (true) {
            $this->k >= self::FINE_PX => 1,
            $this->k >= self::FINE_PX / 5 => 5,
            default => 50,
        };
        for ($mm = 0; $this->rulerWide > 0.0 && $mm <= $this->bottomMm() + 4; $mm += $step) {
            $isLong = $mm % [1 => 10, 5 => 50, 50 => 100][$step] === 0;
            $long = match (true) {
                $isLong => 16.0,
                $mm % (5 * $step) === 0 => 11.0,
                default => 6.0,
            };
            $ticks[] = [$this->y($mm), $long, $isLong ? (string) $mm : ''];
        }

        return $ticks;
    }

    public function leftX(): float
    {
        return $this->x($this->isMirrored ? $this->assembly->right : $this->assembly->left);
    }

    public function rightX(): float
    {
        return $this->x($this->isMirrored ? $this->assembly->left : $this->assembly->right);
    }

    public function bottomMm(): float
    {
        return $this->assembly->heightMm();
    }

    /** Pixels of one centimetre square of the paper behind it. */
    public function centimetre(): float
    {
        return round(10 * $this->k, 3);
    }

    /** @return array<int, list<UsedStroke>> by layer, far to near; uses: a template and where it is put */
    public function layers(): array
    {
        return $this->layers ??= $this->drawn();
    }

    /** @return list<NamedStroke> what is used more than once */
    public function templates(): array
    {
        $this->layers();
        ksort($this->templates);

        return array_values($this->templates);
    }

    /**
     * @return array<int, list<UsedStroke>>
     */
    private function drawn(): array
    {
        $groups = [0 => [], 1 => [], 2 => []];
        $alike = [];
        foreach ($this->assembly->placed as [$figure]) {
            $alike[$figure->likeness()] = ($alike[$figure->likeness()] ?? 0) + 1;
        }
        $known = [];
        foreach ($this->assembly->placed as [$figure, $pose]) {
            $id = $figure->likeness();
            if ($this->byReference && $alike[$id] >= self::ALIKE) {
                $where = $this->where($pose);
                foreach ($known[$id] ??= $this->template($figure) as $at => $template) {
                    $stroke = $figure->strokes[$at];
                    $key = self::key($stroke);
                    $groups[$stroke->layer][$key] ??= $this->group($stroke) + ['uses' => [], 'lies' => []];
                    $groups[$stroke->layer][$key]['uses'][] = [$template, $where];
                }

                continue;
            }
            foreach ($figure->strokes as $stroke) {
                $key = self::key($stroke);
                $lies = $pose->isNone() ? $stroke : $stroke->posed($pose);
                $groups[$stroke->layer][$key] ??= $this->group($stroke) + ['uses' => [], 'lies' => []];
                $groups[$stroke->layer][$key]['path'] .= $this->path($lies);
                $groups[$stroke->layer][$key]['lies'][] = $lies;
            }
        }

        return array_map(function (array $layer): array {
            // Within a layer by rank, far to near, else as they came.
            uksort($layer, fn (string $one, string $other): int => (int) $one <=> (int) $other);

            return $this->asOne(array_values($layer));
        }, $groups);
    }

    /**
     * Rims of what goes on in each other below both bodies: drawn one after the other they have a seam.
     *
     * @param  list<UsedStroke>  $strokes
     * @return list<UsedStroke>
     */
    private function asOne(array $strokes): array
    {
        if ($this->apart === null) {
            return $strokes;
        }
        $joined = [];
        foreach ($strokes as $stroke) {
            $last = count($joined) - 1;
            if ($last >= 0 && $this->goesOnIn($joined[$last], $stroke)) {
                $joined[$last] = [
                    ...$joined[$last], 'path' => $joined[$last]['path'].$stroke['path'],
                    'lies' => [...$joined[$last]['lies'], ...$stroke['lies']],
                ];
            } else {
                $joined[] = $stroke;
            }
        }

        return $joined;
    }

    /**
     * Whether a stretch is the next of one wire, and they touch nowhere else: they may be drawn as one.
     *
     * @param  UsedStroke  $one
     * @param  UsedStroke  $next
     */
    private function goesOnIn(array $one, array $next): bool
    {
        if ($one['uses'] !== [] || $next['uses'] !== [] || count($next['lies']) > 1 || $one['face'] !== '') {
            return false;
        }
        foreach (['metal', 'width', 'runsOn', 'rank', 'face', 'colour', 'section'] as $is) {
            if ($one[$is] !== $next[$is]) {
                return false;
            }
        }

        return strtok($one['mark'], ':') === strtok($next['mark'], ':') && ! $this->isApart($one['mark'])
            && ! $this->isApart($next['mark']) && Seam::isOnly($one['lies'], $next['lies'][0]);
    }

    private function isApart(string $mark): bool
    {
        return $this->apart === null || in_array($mark, $this->apart, true) || str_ends_with($mark, self::TAIL);
    }

    /** What is drawn as one path: a rank, a mark, a thickness, and whether it ends or runs on. */
    private static function key(Stroke $stroke): string
    {
        return $stroke->rank.'|'.$stroke->mark.'|'.$stroke->wireMm.$stroke->face.$stroke->colour.(int) $stroke->runsOn;
    }

    /** @return array<int, string> the names of its templates, by the first of the strokes that each draws */
    private function template(PieceFigure $figure): array
    {
        $groups = [];
        foreach ($figure->strokes as $at => $stroke) {
            $key = $stroke->layer.'|'.self::key($stroke);
            $groups[$key] ??= [$at, $this->group($stroke)];
            $groups[$key][1]['path'] .= $this->path($stroke, 0.0, 0.0);
        }
        $made = [];
        foreach ($groups as [$at, $group]) {
            $made[$at] = $this->templateOf($group);
        }

        return $made;
    }

    /**
     * The name of a template: where all is taken hold of it is told by what it draws, so that it stays where parts
     * before it change.
     *
     * @param  DrawnStroke  $group
     */
    private function templateOf(array $group): string
    {
        $drawn = json_encode([...$group, 'mark' => ''], JSON_THROW_ON_ERROR);
        $name = $this->apart === null ? hash('crc32b', $drawn) : (string) count($this->templates);
        while (isset($this->templates[$name]) && $this->templates[$name]['drawn'] !== $drawn) {
            $name .= '-';
        }
        $id = $this->named('part', $name);
        $this->templates[$name] ??= ['id' => $id, 'drawn' => $drawn] + $group;

        return $id;
    }

    private function where(Pose $pose): string
    {
        $degrees = round($this->isMirrored ? -$pose->degrees : $pose->degrees, 2);

        return 'translate('.$this->x($pose->xMm).' '.$this->y($pose->yMm).')'
            .($degrees === 0.0 ? '' : "rotate({$degrees})");
    }

    /** @return DrawnStroke a rim, a body, and light along the upper left */
    private function group(Stroke $stroke): array
    {
        $width = $this->px($stroke->wireMm);

        return [
            'mark' => $stroke->mark, 'metal' => $stroke->metal->value, 'width' => SvgPath::number($width),
            'bodyWidth' => SvgPath::number($width * 0.74), 'shineWidth' => SvgPath::number($width * 0.24),
            'shineX' => SvgPath::number(-$width * 0.13), 'shineY' => SvgPath::number(-$width * 0.08),
            'runsOn' => $stroke->runsOn, 'face' => $stroke->face, 'colour' => $stroke->colour,
            'rank' => $stroke->rank, 'isEdge' => $stroke->rank < -1,
            'section' => $stroke->section->value, 'path' => '',
        ];
    }

    /**
     * What a stroke is made of: a metal, or a colour of beads.
     *
     * @param  array{mark: string, metal: string, face: string, colour: string, ...}  $stroke
     */
    public function tintOf(array $stroke): string
    {
        $lit = $this->lit !== [] && in_array(strtok($stroke['mark'], ':'), $this->lit, true) ? ' is-lit' : '';

        return $lit !== '' ? "wire metal-{$stroke['metal']}{$lit}" : match (true) {
            $stroke['colour'] !== '' => 'wire cord plate-of bead-'.$stroke['colour'],
            $stroke['face'] === '' || $stroke['face'] === 'metal' => 'wire metal-'.$stroke['metal'],
            default => 'wire plate-of bead-'.$stroke['face'],
        };
    }

    /** Its path in the drawing, or, for a template, about an origin of its own. */
    private function path(Stroke $stroke, ?float $originX = null, ?float $originY = null): string
    {
        return SvgPath::of($stroke, $originX ?? $this->originX, $originY ?? $this->room, $this->k, $this->isMirrored);
    }

    /**
     * The name of a path that is drawn as rim, body and light, where it is shorter to tell it once: where all is taken
     * hold of by its part, so that it stays where another part changes.
     */
    public function once(string $path, string $mark): string
    {
        if (strlen($path) < self::LONG) {
            return '';
        }
        $of = $this->apart === null ? strtok($mark, ':').'.' : 'w';
        $this->paths[$of] = ($this->paths[$of] ?? 0) + 1;

        return $this->named($of, (string) $this->paths[$of]);
    }

    /** What is used from elsewhere: once in a page, and short, since it is told at each of its uses. */
    private function named(string $what, string $which): string
    {
        return $this->name === '' ? $what.$which : "{$what}-{$this->name}-{$which}";
    }

    /**
     * @return list<array{id: string, bead: Bead, wound: string, x: float, y: float, w: float, l: float}> each kind of
     *     bead once, about its middle, to be placed as often as it hangs there
     */
    public function kinds(): array
    {
        $kinds = [];
        foreach ($this->assembly->placed as [$figure]) {
            foreach ($figure->beads as $mark) {
                $kinds[$mark->bead->key()] ??= [
                    'id' => $this->idOf($mark->bead),
                    'bead' => $mark->bead,
                    'wound' => $mark->metal->value ?? '',
                    'x' => 0.0,
                    'y' => -$this->px($mark->bead->lengthMm) / 2,
                    'w' => $this->px($mark->bead->widthMm),
                    'l' => $this->px($mark->bead->lengthMm),
                ];
            }
        }

        ksort($kinds);

        return array_values($kinds);
    }

    /** @return list<array{id: string, mark: string, where: string}> */
    public function beads(int $layer): array
    {
        $ids = [];
        $marks = array_values(
            array_filter($this->assembly->beads(), fn (BeadMark $mark): bool => $mark->layer === $layer),
        );

        return array_map(function (BeadMark $mark) use (&$ids): array {
            return [
                'id' => $ids[spl_object_id($mark->bead)] ??= $this->idOf($mark->bead), 'mark' => $mark->mark,
                'where' => $this->stood($mark),
            ];
        }, $marks);
    }

    /** Where the middle of a bead lies, how it is turned about that, and how narrow it is seen there. */
    private function stood(BeadMark $mark): string
    {
        $x = SvgPath::number($this->x($mark->xMm));
        $y = SvgPath::number($this->y($mark->topMm) + $this->px($mark->bead->lengthMm) / 2);
        $turn = SvgPath::number(round($this->isMirrored ? -$mark->turn : $mark->turn, 1));
        $isNarrow = abs($mark->wide - 1.0) > self::NARROW || abs($mark->long - 1.0) > self::NARROW;
        if ($turn === '0' && ! $isNarrow) {
            return "x=\"{$x}\" y=\"{$y}\"";
        }

        return "transform=\"translate({$x} {$y})".($turn === '0' ? '' : "rotate({$turn})")
            .($isNarrow ? 'scale('.SvgPath::number($mark->wide).' '.SvgPath::number($mark->long).')' : '').'"';
    }

    private function idOf(Bead $bead): string
    {
        $this->kinds ??= $this->numbered();

        return $this->named('b', (string) $this->kinds[$bead->key()]);
    }

    /** @return array<string, int> kinds of beads by their keys, in an order that stays when beads change places */
    private function numbered(): array
    {
        $kinds = [];
        foreach ($this->assembly->placed as [$figure]) {
            foreach ($figure->beads as $mark) {
                $kinds[$mark->bead->key()] = true;
            }
        }
        ksort($kinds);

        return array_flip(array_keys($kinds));
    }
}
