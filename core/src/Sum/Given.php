<?php

declare(strict_types=1);

namespace Hebra\Core\Sum;

use Hebra\Core\Quantity\LengthUnit;
use Hebra\Core\Wire\Metal;
use Hebra\Core\Wire\WireSize;

/** The inputs of one sum, read and complete. */
final readonly class Given
{
    /**
     * @param  array<string, string>  $texts  as they were given, defaults filled in
     * @param  array<string, float|int|string|Metal|WireSize|non-empty-list<float>>  $values
     */
    private function __construct(public array $texts, private array $values)
    {
    }

    /**
     * @param  array<string, string>  $input
     *
     * @throws \Hebra\Core\Problem if a key is unknown, missing or unreadable
     */
    public static function read(Sum $sum, array $input, LengthUnit $bare = LengthUnit::Millimetre): self
    {
        $known = array_map(fn (Input $one): string => $one->key, $sum->inputs());
        foreach (array_keys($input) as $key) {
            in_array($key, $known, true) || throw UnknownSum::key($sum->name(), (string) $key, $known);
        }
        $texts = $values = [];
        foreach ($sum->inputs() as $one) {
            $text = $input[$one->key] ?? $one->default ?? throw UnknownSum::missing($sum->name(), $one);
            $sameAs = str_starts_with($text, '=') ? substr($text, 1) : null;
            $texts[$one->key] = $sameAs === null ? $text : $texts[$sameAs];
            // A default is written in millimetres or with its unit, whatever the page shows.
            $unit = isset($input[$one->key]) ? $bare : LengthUnit::Millimetre;
            $values[$one->key] = $sameAs === null ? $one->read($text, $unit) : $values[$sameAs];
        }

        return new self($texts, $values);
    }

    public function mm(string $key): float
    {
        $value = $this->values[$key];

        return $value instanceof WireSize ? $value->diameterMm() : (is_float($value) || is_int($value) ? (float) $value : 0.0);
    }

    public function count(string $key): int
    {
        $value = $this->values[$key];

        return is_int($value) ? $value : 0;
    }

    public function text(string $key): string
    {
        $value = $this->values[$key];

        return is_string($value) ? $value : '';
    }

    public function metal(): Metal
    {
        $value = $this->values['metal'];

        return $value instanceof Metal ? $value : Metal::Sterling;
    }

    /** @return non-empty-list<float> */
    public function wires(): array
    {
        $value = $this->values['wires'];

        return is_array($value) ? $value : [1.0];
    }
}
