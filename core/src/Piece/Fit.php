<?php

declare(strict_types=1);

namespace Hebra\Core\Piece;

use Hebra\Core\Fit\RingSize;
use Hebra\Core\Quantity\Length;
use Hebra\Core\Quantity\LengthUnit;
use Hebra\Core\Quantity\OutOfRange;
use Hebra\Core\Quantity\Unreadable;

/** What a piece is to fit, and how large that is, in millimetres. Invariant: the size lies in the range of its kind. */
final readonly class Fit
{
    /**
     * @param  string  $said how the maker told it, where that was not in millimetres across: `us 9`, `string 2 1/2 in`
     */
    private function __construct(public FitKind $kind, public float $mm, public string $said = '')
    {
    }

    public static function usual(FitKind $kind = FitKind::Ear): self
    {
        return new self($kind, $kind->usualMm());
    }

    /** @throws OutOfRange if the size is not in the range of its kind */
    public static function of(FitKind $kind, float $mm, string $said = '', string $field = 'fit'): self
    {
        Length::fromMillimetres($mm)->within($field, $kind->leastMm(), $kind->mostMm());
        if (mb_strlen($said) > 40) {
            throw Unreadable::tooLong($field, mb_strlen($said), 40);
        }

        return new self($kind, $mm, $said);
    }

    /**
     * A length; for a finger also a ring size such as `us 7`, or a length round it.
     *
     * @throws \Hebra\Core\Problem if it is neither, or out of range
     */
    public static function parse(
        FitKind $kind, string $text, LengthUnit $bare, bool $isByString = false, string $field = 'fit',
    ): self {
        if ($kind === FitKind::Finger) {
            [$ring, $said] = RingSize::ofFinger($text, $bare, $isByString, $field);

            return self::of($kind, $ring->insideMm(), $said, $field);
        }

        return self::of($kind, Length::parse($text, $field, $bare)->millimetres(), '', $field);
    }

    /** Whether a string measured it, which runs large. */
    public function isByString(): bool
    {
        return str_starts_with($this->said, 'string');
    }
}
