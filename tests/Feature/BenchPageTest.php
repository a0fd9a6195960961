<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\Bench;
use App\Models\HandBook;
use App\Models\Making;
use App\Read\MakingDesk;
use App\View\Bench\Clock;
use App\View\Bench\Hero;
use App\View\Welcome;
use Hebra\Core\Handwork\Operation;
use Hebra\Core\Plan\Instance;
use Hebra\Core\Wire\Temper;
use Tests\TestCase;

/** The bench: what is under way is seen as far as it is made, the day runs by the clock, what is low is drawn. */
final class BenchPageTest extends TestCase
{
    private function begun(): Making
    {
        return app(Bench::class)->begin($this->piece());
    }

    private function hero(Making $making): Hero
    {
        $workshop = $this->maker->workshop;

        return new Hero(
            $making->piece, $making->refresh(), $workshop->profile(), HandBook::of($workshop)->pace(),
        );
    }

    public function test_a_clear_bench_invites(): void
    {
        $this->actingAs($this->maker)->get('/')->assertOk()->assertSee('The bench is clear')
            ->assertSee('Nothing is under way.')->assertSee('No piece is being planned.');
    }

    /** At every step: what is faint is named by no step done, the wire below is as far as the steps are. */
    public function test_the_piece_is_seen_as_far_as_it_is_made(): void
    {
        $making = $this->begun();
        $plan = $making->plan($this->maker->workshop->profile());
        $total = $plan->stepCount();
        $left = INF;
        for ($done = 0; $done <= $total; $done++) {
            $making->forceFill(['step' => $done, 'progress' => null])->save();
            $hero = $this->hero($making);
            self::assertEqualsWithDelta(100 * $done / $total, $hero->share(), 0.01);
            $minutes = $hero->desk->minutesLeft(HandBook::of($this->maker->workshop)->pace());
            self::assertLessThan($left, $minutes);
            $left = $minutes;
            self::assertSame($done === $total, $minutes === 0.0);
            $html = (string) $this->actingAs($this->maker)->get('/')->assertOk()->getContent();
            if ($done < $total) {
                self::assertStringContainsString(e($hero->desk->step?->title ?? '–'), $html);
                self::assertStringContainsString('Step '.($done + 1)." of {$total}", $html);
            }
            preg_match_all('/is-unmade"[^>]*data-mark="([^":]+)/', $html, $faint);
            foreach (array_unique($faint[1]) as $part) {
                self::assertNotContains($part, $this->worked($hero->desk), "after {$done} steps");
            }
            if ($done === 0) {
                self::assertNotSame([], $faint[1]);
            }
            if ($done === $total) {
                self::assertSame([], $faint[1]);
            }
        }
    }

    /** @return list<string> parts that steps of the copy at hand have worked on */
    private function worked(MakingDesk $desk): array
    {
        $steps = $desk->copy() === null ? [] : array_slice($desk->plan->steps(), 0, (int) $desk->progress->step());
        $parts = [];
        foreach ($steps as $step) {
            foreach ($step->operation === Operation::Cut ? [] : $step->works() as $instance) {
                $parts[] = Instance::partOf($instance)->text;
            }
        }

        return $parts;
    }

    /** The stretches of the wire follow each other from its one end to its other, one of them at hand. */
    public function test_the_way_has_no_gap(): void
    {
        $making = $this->begun();
        $stretches = $this->hero($making)->stretches();
        self::assertNotSame([], $stretches);
        $at = 0.0;
        foreach ($stretches as $stretch) {
            self::assertEqualsWithDelta($at, $stretch['from'], 0.02);
            $at = $stretch['to'];
        }
        self::assertEqualsWithDelta(100.0, $at, 0.02);
        self::assertCount(1, array_filter($stretches, fn (array $one): bool => $one['isHere']));
    }

    public function test_the_day_goes_on_when_what_was_before_is_done(): void
    {
        $this->travelTo('2026-03-02 09:04');
        $this->begun();
        $this->travelTo('2026-03-02 09:05');
        $this->begun();
        $this->actingAs($this->maker)->get('/')->assertSeeInOrder(
            ['Today', 'Monday 2 March', 'now', '35 min', '09:40']
        );
    }

    public function test_a_step_is_seen_through_the_loupe(): void
    {
        $making = $this->begun();
        $svg = (string) $this->actingAs($this->maker)->get("/makings/{$making->ulid}/steps/5.svg?loupe=1")
            ->assertOk()->getContent();
        self::assertSame(1, substr_count($svg, 'class="frame"'), 'as it is now, and nothing beside it');
        $both = (string) $this->get("/makings/{$making->ulid}/steps/5.svg")->assertOk()->getContent();
        self::assertSame(2, substr_count($both, 'class="frame"'));
    }

    /** What the page carries goes on without the workshop: each step’s wire, how hard it is, and until when. */
    public function test_what_is_carried_is_of_each_step(): void
    {
        $making = $this->begun();
        $desk = new MakingDesk($making, $making->plan($this->workshop()->profile()));
        $pace = HandBook::of($this->workshop())->pace();
        $carried = $desk->carried($pace);
        self::assertIsArray($carried['ahead']);
        $hard = [];
        foreach ($carried['ahead'] as $step) {
            foreach ($desk->plan->strips() as $cut) {
                if ($cut->key() === $step['strip']) {
                    self::assertSame($cut->wire->temper !== Temper::DeadSoft, $step['isHard'], $step['title']);
                    $hard[(int) $step['isHard']] = true;
                }
            }
        }
        self::assertCount(2, $hard, 'hard and soft wire is in it');
        ['each' => $each, 'later' => $later, 'from' => $from, 'to' => $to] = $carried['foretold'];
        self::assertCount(count($carried['ahead']), $each);
        self::assertEqualsWithDelta($desk->minutesLeft($pace), array_sum($each) + $later, 0.05);
        self::assertLessThanOrEqual(1.0, $from);
        self::assertGreaterThanOrEqual(1.0, $to);
    }

    public function test_times_are_as_rough_as_they_are_known(): void
    {
        self::assertSame(
            ['1 min', '6 min', '10 min', '35 min', '1.5 h', '2.3 h'],
            array_map(Clock::words(...), [0.2, 6.4, 11.0, 33.0, 91.0, 140.0]),
        );
    }

    public function test_what_is_finished_hangs_on_its_rail(): void
    {
        $making = $this->begun();
        $making->forceFill(['closed_at' => now()])->save();
        $this->actingAs($this->maker)->get('/')->assertSeeInOrder(['Finished', $making->piece->name])
            ->assertSee("/makings/{$making->ulid}/record");
    }

    /** The cut on the first page is whole, and what stays of it leads into the piece. */
    public function test_the_first_page_shows_a_real_cut_beside_its_piece(): void
    {
        $welcome = new Welcome;
        $stretches = $welcome->stretches();
        $last = $stretches[count($stretches) - 1];
        self::assertEqualsWithDelta(
            $welcome->cut->lengthMm(), array_sum(array_map(floatval(...), array_column($stretches, 'mm'))), 0.3,
        );
        $at = Welcome::TOP;
        foreach ($stretches as $stretch) {
            self::assertEqualsWithDelta($at, $stretch['y'], 0.2);
            $at += $stretch['high'];
            self::assertSame($stretch['stays'], $stretch['ribbon'] !== '', $stretch['words']);
        }
        self::assertLessThan(Welcome::HIGH, $last['y'] + $last['high']);
        $this->get('/sign-in')->assertOk()->assertSee('Every loop is a length of wire.')->assertSee($welcome->length());
    }

    /**
     * Under each cut that is logged lies its wire: what is in the piece, and what was foretold to be left, end to end.
     */
    public function test_leftovers_lie_on_the_cut_they_were_part_of(): void
    {
        $making = $this->begun();
        $html = (string) $this->actingAs($this->maker)
            ->get("/pieces/{$making->piece->ulid}/log")
            ->assertOk()
            ->getContent();
        $profile = $this->maker->workshop->profile();
        $cuts = $making->plan($profile)->cuts;
        self::assertSame(count($cuts), preg_match_all(
            '/class="log-bar.*?strip-edge"\s+x="0"\s+y="11"\s+width="([\d.]+)%".*?'
                .'log-foretold"\s+x="([\d.]+)%"\s+y="11.5"\s+width="([\d.]+)%"'
                .'.*?log-left"\s+x="([\d.]+)%"/s', $html, $bars, PREG_SET_ORDER,
        ));
        foreach ($bars as $at => [, $net, $from, $left, $end]) {
            self::assertSame($net, $from);
            self::assertEqualsWithDelta((float) $end, (float) $net + (float) $left, 0.02);
            // All on one ruler: as long as they were cut.
            self::assertEqualsWithDelta(
                (float) $bars[0][4] / $profile->ruler->upMm($cuts[0]->lengthMm()),
                (float) $end / $profile->ruler->upMm($cuts[$at]->lengthMm()), 0.002,
            );
        }
    }
}
