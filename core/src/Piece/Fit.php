<?php

declare(strict_types=1);

namespace Hebra\Core\Piece;

use Hebra\Core\Fit\RingSize;
use Hebra\Core\Quantity\Length;
use Hebra\Core\Quantity\LengthUnit;
use Hebra\Core\Quantity\OutOfRange;

/** What a piece is to fit, and how large that is, in millimetres. Invariant: the size lies in the range of its kind. */
final readonly class Fit
{
    private function __construct(public FitKind $kind, public float $mm)
    {
    }

    public static function usual(FitKind $kind = FitKind::Ear): self
    {
        return new self($kind, $kind->usualMm());
    }

    /** @throws OutOfRange if the size is not in the range of its kind */
    public static function of(FitKind $kind, float $mm, string $field = 'fit'): self
    {
        Length::fromMillimetres($mm)->within($field, $kind->leastMm(), $kind->mostMm());

        return new self($kind, $mm);
    }

    /**
     * A length; for a finger also a ring size such as `us 7`.
     *
     * @throws \Hebra\Core\Problem if it is neither, or out of range
     */
    public static function parse(FitKind $kind, string $text, LengthUnit $bare, string $field = 'fit'): self
    {
        if ($kind === FitKind::Finger && preg_match('/^\s*(us|uk|iso|jp|diameter|circumference)/i', $text) === 1) {
            return new self($kind, RingSize::parse($text, $field)->insideMm());
        }

        return self::of($kind, Length::parse($text, $field, $bare)->millimetres(), $field);
    }
}
