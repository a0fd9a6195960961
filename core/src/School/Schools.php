<?php

declare(strict_types=1);

namespace Hebra\Core\School;

use Hebra\Core\Quantity\OneOf;
use Hebra\Core\Quantity\Unreadable;

/** What one maker has chosen. Invariant: every school has one of its own choices. */
final readonly class Schools
{
    private const NECK_MM = 2.5;

    /** @param  array<string, string>  $chosen  school => choice, only what differs from the usual */
    public function __construct(private array $chosen = [])
    {
    }

    /**
     * @param  array<string, string>  $chosen
     *
     * @throws Unreadable if a school or choice is unknown
     */
    public static function of(array $chosen): self
    {
        foreach ($chosen as $key => $choice) {
            $school = OneOf::read(School::class, $key, 'school');
            isset($school->choices()[$choice])
                || throw Unreadable::choice($key, $choice, array_keys($school->choices()));
        }

        return new self($chosen);
    }

    public function choice(School $school): string
    {
        return $this->chosen[$school->value] ?? $school->usual();
    }

    public function is(School $school, string $choice): bool
    {
        return $this->choice($school) === $choice;
    }

    /** The wraps a new part begins with. */
    public function wraps(int $usual, float $wireMm): int
    {
        return match ($this->choice(School::Wraps)) {
            'two' => 2,
            'three' => 3,
            'fill' => max(2, min(20, (int) round(self::NECK_MM / $wireMm))),
            default => $usual,
        };
    }

    /** Numbers hard that one straightening adds [memory]. */
    public function straighteningNumbers(): float
    {
        return match ($this->choice(School::Straightening)) {
            'rollers' => 0.3,
            'jaws' => 0.2,
            default => 0.1,
        };
    }

    /** Numbers hard that making adds to what is bent: straightened twice, and hammered where that is usual for it. */
    public function makingNumbers(bool $isHammered): float
    {
        return 2 * $this->straighteningNumbers() + ($isHammered ? $this->hammeringNumbers() : 0.0);
    }

    /** Numbers hard that hammering adds to an arch [memory]. */
    public function hammeringNumbers(): float
    {
        return match ($this->choice(School::Hammering)) {
            'finish' => 1.0,
            'before-and-after' => 2.0,
            default => 0.0,
        };
    }

    /** Whether the left hand leads: pictures at the bench are seen in a mirror then. */
    public function isLeftHanded(): bool
    {
        return $this->is(School::Hand, 'left');
    }

    /** @return array{string, string} the leading hand and the other */
    public function hands(): array
    {
        return $this->isLeftHanded() ? ['left', 'right'] : ['right', 'left'];
    }

    /** @return array<string, string> */
    public function toArray(): array
    {
        return $this->chosen;
    }
}
