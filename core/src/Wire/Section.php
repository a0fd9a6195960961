<?php

declare(strict_types=1);

namespace Hebra\Core\Wire;

use Hebra\Core\Quantity\Length;
use Hebra\Core\Quantity\Unreadable;

/** The shape of a wire's cross-section and its area. Invariant: area > 0. */
final readonly class Section
{
    private function __construct(private string $words, private float $areaMm2)
    {
    }

    public static function round(float $diameterMm): self
    {
        return new self('round', M_PI * $diameterMm ** 2 / 4);
    }

    /**
     * `round`, `half-round` (the wire's size is its width, its height half of that), `square` (the size is the side),
     * `3x0.5` (a flat strip, whatever the size), `twisted-pair` (the size is one strand; the lay is left out of the sum).
     *
     * @throws Unreadable if it is none of these
     */
    public static function parse(string $text, float $sizeMm, string $field = 'section'): self
    {
        $plain = strtr(mb_strtolower(trim($text)), ['×' => 'x', ' ' => '']);
        if (preg_match('/^([\d.,]+)(?:mm)?x([\d.,]+)(?:mm)?$/', $plain, $match) === 1) {
            $width = Length::parse($match[1], $field)->asSize($field, 50)->millimetres();
            $height = Length::parse($match[2], $field)->asSize($field, 50)->millimetres();

            return new self('flat', $width * $height);
        }

        return match ($plain) {
            'round' => self::round($sizeMm),
            'half-round' => new self('half-round', M_PI * $sizeMm ** 2 / 8),
            'square' => new self('square', $sizeMm ** 2),
            'twisted-pair' => new self('twisted pair', M_PI * $sizeMm ** 2 / 2),
            default => throw Unreadable::choice($field, $text, ['round', 'half-round', 'square', 'twisted-pair', 'WxT such as 3x0.5']),
        };
    }

    public function words(): string
    {
        return $this->words;
    }

    public function areaMm2(): float
    {
        return $this->areaMm2;
    }
}
