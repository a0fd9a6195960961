<?php

declare(strict_types=1);

namespace App\Actions;

use App\Exceptions\Refused;
use App\Models\Lot;
use App\Models\Workshop;
use Hebra\Core\Problem;
use Hebra\Core\Stock\CsvTable;

/** Movements of wire lots from a table: what came in or went out of a lot, and why. Each is an entry of its own. */
final class MovementImport extends TableImport
{
    private const LONGEST_REASON = 160;

    public function __construct(private readonly Book $book, private readonly Stockkeeping $stock)
    {
    }

    public function columns(): array
    {
        return ['lot' => ['Lot', ['name', 'coil']], 'amount' => ['Amount, + or −', ['mass g', 'length', 'mm', 'g', 'change', 'mass']], 'reason' => ['Reason', ['words', 'why', 'note']]];
    }

    public function noun(): string
    {
        return 'movement';
    }

    public function example(): string
    {
        return "lot;amount;reason\nLong coil;-0,8 m;given to the class\nFine coil;+2,5 g;came with the last order";
    }

    protected function receive(Workshop $workshop, CsvTable $table, array $columns): array
    {
        $problems = [];
        foreach (array_keys($table->rows) as $line) {
            try {
                $this->line($workshop, $table->at($line, $columns['lot']), $this->amount($table, $line, $columns), $table->at($line, $columns['reason']));
            } catch (Problem $problem) {
                $problems[$line] = $problem->getMessage();
            }
        }

        return $problems;
    }

    private function line(Workshop $workshop, string $name, string $amount, string $reason): void
    {
        $lots = $workshop->lots()->where('name', $name)->limit(2)->get();
        /** @var Lot|null $lot */
        $lot = $lots->first();
        $lot !== null || throw Refused::invalid('lot', "Lot “{$name}” is not in stock: give the name of a lot as Stock has it.");
        $lots->count() === 1 || throw Refused::invalid('lot', "Two lots are called “{$name}”: give one of them another name first.");
        mb_strlen($reason) <= self::LONGEST_REASON || throw Refused::invalid('reason', 'The reason holds '.mb_strlen($reason).' characters: give at most '.self::LONGEST_REASON.'.');
        $isOut = preg_match('/^[-−]\s*/u', $amount) === 1;
        $milligrams = ($isOut ? -1 : 1) * $this->stock->amountOf($lot, (string) preg_replace('/^[-−+]\s*/u', '', $amount), $workshop->profile()->unit());
        $lot->heldMg() + $milligrams >= 0 || throw Refused::invalid('amount', "{$lot->name} holds ".$workshop->profile()->length($lot->heldMm()).', and '.$workshop->profile()->length(-$lot->mmOf($milligrams)).' is to leave it: give at most what it holds.');
        $words = ($reason === '' ? ($isOut ? 'went out' : 'came in') : $reason);
        $this->book->enter($workshop, $isOut ? 'corrected' : 'received', [Line::lot($lot, $milligrams, $words), Line::of($isOut ? 'found' : 'supplier', $lot->metal, -$milligrams, $words)]);
    }
}
