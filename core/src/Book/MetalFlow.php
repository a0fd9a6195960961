<?php

declare(strict_types=1);

namespace Hebra\Core\Book;

/**
 * The metal of a book over a time, from where it came to where it went: what lay on the coils before and what each
 * account gave, against what each account took and what lies on the coils now. Whole milligrams. Invariant: as much
 * comes as goes, because the lines of every entry add up to nothing.
 */
final readonly class MetalFlow
{
    public const COILS = 'lot';

    /** What is said of an account that gave metal, and of one that took it. */
    private const WORDS = [
        'supplier' => ['came in', 'sent back'], 'not booked' => ['not booked before', 'not booked'],
        'found' => ['found', 'not found'], 'pieces' => ['out of pieces', 'in pieces'],
        'customers' => ['back from customers', 'with customers'],
        'refiner' => ['back from the refiner', 'at the refiner'],
        'scrap jar' => ['out of the jar', 'in the jar'],
    ];

    private const BEFORE = 'there before';

    private const NOW = 'on the coils';

    /**
     * @param  array<string, int>  $sources  in words, as they stand from the top
     * @param  array<string, int>  $goals
     */
    private function __construct(public array $sources, public array $goals)
    {
    }

    /**
     * @param  int  $beforeMg  on the coils when the time begins
     * @param  array<string, int>  $moved  by account, over the time; `lot` for all coils, offcuts and pins together
     *
     * @throws \LogicException if the entries do not add up to nothing
     */
    public static function of(int $beforeMg, array $moved): self
    {
        array_sum($moved) === 0 || throw new \LogicException('The lines of an entry do not add up to nothing.');
        $nowMg = $beforeMg + ($moved[self::COILS] ?? 0);
        $sources = [self::BEFORE => $beforeMg];
        $goals = [self::NOW => $nowMg];
        foreach (self::WORDS as $account => [$gave, $took]) {
            $mg = $moved[$account] ?? 0;
            $sources[$gave] = max(0, -$mg);
            $goals[$took] = max(0, $mg);
        }

        return new self(array_filter($sources), array_filter($goals));
    }

    public function totalMg(): int
    {
        return array_sum($this->goals);
    }

    /**
     * From each source to each goal, in the order in which both stand: none crosses another.
     *
     * @return list<array{from: string, to: string, mg: int}>
     */
    public function ribbons(): array
    {
        [$sources, $goals, $ribbons] = [$this->sources, $this->goals, []];
        foreach ($goals as $goal => $wanted) {
            foreach ($sources as $source => $left) {
                $mg = min($wanted, $left);
                if ($mg > 0) {
                    $ribbons[] = ['from' => $source, 'to' => $goal, 'mg' => $mg];
                    $sources[$source] -= $mg;
                    $wanted -= $mg;
                }
            }
        }

        return $ribbons;
    }
}
