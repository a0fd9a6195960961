<?php

declare(strict_types=1);

namespace Hebra\Core\Wire;

use Hebra\Core\Quantity\Figures;
use Hebra\Core\Quantity\Length;
use Hebra\Core\Quantity\OutOfRange;
use Hebra\Core\Quantity\Text;
use Hebra\Core\Quantity\Unreadable;
use Hebra\Core\Quantity\WhichSystem;

/**
 * A size of wire, always with its system, and the section it is drawn in: of round wire the diameter, of half-round
 * its width, of square its side, of a twisted pair one strand; flat is told by width and thickness. Invariant: 0.05 mm
 * ≤ size ≤ 8.3 mm.
 */
final readonly class WireSize
{
    public const LEAST_MM = 0.05;

    public const MOST_MM = 8.3;

    /** How sections are told beside a size. */
    private const SECTIONS = [
        'half[- ]?round' => SectionKind::HalfRound, 'square' => SectionKind::Square,
        'twisted(?:[- ]pair)?' => SectionKind::TwistedPair, 'round' => SectionKind::Round,
    ];

    private function __construct(
        private SizeSystem $system,
        private ?int $number,
        private float $sizeMm,
        private SectionKind $kind = SectionKind::Round,
        private float $thickMm = 0.0,
    ) {
    }

    /** The same size of wire of another section; what is flat stays as wide. */
    public function drawn(SectionKind $kind): self
    {
        if ($kind !== SectionKind::Flat) {
            return new self($this->system, $this->number, $this->sizeMm, $kind);
        }
        $thick = $this->thickMm > 0 ? $this->thickMm : $this->sizeMm / 2;

        return new self(SizeSystem::Metric, null, $this->sizeMm, $kind, $thick);
    }

    /** @throws OutOfRange if no such strip is rolled, or it is thicker than wide */
    public static function flat(float $widthMm, float $thickMm, string $field = 'wire'): self
    {
        Length::fromMillimetres($widthMm)->within($field.' width', self::LEAST_MM, self::MOST_MM);
        Length::fromMillimetres($thickMm)->within($field.' thickness', self::LEAST_MM, $widthMm);

        return new self(SizeSystem::Metric, null, $widthMm, SectionKind::Flat, $thickMm);
    }

    public function kind(): SectionKind
    {
        return $this->kind;
    }

    public function section(): Section
    {
        return match ($this->kind) {
            SectionKind::Round => Section::round($this->sizeMm),
            SectionKind::HalfRound => Section::halfRound($this->sizeMm),
            SectionKind::Square => Section::square($this->sizeMm),
            SectionKind::Flat => Section::flat($this->sizeMm, $this->thickMm),
            SectionKind::TwistedPair => Section::twistedPair($this->sizeMm),
        };
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
     * The same, or drawn otherwise than round: `18 awg half-round`, `2 mm square`, `22 awg twisted pair`, `3 x 0.5 mm`.
     *
     * @throws Unreadable if it is no size
     * @throws WhichSystem if it is a whole bare number
     * @throws OutOfRange if no such wire is drawn
     */
    public static function parseDrawn(string $text, string $field = 'wire'): self
    {
        $plain = Text::plain($text, $field, 'a wire size, such as 20 awg or 0.8 mm');
        if (preg_match('/^([\d.,]+)\s*(?:mm)?\s*[x×]\s*([\d.,]+)\s*(?:mm)?(?:\s*flat)?$/u', $plain, $match) === 1) {
            return self::flat(
                Length::parse($match[1], $field)->millimetres(), Length::parse($match[2], $field)->millimetres(),
                $field,
            );
        }
        foreach (self::SECTIONS as $word => $kind) {
            if (preg_match("/(?:^|\\s){$word}(?:\\s+wire)?(?=\\s|$)/", $plain) === 1) {
                $size = trim((string) preg_replace("/(?:^|\\s){$word}(?:\\s+wire)?(?=\\s|$)/", ' ', $plain));

                return self::parse($size, $field)->drawn($kind);
            }
        }

        return self::parse($text, $field);
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
        if (
            preg_match('/^#\s*(-?\d{1,3})$/', $plain, $match) === 1
            || preg_match('/^(-?\d{1,3})[ -]?(?:awg|ga|ga\.|gauge|b&s)$/', $plain, $match) === 1
        ) {
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

    /** Its number in a numbered system; null of a metric size. */
    public function number(): ?int
    {
        return $this->number;
    }

    /**
     * What it adds to the inside of a bend, to its middle line: of round wire its diameter, of any other twice the
     * height of its neutral axis.
     */
    public function diameterMm(): float
    {
        return $this->kind === SectionKind::Round ? $this->sizeMm : 2 * $this->section()->neutralMm();
    }

    /** How wide it lies, turn beside turn. */
    public function widthMm(): float
    {
        return $this->kind === SectionKind::Round ? $this->sizeMm : $this->section()->widthMm();
    }

    /** The diameter of round wire that is as stiff: of equal second moment, (64·I/π)^¼ [geometry]. */
    public function stiffMm(): float
    {
        return $this->kind === SectionKind::Round
            ? $this->sizeMm
            : (64 * $this->section()->secondMomentMm4() / M_PI) ** 0.25;
    }

    /** The narrowest round hole it goes through. */
    public function passesMm(): float
    {
        return match ($this->kind) {
            SectionKind::Square, SectionKind::Flat => hypot($this->widthMm(), $this->section()->thicknessMm()),
            default => $this->widthMm(),
        };
    }

    /** `22 awg`, `18 swg`, `0.8 mm`, `18 awg half-round`, `3 x 0.5 mm`: what the parser reads back as the same size. */
    public function code(): string
    {
        return match (true) {
            $this->kind === SectionKind::Flat => "{$this->sizeMm} x {$this->thickMm} mm",
            $this->number === null => $this->sizeMm.' mm',
            default => $this->number.' '.$this->system->value,
        }.$this->drawnAs($this->kind->value);
    }

    /** `22 AWG`, `0.8 mm`: as a maker reads it. */
    public function text(): string
    {
        return match (true) {
            $this->kind === SectionKind::Flat => Figures::trim($this->sizeMm).' × '.Figures::mm($this->thickMm).' flat',
            $this->number === null => Figures::mm($this->sizeMm),
            default => $this->number.' '.mb_strtoupper($this->system->value),
        }.$this->drawnAs($this->kind->words());
    }

    private function drawnAs(string $words): string
    {
        return in_array($this->kind, [SectionKind::Round, SectionKind::Flat], true) ? '' : ' '.$words;
    }

    public function equals(self $other): bool
    {
        return $this->code() === $other->code();
    }
}
