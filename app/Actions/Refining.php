<?php

declare(strict_types=1);

namespace App\Actions;

use App\Exceptions\Refused;
use App\Models\Workshop;
use Hebra\Core\Problem;
use Hebra\Core\Quantity\Figures;
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
     * @param  array<string, string>  $input  metal, weight
     *
     * @throws Problem if the weight is unreadable or more than the jar holds
     */
    public function send(Workshop $workshop, array $input): void
    {
        [$metal, $mg] = $what = $this->read($input);
        $fine = $metal->fineness() > 0 ? ', '.Figures::grams($mg * $metal->fineness() / 1000).' fine expected' : '';
        $this->enter($workshop, $what, ['scrap jar', 'refiner', 'to the refiner'.$fine]);
    }

    /**
     * What the refiner had is paid for, or given back as fine metal that comes in as a lot like any other.
     *
     * @param  array<string, string>  $input  metal, weight, words
     *
     * @throws Problem if the weight is unreadable or more than the refiner has
     */
    public function settle(Workshop $workshop, array $input): void
    {
        $words = trim($input['words'] ?? '');
        $this->enter($workshop, $this->read($input), [
            'refiner', 'supplier', 'settled by the refiner'.($words === '' ? '' : ', '.mb_substr($words, 0, 200)),
        ]);
    }

    /**
     * @param  array<string, string>  $input
     * @return array{Metal, int}
     */
    private function read(array $input): array
    {
        $metal = Metal::tryFrom($input['metal'] ?? '')
            ?? throw Refused::invalid('metal', 'That metal is not known here.');

        return [$metal, Weight::milligrams($input['weight'] ?? '', self::MOST_GRAMS)];
    }

    /**
     * @param  array{Metal, int}  $what
     * @param  array{'scrap jar'|'refiner', 'refiner'|'supplier', string}  $way  from, to, in words
     */
    private function enter(Workshop $workshop, array $what, array $way): void
    {
        [$metal, $mg] = $what;
        [$from, $to, $words] = $way;
        DB::transaction(function () use ($workshop, $metal, $mg, $from, $to, $words): void {
            $held = Book::held($workshop, $from)[$metal->value] ?? 0;
            $mg <= $held || throw Refused::invalid(
                'weight', ucfirst($metal->words()).' weighs '.Figures::grams($mg / 1000).', and the '.$from.' holds '
                    .Figures::grams($held / 1000).': give at most that.',
            );
            $this->book->enter($workshop, Entry::of('refined'), [
                Line::of($from, $metal->value, -$mg, $words), Line::of($to, $metal->value, $mg, $words),
            ]);
        });
    }
}
