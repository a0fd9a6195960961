<?php

declare(strict_types=1);

namespace Hebra\Core\Piece;

use Hebra\Core\Quantity\Count;

/**
 * How many are made at once: one, a pair, alike or mirrored, or a batch of n pieces. Invariant: 1 ≤ count ≤ 200; a pair
 * is two.
 */
final readonly class Makes
{
    public const MOST = 200;

    private function __construct(public string $kind, public int $count)
    {
    }

    public static function one(): self
    {
        return new self('one', 1);
    }

    public static function pair(): self
    {
        return new self('pair', 2);
    }

    /** The second as the first is seen in a mirror. */
    public static function mirroredPair(): self
    {
        return new self('mirrored-pair', 2);
    }

    public function isMirrored(): bool
    {
        return $this->kind === 'mirrored-pair';
    }

    /** How many of them are sold: a pair goes as one. */
    public function sold(): int
    {
        return $this->kind === 'batch' ? $this->count : 1;
    }

    /** @throws \Hebra\Core\Problem outside 1 to 200 */
    public static function batch(int $count, string $field = 'makes'): self
    {
        return new self('batch', Count::within($count, $field, 1, self::MOST));
    }

    /** @throws \Hebra\Core\Problem if the kind is unknown or the count out of range */
    public static function of(string $kind, int $count, string $field = 'makes'): self
    {
        return match ($kind) {
            'one' => self::one(),
            'pair' => self::pair(),
            'mirrored-pair' => self::mirroredPair(),
            'batch' => self::batch($count, $field),
            default => throw \Hebra\Core\Quantity\Unreadable::choice(
                $field,
                $kind,
                ['one', 'pair', 'mirrored-pair', 'batch'],
            ),
        };
    }

    public function words(): string
    {
        return match ($this->kind) {
            'one' => 'one',
            'pair' => 'a pair',
            'mirrored-pair' => 'a mirrored pair',
            default => "a batch of {$this->count}",
        };
    }

    /**
     * What one of them is called while it is made: `left` and `right` mean nothing to most drops, so they are counted.
     */
    public function nameOf(int $copy, string $noun): string
    {
        return match (true) {
            $this->count === 1 => "the {$noun}",
            $this->count === 2 => ["first {$noun}", "second {$noun}"][$copy],
            default => "{$noun} ".($copy + 1).' of '.$this->count,
        };
    }
}
