<?php

declare(strict_types=1);

namespace Hebra\Core\Wire;

use Hebra\Core\Quantity\OneOf;

/** The metals wire is drawn from; what is known of each stands in MetalTable. */
enum Metal: string
{
    case FineSilver = 'fine-silver';
    case Sterling = 'sterling';
    case Silver935 = 'silver-935';
    case Copper = 'copper';
    case Brass = 'brass';
    case RedBrass = 'red-brass';
    case JewellersBronze = 'jewellers-bronze';
    case NickelSilver = 'nickel-silver';
    case Aluminium = 'aluminium';
    case Niobium = 'niobium';
    case Titanium = 'titanium';
    case Stainless = 'stainless';
    case Gold24k = 'gold-24k';
    case Gold18k = 'gold-18k';
    case Gold14k = 'gold-14k';
    case GoldFilled = 'gold-filled';
    case SilverPlated = 'silver-plated';
    case GoldPlated = 'gold-plated';
    case Enamelled = 'enamelled';
    case EnamelledBlack = 'enamelled-black';
    case EnamelledRed = 'enamelled-red';
    case EnamelledBlue = 'enamelled-blue';
    case EnamelledGreen = 'enamelled-green';

    private function row(): MetalRow
    {
        return MetalTable::row($this);
    }

    public function words(): string
    {
        return $this->row()->words;
    }

    public function gramsPerCubicCentimetre(): float
    {
        return $this->row()->gramsPerCubicCentimetre;
    }

    /** Precious metal as a share of the mass. */
    public function fineness(): float
    {
        return $this->row()->fineness;
    }

    /** What its core is covered with, thinly; empty where it is one metal through. */
    public function coating(): string
    {
        return $this->row()->coating;
    }

    /** B&S numbers it takes before it must be annealed. */
    public function numbersBeforeAnnealing(): float
    {
        return $this->row()->numbersBeforeAnnealing;
    }

    /** Whether skin may take offence where the metal pierces an ear. */
    public function mayIrritatePiercings(): bool
    {
        return $this->row()->mayIrritatePiercings;
    }

    /** What stands in books, or is remembered, for its stiffness and yield; marked so in `source`. */
    public function strength(): Strength
    {
        return $this->row()->strength;
    }

    /**
     * The tempers its wire is sold in, over all sizes.
     *
     * @return non-empty-list<Temper>
     */
    public function tempers(): array
    {
        return $this->row()->tempers;
    }

    /**
     * Its made-up price as of a day, ten-thousandths of the currency a gram; before the first, the first.
     *
     * @return array{from: string, e4: int} with the day since which it stands
     */
    public function inventedPrice(string $day): array
    {
        $invented = $this->row()->inventedE4;
        $from = array_key_first($invented);
        foreach (array_keys($invented) as $since) {
            $from = $since <= $day ? $since : $from;
        }

        return ['from' => $from, 'e4' => $invented[$from]];
    }

    /**
     * Its colour as it is drawn on page and paper: edge, body and shine, each red, green, blue.
     *
     * @return array{array{int, int, int}, array{int, int, int}, array{int, int, int}}
     */
    public function tint(): array
    {
        return $this->row()->tint;
    }

    /** By its own name or its words, in any case: `sterling`, `Sterling Silver`, `SILVER 935`. */
    public static function read(string $text, string $field = 'metal'): self
    {
        $plain = preg_replace('/[\s_-]+/u', ' ', str_replace("'", '’', mb_strtolower(trim(mb_scrub($text))))) ?? '';
        foreach (self::cases() as $metal) {
            if (in_array(
                $plain, [str_replace('-', ' ', $metal->value), str_replace('-', ' ', $metal->words())], true,
            )) {
                return $metal;
            }
        }

        return self::tryFrom(mb_strtolower(trim($text)))
            ?? OneOf::read(self::class, $text, $field);
    }
}
