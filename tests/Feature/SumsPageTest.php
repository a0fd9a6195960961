<?php

declare(strict_types=1);

namespace Tests\Feature;

use Hebra\Core\Sum\Sums;
use Tests\TestCase;

final class SumsPageTest extends TestCase
{
    public function test_every_sum_has_a_page_with_an_answer(): void
    {
        foreach (Sums::all() as $name => $sum) {
            $this->actingAs($this->maker)->get("/sums/{$name}")->assertOk()->assertSee($sum->question)->assertSee('Working')->assertSee('Source:');
        }
        $this->get('/sums/weld')->assertNotFound();
    }

    public function test_an_answer_follows_the_question_live(): void
    {
        $fragment = $this->actingAs($this->maker)->get('/sums/simple-loop?wire=1.0&inside=2.5mm', ['HX-Request' => 'true'])->assertOk();
        self::assertStringStartsWith('<div id="answer"', trim((string) $fragment->getContent()));
        $fragment->assertSee('11.00 mm')->assertSee('7/16 in');
        $this->get('/sums/simple-loop?wire=20&inside=2', ['HX-Request' => 'true'])->assertStatus(422)->assertSee('could be 20awg, 20swg or 20mm');
        $this->get('/sums/simple-loop?wire[]=20&inside=2')->assertStatus(422)->assertSee('Wire came as a list');
    }
}
