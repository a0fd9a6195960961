<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Piece;
use App\View\WeaveDesk;
use Hebra\Core\Piece\PartId;
use Hebra\Core\Wire\WireSize;
use Hebra\Core\Wrap\BandWeave;
use Tests\TestCase;

/** The weave studio over HTTP: written, tapped, stepped, made into a band, refused. */
final class WeaveTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->maker);
    }

    /**
     * 4@1-2 4@2-3 over 20 AWG in 28: 8 turns of √((π(0.81182 + 0.32109) + 2 · 1.13291)² + 0.32109²) = 5.8339, so 46.67
     * mm a repeat; 50 mm are 20 repeats.
     */
    public function test_a_weave_is_drawn_from_both_sides_and_worked_out(): void
    {
        $page = $this->get('/weave')->assertOk()->assertSee('front · ')->assertSee(
            'back, turned over along its length',
        )->assertSee('4 turns round cores 1 to 2');
        $page->assertSee('46.67')->assertSee('933.5 mm')->assertSee('alike: every turn goes once before')
            ->assertSee('after any figure, 1.28 mm each')->assertSee('22 AWG cores: 50 % of the force to bend');
        $this->get(
            '/weave?kind=basket&passes=f1-3+b3-2+f2+b2-1'
        )->assertOk()->assertSee('unlike: choose which one shows')
            ->assertSee('after any repeat, 0.64 mm each');
        $this->get('/weave?kind=basket&passes=f1+b2+f3+b2')->assertOk()
            ->assertSee('Core 1 or 2 or 3 is not passed on both sides: it would fall out.');
        self::assertSame([64, 64], self::strokes((string) $page->getContent(), 'wrap'), 'each turn seen on both sides');
        self::assertSame([3, 3], self::strokes((string) $page->getContent(), 'core'));
    }

    /** @return list<int> how many strokes of a kind lie in the drawing of the front, and of the back */
    private static function strokes(string $page, string $kind): array
    {
        $lies = strstr((string) strstr($page, '<div class="weave-lies">'), 'weave-now', true);

        return array_map(
            fn (string $figure): int => preg_match_all("/fig-{$kind} is-body\"[^>]* d=\"([^\"]*)/", $figure, $drawn) > 0
                ? substr_count(implode(' ', $drawn[1]), 'M')
                : 0,
            array_slice(explode('<figure', (string) $lies), 1),
        );
    }

    public function test_it_is_tapped_and_taken_back(): void
    {
        $this->get('/weave?pattern=2%401&turns=5&add=2-3')->assertRedirect();
        $response = $this->get(
            '/weave?pattern=2%401&turns=5&add=2-3',
            ['HX-Request' => 'true'],
        )->assertOk()->assertSee('value="2@1 5@2-3"', false)->assertDontSee('<html', false);
        self::assertStringContainsString('pattern=2%401+5%402-3', (string) $response->headers->get('HX-Push-Url'));
        $this->get(
            '/weave?pattern=2%401+5%402-3&add=undo',
            ['HX-Request' => 'true'],
        )->assertSee('value="2@1"', false)->assertSee('No figure takes core 2: it would fall out.');
        $this->get(
            '/weave?kind=basket&cores=2&passes=f1+b2&add=f2',
            ['HX-Request' => 'true'],
        )->assertSee('value="f1 b2 f2"', false);
    }

    public function test_it_is_stepped_through(): void
    {
        $whole = (string) $this->get('/weave?kind=basket')->assertOk()->assertSee('begin')->getContent();
        self::assertSame([0, 0], self::strokes($whole, 'lit'));
        $third = (string) $this->get('/weave?kind=basket&at=3')->assertOk()->assertSeeInOrder(
            ['aria-current="step"', 'in front of core 3'],
            false,
        )->getContent();
        // The pass just woven is lit, in front as well as seen from behind, after two whole repeats.
        self::assertSame([1, 1], self::strokes($third, 'lit'));
        self::assertSame(
            2 * (2 * 6 + 2),
            array_sum(self::strokes($third, 'wrap')) + array_sum(self::strokes($third, 'under')),
        );
        self::assertStringContainsString('On the side that faces you.', $third);
        $this->get('/weave?kind=basket&at=99')->assertOk()->assertSee('the whole');
        $this->get('/weave?kind=basket&at=x')->assertOk()->assertSee('begin');
    }

    public function test_a_band_is_made_of_it(): void
    {
        $this->post(
            '/weave',
            [
                'cores' => '4', 'core' => '18 awg', 'wire' => '0.3 mm', 'pattern' => '3@1-2 3@3-4 1@1-4',
                'length' => '60 mm',
            ],
        )->assertRedirect();
        $piece = Piece::query()->latest('id')->firstOrFail()->document();
        self::assertSame(
            ['4', '3@1-2 3@3-4 1@1-4', '60', '18 AWG', '0.3 mm'],
            [
                (string) $piece->part(PartId::of('p2'))->count('cores'),
                $piece->part(PartId::of('p2'))->choice('pattern'),
                (string) $piece->part(PartId::of('p2'))->mm('length'), $piece->wires['core']->size->text(),
                $piece->wires['weave']->size->text(),
            ],
        );
    }

    /** A band in sections: each is woven on its own, at the band's spacing, and together they take what it takes. */
    public function test_a_band_is_woven_section_by_section(): void
    {
        $written = '3@1-4 x6 | 4@1-2 4@3-4 x4 | cross 1-2 over 3-4 | f1 b2 f3 b4 f4 b3 f2 b1';
        $asked = http_build_query(['cores' => '4', 'core' => '18 awg', 'length' => '80 mm', 'pattern' => $written]);
        [$core, $wire] = [WireSize::awg(18)->diameterMm(), WireSize::awg(28)->diameterMm()];
        $band = BandWeave::parse($written, 4)->over(80.0, $core, $wire);
        $inAll = $this->workshop()->profile()->cutLength($band->weavingWireMm());
        $said = [
            '3 turns round cores 1 to 4', '4 turns round cores 1 to 2', 'Here cores change sides', 'in front of core 1',
        ];
        foreach ($said as $at => $words) {
            $section = $band->sections[$at];
            $page = $this->get("/weave?{$asked}&section=".($at + 1))->assertOk()
                ->assertSee($words)->assertSee($inAll)
                ->assertSeeInOrder(['aria-current="true"', $section->text], false);
            if ($section->crossing === null) {
                $page->assertSeeInOrder(['this section', $this->workshop()->profile()->cutLength($section->wireMm)]);
            }
        }
        $this->get("/weave/band.svg?{$asked}")->assertOk()->assertHeader('Content-Type', 'image/svg+xml')
            ->assertSee('data-mark="p2:weave"', false);
        $this->post('/weave', [
            'cores' => '4', 'core' => '18 awg', 'length' => '80 mm', 'pattern' => $written, 'section' => '4',
        ])->assertRedirect();
        self::assertSame(
            $written,
            Piece::query()->latest('id')->firstOrFail()->document()->part(PartId::of('p2'))->choice('pattern'),
        );
    }

    /** One fact: a weave of its own takes what a band of it alone takes, also where the wire has to reach behind. */
    public function test_a_weave_takes_what_its_band_takes(): void
    {
        [$core, $wire] = [WireSize::awg(20)->diameterMm(), WireSize::awg(28)->diameterMm()];
        foreach (['4@1-2 4@2-3', '3@1 2@4 1@2-3', '4@1-2 4@3-4', '2@1-4'] as $pattern) {
            $band = BandWeave::parse($pattern, 4)->over(50.0, $core, $wire);
            $this->get('/weave?'.http_build_query(['cores' => '4', 'pattern' => $pattern]))->assertOk()
                ->assertSee($this->workshop()->profile()->cutLength($band->weavingWireMm()));
        }
    }

    public function test_sections_are_tapped(): void
    {
        $tapped = fn (array $asked): array => array_intersect_key(
            WeaveDesk::tapped($asked + ['kind' => 'figure', 'turns' => '3'], $asked['add']),
            ['pattern' => 0, 'section' => 0],
        );
        $two = ['pattern' => '4@1-2 x3 | 4@1-2', 'section' => '2'];
        self::assertSame($two, $tapped(['pattern' => '4@1-2 x3', 'section' => '', 'add' => 'section']));
        self::assertSame(
            ['pattern' => '4@1-2 x3 | 4@1-2 3@2-3', 'section' => '2'], $tapped(['add' => '2-3'] + $two),
        );
        self::assertSame(
            ['pattern' => '4@1-2 3@1 x3 | 4@1-2', 'section' => '1'], $tapped(['add' => '1', 'section' => '1'] + $two),
        );
        self::assertSame(['pattern' => '4@1-2 x3', 'section' => ''], $tapped(['add' => 'undo'] + $two));
        self::assertSame('', $tapped(['pattern' => '4@1-2', 'section' => '', 'add' => 'undo'])['pattern']);
    }

    public function test_what_cannot_be_woven_is_said_at_its_field(): void
    {
        foreach ([
            'cores=9' => 'Cores 9 is out of range', 'pattern=4%409' => 'names core 9 of 3',
            'pattern=' => 'a weave, such as 4@2 3@1-2', 'pattern=%3Cb%3E' => '“&lt;b&gt;”',
            'wire=thick' => 'thick', 'length=9+km' => 'Length',
            'kind=basket&passes=f1+b3' => 'jumps from core 1 to core 3',
            'pattern=4%401-2+%7C+cross' => '“cross”', 'pattern=4%401-2+%7C+' => 'a weave, such as',
            'pattern=4%401-2+x9999+%7C+4%402-3' => '9999 repeats',
        ] as $query => $sentence) {
            $this->get('/weave?'.$query)->assertOk()->assertSee($sentence, false)->assertDontSee('What it takes');
        }
        $this->post('/weave', ['pattern' => '4@9'])->assertStatus(422)->assertSee('names core 9 of 3');
        self::assertSame(0, Piece::query()->count());
    }
}
