<?php

declare(strict_types=1);

namespace Hebra\Core\Sum;

use Hebra\Core\Fit\RingSize;
use Hebra\Core\Quantity\LengthUnit;
use Hebra\Core\Tool\ToolBox;
use Hebra\Core\Wire\Metal;
use Hebra\Core\Wire\Section;
use Hebra\Core\Wire\Strength;
use Hebra\Core\Wire\Strengths;
use Hebra\Core\Wire\Temper;
use Hebra\Core\Wire\WireSize;

/**
 * The inputs of one sum, read and complete; what is optional and not given is not there.
 *
 * @phpstan-import-type Value from Input
 */
final readonly class Given
{
    /**
     * @param  array<string, string>  $texts  as they were given, defaults filled in
     * @param  array<string, Value>  $values
     */
    private function __construct(
        public array $texts,
        private array $values,
        private Strengths $strengths,
        public ToolBox $tools,
    ) {
    }

    /**
     * @param  array<string, string>  $input
     *
     * @throws \Hebra\Core\Problem if a key is unknown, missing or unreadable, or two are given of which one is wanted
     */
    public static function read(
        Sum $sum,
        array $input,
        LengthUnit $bare = LengthUnit::Millimetre,
        Strengths $strengths = new Strengths,
        ToolBox $tools = new ToolBox,
    ): self {
        $known = array_map(fn (Input $one): string => $one->key, $sum->inputs);
        foreach (array_keys($input) as $key) {
            in_array($key, $known, true) || throw UnknownSum::key($sum->name, (string) $key, $known);
        }
        self::checkGroups($sum, $input);
        /** @var array<string, string> $texts */
        $texts = [];
        /** @var array<string, Value> $values */
        $values = [];
        foreach ($sum->inputs as $one) {
            $text = $input[$one->key] ?? $one->default;
            if ($text === null) {
                $one->isOptional || $sum->isAlternative($one->key) || throw UnknownSum::missing($sum->name, $one);

                continue;
            }
            $sameAs = ! isset($input[$one->key]) && str_starts_with($text, '=') ? substr($text, 1) : null;
            $texts[$one->key] = $sameAs === null ? $text : $texts[$sameAs];
            // A default is written in millimetres or with its unit, whatever the page shows.
            $unit = isset($input[$one->key]) ? $bare : LengthUnit::Millimetre;
            $values[$one->key] = $sameAs === null ? $one->read($text, $unit) : $values[$sameAs];
        }

        return new self($texts, $values, $strengths, $tools);
    }

    /** @param  array<string, string>  $input */
    private static function checkGroups(Sum $sum, array $input): void
    {
        foreach ($sum->oneOf as $group) {
            $given = array_values(array_intersect($group, array_keys($input)));
            count($given) <= 1 || throw UnknownSum::tooMany($sum->name, $given, $group);
            if ($given === []) {
                throw UnknownSum::noneOf(
                    $sum->name,
                    $group,
                    array_values(array_filter($sum->inputs, fn (Input $one): bool => $one->key === $group[0]))[0],
                );
            }
        }
    }

    public function has(string $key): bool
    {
        return isset($this->values[$key]);
    }

    public function mm(string $key): float
    {
        $value = $this->values[$key] ?? 0.0;

        return match (true) {
            $value instanceof WireSize => $value->diameterMm(),
            is_float($value), is_int($value) => (float) $value,
            default => 0.0,
        };
    }

    public function maybeMm(string $key): ?float
    {
        return $this->has($key) ? $this->mm($key) : null;
    }

    public function number(string $key): float
    {
        return $this->mm($key);
    }

    public function count(string $key): int
    {
        $value = $this->values[$key] ?? 0;

        return is_int($value) ? $value : 0;
    }

    public function text(string $key): string
    {
        $value = $this->values[$key] ?? '';

        return is_string($value) ? $value : '';
    }

    public function metal(): Metal
    {
        $value = $this->values['metal'];

        return $value instanceof Metal ? $value : Metal::Sterling;
    }

    public function temper(): Temper
    {
        $value = $this->values['temper'];

        return $value instanceof Temper ? $value : Temper::DeadSoft;
    }

    public function strength(): Strength
    {
        return $this->strengths->of($this->metal());
    }

    public function yieldMpa(): float
    {
        return $this->strength()->yieldMpa($this->temper()->numbersHard());
    }

    public function section(): Section
    {
        return Section::parse($this->text('section'), $this->mm('wire'));
    }

    public function ring(): RingSize
    {
        $value = $this->values['size'];

        return $value instanceof RingSize ? $value : RingSize::ofDiameter(17.0);
    }

    /** Turns of an end coil, whether given in turns or as a length. */
    public function endCoilTurns(float $wireMm): float
    {
        $value = $this->values['end_coil'] ?? [];

        return is_array($value) ? ($value['turns'] ?? ($value['mm'] ?? 0.0) / $wireMm) : 0.0;
    }

    /** @return non-empty-list<float> */
    public function wires(): array
    {
        $value = $this->values['wires'] ?? null;

        return is_array($value) ? array_values($value) : [1.0];
    }
}
