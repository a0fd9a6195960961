<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Piece;
use App\Models\Workshop;
use App\Read\Wanted;
use App\View\BillDesk;
use App\View\Market\PlanDesk;
use Carbon\CarbonImmutable;
use Database\Seeders\DemoSeeder;
use Hebra\Core\Plan\Check;
use Hebra\Core\Plan\Level;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Tests\Plan\Properties;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** The pieces of the demo workshop are held to what every plan is held to. */
final class DemoTest extends TestCase
{
    public function test_what_must_hold_of_every_plan_holds_of_the_demo(): void
    {
        $this->seed(DemoSeeder::class);
        $workshop = Workshop::query()->where('is_demo', true)->firstOrFail();
        $told = 0;
        foreach ($workshop->pieces()->get() as $piece) {
            /** @var Piece $piece */
            $plan = Planner::plan($piece->document(), $workshop->profile());
            // One piece shows what a hole too small looks like.
            self::assertSame(
                [],
                array_map(
                    fn (Check $check): string => $check->text,
                    array_values(
                        array_filter(
                            $plan->checks,
                            fn (Check $check): bool => $check->level === Level::Stop && $check->rule !== 'hole',
                        ),
                    ),
                ),
                $piece->name,
            );
            Properties::all($plan, $piece->name);
            Properties::waysOutLeadOut($plan, $piece->name);
            $told += Properties::tellsOneSize($plan, $piece->name);
        }
        self::assertGreaterThan(0, $told);
    }

    /** @return iterable<string, array{string}> a week that goes over into another year */
    public static function daysOfAWeek(): iterable
    {
        foreach (range(28, 34) as $day) {
            $date = CarbonImmutable::parse('2026-12-01 10:00')->addDays($day - 1);
            yield $date->format('l') => [$date->toDateTimeString()];
        }
    }

    /** Whenever the demo begins, its market is what a plan is for: too much for its days, and a way to be ready. */
    #[DataProvider('daysOfAWeek')]
    public function test_the_market_of_the_demo_is_short_of_time_on_every_day_of_the_week(string $now): void
    {
        $this->travelTo($now);
        $this->seed(DemoSeeder::class);
        $desk = new PlanDesk(new Wanted(Workshop::query()->where('is_demo', true)->sole()));
        self::assertStringStartsWith('Harbour winter market', $desk->title());
        self::assertStringEndsWith(' short', $desk->short());
        self::assertMatchesRegularExpression('/ more on /', $desk->ways()[0]['words'] ?? '');
        self::assertGreaterThan(1, count($desk->ways()), 'and fewer of a piece, where no more time is to be had');
    }

    /**
     * The bill's metal is the plan's, line by line, at one price a wire; but for pins that were paid for by the piece.
     */
    public function test_the_bills_of_the_demo_agree_with_its_plans(): void
    {
        $this->seed(DemoSeeder::class);
        $workshop = Workshop::query()->where('is_demo', true)->firstOrFail();
        $inPins = 0;
        foreach ($workshop->pieces()->get() as $piece) {
            /** @var Piece $piece */
            $desk = new BillDesk($piece, $workshop);
            $told = [];
            foreach ($desk->bill->lines as $line) {
                $told[$line->words] = $line;
            }
            foreach ($desk->plan->metal as $one) {
                $grams = $one->grossGrams();
                foreach ($desk->plan->findings as $pin) {
                    $isPaid = $pin->isPin() && isset($told[$pin->words]) && $pin->wire->key() === $one->wire->key();
                    $grams -= $isPaid ? $pin->wire->gramsOf($pin->lengthMm * $pin->all) : 0.0;
                    $inPins += (int) $isPaid;
                }
                if ($grams < 0.001) {
                    self::assertArrayNotHasKey($one->wire->words(), $told);

                    continue;
                }
                $line = $told[$one->wire->words()];
                self::assertSame(Figures::grams($grams), $line->amount);
                $perGram = $workshop->metalPrices()->perGramE4($one->wire, now()->format('Y-m-d'));
                self::assertEqualsWithDelta($grams * $perGram / 100, $line->cents, 0.51 + $perGram / 200_000);
            }
        }
        self::assertGreaterThan(0, $inPins, 'a drop of the demo is on bought pins');
    }
}
