<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Tool;
use App\View\Hand\ToolDrawing;
use Hebra\Core\Piece\PartId;
use Hebra\Core\Tool\Tool as CoreTool;
use Hebra\Core\Tool\ToolKind;
use Tests\TestCase;

final class HandTest extends TestCase
{
    public function test_without_tools_the_page_says_what_to_do(): void
    {
        $this->actingAs($this->maker)->get('/hand')->assertOk()->assertSee('No tool yet')->assertSee(
            'A link closes with',
        )->assertSee('as books have it');
        $this->get('/hand?metal=sterling&school=wraps')->assertSee('How many wraps close a loop?')
            ->assertSee('from memory');
    }

    public function test_a_tool_is_added_changed_taken_off_and_put_back(): void
    {
        $this->actingAs($this->maker)->post(
            '/tools',
            ['kind' => 'round-nose', 'name' => 'Small pliers', 'marks' => '1.5, 2, 2.5 mm', 'grip' => ''],
        )->assertRedirect('/hand#tools');
        $tool = Tool::query()->sole();
        self::assertSame([1500, 2000, 2500], $tool->marks_um);
        // Steps name it from now on.
        $piece = $this->piece();
        $this->post("/pieces/{$piece->ulid}/makings");
        $making = $piece->makings()->sole();
        self::assertStringContainsString(
            'the third mark (2.5 mm) of the small pliers',
            json_encode(
                \Hebra\Core\Plan\Planner::plan(
                    $making->document(),
                    $this->workshop()->fresh()?->profile() ?? new \Hebra\Core\Plan\Profile,
                )->toArray(),
                JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE,
            ),
        );
        $this->put(
            "/tools/{$tool->ulid}",
            ['kind' => 'round-nose', 'name' => 'Small pliers', 'marks' => '2 to 5 by 1 mm', 'grip' => ''],
        )->assertRedirect('/hand#tools');
        self::assertSame([2000, 3000, 4000, 5000], $tool->refresh()->marks_um);
        $this->delete("/tools/{$tool->ulid}")->assertRedirect('/hand#tools');
        self::assertSame(0, Tool::query()->count());
        $this->get('/hand')->assertSee('Put it back')->assertSee('2, 3, 4, 5 mm');
    }

    public function test_bad_marks_get_one_sentence_and_change_nothing(): void
    {
        $this->actingAs($this->maker);
        foreach ([
            'banana' => 'Marks “banana” is not a length', '' => 'Marks is empty', '0' => 'Marks 0 mm is not a size',
            '900 mm' => 'Marks 900 mm is not a size',
        ] as $marks => $sentence) {
            $this->post(
                '/tools',
                ['kind' => 'round-nose', 'name' => 'Odd', 'marks' => (string) $marks, 'grip' => ''],
            )->assertStatus(422)->assertSee($sentence);
        }
        $this->post(
            '/tools',
            ['kind' => 'hammer', 'marks' => '2 mm'],
        )->assertStatus(422)->assertSee('is not known here');
        $this->post('/tools', ['kind' => ['round-nose'], 'marks' => '2 mm'])->assertStatus(422);
        self::assertSame(0, Tool::query()->count());
    }

    public function test_a_school_is_saved_alone_and_changes_new_parts(): void
    {
        $this->actingAs($this->maker)->put(
            '/hand/schools',
            ['wraps' => 'two'],
            ['HX-Request' => 'true'],
        )->assertOk()->assertSee('Saved: new plans follow it.');
        $this->put('/hand/schools', ['hand' => 'left'])->assertRedirect('/hand#schools');
        self::assertSame(['wraps' => 'two', 'hand' => 'left'], $this->workshop()->refresh()->schools);
        $this->put(
            '/hand/schools',
            ['wraps' => 'eleven'],
        )->assertStatus(422)->assertSee('Wraps “eleven” is not known here');
        $this->post('/pieces', ['name' => 'Twos', 'pattern' => 'link-and-drop']);
        $piece = $this->workshop()->pieces()->where('name', 'Twos')->sole();
        self::assertSame(2, $piece->document()->part(PartId::of('p2'))->count('top_wraps'));
        $this->change($piece, ['do' => 'part.add', 'technique' => 'wrapped-link'])->assertOk();
        self::assertSame(2, $piece->fresh()?->document()->part(PartId::of('p4'))->count('bottom_wraps'));
    }

    public function test_own_figures_for_a_metal_are_used_and_given_back(): void
    {
        $mine = ['modulus' => '100', 'soft' => '60', 'half_hard' => '200', 'hard' => '280', 'do' => 'own'];
        $this->actingAs($this->maker)->put('/hand/metals/copper', $mine)->assertRedirect('/hand?metal=copper#metals');
        $this->get('/sums/temper?metal=copper&temper=half-hard')->assertSee('200 MPa')->assertSee('60 · 200 · 280');
        $this->get('/hand?metal=copper')->assertSee('your own value')->assertSee('back to the usual');
        $this->put('/hand/metals/copper', ['half_hard' => '20'] + $mine)->assertStatus(422)->assertSee(
            'Yield half hard 20 MPa is out of range: give 60 MPa to 3000 MPa.',
        );
        $this->put(
            '/hand/metals/copper',
            ['modulus' => 'stiff'] + $mine,
        )->assertStatus(422)->assertSee('Modulus “stiff” is not a number');
        $this->put('/hand/metals/copper', ['do' => 'usual'] + $mine)->assertRedirect();
        self::assertNull($this->workshop()->refresh()->strengths);
        $this->put('/hand/metals/tin', $mine)->assertNotFound();
    }

    public function test_forty_tools_are_enough(): void
    {
        $this->actingAs($this->maker);
        for ($at = 0; $at < 40; $at++) {
            Tool::query()->create(
                [
                    'workshop_id' => $this->workshop()->id, 'kind' => 'mandrel', 'name' => "Rod {$at}",
                    'marks_um' => [2000 + $at],
                ],
            );
        }
        $this->post(
            '/tools',
            ['kind' => 'mandrel', 'name' => 'One more', 'marks' => '3 mm'],
        )->assertStatus(422)->assertSee('at most 40');
    }

    /** Every mark of every tool is drawn where it is: in order, inside the tool, its sizes never over each other. */
    public function test_tools_are_drawn_from_their_marks(): void
    {
        foreach (ToolKind::cases() as $kind) {
            foreach ([[12.0], [12.0, 13.0], [12.0, 14.0, 16.5, 18.0, 21.0], range(12.0, 24.0, 0.25)] as $marks) {
                $drawn = new ToolDrawing(CoreTool::of($kind, 'A blue one', $marks, 20.0));
                self::assertCount(count($drawn->tool->marksMm), $drawn->marks, $kind->value);
                [$last, $told] = [0.0, -INF];
                foreach ($drawn->marks as $at => $mark) {
                    self::assertGreaterThan($last, $mark['x'], $kind->value);
                    $last = $mark['x'];
                    if ($mark['isTold']) {
                        $half = 4.1 * strlen($mark['words']);
                        self::assertGreaterThan($told, $mark['x'] - $half);
                        $told = $mark['x'] + $half;
                    }
                    if ($at > 0 && $drawn->isTapered()) {
                        self::assertGreaterThan($drawn->marks[$at - 1]['thick'], $mark['thick']);
                    }
                }
                self::assertGreaterThan(
                    0, count(array_filter($drawn->marks, fn (array $mark): bool => $mark['isTold'])),
                );
                if ($drawn->isTapered()) {
                    self::assertGreaterThan(ToolDrawing::FROM, $drawn->marks[0]['x']);
                    self::assertLessThan($drawn->end(), $last);
                    self::assertLessThan($drawn->root(), $drawn->tip());
                }
            }
        }
    }

    public function test_a_way_of_working_is_said_and_opens(): void
    {
        $page = $this->actingAs($this->maker)->get('/hand')->assertOk();
        $page->assertSeeInOrder(['A plain eye is', 'bent square first, then rolled']);
        $page->assertDontSee('type="radio"', false);
        $this->put('/hand/schools', ['eye' => 'roll', 'open' => 'eye'], ['HX-Request' => 'true'])->assertOk()
            ->assertSeeInOrder(['A plain eye is', 'rolled from the tip', 'How do you turn a plain eye?']);
        $this->get('/hand?school=no-such')->assertOk()->assertDontSee('type="radio"', false);
    }
}
