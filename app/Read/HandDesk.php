<?php

declare(strict_types=1);

namespace App\Read;

use App\Models\HandBook;
use App\Models\MakingCut;
use App\Models\Measurement;
use App\Models\Workshop;
use Hebra\Core\Hand\Consistency;
use Hebra\Core\Hand\Learned;
use Hebra\Core\Hand\Log;
use Hebra\Core\Hand\Pace;
use Hebra\Core\Hand\Work;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Wire\Metal;
use Hebra\Core\Wire\Temper;
use Illuminate\Support\Collection;

/** What the logs of a workshop taught: of wire, of loops, of spring-back and of time. */
final readonly class HandDesk
{
    public Profile $profile;

    private HandBook $book;

    /** @var list<array{key: string, words: string, learned: Learned, cuts: list<MakingCut>}> */
    public array $ways;

    /** @var array<string, Learned> by metal and temper in words */
    public array $springs;

    public Pace $pace;

    /**
     * @var list<array{wanted: float, of: Consistency|null, sizes: list<Measurement>}> by what the loops were meant to
     *     be
     */
    public array $loops;

    public function __construct(public Workshop $workshop)
    {
        $this->profile = $workshop->profile();
        $this->book = HandBook::of($workshop);
        $ways = [];
        foreach ($this->book->cutsOfPieces() as $key => $cuts) {
            [$way, $awg] = explode('/', $key);
            $ways[] = [
                'key' => $key,
                'words' => (Work::WAYS[$way] ?? $way).', '.$awg.' AWG',
                'learned' => Learned::from(array_map(fn (MakingCut $cut): Log => $cut->log(), $cuts)),
                'cuts' => $cuts,
            ];
        }
        $this->ways = $ways;
        $springs = [];
        foreach ($this->book->springs() as $key => $learned) {
            [$metal, $temper] = explode('/', $key);
            $springs[Metal::from($metal)->words().', '.Temper::from($temper)->words()] = $learned;
        }
        $this->springs = $springs;
        $this->pace = $this->book->pace();
        $this->loops = $this->loopsBySize();
    }

    /** @return list<array{wanted: float, of: Consistency|null, sizes: list<Measurement>}> */
    private function loopsBySize(): array
    {
        $loops = [];
        /** @var Collection<int, Measurement> $rows */
        $rows = $this->workshop->measurements()->where(
            'what',
            'loop',
        )->whereNull('forgotten_at')->latest('id')->limit(400)->get();
        foreach ($rows->reverse()->groupBy('wanted_um')->sortKeys() as $wanted => $sizes) {
            $last = array_values($sizes->slice(-40)->all());
            $loops[] = [
                'wanted' => (int) $wanted / 1000,
                'of' => Consistency::of(
                    array_map(fn (Measurement $one): float => $one->measuredMm() - $one->wantedMm(), $last),
                ),
                'sizes' => $last,
            ];
        }

        return $loops;
    }

    public function isEmpty(): bool
    {
        return $this->ways === [] && $this->loops === [] && $this->springs === [] && $this->pace->kinds === [];
    }

    /**
     * @param  array{key: string, words: string, learned: Learned, cuts: list<MakingCut>}  $way
     * @return array<string, mixed> used over the sum, log by log, and what was made of it
     */
    public function plotOf(array $way): array
    {
        $logs = array_map(fn (MakingCut $cut): Log => $cut->log(), $way['cuts']);
        $means = [];
        foreach (array_keys($logs) as $at) {
            $means[] = round(Learned::from(array_slice($logs, 0, $at + 1))->factor(), 4);
        }

        return ['kind' => 'line', 'unit' => 'used over the sum', 'labels' => array_map(
            fn (MakingCut $cut): string => $cut->created_at->format('j M'), $way['cuts'],
        ),
            'rows' => [[
                'label' => 'each making', 'values' => array_map(fn (Log $log): float => round($log->ratio, 4), $logs),
                'isDots' => true,
            ], ['label' => 'what you use', 'values' => $means]]];
    }

    /**
     * @param  array{wanted: float, of: Consistency|null, sizes: list<Measurement>}  $loops
     * @return array<string, mixed>
     */
    public function plotOfLoops(array $loops): array
    {
        return ['kind' => 'line', 'unit' => 'mm', 'labels' => array_map(
            strval(...), range(1, count($loops['sizes'])),
        ), 'rows' => [
            [
                'label' => 'inside',
                'values' => array_map(fn (Measurement $one): float => $one->measuredMm(), $loops['sizes']),
                'isDots' => true,
            ],
            [
                'label' => 'meant to be',
                'values' => array_map(fn (Measurement $one): float => $one->wantedMm(), $loops['sizes']),
            ],
        ]];
    }
}
