<?php

declare(strict_types=1);

namespace Hebra\Core\Book;

/**
 * One metal of the book over a time, as a statement: what each place held when it began and holds when it ends, and
 * what came from outside and went there. Whole milligrams. Invariant: what was held, what came less what went, and
 * what is held add up, because the lines of every entry add up to nothing.
 */
final readonly class Statement
{
    /** Accounts that hold metal of the workshop, in words. */
    private const HELD = [
        'lot' => 'coils, offcuts and pins', 'pieces' => 'finished pieces', 'scrap jar' => 'the scrap jar',
        'refiner' => 'at the refiner',
    ];

    /** Accounts outside it, and what is said of metal that comes from there or goes there. */
    private const OUTSIDE = [
        'supplier' => ['bought', 'sent back'], 'customers' => ['taken back from customers', 'sold or given'],
        'not booked' => ['cut from wire not booked', 'not booked'], 'found' => ['found more than booked', 'lost'],
    ];

    /**
     * @param  array<string, array{before: int, now: int}>  $held  by place, in words
     * @param  array<string, int>  $came  in words
     * @param  array<string, int>  $went  in words
     */
    private function __construct(public array $held, public array $came, public array $went)
    {
    }

    /**
     * @param  array<string, int>  $before  what the lines of each account came to until the time began
     * @param  list<array{string, int}>  $moved  account and milligrams of what moved in it, entry by entry or summed
     *
     * @throws \LogicException if the entries do not add up to nothing
     */
    public static function of(array $before, array $moved): self
    {
        array_sum($before) === 0 && array_sum(array_column($moved, 1)) === 0
            || throw new \LogicException('The lines of an entry do not add up to nothing.');
        $held = $came = $went = [];
        foreach (self::HELD as $account => $words) {
            $held[$words] = ['before' => $before[$account] ?? 0, 'now' => $before[$account] ?? 0];
        }
        foreach ($moved as [$account, $mg]) {
            if (isset(self::HELD[$account])) {
                $held[self::HELD[$account]]['now'] += $mg;

                continue;
            }
            [$gave, $took] = self::OUTSIDE[$account] ?? throw new \LogicException("There is no account {$account}.");
            $mg < 0 ? $came[$gave] = ($came[$gave] ?? 0) - $mg : $went[$took] = ($went[$took] ?? 0) + $mg;
        }

        return new self(
            array_filter($held, fn (array $place): bool => $place['before'] !== 0 || $place['now'] !== 0),
            array_filter($came), array_filter($went),
        );
    }

    public function beforeMg(): int
    {
        return array_sum(array_column($this->held, 'before'));
    }

    public function nowMg(): int
    {
        return array_sum(array_column($this->held, 'now'));
    }

    /** Whether there is nothing to say. */
    public function isEmpty(): bool
    {
        return $this->held === [] && $this->came === [] && $this->went === [];
    }
}
