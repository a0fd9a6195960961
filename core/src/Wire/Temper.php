<?php

declare(strict_types=1);

namespace Hebra\Core\Wire;

/** How hard the wire was left by the mill: 0, 1, 2, 4 and 8 B&S numbers drawn after annealing [published: ASTM B601 for the designations]. */
enum Temper: string
{
    case DeadSoft = 'dead-soft';
    case QuarterHard = 'quarter-hard';
    case HalfHard = 'half-hard';
    case Hard = 'hard';
    case Spring = 'spring';

    public function words(): string
    {
        return str_replace('-', ' ', $this->value);
    }

    public function isSofterThan(self $other): bool
    {
        return array_search($this, self::cases(), true) < array_search($other, self::cases(), true);
    }

    public static function read(string $text, string $field = 'temper'): self
    {
        return self::tryFrom(mb_strtolower(trim($text)))
            ?? throw \Hebra\Core\Quantity\Unreadable::choice($field, $text, array_column(self::cases(), 'value'));
    }
}
