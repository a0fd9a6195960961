<?php

declare(strict_types=1);

namespace App\View;

use Hebra\Core\Bead\Bead;
use Hebra\Core\Hand\Pace;
use Hebra\Core\Piece\Pattern;
use Hebra\Core\Piece\Patterns;
use Hebra\Core\Plan\BeadCount;
use Hebra\Core\Plan\Minutes;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Wire\Metal;
use Hebra\Core\Wire\Temper;
use Hebra\Core\Wire\Wire;
use Hebra\Core\Wire\WireSize;
use Illuminate\Support\Facades\Cache;

/**
 * A starting pattern by its picture, and what it takes. What is worked out once is kept for an hour.
 *
 * @phpstan-type Facts array{
 *     name: string, minutes: array<string, float>, wires: list<array{string, string, string}>,
 *     beads: list<array{string, int}>, wide: float, high: float,
 * }
 */
final readonly class PatternCard
{
    private const KEPT_SECONDS = 3600;

    /**
     * @param  list<Wire>  $wires  what is cut for it
     * @param  list<array{string, int}>  $beads  each by its line, and how many
     */
    private function __construct(
        public string $name,
        public Pattern $pattern,
        /** @var array<string, float> $minutes at the bench, for the whole making, by kinds of steps */
        private array $minutes,
        public array $wires,
        private array $beads,
        public float $wideMm,
        public float $highMm,
    ) {
    }

    /** @return array<string, self> */
    public static function all(): array
    {
        // Another version of either is another answer, and so is one that plans or draws otherwise.
        $versions = [config()->string('hebra.version'), ...array_map(
            fn (string $class): string => (string) filemtime((string) (new \ReflectionClass($class))->getFileName()),
            [Patterns::class, self::class],
        )];
        /** @var array<string, Facts> $facts */
        $facts = Cache::remember(
            'patterns-'.implode('-', $versions), self::KEPT_SECONDS,
            fn (): array => collect(Patterns::all())
                ->map(fn (Pattern $pattern, string $name): array => self::facts($name))->all(),
        );

        return collect(Patterns::all())
            ->map(fn (Pattern $pattern, string $name): self => self::read($facts[$name], $pattern))->all();
    }

    /** @return Facts in words and figures, as they are kept */
    private static function facts(string $name): array
    {
        $plan = Planner::plan(Patterns::start($name, $name), new Profile);
        $wires = [];
        foreach ($plan->cuts as $cut) {
            $wires[$cut->wire->size->code()] = [
                $cut->wire->metal->value, $cut->wire->size->code(), $cut->wire->temper->value,
            ];
        }
        $assembly = $plan->assembly();

        return [
            'name' => $name, 'minutes' => Minutes::byKind($plan), 'wires' => array_values($wires),
            'beads' => array_map(fn (BeadCount $one): array => [$one->bead->line(), $one->all], $plan->beads),
            'wide' => $assembly->widthMm(), 'high' => $assembly->heightMm(),
        ];
    }

    /** @param  Facts  $facts */
    private static function read(array $facts, Pattern $pattern): self
    {
        return new self(
            $facts['name'], $pattern, $facts['minutes'],
            array_map(fn (array $wire): Wire => new Wire(
                Metal::from($wire[0]), WireSize::parseDrawn($wire[1]), Temper::from($wire[2]),
            ), $facts['wires']),
            $facts['beads'], $facts['wide'], $facts['high'],
        );
    }

    /** @return list<array{bead: Bead, all: int}> */
    public function beads(): array
    {
        return array_map(
            fn (array $one): array => ['bead' => Bead::parse($one[0]), 'all' => $one[1]], $this->beads,
        );
    }

    /** What it is called on the rail: `Two links`. */
    public function title(): string
    {
        return ucfirst(str_replace('-', ' ', $this->name));
    }

    /** About so long at this maker's bench. */
    public function minutes(Pace $pace): float
    {
        return $pace->about($this->minutes);
    }

    /** Where its picture is, which is the same for every maker. */
    public function picture(): string
    {
        return "/patterns/{$this->name}.svg";
    }
}
