<?php

declare(strict_types=1);

namespace Hebra\Core\Wire;

/**
 * The metals wire is drawn from. Densities in g/cm³ [published: CRC Handbook of Chemistry and Physics; ASM Handbook
 * vol. 2; silver 935 and gold-filled 14/20 from memory].
 */
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

    public function words(): string
    {
        return match ($this) {
            self::FineSilver => 'fine silver',
            self::Sterling => 'sterling silver',
            self::Silver935 => 'silver 935',
            self::Copper => 'copper',
            self::Brass => 'yellow brass',
            self::RedBrass => 'red brass',
            self::JewellersBronze => 'jeweller’s bronze',
            self::NickelSilver => 'nickel silver',
            self::Aluminium => 'aluminium',
            self::Niobium => 'niobium',
            self::Titanium => 'titanium',
            self::Stainless => 'stainless steel',
            self::Gold24k => '24k gold',
            self::Gold18k => '18k yellow gold',
            self::Gold14k => '14k yellow gold',
            self::GoldFilled => 'gold-filled',
        };
    }

    public function gramsPerCubicCentimetre(): float
    {
        return match ($this) {
            self::FineSilver => 10.49,
            self::Sterling => 10.36,
            self::Silver935 => 10.37,
            self::Copper => 8.96,
            self::Brass => 8.53,
            self::RedBrass => 8.75,
            self::JewellersBronze => 8.78,
            self::NickelSilver => 8.70,
            self::Aluminium => 2.70,
            self::Niobium => 8.57,
            self::Titanium => 4.51,
            self::Stainless => 8.00,
            self::Gold24k => 19.32,
            self::Gold18k => 15.5,
            self::Gold14k => 13.1,
            self::GoldFilled => 8.8,
        };
    }

    /** Precious metal as a share of the mass: what the scrap jar is worth by [published: ISO 8654 and 9202 for the grades; gold-filled 14/20 is a twentieth of 14k]. */
    public function fineness(): float
    {
        return match ($this) {
            self::FineSilver, self::Gold24k => 0.999,
            self::Sterling => 0.925,
            self::Silver935 => 0.935,
            self::Gold18k => 0.75,
            self::Gold14k => 0.585,
            self::GoldFilled => 0.585 / 20,
            self::Copper, self::Brass, self::RedBrass, self::JewellersBronze, self::NickelSilver, self::Aluminium, self::Niobium, self::Titanium, self::Stainless => 0.0,
        };
    }

    /** B&S numbers it takes before it must be annealed [memory]. */
    public function numbersBeforeAnnealing(): float
    {
        return match ($this) {
            self::Copper, self::FineSilver, self::Gold24k, self::Niobium => 12.0,
            self::JewellersBronze, self::RedBrass, self::Aluminium => 8.0,
            self::Sterling, self::Silver935, self::Brass, self::GoldFilled, self::Gold18k, self::Gold14k => 6.0,
            self::Titanium, self::Stainless, self::NickelSilver => 4.0,
        };
    }

    /** Whether skin may take offence where the metal pierces an ear [common practice; local limits decide]. */
    public function mayIrritatePiercings(): bool
    {
        return match ($this) {
            self::Copper, self::Brass, self::RedBrass, self::JewellersBronze, self::NickelSilver, self::Aluminium, self::Stainless => true,
            self::FineSilver, self::Sterling, self::Silver935, self::Niobium, self::Titanium,
            self::Gold24k, self::Gold18k, self::Gold14k, self::GoldFilled => false,
        };
    }

    /**
     * The tempers its wire is sold in, over all sizes [common practice: price lists of mills, from memory].
     *
     * @return non-empty-list<Temper>
     */
    public function tempers(): array
    {
        return match ($this) {
            self::FineSilver, self::Niobium, self::Gold24k => [Temper::DeadSoft, Temper::HalfHard],
            self::Sterling, self::Silver935, self::Copper, self::Brass, self::RedBrass, self::JewellersBronze => Temper::cases(),
            self::NickelSilver, self::Gold18k, self::Gold14k => [Temper::DeadSoft, Temper::HalfHard, Temper::Hard],
            self::GoldFilled => [Temper::DeadSoft, Temper::HalfHard, Temper::Spring],
            self::Aluminium => [Temper::DeadSoft, Temper::HalfHard, Temper::Hard],
            self::Titanium => [Temper::DeadSoft, Temper::HalfHard],
            self::Stainless => [Temper::DeadSoft, Temper::HalfHard, Temper::Hard, Temper::Spring],
        };
    }

    /**
     * Its colour as it is drawn on page and paper: edge, body and shine, each red, green, blue.
     *
     * @return array{array{int, int, int}, array{int, int, int}, array{int, int, int}}
     */
    public function tint(): array
    {
        return match ($this) {
            self::Sterling, self::FineSilver, self::Silver935 => [[91, 95, 102], [185, 190, 198], [246, 248, 250]],
            self::Copper => [[107, 47, 22], [199, 116, 74], [247, 205, 179]],
            self::Brass, self::JewellersBronze => [[106, 81, 21], [203, 165, 72], [247, 231, 180]],
            self::RedBrass => [[109, 64, 28], [199, 140, 85], [245, 217, 184]],
            self::NickelSilver, self::Stainless, self::Titanium => [[75, 78, 82], [163, 167, 171], [236, 238, 240]],
            self::Aluminium => [[116, 120, 125], [208, 211, 214], [255, 255, 255]],
            self::Niobium => [[58, 59, 71], [128, 130, 143], [211, 212, 221]],
            self::Gold24k, self::Gold18k, self::Gold14k, self::GoldFilled => [[118, 84, 26], [220, 178, 87], [253, 240, 194]],
        };
    }

    /** By its own name or its words, in any case: `sterling`, `Sterling Silver`, `SILVER 935`. */
    public static function read(string $text, string $field = 'metal'): self
    {
        $plain = preg_replace('/[\s_-]+/u', ' ', str_replace("'", '’', mb_strtolower(trim(mb_scrub($text))))) ?? '';
        foreach (self::cases() as $metal) {
            if (in_array($plain, [str_replace('-', ' ', $metal->value), str_replace('-', ' ', $metal->words())], true)) {
                return $metal;
            }
        }

        return self::tryFrom(mb_strtolower(trim($text)))
            ?? throw \Hebra\Core\Quantity\Unreadable::choice($field, $text, array_column(self::cases(), 'value'));
    }
}
