<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\View\SumDesk;
use Hebra\Core\Piece\PartId;
use Hebra\Core\Sum\Sums;
use Tests\TestCase;

final class SumsPageTest extends TestCase
{
    public function test_every_sum_has_a_page_with_an_answer(): void
    {
        foreach (Sums::all() as $name => $sum) {
            $this->actingAs($this->maker)->get(
                "/sums/{$name}",
            )->assertOk()->assertSee($sum->question)->assertSee('Working')->assertSee('Source:');
        }
        $this->get('/sums/weld')->assertNotFound();
    }

    public function test_an_answer_follows_the_question_live(): void
    {
        $fragment = $this->actingAs($this->maker)->get(
            '/sums/simple-loop?wire=1.0&inside=2.5mm',
            ['HX-Request' => 'true'],
        )->assertOk();
        self::assertStringStartsWith('<div id="answer"', trim((string) $fragment->getContent()));
        $fragment->assertSee('11.00 mm')->assertSee('7/16 in');
        // What no ruler shows stands in decimals.
        $this->get('/sums/wire-size?size=20awg', ['HX-Request' => 'true'])->assertSee('0.032 in');
        $this->get(
            '/sums/simple-loop?wire=20&inside=2',
            ['HX-Request' => 'true'],
        )->assertStatus(422)->assertSee('could be 20awg, 20swg or 20mm');
        $this->get('/sums/simple-loop?wire[]=20&inside=2')->assertStatus(422)->assertSee('Wire came as a list');
    }

    public function test_a_line_leads_to_its_sum(): void
    {
        $this->actingAs($this->maker)->get('/sums?ask='.urlencode('coil 24ga on 2.5mm, 3cm'))->assertRedirect();
        $this->get(
            '/sums?ask='.urlencode('coil 24ga on 2.5mm, 3cm'),
            ['HX-Request' => 'true'],
        )->assertOk()->assertSee('58.759')->assertSee('id="sum"', false)->assertDontSee('<html', false);
        $this->get('/sums?ask=dance')->assertStatus(422)->assertSee('I know no sum for “dance”');
        $this->get('/sums?ask[]=x')->assertStatus(422)->assertSee('Ask came as a list');
        $this->get('/sums?ask='.str_repeat('coil+', 80))->assertStatus(422)->assertSee('give at most 240');
        $this->get('/sums')->assertOk()->assertSee('How much wire does a plain eye take?');
    }

    public function test_what_was_not_said_is_asked_for_with_a_sensible_value_in(): void
    {
        $sentence = 'how much wire for a 30 mm hoop in 20 gauge with a 2 mm eye?';
        $this->actingAs($this->maker)->followingRedirects()->get('/sums?ask='.urlencode($sentence))->assertOk()
            ->assertSee('Not said, so taken for now:')->assertSee('8 mm. Yours?')->assertSeeInOrder(
                ['name="hook"', 'value="8 mm"', 'autofocus'],
                false,
            );
        $this->get(
            '/sums/hoop?'.http_build_query(
                ['diameter' => '30 mm', 'wire' => '20 awg', 'eye' => '2 mm', 'hook' => '9 mm', 'ask' => $sentence],
            ),
        )->assertOk()->assertDontSee('Not said');
    }

    public function test_from_a_wire_in_hand_what_was_asked_stands_first(): void
    {
        $this->actingAs($this->maker)->followingRedirects()->get(
            '/sums?ask='.urlencode(
                'I have 60 cm of 26 gauge left, how many 4 mm beads can I bind on an 18 gauge hoop?',
            ),
        )->assertOk()
            ->assertSeeInOrder(['sum-big', '36', 'beads', 'wire length', '588.86 mm'], false);
    }

    /** The same with one thing otherwise: each row is the answer that its own page gives. */
    public function test_what_would_be_otherwise_is_what_its_page_says(): void
    {
        $this->actingAs($this->maker);
        $rows = 0;
        foreach (Sums::all() as $sum) {
            $desk = new SumDesk($sum, $sum->example(), $this->workshop()->profile());
            $beside = $desk->neighbours();
            $varied = $beside->varied();
            foreach ($varied === null ? [] : $beside->rows($varied) as $row) {
                $page = $this->get($row['address'])->assertOk();
                foreach ($row['results'] as $result) {
                    $page->assertSee($result);
                }
                self::assertSame($row['isHere'], $row['results'] === array_slice(
                    array_column($desk->results(), 'text'), 0, count($row['results']),
                ) && $row['isHere']);
                $rows++;
            }
            foreach ($beside->questions() as $one) {
                self::assertSame($sum->group, $one->sum->group);
            }
        }
        self::assertGreaterThan(40, $rows);
    }

    public function test_an_answer_that_comes_in_place_brings_no_second_list_of_what_was_asked(): void
    {
        $this->actingAs($this->maker);
        $this->asked('/sums/coil?wire=24ga&mandrel=2.5mm&length=3cm');
        self::assertSame(
            1,
            substr_count(
                (string) $this->get('/sums/coil?wire=24ga&mandrel=2.5mm&length=4cm')->getContent(),
                'asked last',
            ),
        );
        $this->asked('/sums/coil?wire=24ga&mandrel=2.5mm&length=4cm');
        $this->asked('/sums/coil?wire=24GA&mandrel=2.5MM&length=4cm');
        self::assertCount(2, $this->maker->refresh()->recentSums(), 'the same in capitals is the same');
        $this->get(
            '/sums/coil?wire=24ga&mandrel=2.5mm&length=5cm',
            ['HX-Request' => 'true'],
        )->assertOk()->assertSee('id="answer"', false)->assertDontSee('asked last');
    }

    /** As a browser does: the page is seen, and then says that it was asked; looking alone keeps nothing. */
    private function asked(string $address): void
    {
        $before = $this->maker->refresh()->recentSums();
        $page = (string) $this->get($address)->assertOk()->getContent();
        self::assertSame($before, $this->maker->refresh()->recentSums());
        self::assertSame(1, preg_match('/hx-post="([^"]+\/asked[^"]*)"/', $page, $match));
        $this->post(html_entity_decode($match[1]))->assertNoContent();
    }

    public function test_a_bare_gauge_is_asked_about_and_answered_with_one_tap(): void
    {
        $this->actingAs($this->maker)->get(
            '/sums/simple-loop?wire=20&inside=2mm',
        )->assertStatus(422)->assertSee('could be 20awg, 20swg or 20mm')->assertSee('wire=20+SWG&amp;inside=2mm', false);
        $this->get('/sums/simple-loop?wire=20+SWG&inside=2mm')->assertOk()->assertSee('9.16 mm');
    }

    public function test_what_was_asked_last_is_kept_and_no_more_than_six(): void
    {
        $this->actingAs($this->maker);
        for ($inside = 1; $inside <= 8; $inside++) {
            $this->asked("/sums/simple-loop?wire=1.0&inside={$inside}mm");
        }
        // While typing nothing is kept; once asked for, it has its address.
        $this->get(
            '/sums/simple-loop?wire=1.0&inside=77mm',
            ['HX-Request' => 'true'],
        )->assertHeaderMissing('HX-Push-Url');
        $this->get(
            '/sums/simple-loop?wire=1.0&inside=78mm&keep=1',
            ['HX-Request' => 'true'],
        )->assertHeader('HX-Push-Url', '/sums/simple-loop?wire=1.0&inside=78mm');
        self::assertCount(6, $this->maker->refresh()->recentSums());
        $this->asked('/sums/simple-loop?wire=1.0&inside=78mm');
        $recent = $this->maker->refresh()->recentSums();
        self::assertCount(6, $recent);
        self::assertSame('/sums/simple-loop?wire=1.0&inside=78mm', $recent[0]['address']);
        $this->get('/sums')->assertSee('simple loop 1.0, 78mm')->assertDontSee('simple loop 1.0, 2mm');
    }

    public function test_a_sum_is_put_to_use_in_a_piece(): void
    {
        $piece = $this->piece();
        $query = 'wire=22awg&inside=3.5mm&wraps=4';
        $this->actingAs($this->maker)->get(
            "/sums/wrapped-loop/use?{$query}",
        )->assertOk()->assertSee('Test drops')->assertSee('set it on the link')->assertSee('set it on the drop');
        $input = ['wire' => '22awg', 'inside' => '3.5mm', 'wraps' => '4', 'piece' => $piece->ulid];
        $this->post(
            '/sums/wrapped-loop/use',
            ['part' => 'p2'] + $input,
        )->assertRedirect("/pieces/{$piece->ulid}/lay-out?open=p2");
        $part = $piece->refresh()->document()->part(PartId::of('p2'));
        self::assertSame(
            [3.5, 4, 3.5, 4],
            [
                $part->mm('top_inside'), $part->count('top_wraps'), $part->mm('bottom_inside'),
                $part->count('bottom_wraps'),
            ],
        );
        self::assertSame(2, $piece->revision, 'one undo takes all of it back');
        $this->post('/sums/wrapped-loop/use', ['part' => ''] + $input)->assertRedirect();
        self::assertStringContainsString(
            'Wrapped loop, wire 22awg, inside 3.5mm, wraps 4: neck 2.58 mm',
            $piece->fresh()?->document()->note ?? '',
        );
        $this->get("/pieces/{$piece->ulid}/lay-out")->assertSee('Wrapped loop, wire 22awg');
        $this->post(
            '/sums/wrapped-loop/use',
            ['part' => 'p1'] + $input,
        )->assertStatus(422)->assertSee('This sum says nothing about that part');
        $this->post('/sums/wrapped-loop/use', ['part' => 'p2', 'inside' => '90mm'] + $input)->assertStatus(422);
        $this->post(
            '/sums/wrapped-loop/use',
            ['part' => 'p2', 'piece' => 'none'] + $input,
        )->assertStatus(422)->assertSee('not in this workshop');
        self::assertSame(3, $piece->fresh()?->revision);
    }

    public function test_a_piece_of_another_workshop_cannot_be_set(): void
    {
        $theirs = $this->piece(workshop: \App\Models\User::factory()->create()->workshop);
        $this->actingAs($this->maker)->post(
            '/sums/wrapped-loop/use',
            ['wire' => '22awg', 'inside' => '3.5mm', 'wraps' => '4', 'piece' => $theirs->ulid, 'part' => 'p2'],
        )->assertStatus(422);
        self::assertSame(1, $theirs->refresh()->revision);
    }
}
