<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\Bench;
use App\Actions\History;
use App\Models\Piece;
use Database\Seeders\DemoSeeder;
use Hebra\Core\Piece\Patterns;
use Hebra\Core\Tests\Piece\Everything;
use Illuminate\Routing\Route;
use Illuminate\Support\Facades\Route as Routes;
use PHPUnit\Framework\Attributes\Group;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\TestCase;

/**
 * Whatever is sent, by hands or by machines, is answered: done, or refused in a sentence. Never a fault, never a figure
 * that is none, never more memory than there is.
 */
final class FuzzTest extends TestCase
{
    private const MOST_BYTES = 256 * 1024 * 1024;

    private const VALUES = [
        '', '0', '-1', '1', '2', '7 7', '7', '2000', '99999999999999999999', '1e309', 'Nan', 'Inf', '0.0000001',
        '1/0', '½', '2.5', '3 mm', '20awg', '22 awg/half-hard', '14 awg/spring', '0 awg', 'us 7', 'finger', 'wrist',
        'ear', 'none', 'sterling', 'gold-24k', 'spring',
        '6mm round, hole 1', '11/0', '0mm round', '40 x 4mm tube, hole 0.8, amber', 'on', 'p1', 'p2', 'p9', 'b1',
        'b2', '⁧x', "tab\there", '<script>', '"; drop', '👩🏽‍🎨', 'post', 'hook', 'made', 'bought', 'wound', 'single',
        '100 m', 'true', 'down', 'up', 'top', '10',
    ];

    private const DO = [
        'name', 'note', 'makes', 'fit', 'wire', 'metal', 'part.add', 'part.set', 'part.remove', 'part.move',
        'part.repeat', 'part.copy', 'part.reverse', 'part.wire', 'part.hang', 'part.group', 'part.ungroup',
        'group.set', 'bead.add', 'bead.count', 'bead.move', 'bead.remove', 'bead.edit', 'bead.size',
        'beads.reverse', 'beads.repeat', 'chain.set', 'sizing', 'several', 'x',
    ];

    private const KEYS = [
        'part', 'key', 'value', 'bead', 'at', 'by', 'count', 'to', 'technique', 'role', 'choice', 'size', 'kind',
        'fit', 'was', 'name', 'text', 'metal', 'links', 'hole', 'of', 'on', 'group', 'repeat', 'mirrored', 'length',
        'from', 'run',
    ];

    private Randomizer $random;

    private function value(): string
    {
        return self::VALUES[$this->random->getInt(0, count(self::VALUES) - 1)];
    }

    /** @return array<string, mixed> */
    private function input(int $most): array
    {
        $input = [];
        for ($key = $this->random->getInt(0, $most); $key > 0; $key--) {
            $name = self::KEYS[$this->random->getInt(0, count(self::KEYS) - 1)];
            $input[$name] = $this->random->getInt(0, 30) === 0 ? [$this->value()] : $this->value();
        }

        return $input;
    }

    private function assertAnswered(\Illuminate\Testing\TestResponse $response, string $what): void
    {
        $fault = $response->exception === null
            ? ''
            : get_class($response->exception).': '.$response->exception->getMessage()."\n"
                .$response->exception->getTraceAsString();
        self::assertLessThan(500, $response->status(), $what.' '.$fault);
        $body = (string) ($response->baseResponse instanceof \Symfony\Component\HttpFoundation\BinaryFileResponse ? '' : $response->getContent());
        self::assertSame(
            0,
            preg_match(
                '/(?<![\p{L}\d_"-])-?(?:NaN|NAN|nan|INF)(?![\p{L}\d_"-])/u',
                strip_tags(preg_replace('/value="[^"]*"|“[^”]*”/u', '', $body) ?? ''),
            ),
            "{$what}: a figure that is none",
        );
        self::assertLessThan(self::MOST_BYTES, memory_get_peak_usage() - $this->before, $what);
        memory_reset_peak_usage();
    }

    private int $before = 0;

    protected function setUp(): void
    {
        parent::setUp();
        $this->random = new Randomizer(new Mt19937(20_261_128));
        $this->before = memory_get_usage();
        memory_reset_peak_usage();
    }

    /** Two thousand changes of pieces, sensible and not, each stage looked at now and then. */
    #[Group('wide')]
    public function test_changes_of_pieces_are_made_or_refused(): void
    {
        $patterns = array_keys(Patterns::all());
        $piece = $this->piece();
        $taken = 0;
        for ($one = 0; $one < 1500; $one++) {
            if ($one % 20 === 0) {
                $piece = $this->piece($patterns[intdiv($one, 20) % count($patterns)]);
            }
            $change = [
                'do' => self::DO[$this->random->getInt(0, count(self::DO) - 1)],
            ] + $this->likely($piece) + $this->input(4);
            $response = $this->change($piece, $change);
            $taken += $response->status() === 200 ? 1 : 0;
            $this->assertAnswered(
                $response,
                (string) json_encode($change, JSON_UNESCAPED_UNICODE | JSON_PARTIAL_OUTPUT_ON_ERROR),
            );
            if ($one % 12 === 0) {
                $stage = array_keys(Piece::STAGES)[$this->random->getInt(0, count(Piece::STAGES) - 1)];
                $this->assertAnswered(
                    $this->get("/pieces/{$piece->ulid}/{$stage}"),
                    "{$stage} after ".json_encode($change, JSON_PARTIAL_OUTPUT_ON_ERROR),
                );
            }
        }
        self::assertGreaterThan(250, $taken, 'many of them are real changes');
    }

    /** @return array<string, string> what a page would send for a change of this piece */
    private function likely(Piece $piece): array
    {
        $document = $piece->refresh()->document();
        if ($document->parts === [] || $this->random->getInt(0, 4) === 0) {
            return [];
        }
        $part = $document->parts[$this->random->getInt(0, count($document->parts) - 1)];
        $parameters = $part->technique()->parameters();
        $parameter = $parameters === [] ? null : $parameters[$this->random->getInt(0, count($parameters) - 1)];
        $choices = array_keys($parameter->choices ?? []);
        $techniques = array_keys(\Hebra\Core\Piece\Kinds::all());

        return array_filter([
            'part' => $part->id->text, 'key' => $parameter?->key, 'value' => $choices === []
                ? $this->value()
                : (string) $choices[$this->random->getInt(0, count($choices) - 1)],
            'technique' => $techniques[$this->random->getInt(0, count($techniques) - 1)],
            'at' => (string) $this->random->getInt(0, 2), 'count' => (string) $this->random->getInt(0, 30),
            'role' => array_keys($document->wires)[0] ?? '', 'bead' => array_keys($document->beads)[0] ?? 'b1',
        ], fn (?string $value): bool => $value !== null);
    }

    /** Everything that can be laid out, and pieces with nothing in them, at every stage, on paper and as drawings. */
    #[Group('wide')]
    public function test_every_page_of_every_piece_is_answered(): void
    {
        $pieces = [...iterator_to_array(Everything::techniques()), ...iterator_to_array(Everything::changed(12))];
        $empty = $this->piece('single-drop');
        foreach ($empty->document()->parts as $part) {
            $this->change($empty, ['do' => 'part.remove', 'part' => $part->id->text]);
        }
        $all = ['empty' => $empty];
        foreach (array_slice($pieces, 0, 90) as $name => $document) {
            $all[$name] = app(History::class)->begin($this->workshop(), $document, 'Began');
        }
        foreach ($all as $name => $piece) {
            foreach ([
                'cut', 'make', 'bill', 'lay-ready', 'strips', 'drawing.svg', 'strips.svg', 'cut-sheet.pdf',
                'bench-sheet.pdf', 'leaflet', 'leaflet?pdf=1',
            ] as $page) {
                if (
                    $name !== 'empty'
                    && in_array($page, ['cut-sheet.pdf', 'bench-sheet.pdf', 'leaflet', 'leaflet?pdf=1'], true)
                    && crc32((string) $name) % 8 !== 0
                ) {
                    continue;
                }
                $this->assertAnswered(
                    $this->actingAs($this->maker)->get("/pieces/{$piece->ulid}/{$page}"),
                    "{$name}: {$page}",
                );
            }
        }
    }

    /** Every form of the workshop with contents nobody meant, and names of things that are not there. */
    #[Group('wide')]
    public function test_forms_are_taken_or_refused(): void
    {
        $this->seed(DemoSeeder::class);
        $maker = \App\Models\User::query()->where('email', 'ottla@marram-lane.example')->firstOrFail();
        $workshop = $maker->workshop;
        $making = app(Bench::class)->begin($workshop->pieces()->firstOrFail());
        $ours = fn (): array => [
            '{piece}' => (string) $workshop->pieces()->inRandomOrder()->value('ulid'), '{making}' => $making->ulid,
            '{lot}' => (string) $workshop->lots()->value('ulid'),
            '{bead}' => (string) $workshop->beads()->value('ulid'),
            '{supply}' => (string) $workshop->supplies()->value('ulid'),
            '{tool}' => (string) $workshop->tools()->value('ulid'), '{drill}' => 'none', '{photo}' => 'none',
            '{deleted}' => 'none', '{tick}' => ['1', '99999999999999999999', '0'][$this->random->getInt(0, 2)],
            '{metal}' => ['copper', 'tin'][$this->random->getInt(0, 1)], '{pattern}' => 'hoop', '{name}' => 'coil',
            '{stage}' => ['wire', 'sail'][$this->random->getInt(0, 1)],
            '{token}' => 'none',
        ];
        $fields = ['kind', 'name', 'metal', 'size', 'temper', 'amount', 'pins', 'pin_length', 'price', 'holds', 'owned', 'held', 'low', 'bead', 'supply', 'supply_kind', 'supply_amount', 'marks', 'grip', 'hour', 'overhead', 'margin', 'currency', 'packing', 'minutes', 'as_it_is', 'number', 'who', 'due', 'words', 'took', 'got', 'tags', 'line', 'year', 'decimals', 'entry', 'text', 'of', 'do', 'at', 'counted', 'event', 'events', 'found', 'measured', 'mend', 'pieces', 'cut', 'count', 'piece', 'part',
            'lot', 'wire', 'columns', 'ruler', 'sizes', 'clearance', 'keep', 'wanted', 'weigh', 'length', 'pattern', 'modulus', 'soft', 'half_hard', 'hard', 'wires', 'cores', 'passes', 'milliseconds', 'hooked', 'all'];
        $walked = 0;
        foreach (Routes::getRoutes() as $route) {
            /** @var Route $route */
            foreach (array_diff($route->methods(), ['HEAD', 'GET']) as $method) {
                if (
                    in_array("{$method} {$route->uri()}", [
                        'POST sign-out', 'DELETE account', 'POST sign-in', 'POST account/workshop',
                        'PUT account/password', 'POST enter-demo',
                    ], true)
                    || $route->uri() === 'pieces/{piece}/changes'
                ) {
                    continue;
                }
                for ($time = 0; $time < 14; $time++) {
                    $input = [];
                    foreach ($this->random->shuffleArray($fields) as $at => $field) {
                        if ($at < 24) {
                            $input[$field] = $this->random->getInt(0, 20) === 0
                                ? [$this->value() => [$this->value()]]
                                : $this->value();
                        }
                    }
                    $address = '/'.strtr($route->uri(), $ours());
                    $this->assertAnswered(
                        $this->actingAs($maker->refresh())->call($method, $address, $input),
                        "{$method} {$address} ".json_encode(
                            $input,
                            JSON_PARTIAL_OUTPUT_ON_ERROR | JSON_UNESCAPED_UNICODE,
                        ),
                    );
                    $walked++;
                }
            }
        }
        self::assertGreaterThan(700, $walked);
    }
}
