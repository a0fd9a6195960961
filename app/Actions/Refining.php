<?php

declare(strict_types=1);

namespace App\Actions;

use App\Exceptions\Refused;
use App\Models\Workshop;
use Hebra\Core\Problem;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Quantity\Mass;
use Hebra\Core\Wire\Metal;
use Illuminate\Support\Facades\DB;

/** Scrap goes to the refiner, and is settled: what the refiner has and pays for leaves the workshop. */
final class Refining
{
    private const MOST_GRAMS = 100_000;

    public function __construct(private readonly Book $book)
    {
    }

    /**
     * Out of the scrap jar.
     *
     * @throws Problem if the weight is unreadable or more than the jar holds
     */
    public function send(Workshop $workshop, string $metal, string $grams): void
    {
        [$of, $mg] = $this->read($metal, $grams);
        $fine = $of->fineness() > 0 ? ', '.Figures::grams($mg * $of->fineness() / 1000).' fine expected' : '';
        $this->enter($workshop, $of, $mg, ['scrap jar', 'refiner', 'to the refiner'.$fine]);
    }

    /**
     * What the refiner had is paid for, or given back as fine metal that comes in as a lot like any other.
     *
     * @throws Problem if the weight is unreadable or more than the refiner has
     */
    public function settle(Workshop $workshop, string $metal, string $grams, string $words): void
    {
        [$of, $mg] = $this->read($metal, $grams);
        $this->enter($workshop, $of, $mg, [
            'refiner', 'supplier', 'settled by the refiner'.($words === '' ? '' : ', '.mb_substr($words, 0, 200)),
        ]);
    }

    /** @return array{Metal, int} */
    private function read(string $metal, string $grams): array
    {
        $of = Metal::tryFrom($metal) ?? throw Refused::invalid('metal', 'That metal is not known here.');
        $mass = Mass::parse(is_numeric(str_replace(',', '.', $grams)) ? "{$grams} g" : $grams, 'weight');

        return [$of, $mass->asAmount('weight', self::MOST_GRAMS)->milligrams()];
    }

    /** @param  array{'scrap jar'|'refiner', 'refiner'|'supplier', string}  $way  from, to, in words */
    private function enter(Workshop $workshop, Metal $metal, int $mg, array $way): void
    {
        [$from, $to, $words] = $way;
        DB::transaction(function () use ($workshop, $metal, $mg, $from, $to, $words): void {
            $held = Book::held($workshop, $from)[$metal->value] ?? 0;
            $mg <= $held || throw Refused::invalid(
                'weight', ucfirst($metal->words()).' weighs '.Figures::grams($mg / 1000).', and the '.$from.' holds '
                    .Figures::grams($held / 1000).': give at most that.',
            );
            $this->book->enter($workshop, 'refined', [
                Line::of($from, $metal->value, -$mg, $words), Line::of($to, $metal->value, $mg, $words),
            ]);
        });
    }
}
