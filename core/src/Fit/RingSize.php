<?php

declare(strict_types=1);

namespace Hebra\Core\Fit;

use Hebra\Core\Quantity\Figures;
use Hebra\Core\Quantity\Length;
use Hebra\Core\Quantity\LengthUnit;
use Hebra\Core\Quantity\OutOfRange;
use Hebra\Core\Quantity\Text;
use Hebra\Core\Quantity\Unreadable;

/**
 * A ring size, kept as its inside diameter. US: 11.63 + 0.8128·size [common practice]; ISO 8653: the inside
 * circumference [published]; UK: A is 37.50 mm of circumference, 1.25 a letter, with half letters, after Z come Z+1,
 * Z+2 … [memory: BS 6820]; Japan: diameter (size + 38)/3 [memory: the customary scale].
 *
 * Units: millimetres. Invariant: 11.6 ≤ inside diameter ≤ 25.
 */
final readonly class RingSize
{
    public const LEAST_MM = 11.6;

    public const MOST_MM = 25.0;

    public const SOURCE = 'ISO 8653 (inside circumference); US 11.63 + 0.8128·size (common practice); UK BS 6820 and '
        .'the Japanese scale from memory';

    private const US_ZERO_MM = 11.63;

    public const US_STEP_MM = 0.8128;

    private const UK_A_MM = 37.5;

    private const UK_STEP_MM = 1.25;

    private function __construct(private float $insideMm)
    {
    }

    /** @throws OutOfRange outside 11.6 to 25 mm */
    public static function ofDiameter(float $insideMm, string $field = 'size'): self
    {
        Length::fromMillimetres($insideMm)->within($field, self::LEAST_MM, self::MOST_MM);

        return new self($insideMm);
    }

    /** @throws OutOfRange outside 11.6 to 25 mm of diameter */
    public static function ofCircumference(float $millimetres, string $field = 'size'): self
    {
        return self::ofDiameter($millimetres / M_PI, $field);
    }

    /**
     * Reads `us 7`, `us 6 1/2`, `uk N 1/2`, `uk Z+2`, `iso 54`, `jp 13`, `diameter 17.3mm`, `circumference 54mm`, and
     * `string 58mm`, which runs large.
     *
     * @throws Unreadable|OutOfRange if it is no size, or out of range
     */
    public static function parse(string $text, string $field = 'size'): self
    {
        $plain = Text::plain($text, $field, 'a ring size, such as us 7, uk N 1/2 or iso 54');
        if (preg_match('/^(us|iso|jp|uk|diameter|circumference|round|string)\s*(.+)$/', $plain, $match) !== 1) {
            throw Unreadable::ringSize($field, $text);
        }
        [, $scale, $rest] = $match;
        if ($scale === 'uk') {
            return self::ofCircumference(
                self::UK_A_MM + self::UK_STEP_MM * self::letters($rest, $field, $text),
                $field,
            );
        }
        if (in_array($scale, ['diameter', 'circumference', 'round', 'string'], true)) {
            return self::measured($scale, Length::parse($rest, $field)->millimetres(), $field);
        }
        $number = Text::number($rest) ?? throw Unreadable::ringSize($field, $text);

        return match ($scale) {
            'us' => self::ofDiameter(self::US_ZERO_MM + self::US_STEP_MM * $number, $field),
            'jp' => self::ofDiameter(($number + 38) / 3, $field),
            default => self::ofCircumference($number, $field),
        };
    }

    private static function measured(string $how, float $millimetres, string $field): self
    {
        return match ($how) {
            'diameter' => self::ofDiameter($millimetres, $field),
            'string' => self::ofCircumference($millimetres - Band::STRING_RUNS_LARGE_MM, $field),
            default => self::ofCircumference($millimetres, $field),
        };
    }

    /**
     * What stands for a finger, and how it is told back: a size of any scale; or a length, which is a diameter up to 25
     * mm and a length round from there on, by string where that is what the maker measures with.
     *
     * @return array{self, string}
     *
     * @throws \Hebra\Core\Problem if it is neither, or out of range
     */
    public static function ofFinger(string $text, LengthUnit $bare, bool $isByString, string $field = 'size'): array
    {
        $plain = Text::plain($text, $field, 'a ring size, such as us 7, or a length, such as 17.3 mm');
        if (preg_match('/^[a-z]/', $plain) === 1) {
            return [self::parse($text, $field), $plain];
        }
        $millimetres = Length::parse($text, $field, $bare)->millimetres();
        if ($millimetres <= self::MOST_MM) {
            return [self::ofDiameter($millimetres, $field), ''];
        }
        $how = $isByString ? 'string' : 'round';

        return [
            self::measured($how, $millimetres, $field),
            $how.' '.trim($plain.(Text::number($plain) === null ? '' : ' '.$bare->value)),
        ];
    }

    private static function letters(string $rest, string $field, string $text): float
    {
        if (
            preg_match('/^([a-z])\s*(?:\+\s*(\d{1,2}))?\s*(1\/2|\.5|,5)?$/', $rest, $match) !== 1
            || (($match[2] ?? '') !== '' && $match[1] !== 'z')
        ) {
            throw Unreadable::ringSize($field, $text);
        }

        return ord($match[1]) - ord('a') + (int) ($match[2] ?? 0) + (($match[3] ?? '') === '' ? 0 : 0.5);
    }

    public function insideMm(): float
    {
        return $this->insideMm;
    }

    public function circumferenceMm(): float
    {
        return M_PI * $this->insideMm;
    }

    public function us(): float
    {
        return ($this->insideMm - self::US_ZERO_MM) / self::US_STEP_MM;
    }

    public function iso(): float
    {
        return $this->circumferenceMm();
    }

    public function jp(): float
    {
        return 3 * $this->insideMm - 38;
    }

    /** The nearest half letter, or null below A. */
    public function uk(): ?string
    {
        $halves = (int) round(2 * ($this->circumferenceMm() - self::UK_A_MM) / self::UK_STEP_MM);
        if ($halves < 0) {
            return null;
        }
        $whole = intdiv($halves, 2);
        $letter = $whole <= 25 ? chr(ord('A') + $whole) : 'Z+'.($whole - 25);

        return $letter.($halves % 2 === 1 ? ' 1/2' : '');
    }

    /** `US 7 1/2`: to the nearest quarter, as sizers are marked. */
    public function usWords(): string
    {
        $quarters = (int) round(4 * $this->us());
        $whole = intdiv($quarters, 4);

        return 'US '.trim(
            ($quarters < 4 && $quarters % 4 !== 0 ? '' : $whole).' '.['', '1/4', '1/2', '3/4'][abs($quarters % 4)],
        );
    }

    /** `US 7 · UK N 1/2 · ISO 54.3 · JP 14` */
    public function words(): string
    {
        return implode(
            ' · ',
            array_filter(
                [
                    $this->usWords(), $this->uk() === null ? null : 'UK '.$this->uk(),
                    'ISO '.Figures::trim($this->iso(), 1), 'JP '.Figures::trim($this->jp(), 1),
                ],
            ),
        );
    }
}
