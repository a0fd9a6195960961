<?php

declare(strict_types=1);

namespace App\View;

use App\Models\Bead as OwnBead;
use App\Models\Lot;
use App\Models\Workshop;
use Hebra\Core\Bead\Bead;
use Hebra\Core\Piece\Family;
use Hebra\Core\Piece\Kinds;
use Hebra\Core\Piece\Part;
use Hebra\Core\Piece\Pattern;
use Hebra\Core\Piece\Patterns;
use Hebra\Core\Wire\Metal;
use Hebra\Core\Wire\Wire;

/**
 * The starting patterns that answer what was asked for: a family, a way of making, a metal, so much time at most,
 * gauges
 * and beads that are in stock.
 */
final readonly class PatternGallery
{
    /** Minutes at most => words */
    public const TIMES = ['30' => 'half an hour', '60' => 'an hour', '120' => 'two hours'];

    /** @var array<string, list<PatternCard>> by family in words */
    public array $families;

    public int $count;

    /**
     * @param  array<string, string>  $asked words, family, technique, metal, time, stock, beads; what is unknown asks
     *     for nothing
     */
    public function __construct(private Workshop $workshop, public array $asked)
    {
        $profile = $workshop->profile();
        [$held, $owned] = [$this->heldMm(), $this->owned()];
        $families = [];
        foreach (Patterns::all() as $name => $pattern) {
            if (! $this->isOf($pattern) || ! $this->isCalled($name, $pattern)) {
                continue;
            }
            $card = new PatternCard($name, $pattern, $profile);
            if ($card->minutes <= $this->most() && $this->isOfStock($card, $held, $owned)) {
                $families[$pattern->family->words()][] = $card;
            }
        }
        $this->families = array_filter(
            array_replace(
                array_fill_keys(array_map(fn (Family $family): string => $family->words(), Family::cases()), []),
                $families,
            ),
        );
        $this->count = array_sum(array_map(count(...), $this->families));
    }

    public function asks(string $what): string
    {
        return $this->asked[$what] ?? '';
    }

    private function most(): float
    {
        return isset(self::TIMES[$this->asks('time')]) ? (float) $this->asks('time') : INF;
    }

    private function isOf(Pattern $pattern): bool
    {
        $family = Family::tryFrom($this->asks('family'));
        $metal = Metal::tryFrom($this->asks('metal'));
        $ways = array_column($pattern->line, 0);
        $isMade = ! isset(Kinds::all()[$this->asks('technique')]) || in_array($this->asks('technique'), $ways, true);

        return ($family === null || $pattern->family === $family) && ($metal === null || $pattern->metal === $metal)
            && $isMade;
    }

    /**
     * Whether every word that is asked for says something of it: what it is, how it is made, of what, with which beads.
     */
    private function isCalled(string $name, Pattern $pattern): bool
    {
        $words = preg_split(
            '/[^\p{L}\p{N}.]+/u', mb_strtolower(mb_scrub($this->asks('words'))), -1, PREG_SPLIT_NO_EMPTY,
        ) ?: [];
        if ($words === []) {
            return true;
        }
        $piece = Patterns::start($name, $name);
        $told = mb_strtolower(implode(' ', [
            $name, $pattern->words, $pattern->family->words(), $pattern->metal->words(),
            ...array_map(fn (Part $part): string => $part->technique()->label().' '.$part->label(), $piece->parts),
            ...array_map(fn (Bead $bead): string => $bead->words(), array_values($piece->beads)),
            ...array_map(fn (Wire $wire): string => $wire->size->text(), array_values($piece->wires)),
        ]));
        foreach ($words as $word) {
            // One of them, or several.
            if (! str_contains($told, mb_strlen($word) > 3 ? rtrim($word, 's') : $word)) {
                return false;
            }
        }

        return true;
    }

    /** @return list<float> thicknesses of the wire in stock */
    private function heldMm(): array
    {
        /** @var list<float> $held */
        $held = $this->asks('stock') === ''
            ? []
            : $this->workshop->lots()->get()->filter(
                fn (Lot $lot): bool => ! $lot->isPins() && $lot->heldMm() > 0,
            )->map(fn (Lot $lot): float => $lot->wire()->diameterMm())->unique()->values()->all();

        return $held;
    }

    /** @return list<array{Bead, int}> the beads in stock, and how many */
    private function owned(): array
    {
        return $this->asks('beads') === '' ? [] : array_values($this->workshop->beads()->get()->map(
            fn (OwnBead $bead): array => [$bead->core(), $bead->owned],
        )->all());
    }

    /**
     * @param  list<float>  $held
     * @param  list<array{Bead, int}>  $owned
     */
    private function isOfStock(PatternCard $card, array $held, array $owned): bool
    {
        return ($this->asks('stock') === '' || $this->isHeld($card, $held))
            && ($this->asks('beads') === '' || self::hasBeads($card, $owned));
    }

    /**
     * Whether there are as many of each as it takes, or of one that stands in for it.
     *
     * @param  list<array{Bead, int}>  $owned
     */
    private static function hasBeads(PatternCard $card, array $owned): bool
    {
        foreach ($card->beads as $wanted) {
            $there = array_filter($owned, fn (array $one): bool => $one[0]->standsInFor($wanted->bead));
            if (array_sum(array_column($there, 1)) < $wanted->all) {
                return false;
            }
        }

        return true;
    }

    /** @param  list<float>  $held */
    private function isHeld(PatternCard $card, array $held): bool
    {
        foreach ($card->wires as $wire) {
            if (array_filter($held, fn (float $mm): bool => abs($mm - $wire->diameterMm()) < Lot::SAME_MM) === []) {
                return false;
            }
        }

        return true;
    }

    /** @return array<string, string> families that have a pattern */
    public static function familiesInUse(): array
    {
        $in = [];
        foreach (Patterns::all() as $pattern) {
            $in[$pattern->family->value] = $pattern->family->words();
        }

        return $in;
    }

    /** @return array<string, string> ways of making a part that a pattern has */
    public static function techniquesInUse(): array
    {
        $in = [];
        foreach (Patterns::all() as $pattern) {
            foreach (array_unique(array_column($pattern->line, 0)) as $technique) {
                $in[$technique] = Kinds::named($technique)->label();
            }
        }
        asort($in);

        return $in;
    }

    /** @return array<string, string> metals that a pattern begins in */
    public static function metalsInUse(): array
    {
        $in = [];
        foreach (Patterns::all() as $pattern) {
            $in[$pattern->metal->value] = $pattern->metal->words();
        }

        return $in;
    }
}
