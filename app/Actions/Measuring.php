<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Drill;
use App\Models\Making;
use App\Models\Measurement;
use Hebra\Core\Bend\SpringBack;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Quantity\Length;
use Hebra\Core\Quantity\OutOfRange;
use Hebra\Core\Quantity\Unreadable;
use Hebra\Core\Wire\Wire;

/** Sizes that a maker measured, read and kept beside what was wanted. */
final readonly class Measuring
{
    private const MOST = 60;

    private const LARGEST_MM = 1000.0;

    public function __construct(private int $workshop, private Profile $profile)
    {
    }

    /** @throws \Hebra\Core\Problem if it is no size */
    public function size(string $text, string $field): float
    {
        trim($text) !== '' || throw Unreadable::empty($field, 'a size, such as 2.5 mm');

        return Length::parse(
            $text,
            $field,
            $this->profile->unit(),
        )->within($field, 0.1, self::LARGEST_MM)->millimetres();
    }

    /**
     * `2.5, 2.6 2.4`: sizes parted by commas with a space, semicolons or spaces.
     *
     * @return non-empty-list<float>
     *
     * @throws \Hebra\Core\Problem if one is no size, or there are too many
     */
    public function list(string $text, string $field): array
    {
        $parts = preg_split('/\s*;\s*|,\s+|\s+(?!mm\b|in\b|″)/u', trim($text, " \t\n\r,;")) ?: [];
        $parts = array_values(array_filter($parts, fn (string $part): bool => $part !== ''));
        $parts !== [] || throw Unreadable::empty($field, 'sizes, such as 2.5, 2.6, 2.4');
        count($parts) <= self::MOST || throw OutOfRange::tooMany($field, count($parts), self::MOST, 'sizes');

        return array_map(fn (string $part): float => $this->size($part, $field), $parts);
    }

    /** What the rule of spring-back says of a bend: its inside diameter once it is let go. */
    public function opens(Wire $wire, float $mandrelMm, Profile $profile): float
    {
        $strength = $profile->strengths->of($wire->metal);
        $opens = (new SpringBack(
            $wire->size->section(), $strength->modulusMpa(), $strength->yieldMpa($wire->temper->numbersHard()),
        ))->insideMm(
            $mandrelMm,
        );

        return is_finite($opens) ? $opens : $mandrelMm;
    }

    public function keep(
        string $what, Wire $wire, float $wantedMm, float $measuredMm, ?Making $making = null, ?Drill $drill = null,
    ): void {
        Measurement::query()->create([
            'workshop_id' => $this->workshop, 'making_id' => $making?->id, 'drill_id' => $drill?->id, 'what' => $what,
            'metal' => $wire->metal->value, 'temper' => $wire->temper->value,
            'wanted_um' => (int) round(1000 * $wantedMm), 'measured_um' => (int) round(1000 * $measuredMm),
        ]);
    }
}
