<?php

declare(strict_types=1);

namespace Hebra\Core\Wire;

/**
 * The one table of metals: sums, chooser, bill, page, paper and docs/metals.md read it here, and a metal is added
 * here. Densities [published: CRC Handbook of Chemistry and Physics; ASM Handbook vol. 2; silver 935 and gold-filled
 * 14/20 from memory]; fineness [published: ISO 8654 and 9202 for the grades; gold-filled 14/20 is a twentieth of 14k];
 * numbers before annealing [memory]; what may irritate [common practice; local limits decide]; tempers its wire is
 * sold in, over all sizes [common practice: price lists of mills, from memory]. Prices are invented.
 */
final class MetalTable
{
    private const HANDBOOK = 'ASM Handbook vol. 2, rounded';

    private const MEMORY = 'from memory';

    /** @var array<string, MetalRow> */
    private static array $rows = [];

    public static function row(Metal $metal): MetalRow
    {
        return self::$rows[$metal->value] ??= self::read($metal);
    }

    private static function read(Metal $metal): MetalRow
    {
        return match ($metal) {
            Metal::FineSilver => new MetalRow(
                'fine silver', gramsPerCubicCentimetre: 10.49, fineness: 0.999, numbersBeforeAnnealing: 12.0,
                mayIrritatePiercings: false,
                strength: Strength::of(76, 55, 180, 250, self::MEMORY),
                tempers: [Temper::DeadSoft, Temper::HalfHard],
                inventedE4: ['2026-01-01' => 13_400, '2026-07-01' => 14_100, '2026-11-01' => 13_800],
                tint: [[91, 95, 102], [185, 190, 198], [246, 248, 250]],
            ),
            Metal::Sterling => new MetalRow(
                'sterling silver', gramsPerCubicCentimetre: 10.36, fineness: 0.925, numbersBeforeAnnealing: 6.0,
                mayIrritatePiercings: false,
                strength: Strength::of(75, 125, 260, 350, self::MEMORY),
                tempers: Temper::cases(),
                inventedE4: ['2026-01-01' => 12_600, '2026-07-01' => 13_200, '2026-11-01' => 12_950],
                tint: [[91, 95, 102], [185, 190, 198], [246, 248, 250]],
            ),
            Metal::Silver935 => new MetalRow(
                'silver 935', gramsPerCubicCentimetre: 10.37, fineness: 0.935, numbersBeforeAnnealing: 6.0,
                mayIrritatePiercings: false,
                strength: Strength::of(75, 120, 250, 340, self::MEMORY),
                tempers: Temper::cases(),
                inventedE4: ['2026-01-01' => 12_700, '2026-07-01' => 13_300, '2026-11-01' => 13_050],
                tint: [[91, 95, 102], [185, 190, 198], [246, 248, 250]],
            ),
            Metal::Copper => new MetalRow(
                'copper', gramsPerCubicCentimetre: 8.96, fineness: 0.0, numbersBeforeAnnealing: 12.0,
                mayIrritatePiercings: true,
                strength: Strength::of(117, 70, 250, 320, self::HANDBOOK),
                tempers: Temper::cases(),
                inventedE4: ['2026-01-01' => 420, '2026-07-01' => 440, '2026-11-01' => 450],
                tint: [[107, 47, 22], [199, 116, 74], [247, 205, 179]],
            ),
            Metal::Brass => new MetalRow(
                'yellow brass', gramsPerCubicCentimetre: 8.53, fineness: 0.0, numbersBeforeAnnealing: 6.0,
                mayIrritatePiercings: true,
                strength: Strength::of(110, 110, 350, 450, self::HANDBOOK),
                tempers: Temper::cases(),
                inventedE4: ['2026-01-01' => 390, '2026-11-01' => 405],
                tint: [[106, 81, 21], [203, 165, 72], [247, 231, 180]],
            ),
            Metal::RedBrass => new MetalRow(
                'red brass', gramsPerCubicCentimetre: 8.75, fineness: 0.0, numbersBeforeAnnealing: 8.0,
                mayIrritatePiercings: true,
                strength: Strength::of(115, 85, 300, 390, self::MEMORY),
                tempers: Temper::cases(),
                inventedE4: ['2026-01-01' => 410],
                tint: [[109, 64, 28], [199, 140, 85], [245, 217, 184]],
            ),
            Metal::JewellersBronze => new MetalRow(
                'jeweller’s bronze', gramsPerCubicCentimetre: 8.78, fineness: 0.0, numbersBeforeAnnealing: 8.0,
                mayIrritatePiercings: true,
                strength: Strength::of(115, 80, 290, 370, self::MEMORY),
                tempers: Temper::cases(),
                inventedE4: ['2026-01-01' => 440],
                tint: [[106, 81, 21], [203, 165, 72], [247, 231, 180]],
            ),
            Metal::NickelSilver => new MetalRow(
                'nickel silver', gramsPerCubicCentimetre: 8.70, fineness: 0.0, numbersBeforeAnnealing: 4.0,
                mayIrritatePiercings: true,
                strength: Strength::of(125, 150, 400, 520, self::MEMORY),
                tempers: [Temper::DeadSoft, Temper::HalfHard, Temper::Hard],
                inventedE4: ['2026-01-01' => 460],
                tint: [[75, 78, 82], [163, 167, 171], [236, 238, 240]],
            ),
            Metal::Aluminium => new MetalRow(
                'aluminium', gramsPerCubicCentimetre: 2.70, fineness: 0.0, numbersBeforeAnnealing: 8.0,
                mayIrritatePiercings: true,
                strength: Strength::of(69, 35, 105, 145, self::MEMORY),
                tempers: [Temper::DeadSoft, Temper::HalfHard, Temper::Hard],
                inventedE4: ['2026-01-01' => 350],
                tint: [[116, 120, 125], [208, 211, 214], [255, 255, 255]],
            ),
            Metal::Niobium => new MetalRow(
                'niobium', gramsPerCubicCentimetre: 8.57, fineness: 0.0, numbersBeforeAnnealing: 12.0,
                mayIrritatePiercings: false,
                strength: Strength::of(105, 105, 240, 300, self::MEMORY),
                tempers: [Temper::DeadSoft, Temper::HalfHard],
                inventedE4: ['2026-01-01' => 9_200],
                tint: [[58, 59, 71], [128, 130, 143], [211, 212, 221]],
            ),
            Metal::Titanium => new MetalRow(
                'titanium', gramsPerCubicCentimetre: 4.51, fineness: 0.0, numbersBeforeAnnealing: 4.0,
                mayIrritatePiercings: false,
                strength: Strength::of(105, 175, 330, 430, self::MEMORY),
                tempers: [Temper::DeadSoft, Temper::HalfHard],
                inventedE4: ['2026-01-01' => 3_100],
                tint: [[75, 78, 82], [163, 167, 171], [236, 238, 240]],
            ),
            Metal::Stainless => new MetalRow(
                'stainless steel', gramsPerCubicCentimetre: 8.00, fineness: 0.0, numbersBeforeAnnealing: 4.0,
                mayIrritatePiercings: true,
                strength: Strength::of(193, 240, 520, 900, self::MEMORY),
                tempers: [Temper::DeadSoft, Temper::HalfHard, Temper::Hard, Temper::Spring],
                inventedE4: ['2026-01-01' => 280],
                tint: [[75, 78, 82], [163, 167, 171], [236, 238, 240]],
            ),
            Metal::Gold24k => new MetalRow(
                '24k gold', gramsPerCubicCentimetre: 19.32, fineness: 0.999, numbersBeforeAnnealing: 12.0,
                mayIrritatePiercings: false,
                strength: Strength::of(78, 30, 110, 165, self::MEMORY),
                tempers: [Temper::DeadSoft, Temper::HalfHard],
                inventedE4: ['2026-01-01' => 812_000, '2026-07-01' => 845_000],
                tint: [[118, 84, 26], [220, 178, 87], [253, 240, 194]],
            ),
            Metal::Gold18k => new MetalRow(
                '18k yellow gold', gramsPerCubicCentimetre: 15.5, fineness: 0.75, numbersBeforeAnnealing: 6.0,
                mayIrritatePiercings: false,
                strength: Strength::of(85, 180, 380, 480, self::MEMORY),
                tempers: [Temper::DeadSoft, Temper::HalfHard, Temper::Hard],
                inventedE4: ['2026-01-01' => 618_000, '2026-07-01' => 640_000],
                tint: [[118, 84, 26], [220, 178, 87], [253, 240, 194]],
            ),
            Metal::Gold14k => new MetalRow(
                '14k yellow gold', gramsPerCubicCentimetre: 13.1, fineness: 0.585, numbersBeforeAnnealing: 6.0,
                mayIrritatePiercings: false,
                strength: Strength::of(88, 200, 420, 550, self::MEMORY),
                tempers: [Temper::DeadSoft, Temper::HalfHard, Temper::Hard],
                inventedE4: ['2026-01-01' => 482_000, '2026-07-01' => 499_000],
                tint: [[118, 84, 26], [220, 178, 87], [253, 240, 194]],
            ),
            Metal::GoldFilled => new MetalRow(
                'gold-filled', gramsPerCubicCentimetre: 8.8, fineness: 0.585 / 20, numbersBeforeAnnealing: 6.0,
                mayIrritatePiercings: false,
                strength: Strength::of(110, 110, 330, 430, self::MEMORY),
                tempers: [Temper::DeadSoft, Temper::HalfHard, Temper::Spring],
                inventedE4: ['2026-01-01' => 44_000, '2026-07-01' => 45_500],
                tint: [[118, 84, 26], [220, 178, 87], [253, 240, 194]],
            ),
            Metal::SilverPlated => new MetalRow(
                'silver-plated copper', gramsPerCubicCentimetre: 8.97, fineness: 0.0, numbersBeforeAnnealing: 12.0,
                mayIrritatePiercings: true,
                strength: Strength::of(117, 70, 250, 320, self::MEMORY),
                tempers: [Temper::DeadSoft, Temper::HalfHard],
                inventedE4: ['2026-01-01' => 560, '2026-07-01' => 590],
                tint: [[96, 96, 98], [200, 202, 206], [250, 250, 250]],
                coating: 'silver',
            ),
            Metal::GoldPlated => new MetalRow(
                'gold-plated copper', gramsPerCubicCentimetre: 8.97, fineness: 0.0, numbersBeforeAnnealing: 12.0,
                mayIrritatePiercings: true,
                strength: Strength::of(117, 70, 250, 320, self::MEMORY),
                tempers: [Temper::DeadSoft, Temper::HalfHard],
                inventedE4: ['2026-01-01' => 690],
                tint: [[118, 84, 26], [224, 186, 96], [253, 243, 205]],
                coating: 'gold',
            ),
            Metal::Enamelled => self::enamelled('enamelled copper', [[22, 64, 78], [64, 138, 154], [196, 232, 236]]),
            Metal::EnamelledBlack => self::enamelled(
                'black enamelled copper', [[12, 12, 14], [52, 52, 58], [168, 168, 178]],
            ),
            Metal::EnamelledRed => self::enamelled(
                'red enamelled copper', [[84, 14, 18], [178, 40, 44], [246, 190, 186]],
            ),
            Metal::EnamelledBlue => self::enamelled(
                'blue enamelled copper', [[18, 34, 92], [54, 84, 176], [192, 206, 246]],
            ),
            Metal::EnamelledGreen => self::enamelled(
                'green enamelled copper', [[16, 66, 36], [52, 134, 80], [192, 232, 204]],
            ),
        };
    }

    /**
     * Copper under lacquer of a colour: its core is soft copper.
     *
     * @param  array{array{int, int, int}, array{int, int, int}, array{int, int, int}}  $tint
     */
    private static function enamelled(string $words, array $tint): MetalRow
    {
        return new MetalRow(
            $words, gramsPerCubicCentimetre: 8.9, fineness: 0.0, numbersBeforeAnnealing: 12.0,
            mayIrritatePiercings: true,
            strength: Strength::of(117, 70, 250, 320, self::MEMORY),
            tempers: [Temper::DeadSoft],
            inventedE4: ['2026-01-01' => 480],
            tint: $tint,
            coating: 'enamel',
        );
    }
}
