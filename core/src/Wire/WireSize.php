<?php

declare(strict_types=1);

namespace Hebra\Core\Wire;

use Hebra\Core\Quantity\Figures;
use Hebra\Core\Quantity\Length;
use Hebra\Core\Quantity\OutOfRange;
use Hebra\Core\Quantity\Text;
use Hebra\Core\Quantity\Unreadable;
use Hebra\Core\Quantity\WhichSystem;

/** A size of round wire, always with its system. Invariant: 0.05 mm ≤ diameter ≤ 8.3 mm. */
final readonly class WireSize
{
    public const LEAST_MM = 0.05;

    public const MOST_MM = 8.3;

    private function __construct(
        private SizeSystem $system,
        private ?int $number,
        private float $diameterMm,
    ) {
    }

    /** @throws OutOfRange outside 0 to 40 */
    public static function awg(int $number, string $field = 'wire'): self
    {
        if ($number < 0 || $number > 40) {
            throw OutOfRange::between($field, "{$number} AWG", '0 AWG', '40 AWG');
        }

        return new self(SizeSystem::Awg, $number, SizeSystem::awgMm($number));
    }

    /** @throws OutOfRange outside 1 to 40 */
    public static function swg(int $number, string $field = 'wire'): self
    {
        if ($number < 1 || $number > 40) {
            throw OutOfRange::between($field, "{$number} SWG", '1 SWG', '40 SWG');
        }

        return new self(SizeSystem::Swg, $number, SizeSystem::swgMm($number));
    }

    /** @throws OutOfRange outside 0.05 to 8.3 mm */
    public static function millimetres(float $diameterMm, string $field = 'wire'): self
    {
        Length::fromMillimetres($diameterMm)->within($field, self::LEAST_MM, self::MOST_MM);

        return new self(SizeSystem::Metric, null, $diameterMm);
    }

    /**
     * Reads `20ga`, `20 gauge`, `#20`, `20 awg`, `18 swg`, `0.8`, `0.8mm`, `.032 in`. `ga`, `gauge` and `#` mean AWG; a
     * bare number is millimetres when it has a decimal part and is refused when whole.
     *
     * @throws Unreadable if it is no size
     * @throws WhichSystem if it is a whole bare number
     * @throws OutOfRange if no such wire is drawn
     */
    public static function parse(string $text, string $field = 'wire'): self
    {
        $plain = Text::plain($text, $field, 'a wire size, such as 20 awg or 0.8 mm');
        if (preg_match('/^#\s*(-?\d{1,3})$/', $plain, $match) === 1 || preg_match('/^(-?\d{1,3})[ -]?(?:awg|ga|ga\.|gauge|b&s)$/', $plain, $match) === 1) {
            return self::awg((int) $match[1], $field);
        }
        if (preg_match('/^(-?\d{1,3})[ -]?swg$/', $plain, $match) === 1) {
            return self::swg((int) $match[1], $field);
        }
        if (preg_match('/^\d{1,3}$/', $plain) === 1) {
            throw WhichSystem::of($field, $plain);
        }
        if (preg_match('/^[-\d.,\/ ]+(?:mm|cm|in|inch|inches|"|mil|mils|thou)?$/', $plain) !== 1) {
            throw Unreadable::wireSize($field, $text);
        }

        return self::millimetres(Length::parse($plain, $field)->millimetres(), $field);
    }

    public function system(): SizeSystem
    {
        return $this->system;
    }

    public function diameterMm(): float
    {
        return $this->diameterMm;
    }

    /** `22 awg`, `18 swg`, `0.8 mm`: what the parser reads back as the same size. */
    public function code(): string
    {
        return $this->number === null ? $this->diameterMm.' mm' : $this->number.' '.$this->system->value;
    }

    /** `22 AWG`, `0.8 mm`: as a maker reads it. */
    public function text(): string
    {
        return $this->number === null
            ? Figures::mm($this->diameterMm)
            : $this->number.' '.mb_strtoupper($this->system->value);
    }

    public function equals(self $other): bool
    {
        return $this->code() === $other->code();
    }
}
