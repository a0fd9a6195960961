<?php

declare(strict_types=1);

namespace App\View\Hand;

use Hebra\Core\Fit\RingSize;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Tool\Tool;
use Hebra\Core\Tool\ToolKind;

/**
 * A tool as it lies on its cloth, with each of its marks where it is: on a jaw or a mandrel where that is so thick, on
 * steps and rods as thick as they are beside each other. Pixels.
 *
 * @phpstan-type Drawn array{x: float, thick: float, words: string, isTold: bool}
 */
final readonly class ToolDrawing
{
    public const WIDE = 420;

    public const HIGH = 140;

    /** Where what is measured begins and ends. */
    public const FROM = 16.0;

    public const TO = 286.0;

    /** A mandrel has no handles: it is longer. */
    private const LONG = 372.0;

    private const THICKEST = 46.0;

    private const GAP = 14.0;

    private const LETTER = 8.2;

    private const MOST_PX_PER_MM = 9.0;

    /** What the ends of a jaw or mandrel have beyond its first and last mark, of what lies between those. */
    private const BEYOND = 0.14;

    /** Of a single mark: of its own thickness. */
    private const BESIDE = 0.25;

    public float $perMm;

    /** @var list<Drawn> from the thinnest */
    public array $marks;

    public function __construct(public Tool $tool)
    {
        $this->perMm = $this->scale();
        $this->marks = $this->told($this->isTapered() ? $this->onTaper() : $this->sideBySide());
    }

    /** Whether its marks lie where it is so thick. */
    public function isTapered(): bool
    {
        return in_array(
            $this->tool->kind,
            [ToolKind::RoundNose, ToolKind::Looping, ToolKind::RingMandrel, ToolKind::BangleMandrel], true,
        );
    }

    public function isPliers(): bool
    {
        return in_array($this->tool->kind, [ToolKind::RoundNose, ToolKind::Looping, ToolKind::Stepped], true);
    }

    /** How thick it is drawn at its thin and its thick end. */
    public function tip(): float
    {
        return round($this->thin() * $this->perMm, 1);
    }

    public function root(): float
    {
        return round($this->thick() * $this->perMm, 1);
    }

    public function end(): float
    {
        return $this->isPliers() ? self::TO : self::LONG;
    }

    /** A colour for its handles: as its name says, else one of its own. */
    public function handles(): string
    {
        foreach (['blue', 'red', 'green', 'black', 'yellow'] as $colour) {
            if (str_contains(mb_strtolower($this->tool->name), $colour)) {
                return $colour;
            }
        }

        return $this->tool->kind === ToolKind::Stepped ? 'red' : 'green';
    }

    private function thin(): float
    {
        return max($this->tool->marksMm[0] / 2, $this->tool->marksMm[0] - $this->beyond());
    }

    private function thick(): float
    {
        return $this->tool->marksMm[count($this->tool->marksMm) - 1] + $this->beyond();
    }

    private function beyond(): float
    {
        $marks = $this->tool->marksMm;
        $between = $marks[count($marks) - 1] - $marks[0];

        return $between > 0 ? self::BEYOND * $between : self::BESIDE * $marks[0];
    }

    private function scale(): float
    {
        $sum = array_sum($this->tool->marksMm);
        $gaps = $this->gap() * count($this->tool->marksMm);

        return match ($this->tool->kind) {
            ToolKind::Mandrel, ToolKind::Winder => min(
                self::MOST_PX_PER_MM / 2, max(0.2, (self::LONG - self::FROM - $gaps) / $sum),
                self::THICKEST / $this->thick(),
            ),
            default => min(self::MOST_PX_PER_MM, self::THICKEST / $this->thick()),
        };
    }

    /** Thin rods stand far enough apart for their sizes. */
    private function gap(): float
    {
        return $this->tool->kind === ToolKind::Winder ? 2 * self::GAP : self::GAP;
    }

    /** @return list<Drawn> */
    private function onTaper(): array
    {
        $span = max(1e-6, $this->thick() - $this->thin());

        return array_map(fn (float $mm): array => [
            'x' => round(self::FROM + ($mm - $this->thin()) / $span * ($this->end() - self::FROM), 1),
            'thick' => round($mm * $this->perMm, 1), 'words' => $this->words($mm), 'isTold' => false,
        ], $this->tool->marksMm);
    }

    /** @return list<Drawn> */
    private function sideBySide(): array
    {
        $x = self::FROM;
        $isSteps = $this->tool->kind === ToolKind::Stepped;
        $step = (self::TO - self::FROM) / count($this->tool->marksMm);
        $marks = [];
        foreach ($this->tool->marksMm as $mm) {
            $thick = max(2.5, $mm * $this->perMm);
            $wide = $isSteps ? $step : $thick + $this->gap();
            $marks[] = [
                'x' => round($x + $wide / 2, 1), 'thick' => round($thick, 1), 'words' => $this->words($mm),
                'isTold' => false,
            ];
            $x += $wide;
        }

        return $marks;
    }

    private function words(float $mm): string
    {
        return $this->tool->kind === ToolKind::RingMandrel
            ? Figures::trim(RingSize::ofDiameter($mm, 'marks')->us(), 2)
            : Figures::trim($mm, 2);
    }

    /**
     * As many are told as have room beside each other, whole sizes first.
     *
     * @param  list<Drawn>  $marks
     * @return list<Drawn>
     */
    private function told(array $marks): array
    {
        $isWhole = fn (array $mark): bool => ! str_contains($mark['words'], '.');
        $isCrowded = count(array_filter($marks, $isWhole)) > 3
            && $marks[count($marks) - 1]['x'] - $marks[0]['x'] < 2.6 * self::LETTER * count($marks);
        $last = -INF;
        foreach ($marks as $at => $mark) {
            $half = self::LETTER * mb_strlen($mark['words']) / 2;
            $hasRoom = $last < $mark['x'] - $half - 4;
            if ($hasRoom && (! $isCrowded || $isWhole($mark))) {
                $marks[$at]['isTold'] = true;
                $last = $mark['x'] + $half;
            }
        }

        return $marks;
    }
}
