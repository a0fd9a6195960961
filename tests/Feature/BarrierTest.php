<?php

declare(strict_types=1);

namespace Tests\Feature;

use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;
use Tests\Served;
use Tests\Visitor;

/**
 * Two requests at the same moment, released together at a real server: what is left is what one of them meant, and the
 * other after it.
 */
final class BarrierTest extends TestCase
{
    private static int $rounds = 8;

    private static Served $served;

    public static function setUpBeforeClass(): void
    {
        self::$rounds = (int) (getenv('HEBRA_ROUNDS') ?: self::$rounds);
        self::$served = Served::start(['HEBRA_SIGN_UP' => 'open']);
    }

    public static function tearDownAfterClass(): void
    {
        self::$served->end();
    }

    /** @return array{Visitor, Visitor, string} the same maker at two devices, and the token of their forms */
    private function pair(string $name): array
    {
        $one = self::$served->maker($name);

        return [$one, clone $one, $one->token()];
    }

    private static function held(string $lot): int
    {
        return (int) self::$served->rows(
            "SELECT SUM(mass_mg) AS mg FROM movements WHERE lot_id = (SELECT id FROM lots WHERE ulid = '{$lot}')",
        )[0]['mg'];
    }

    private static function last(string $table): string
    {
        return (string) self::$served->rows("SELECT ulid FROM {$table} ORDER BY id DESC LIMIT 1")[0]['ulid'];
    }

    public function test_a_lot_set_at_two_places_holds_what_one_of_them_says(): void
    {
        [$one, $two, $token] = $this->pair('Lotta');
        $one->ask(
            '/stock',
            [
                '_token' => $token, 'kind' => 'coil', 'name' => 'Coil', 'metal' => 'copper', 'size' => '20awg',
                'temper' => 'dead-soft', 'amount' => '20 m',
            ],
        );
        $lot = self::last('lots');
        $full = self::held($lot);
        for ($round = 0; $round < self::$rounds; $round++) {
            Visitor::together(
                [
                    [$one, "/lots/{$lot}", ['_token' => $token, '_method' => 'PUT', 'holds' => '8 m'], false],
                    [$two, "/lots/{$lot}", ['_token' => $token, '_method' => 'PUT', 'holds' => '12 m'], false],
                ],
            );
            self::assertSame([303, 303], [$one->status, $two->status]);
            self::assertContains(
                self::held($lot),
                [(int) round($full * 0.4), (int) round($full * 0.6)],
                "round {$round}",
            );
        }
        self::assertSame(0, (int) self::$served->rows('SELECT SUM(mass_mg) AS mg FROM movements')[0]['mg']);
    }

    public function test_a_bead_counted_at_two_places_is_what_one_of_them_counted(): void
    {
        [$one, $two, $token] = $this->pair('Berit');
        $one->ask('/beads', ['_token' => $token, 'bead' => '6mm round, hole 1', 'owned' => '50']);
        $bead = self::last('beads');
        for ($round = 0; $round < self::$rounds; $round++) {
            Visitor::together(
                [
                    [$one, "/beads/{$bead}", ['_token' => $token, '_method' => 'PUT', 'owned' => '7'], false],
                    [$two, "/beads/{$bead}", ['_token' => $token, '_method' => 'PUT', 'owned' => '9'], false],
                ],
            );
            ['owned' => $owned, 'summed' => $summed] = self::$served->rows(
                "SELECT owned, (SELECT SUM(amount) FROM supply_movements WHERE bead_id = beads.id) AS summed FROM beads WHERE ulid = '{$bead}'",
            )[0];
            self::assertContains((int) $owned, [7, 9]);
            self::assertSame((int) $summed, (int) $owned);
        }
    }

    public function test_a_form_sent_twice_at_once_counts_once(): void
    {
        [$one, $two, $token] = $this->pair('Dora');
        for ($round = 0; $round < self::$rounds; $round++) {
            $form = [
                '_token' => $token,
                '_once' => "round {$round}",
                'kind' => 'coil',
                'name' => "Coil {$round}",
                'metal' => 'copper',
                'size' => '20awg',
                'temper' => 'dead-soft',
                'amount' => '2 m',
            ];
            Visitor::together([[$one, '/stock', $form, false], [$two, '/stock', $form, false]]);
            self::assertSame(
                1,
                (int) self::$served->rows("SELECT COUNT(*) AS n FROM lots WHERE name = 'Coil {$round}'")[0]['n'],
                "round {$round}",
            );
        }
    }

    public function test_a_making_begins_once_and_an_entry_is_reversed_once(): void
    {
        [$one, $two, $token] = $this->pair('Mina');
        for ($round = 0; $round < self::$rounds; $round++) {
            $one->ask('/pieces', ['_token' => $token, 'name' => "Drops {$round}", 'pattern' => 'single-drop']);
            $piece = self::last('pieces');
            Visitor::together(
                [
                    [$one, "/pieces/{$piece}/makings", ['_token' => $token], false],
                    [$two, "/pieces/{$piece}/makings", ['_token' => $token], false],
                ],
            );
            self::assertSame(
                1,
                (int) self::$served->rows(
                    "SELECT COUNT(*) AS n FROM makings WHERE piece_id = (SELECT id FROM pieces WHERE ulid = '{$piece}')",
                )[0]['n'],
            );
            $one->ask(
                '/stock',
                [
                    '_token' => $token, 'kind' => 'coil', 'name' => "Reversed {$round}", 'metal' => 'copper',
                    'size' => '20awg', 'temper' => 'dead-soft', 'amount' => '2 m',
                ],
            );
            $entry = (string) self::$served->rows('SELECT entry FROM movements ORDER BY id DESC LIMIT 1')[0]['entry'];
            Visitor::together(
                [
                    [$one, '/stock/book/reverse', ['_token' => $token, 'entry' => $entry], false],
                    [$two, '/stock/book/reverse', ['_token' => $token, 'entry' => $entry], false],
                ],
            );
            $statuses = [$one->status, $two->status];
            sort($statuses);
            self::assertSame([303, 409], $statuses);
        }
    }

    /**
     * Every route that writes, asked twice at the same moment: both are answered, and all books and counts agree with
     * their lines.
     */
    #[Group('wide')]
    public function test_every_writing_route_bears_being_asked_twice_at_once(): void
    {
        [$one, $two, $token] = $this->pair('Wilma');
        $routes = json_decode(
            (string) shell_exec(
                'cd '.escapeshellarg(dirname(__DIR__, 2)).' && php artisan route:list --json 2>/dev/null',
            ),
            true,
            16,
            JSON_THROW_ON_ERROR,
        );
        $asked = 0;
        foreach ($routes as $route) {
            foreach (array_intersect(explode('|', $route['method']), ['POST', 'PUT', 'PATCH', 'DELETE']) as $method) {
                if (preg_match(
                    '~^(sign-|enter-demo|join|account$|account/(password|workshop))|^cutting/list~', $route['uri'],
                ) === 1) {
                    continue;
                }
                for ($round = 0; $round < max(1, intdiv(self::$rounds, 4)); $round++) {
                    [$path, $form] = $this->prepared($one, $token, $route['uri']);
                    $form += ['_token' => $token, '_method' => $method];
                    Visitor::together([[$one, $path, $form, false], [$two, $path, $form, false]]);
                    foreach ([$one, $two] as $visitor) {
                        self::assertLessThan(
                            500,
                            $visitor->status,
                            "{$method} {$path}: ".mb_substr(trim(strip_tags($visitor->body)), 0, 200),
                        );
                        self::assertGreaterThan(0, $visitor->status, "{$method} {$path}");
                    }
                    $this->assertBooksAgree("{$method} {$route['uri']}");
                    $asked++;
                }
            }
        }
        self::assertGreaterThan(60, $asked);
    }

    /**
     * @return array{string, array<string, mixed>} an address with what it names made anew, and what a page would send
     *     there, near enough
     */
    private function prepared(Visitor $one, string $token, string $uri): array
    {
        static $number = 0;
        $number++;
        $names = [
            '{lot}' => '',
            '{bead}' => '',
            '{supply}' => '',
            '{tool}' => '',
            '{piece}' => '',
            '{making}' => '',
            '{drill}' => '',
            '{deleted}' => 'none',
            '{photo}' => 'none',
            '{tick}' => '1',
            '{metal}' => 'copper',
            '{name}' => 'simple-loop',
        ];
        $coil = [
            '_token' => $token,
            'kind' => 'coil',
            'name' => "Raced {$number}",
            'metal' => 'sterling',
            'size' => '24awg',
            'temper' => 'dead-soft',
            'amount' => '4 m',
        ];
        $one->ask('/stock', $coil);
        $names['{lot}'] = self::last('lots');
        $one->ask('/beads', ['_token' => $token, 'bead' => '6mm round, hole 1', 'owned' => '50']);
        $names['{bead}'] = self::last('beads');
        $one->ask(
            '/supplies',
            ['_token' => $token, 'supply_kind' => 'packing', 'supply' => "Box {$number}", 'supply_amount' => '9'],
        );
        $names['{supply}'] = self::last('supplies');
        if (str_contains($uri, 'tool')) {
            $one->ask(
                '/tools',
                ['_token' => $token, 'kind' => 'mandrel', 'name' => "Rod {$number}", 'marks' => '3 mm'],
            );
            $names['{tool}'] = self::last('tools');
        }
        if (preg_match('/piece|making|cutting|sums/', $uri) === 1) {
            $one->ask('/pieces', ['_token' => $token, 'name' => "Drops {$number}", 'pattern' => 'single-drop']);
            $names['{piece}'] = self::last('pieces');
        }
        if (str_contains($uri, 'making/') || str_contains($uri, '{making}')) {
            $one->ask("/pieces/{$names['{piece}']}/makings", ['_token' => $token]);
            $names['{making}'] = self::last('makings');
        }
        if (str_contains($uri, '{drill}')) {
            $one->ask(
                '/practice',
                [
                    '_token' => $token, 'kind' => 'loops', 'metal' => 'copper', 'size' => '20 awg',
                    'temper' => 'dead-soft', 'wanted' => '2.5', 'sizes' => '2.4, 2.6',
                ],
            );
            $names['{drill}'] = self::last('drills');
        }
        $form = [
            ...$coil, 'amount' => '1 m', 'holds' => '2 m', 'owned' => '7', 'held' => '3',
            'bead' => "6mm round, hole 1, {$number}", 'supply_kind' => 'packing', 'supply' => "Box {$number}",
            'supply_amount' => '4', 'marks' => '3 mm', 'pattern' => 'single-drop', 'revision' => '1',
            'stage' => 'lay-out',
            'do' => str_contains($uri, 'changes')
                ? 'part.copy'
                : (str_contains($uri, 'makings') ? 'next' : 'take'), 'part' => 'p2', 'at' => '0',
            'piece' => $names['{piece}'], 'lot' => $names['{lot}'], 'cut' => 'p2', 'count' => '2',
            'as_it_is' => '1', 'minutes' => '20', 'wire' => '20awg', 'inside' => '2 mm', 'wanted' => '2.5',
            'sizes' => '2.4, 2.6',
            'entry' => (string) self::$served->rows('SELECT entry FROM movements ORDER BY id DESC LIMIT 1')[0]['entry'],
            'text' => "name;metal;size;amount\nTable {$number};copper;20 awg;2 m",
            'hour' => '22',
            'overhead' => '10',
            'margin' => '30',
            'currency' => 'EUR',
            'price' => '0.30',
            'ruler' => '0.5 mm',
            'clearance' => '0.05 mm',
            'keep' => '60 mm',
            'low' => '1 m',
        ];
        $form['kind'] = match (true) {
            str_contains($uri, 'tools') => 'mandrel',
            str_contains($uri, 'practice') => 'loops',
            default => 'coil',
        };

        return ['/'.strtr($uri, $names).(str_contains($uri, 'cutting') ? "?pieces[]={$names['{piece}']}" : ''), $form];
    }

    private function assertBooksAgree(string $after): void
    {
        foreach ([
            'an entry that does not add up' => 'SELECT entry FROM movements GROUP BY entry, metal HAVING SUM(mass_mg) <> 0',
            'a lot that holds less than nothing' => 'SELECT lot_id FROM movements WHERE lot_id IS NOT NULL GROUP BY lot_id HAVING SUM(mass_mg) < 0',
            'a bead beside its lines' => 'SELECT id FROM beads WHERE owned <> (SELECT COALESCE(SUM(amount), 0) FROM supply_movements WHERE bead_id = beads.id)',
            'a supply beside its lines' => 'SELECT id FROM supplies WHERE held <> (SELECT COALESCE(SUM(amount), 0) FROM supply_movements WHERE supply_id = supplies.id)',
            'two makings of one piece' => 'SELECT piece_id FROM makings WHERE closed_at IS NULL GROUP BY piece_id HAVING COUNT(*) > 1',
            'a revision twice, or missing' => 'SELECT p.id FROM pieces p WHERE NOT EXISTS (SELECT 1 FROM piece_revisions r WHERE r.piece_id = p.id AND r.number = p.revision) OR EXISTS (SELECT 1 FROM piece_revisions r WHERE r.piece_id = p.id GROUP BY r.number HAVING COUNT(*) > 1)',
            'an entry reversed twice' => 'SELECT reverses FROM movements WHERE reverses IS NOT NULL GROUP BY reverses HAVING COUNT(DISTINCT entry) > 1',
            'a cut ticked off more often than it is wanted' => 'SELECT piece_id FROM cut_ticks WHERE is_spoiled = 0 GROUP BY piece_id, cut HAVING COUNT(*) > 2',
        ] as $what => $sql) {
            self::assertSame([], self::$served->rows($sql), "{$what}, after {$after}");
        }
    }

    /** Two set up the first workshop of a fresh install at the same moment: one of them has it. */
    public function test_the_first_to_sign_up_is_one(): void
    {
        for ($round = 0; $round < max(1, intdiv(self::$rounds, 8)); $round++) {
            $fresh = Served::start();
            $asked = array_map(function (string $name) use ($fresh): array {
                $visitor = new Visitor($fresh->address);
                $token = $visitor->ask('/sign-up')->token();

                return [
                    $visitor,
                    '/sign-up',
                    [
                        '_token' => $token, 'workshop' => $name, 'name' => $name, 'email' => "{$name}@w.example",
                        'password' => 'a few plain words',
                    ],
                    false,
                ];
            }, ['first', 'second']);
            Visitor::together($asked);
            $statuses = [$asked[0][0]->status, $asked[1][0]->status];
            sort($statuses);
            self::assertSame([302, 404], $statuses);
            self::assertSame(1, (int) $fresh->rows('SELECT COUNT(*) AS n FROM users')[0]['n']);
            $fresh->end();
        }
    }

    public function test_of_two_invited_by_one_link_one_comes_in(): void
    {
        [$one, , $token] = $this->pair('Inga');
        for ($round = 0; $round < self::$rounds; $round++) {
            $one->ask('/account/invitations', ['_token' => $token]);
            self::assertSame(1, preg_match('~/join/(\w{40})~', $one->ask('/account')->body, $match));
            $guests = array_map(function (int $guest) use ($match, $round): array {
                $visitor = new Visitor(self::$served->address);
                $token = $visitor->ask("/join/{$match[1]}")->token();

                return [
                    $visitor,
                    "/join/{$match[1]}",
                    [
                        '_token' => $token, 'name' => "Guest {$guest}", 'email' => "guest{$round}{$guest}@w.example",
                        'password' => 'a few plain words',
                    ],
                    false,
                ];
            }, [1, 2]);
            Visitor::together($guests);
            $statuses = [$guests[0][0]->status, $guests[1][0]->status];
            sort($statuses);
            self::assertSame([302, 404], $statuses, "round {$round}");
        }
    }
}
