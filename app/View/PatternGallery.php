<?php

declare(strict_types=1);

namespace App\View;

use App\Models\Bead as OwnBead;
use App\Models\HandBook;
use App\Models\Lot;
use App\Models\Workshop;
use App\View\Bench\Clock;
use Hebra\Core\Bead\Bead;
use Hebra\Core\Hand\Pace;
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

    /** What of the stock it is to be made from => words */
    public const FROM = ['gauges' => 'gauges I have', 'beads' => 'beads I have', 'both' => 'what I have'];

    /** Ways of making a part that are offered by a picture => words, and the pattern that shows it */
    public const SHOWN = [
        'head-pin' => ['drop', 'single-drop'], 'wrapped-link' => ['link', 'two-links'], 'hoop' => ['hoop', 'hoop'],
        'frame' => ['frame', 'framed-drop'], 'surround' => ['surround', 'rimmed-disc'],
        'coil-link' => ['coil', 'coiled-drop'], 'chain' => ['chain', 'charm-bracelet'],
        'woven-band' => ['weave', 'woven-pendant'], 'bangle' => ['bangle', 'curled-bangle'],
        'wound-ring' => ['ring', 'wound-ring'],
    ];

    /** How high a rail is, and how wide a place on it, in pixels; how many millimetres fill it at the most. */
    public const HIGH = 112;

    public const WIDE = 112;

    private const LEAST_MM = 45.0;

    /** @var array<string, list<PatternCard>> by family in words */
    public array $families;

    public int $count;

    /** @var list<float> thicknesses of the wire in stock */
    private array $heldMm;

    private Pace $pace;

    /**
     * @param  array<string, string>  $asked words, family, technique, metal, time, from; what is unknown asks for
     *     nothing
     */
    public function __construct(private Workshop $workshop, public array $asked)
    {
        $this->pace = HandBook::of($workshop)->pace();
        $this->heldMm = $this->held();
        $owned = $this->owned();
        $families = [];
        foreach (PatternCard::all() as $name => $card) {
            $isAsked = $this->isOf($card->pattern) && $this->isCalled($name, $card->pattern);
            if ($isAsked && $card->minutes($this->pace) <= $this->most() && $this->isOfStock($card, $owned)) {
                $families[$card->pattern->family->words()][] = $card;
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

    /**
     * At one scale with the others of its rail; what has no room there, as large as it has.
     *
     * @param  list<PatternCard>  $cards  of one rail
     * @return array{int, int} how wide and how high it is shown, in pixels
     */
    public static function shown(PatternCard $card, array $cards): array
    {
        $high = array_map(fn (PatternCard $one): float => $one->highMm, $cards);
        sort($high);
        // Three of four have room; the longest are drawn smaller.
        $full = max(self::LEAST_MM, $high[(int) floor(0.75 * (count($high) - 1))]);
        $perMm = min(
            self::HIGH / $full, self::HIGH / max(1.0, $card->highMm), self::WIDE / max(1.0, $card->wideMm),
        );
        // The file has a margin of its own all round.
        $margin = 2 * PatternPicture::ROOM_MM;

        return [(int) round(($card->wideMm + $margin) * $perMm), (int) round(($card->highMm + $margin) * $perMm)];
    }

    /** The address of the gallery as it is asked for, with something asked differently. */
    public function address(string $what, string $value): string
    {
        $asked = array_filter([...$this->asked, $what => $value], fn (string $one): bool => $one !== '');

        return '/patterns'.($asked === [] ? '' : '?'.http_build_query($asked));
    }

    /** About how long it takes this maker. */
    public function time(PatternCard $card): string
    {
        return Clock::words($card->minutes($this->pace));
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
        $sought = Sought::read($this->asks('words'));
        if ($sought->words === []) {
            return true;
        }
        $piece = Patterns::start($name, $name);

        return $sought->isIn(implode(' ', [
            $name, $pattern->words, $pattern->family->words(), $pattern->metal->words(),
            ...array_map(fn (Part $part): string => $part->technique()->label().' '.$part->label(), $piece->parts),
            ...array_map(fn (Bead $bead): string => $bead->words(), array_values($piece->beads)),
            ...array_map(fn (Wire $wire): string => $wire->size->text(), array_values($piece->wires)),
        ]));
    }

    /** @return list<float> */
    private function held(): array
    {
        /** @var list<float> $held */
        $held = $this->workshop->lots()->withHeld()->get()->filter(
            fn (Lot $lot): bool => ! $lot->isPins() && $lot->heldMm() > 0,
        )->map(fn (Lot $lot): float => $lot->wire()->diameterMm())->unique()->values()->all();

        return $held;
    }

    /** @return list<array{Bead, int}> the beads in stock, and how many */
    private function owned(): array
    {
        return ! $this->wants('beads') ? [] : array_values($this->workshop->beads()->get()->map(
            fn (OwnBead $bead): array => [$bead->core(), $bead->owned],
        )->all());
    }

    /** @param  list<array{Bead, int}>  $owned */
    private function isOfStock(PatternCard $card, array $owned): bool
    {
        return (! $this->wants('gauges') || $this->lacks($card) === [])
            && (! $this->wants('beads') || self::hasBeads($card, $owned));
    }

    /** Whether it is asked for by what is in stock: `gauges` or `beads`. */
    private function wants(string $of): bool
    {
        return in_array($this->asks('from'), [$of, 'both'], true);
    }

    /**
     * Whether there are as many of each as it takes, or of one that stands in for it.
     *
     * @param  list<array{Bead, int}>  $owned
     */
    private static function hasBeads(PatternCard $card, array $owned): bool
    {
        foreach ($card->beads() as $wanted) {
            $there = array_filter($owned, fn (array $one): bool => $one[0]->standsInFor($wanted['bead']));
            if (array_sum(array_column($there, 1)) < $wanted['all']) {
                return false;
            }
        }

        return true;
    }

    /** @return list<Wire> gauges it takes that are not in stock */
    public function lacks(PatternCard $card): array
    {
        return array_values(array_filter($card->wires, fn (Wire $wire): bool => ! $this->isHeld($wire)));
    }

    /** Whether any that is shown takes a gauge that is not in stock. */
    public function hasLacking(): bool
    {
        foreach (array_merge([], ...array_values($this->families)) as $card) {
            if ($this->lacks($card) !== []) {
                return true;
            }
        }

        return false;
    }

    public function isHeld(Wire $wire): bool
    {
        foreach ($this->heldMm as $mm) {
            if (abs($mm - $wire->diameterMm()) < Lot::SAME_MM) {
                return true;
            }
        }

        return false;
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
