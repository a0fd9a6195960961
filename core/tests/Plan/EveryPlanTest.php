<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Plan;

use Hebra\Core\Piece\Part;
use Hebra\Core\Piece\Patterns;
use Hebra\Core\Plan\Check;
use Hebra\Core\Plan\Level;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Quantity\LengthUnit;
use Hebra\Core\Tests\Piece\Everything;
use Hebra\Core\Tests\Piece\Some;
use Hebra\Core\Tool\Tool;
use Hebra\Core\Tool\ToolBox;
use Hebra\Core\Tool\ToolKind;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;

/**
 * What must hold of every plan holds of every pattern, every technique in each of its choices, and seeded changes of
 * them.
 */
final class EveryPlanTest extends TestCase
{
    #[Group('wide')]
    public function test_the_properties_hold_of_everything(): void
    {
        foreach (Everything::pieces() as $name => $piece) {
            Properties::all(Planner::plan($piece, new Profile), $name);
        }
    }

    #[Group('wide')]
    public function test_every_way_out_leads_out(): void
    {
        foreach (Everything::pieces(220) as $name => $piece) {
            Properties::waysOutLeadOut(Planner::plan($piece, new Profile), $name);
        }
    }

    /** Fit it anew, and every place tells one size: settings, fit sheet, steps, what is looked over. */
    #[Group('wide')]
    public function test_the_fit_sets_the_size_and_one_size_is_told(): void
    {
        $fits = [
            'finger' => [
                'us 4', 'us 9', 'us 12 1/2', 'uk N', 'iso 54', 'jp 13', 'diameter 18.2 mm', 'circumference 58 mm',
                'string 62 mm', '2 1/2 in',
            ],
            'wrist' => ['130 mm', '6 1/2 in', '210 mm'], 'hoop' => ['22 mm', '2 in'],
        ];
        $told = 0;
        foreach (Everything::patterns() as $name => $start) {
            $isHoop = in_array('hoop', array_map(fn (Part $part): string => $part->technique, $start->parts), true);
            foreach ($fits[$isHoop ? 'hoop' : $start->fit->kind->value] ?? [] as $size) {
                $piece = Some::changed(
                    $start,
                    ['do' => 'fit', 'kind' => $isHoop ? 'hoop' : $start->fit->kind->value, 'fit' => $size],
                );
                $told += Properties::tellsOneSize(
                    Planner::plan($piece, new Profile(tools: self::tools())),
                    "{$name}, {$size}",
                );
            }
        }
        self::assertGreaterThan(60, $told);
    }

    private static function tools(): ToolBox
    {
        $tool = fn (ToolKind $kind, string $name, string $marks): Tool => Tool::of(
            $kind,
            $name,
            Tool::readMarks($kind, $marks, LengthUnit::Millimetre),
        );

        return new ToolBox(
            [
                $tool(ToolKind::RingMandrel, 'Ring mandrel', 'us 3 to us 13 by 1/2'),
                $tool(ToolKind::BangleMandrel, 'Bangle mandrel', '40 to 80 by 2.5 mm'),
                $tool(ToolKind::Mandrel, 'Rods', '8, 12, 15, 20, 30, 50 mm'),
            ],
        );
    }

    /** A ring set by hand to another size than the finger’s is stopped, with both ways out. */
    public function test_another_size_than_the_fit_is_stopped(): void
    {
        foreach ([
            'wound-ring' => 'us 9', 'open-ring' => 'us 9', 'wide-ring' => 'us 9', 'hammered-cuff' => '190 mm',
            'curled-bangle' => '190 mm', 'memory-bracelet' => '190 mm',
        ] as $pattern => $size) {
            $piece = Patterns::start($pattern, 'Sized');
            $before = $piece->parts[0];
            $fitted = Some::changed($piece, ['do' => 'fit', 'kind' => $piece->fit->kind->value, 'fit' => $size]);
            $back = $fitted->withPart($before);
            $check = array_values(
                array_filter(
                    Planner::plan($back, new Profile)->checks,
                    fn (Check $check): bool => $check->rule === 'fit size',
                ),
            )[0] ?? null;
            self::assertNotNull($check, $pattern);
            self::assertSame(Level::Stop, $check->level);
            self::assertCount(2, $check->ways, $pattern);
            self::assertEquals(
                $fitted->parts[0]->settings,
                Some::changed($back, $check->ways[0]->change)->parts[0]->settings,
                $pattern,
            );
        }
    }

    #[Group('wide')]
    public function test_nothing_bought_is_formed_or_chosen(): void
    {
        foreach (Everything::pieces(60) as $name => $piece) {
            Properties::asksNothingOfWhatIsBought(Planner::plan(Everything::bought($piece), new Profile), $name);
        }
    }
}
