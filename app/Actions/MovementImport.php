<?php

declare(strict_types=1);

namespace App\Actions;

use App\Exceptions\Refused;
use App\Models\Lot;
use App\Models\Workshop;
use Hebra\Core\Problem;
use Hebra\Core\Stock\CsvTable;
use Illuminate\Database\QueryException;
use Illuminate\Support\Collection;

/** Movements of wire lots from a table: what came in or went out of a lot, and why. Each is an entry of its own. */
final class MovementImport extends TableImport
{
    private const LONGEST_REASON = 160;

    public function __construct(private readonly Book $book, private readonly Stockkeeping $stock)
    {
    }

    public function columns(): array
    {
        return [
            'lot' => ['Lot', ['name', 'coil']],
            'amount' => ['Amount, + or −', ['mass g', 'length', 'mm', 'g', 'change', 'mass']],
            'reason' => ['Reason', ['words', 'why', 'note']],
        ];
    }

    public function noun(): string
    {
        return 'movement';
    }

    public function example(): string
    {
        return "lot;amount;reason\nLong coil;-0,8 m;given to the class\nFine coil;+2,5 g;came with the last order";
    }

    protected function read(Workshop $workshop, CsvTable $table, array $columns): array
    {
        $problems = $entries = [];
        $lots = $workshop->lots()->withHeld()->get()->groupBy('name')->all();
        foreach (array_keys($table->rows) as $line) {
            try {
                $entries[] = $this->line(
                    $workshop,
                    $lots,
                    $table->at($line, $columns['lot']),
                    $this->amount($table, $line, $columns),
                    $table->at($line, $columns['reason']),
                );
            } catch (Problem $problem) {
                $problems[$line] = $problem->getMessage();
            }
        }

        return [$entries, $problems];
    }

    protected function write(Workshop $workshop, array $entries): void
    {
        /** @var list<list<array<string, mixed>>> $entries */
        try {
            $this->book->enterAll($entries);
        } catch (QueryException $fault) {
            str_contains($fault->getMessage(), 'less than nothing') || throw $fault;
            throw Refused::invalid(
                'file',
                'One of the lots was used meanwhile and no longer holds what is to leave it: look again.',
            );
        }
    }

    /**
     * @param  array<string, Collection<int, Lot>>  $lots  by name; what they hold follows the lines that were read
     * @return list<array<string, mixed>> rows of the book
     */
    private function line(Workshop $workshop, array $lots, string $name, string $amount, string $reason): array
    {
        $called = $lots[$name] ?? null;
        $lot = $called?->first() ?? throw Refused::invalid(
            'lot',
            "Lot “{$name}” is not in stock: give the name of a lot as Stock has it.",
        );
        count($called) === 1
            || throw Refused::invalid('lot', "Two lots are called “{$name}”: give one of them another name first.");
        mb_strlen($reason) <= self::LONGEST_REASON
            || throw Refused::invalid(
                'reason',
                'The reason holds '.mb_strlen($reason).' characters: give at most '.self::LONGEST_REASON.'.',
            );
        $isOut = preg_match('/^[-−]\s*/u', $amount) === 1;
        $milligrams = ($isOut ? -1 : 1) * $this->stock->amountOf(
            $lot,
            (string) preg_replace('/^[-−+]\s*/u', '', $amount),
            $workshop->profile()->unit(),
        );
        $lot->heldMg() + $milligrams >= 0
            || throw Refused::invalid(
                'amount',
                "{$lot->name} holds ".$workshop->profile()->length($lot->heldMm()).', and '
                    .$workshop->profile()->length(-$lot->mmOf($milligrams))
                    .' is to leave it: give at most what it holds.',
            );
        $lot->setAttribute('held_mg', $lot->heldMg() + $milligrams);
        $went = $isOut ? 'went out' : 'came in';
        $words = $reason === '' ? $went : $reason;

        return Book::rows(
            $workshop,
            Entry::of($isOut ? 'corrected' : 'received'),
            [
                Line::lot($lot, $milligrams, $words),
                Line::of($isOut ? 'found' : 'supplier', $lot->metal, -$milligrams, $words),
            ],
        );
    }
}
