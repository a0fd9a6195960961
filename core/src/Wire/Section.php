<?php

declare(strict_types=1);

namespace Hebra\Core\Wire;

use Hebra\Core\Quantity\Length;
use Hebra\Core\Quantity\Unreadable;

/**
 * The shape of a wire's cross-section, lying as it is bent: half-round with its flat side in, flat strip the easy way.
 *
 * Units: millimetres. Invariants: area, thickness and perimeter > 0; the neutral axis lies inside the thickness.
 * Neutral axis of a half-round: 4r/3π above the flat [geometry: centroid of a half disc]. Twisted pair: two strands
 * that each bend on their own, so stiffness is twice that of one; the lay is left out of the sums.
 */
final readonly class Section
{
    private function __construct(
        public SectionKind $kind,
        private float $widthMm,
        private float $thicknessMm,
    ) {
    }

    public static function round(float $diameterMm): self
    {
        return new self(SectionKind::Round, $diameterMm, $diameterMm);
    }

    public static function halfRound(float $widthMm): self
    {
        return new self(SectionKind::HalfRound, $widthMm, $widthMm / 2);
    }

    public static function square(float $sideMm): self
    {
        return new self(SectionKind::Square, $sideMm, $sideMm);
    }

    public static function flat(float $widthMm, float $thicknessMm): self
    {
        return new self(SectionKind::Flat, $widthMm, $thicknessMm);
    }

    public static function twistedPair(float $strandMm): self
    {
        return new self(SectionKind::TwistedPair, 2 * $strandMm, 2 * $strandMm);
    }

    /**
     * `round`, `half-round` (the wire's size is its width, its height half of that), `square` (the size is the side),
     * `3x0.5` (a flat strip, width then thickness, whatever the size), `twisted-pair` (the size is one strand).
     *
     * @throws Unreadable if it is none of these
     */
    public static function parse(string $text, float $sizeMm, string $field = 'section'): self
    {
        $plain = strtr(mb_strtolower(trim(mb_scrub($text))), ['×' => 'x', ' ' => '']);
        if (preg_match('/^([\d.,]+)(?:mm)?x([\d.,]+)(?:mm)?$/', $plain, $match) === 1) {
            return self::flat(
                Length::parse($match[1], $field)->asSize($field, 50)->millimetres(),
                Length::parse($match[2], $field)->asSize($field, 50)->millimetres(),
            );
        }

        return match ($plain) {
            'round' => self::round($sizeMm),
            'half-round' => self::halfRound($sizeMm),
            'square' => self::square($sizeMm),
            'twisted-pair' => self::twistedPair($sizeMm),
            default => throw Unreadable::choice(
                $field,
                $text,
                ['round', 'half-round', 'square', 'twisted-pair', 'WxT such as 3x0.5'],
            ),
        };
    }

    public function words(): string
    {
        return $this->kind->words();
    }

    public function widthMm(): float
    {
        return $this->widthMm;
    }

    /** In the plane of the bend: what the radius grows by from the inside to the outside. */
    public function thicknessMm(): float
    {
        return $this->thicknessMm;
    }

    public function areaMm2(): float
    {
        [$w, $t] = [$this->widthMm, $this->thicknessMm];

        return match ($this->kind) {
            SectionKind::Round => M_PI * $w ** 2 / 4,
            SectionKind::HalfRound => M_PI * $w ** 2 / 8,
            SectionKind::Square, SectionKind::Flat => $w * $t,
            SectionKind::TwistedPair => M_PI * ($w / 2) ** 2 / 2,
        };
    }

    public function perimeterMm(): float
    {
        [$w, $t] = [$this->widthMm, $this->thicknessMm];

        return match ($this->kind) {
            SectionKind::Round => M_PI * $w,
            SectionKind::HalfRound => (M_PI / 2 + 1) * $w,
            SectionKind::Square, SectionKind::Flat => 2 * ($w + $t),
            SectionKind::TwistedPair => M_PI * $w,
        };
    }

    /** Height of the neutral axis above the inside of the bend. */
    public function neutralMm(): float
    {
        return $this->kind === SectionKind::HalfRound ? 4 * $this->thicknessMm / (3 * M_PI) : $this->thicknessMm / 2;
    }

    /** The second moment of area about the neutral axis, in mm⁴ [geometry]. */
    public function secondMomentMm4(): float
    {
        [$w, $t] = [$this->widthMm, $this->thicknessMm];

        return match ($this->kind) {
            SectionKind::Round => M_PI * $w ** 4 / 64,
            SectionKind::HalfRound => (M_PI / 8 - 8 / (9 * M_PI)) * $t ** 4,
            SectionKind::Square, SectionKind::Flat => $w * $t ** 3 / 12,
            SectionKind::TwistedPair => 2 * M_PI * ($w / 2) ** 4 / 64,
        };
    }
}
