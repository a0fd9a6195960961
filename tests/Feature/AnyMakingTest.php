<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\Bench;
use App\Actions\BenchEvent;
use App\Actions\CloseMaking;
use App\Actions\Stockkeeping;
use App\Models\CutTick;
use App\Models\Making;
use App\Models\MakingCut;
use App\Models\Movement;
use App\Read\MakingDesk;
use App\Read\OnHand;
use Hebra\Core\Piece\Patterns;
use Hebra\Core\Plan\Plan;
use Hebra\Core\Problem;
use Hebra\Core\Quantity\LengthUnit;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/**
 * Makings gone through at random: whatever happens on the way, every step of every copy is done, and the metal adds up.
 */
final class AnyMakingTest extends TestCase
{
    /** @return array<string, array{int, string, int}> seed, pattern, copies */
    public static function walks(): array
    {
        $walks = [];
        foreach (array_keys(Patterns::all()) as $at => $pattern) {
            $walks[(string) $pattern] = [100 + (int) $at, (string) $pattern, 1 + (int) $at % 3];
        }

        return $walks;
    }

    private function plan(Making $making): Plan
    {
        return $making->plan($this->workshop()->profile());
    }

    /** @param  array<string, mixed>  $event */
    private function move(Making $making, Plan $plan, array $event): void
    {
        app(Bench::class)->move($making, $plan, BenchEvent::read(['at' => $making->refresh()->moves, ...$event]));
    }

    #[DataProvider('walks')]
    public function test_every_step_of_every_copy_is_done_once_whatever_happens(
        int $seed,
        string $pattern,
        int $copies,
    ): void {
        mt_srand($seed);
        $piece = $this->piece($pattern);
        $piece = app(\App\Actions\History::class)->change(
            $piece,
            $piece->revision,
            \Hebra\Core\Piece\ChangeReader::read(
                $copies === 1
                    ? ['do' => 'makes', 'kind' => 'one']
                    : ['do' => 'makes', 'kind' => 'batch', 'count' => (string) $copies],
            ),
        );
        $making = app(Bench::class)->begin($this->workshop()->pieces()->latest('id')->firstOrFail());
        $plan = $this->plan($making);
        self::assertEquals($copies, $plan->piece->makes->count);
        $done = [];
        $refused = 0;
        for ($turn = 0; $turn < 20_000; $turn++) {
            $desk = new MakingDesk($making->refresh(), $plan);
            if ($desk->isDone()) {
                break;
            }
            self::assertSame($making->step, $desk->progress->count());
            $what = mt_rand(0, 40);
            $here = [$desk->copy(), $desk->progress->step()];
            $isAgain = $desk->isAgain();
            try {
                if ($what === 0) {
                    $this->move($making, $plan, ['do' => 'back']);
                } elseif ($what === 1) {
                    $this->move($making, $plan, ['do' => $making->is_across ? 'one' : 'across']);
                } elseif ($what === 2) {
                    $this->move($making, $plan, ['do' => mt_rand(0, 1) === 0 ? 'spoiled' : 'short']);
                } elseif ($what === 3) {
                    // Out of date, and refused.
                    $this->move(
                        $making,
                        $plan,
                        ['do' => 'next', 'at' => $making->moves + 1, 'all' => 1, 'hooked' => 1],
                    );
                    self::fail('A move from elsewhere was taken.');
                } elseif ($what === 4) {
                    $this->move($making, $plan, ['do' => 'count', 'counted' => mt_rand(-3, 40)]);
                } else {
                    $this->move($making, $plan, ['do' => 'next', 'all' => 1, 'hooked' => 1, 'event' => "turn {$turn}"]);
                    // Sent again, it does nothing.
                    $stands = [$making->refresh()->moves, $making->step];
                    app(Bench::class)->move(
                        $making,
                        $plan,
                        BenchEvent::read(
                            [
                                'do' => 'next', 'at' => $making->moves - 1, 'all' => 1, 'hooked' => 1,
                                'event' => "turn {$turn}",
                            ],
                        ),
                    );
                    self::assertSame($stands, [$making->refresh()->moves, $making->step]);
                    if (! $isAgain) {
                        $done[json_encode($here, JSON_THROW_ON_ERROR)] = true;
                    }
                }
            } catch (Problem $problem) {
                self::assertNotSame('', $problem->getMessage());
                $refused++;
            }
        }
        self::assertTrue((new MakingDesk($making->refresh(), $plan))->isDone(), 'it comes to its end');
        self::assertSame($plan->stepCount(), count($done), 'each step of each copy has been on the bench');
        self::assertSame($plan->stepCount(), $making->step);
        self::assertLessThanOrEqual(
            count($making->troubles ?? []),
            CutTick::query()->where('is_spoiled', true)->count(),
        );
    }

    /**
     * Thirty closings by hands of every kind, from stock of every length: the book adds up to nothing, entry by entry,
     * and no lot holds less than nothing.
     */
    public function test_metal_is_conserved_whatever_was_cut_left_kept_or_short(): void
    {
        mt_srand(77);
        foreach ([
            '20awg' => 'half-hard', '22awg' => 'dead-soft', '24awg' => 'dead-soft', '18awg' => 'half-hard',
        ] as $size => $temper) {
            foreach (['3 m', '700 mm', '260 mm'] as $amount) {
                app(Stockkeeping::class)->receive(
                    $this->workshop(),
                    ['metal' => 'sterling', 'size' => $size, 'temper' => $temper, 'amount' => $amount],
                    LengthUnit::Millimetre,
                );
            }
        }
        $closed = $refused = 0;
        foreach (range(1, 30) as $run) {
            $piece = $this->piece(['link-and-drop', 'single-drop', 'two-links'][$run % 3]);
            $making = app(Bench::class)->begin($piece);
            $plan = $this->plan($making);
            $onHand = new OnHand($piece, $this->workshop(), $this->workshop()->profile());
            $input = ['as_it_is' => '1', 'minutes' => (string) mt_rand(0, 90)];
            foreach ($onHand->shares($plan) as $share) {
                $key = $share->cut->key();
                $cut = round($share->cut->lengthMm() * mt_rand(95, 130) / 100, 1);
                $input['cut'][$key] = $cut.' mm';
                if (mt_rand(0, 2) > 0) {
                    $input['left'][$key] = round($cut * mt_rand(0, 40) / 100, 1).' mm';
                    $input['kept'][$key] = mt_rand(0, 9) === 0
                        ? '90 mm'
                        : (mt_rand(0, 1) === 0 ? '0' : $input['left'][$key]);
                }
                if (mt_rand(0, 9) === 0) {
                    $input['short'][$key] = ['?', '3 mm', '500 mm'][mt_rand(0, 2)];
                }
                $input['lot'][$key] = match (mt_rand(0, 15)) {
                    0 => '', 1 => $onHand->lotsFor($share->cut)[0]->ulid ?? '',
                    default => $onHand->lotOffered($share)->ulid ?? '',
                };
            }
            $lines = Movement::query()->count();
            $cuts = MakingCut::query()->count();
            try {
                app(CloseMaking::class)->close($making, $this->workshop(), $input);
                $closed++;
                self::assertSame($cuts + count($plan->cuts), MakingCut::query()->count());
            } catch (Problem) {
                $refused++;
                self::assertSame(
                    [$lines, $cuts, false],
                    [Movement::query()->count(), MakingCut::query()->count(), $making->refresh()->isClosed()],
                    'refused whole',
                );
                $making->delete();
            }
            $this->workshop()->settled();
            foreach (Movement::query()->selectRaw('entry, metal, SUM(mass_mg) AS mg')->groupBy('entry', 'metal')->get() as $entry) {
                self::assertSame(0, (int) $entry->getAttribute('mg'));
            }
            foreach ($this->workshop()->lots()->withHeld()->get() as $lot) {
                self::assertGreaterThanOrEqual(0, $lot->heldMg());
            }
        }
        self::assertGreaterThan(8, $closed);
        self::assertGreaterThan(2, $refused);
    }
}
