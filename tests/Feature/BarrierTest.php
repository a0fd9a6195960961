<?php

declare(strict_types=1);

namespace Tests\Feature;

use PHPUnit\Framework\TestCase;
use Tests\Served;
use Tests\Visitor;

/** Two requests at the same moment, released together at a real server: what is left is what one of them meant, and the other after it. */
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
        return (int) self::$served->rows("SELECT SUM(mass_mg) AS mg FROM movements WHERE lot_id = (SELECT id FROM lots WHERE ulid = '{$lot}')")[0]['mg'];
    }

    private static function last(string $table): string
    {
        return (string) self::$served->rows("SELECT ulid FROM {$table} ORDER BY id DESC LIMIT 1")[0]['ulid'];
    }

    public function test_a_lot_set_at_two_places_holds_what_one_of_them_says(): void
    {
        [$one, $two, $token] = $this->pair('Lotta');
        $one->ask('/stock', ['_token' => $token, 'kind' => 'coil', 'name' => 'Coil', 'metal' => 'copper', 'size' => '20awg', 'temper' => 'dead-soft', 'amount' => '20 m']);
        $lot = self::last('lots');
        $full = self::held($lot);
        for ($round = 0; $round < self::$rounds; $round++) {
            Visitor::together([[$one, "/lots/{$lot}", ['_token' => $token, '_method' => 'PUT', 'holds' => '8 m'], false], [$two, "/lots/{$lot}", ['_token' => $token, '_method' => 'PUT', 'holds' => '12 m'], false]]);
            self::assertSame([303, 303], [$one->status, $two->status]);
            self::assertContains(self::held($lot), [(int) round($full * 0.4), (int) round($full * 0.6)], "round {$round}");
        }
        self::assertSame(0, (int) self::$served->rows('SELECT SUM(mass_mg) AS mg FROM movements')[0]['mg']);
    }

    public function test_a_bead_counted_at_two_places_is_what_one_of_them_counted(): void
    {
        [$one, $two, $token] = $this->pair('Berit');
        $one->ask('/beads', ['_token' => $token, 'bead' => '6mm round, hole 1', 'owned' => '50']);
        $bead = self::last('beads');
        for ($round = 0; $round < self::$rounds; $round++) {
            Visitor::together([[$one, "/beads/{$bead}", ['_token' => $token, '_method' => 'PUT', 'owned' => '7'], false], [$two, "/beads/{$bead}", ['_token' => $token, '_method' => 'PUT', 'owned' => '9'], false]]);
            ['owned' => $owned, 'summed' => $summed] = self::$served->rows("SELECT owned, (SELECT SUM(amount) FROM supply_movements WHERE bead_id = beads.id) AS summed FROM beads WHERE ulid = '{$bead}'")[0];
            self::assertContains((int) $owned, [7, 9]);
            self::assertSame((int) $summed, (int) $owned);
        }
    }

    public function test_a_form_sent_twice_at_once_counts_once(): void
    {
        [$one, $two, $token] = $this->pair('Dora');
        for ($round = 0; $round < self::$rounds; $round++) {
            $form = ['_token' => $token, '_once' => "round {$round}", 'kind' => 'coil', 'name' => "Coil {$round}", 'metal' => 'copper', 'size' => '20awg', 'temper' => 'dead-soft', 'amount' => '2 m'];
            Visitor::together([[$one, '/stock', $form, false], [$two, '/stock', $form, false]]);
            self::assertSame(1, (int) self::$served->rows("SELECT COUNT(*) AS n FROM lots WHERE name = 'Coil {$round}'")[0]['n'], "round {$round}");
        }
    }

    public function test_a_making_begins_once_and_an_entry_is_reversed_once(): void
    {
        [$one, $two, $token] = $this->pair('Mina');
        for ($round = 0; $round < self::$rounds; $round++) {
            $one->ask('/pieces', ['_token' => $token, 'name' => "Drops {$round}", 'pattern' => 'single-drop']);
            $piece = self::last('pieces');
            Visitor::together([[$one, "/pieces/{$piece}/makings", ['_token' => $token], false], [$two, "/pieces/{$piece}/makings", ['_token' => $token], false]]);
            self::assertSame(1, (int) self::$served->rows("SELECT COUNT(*) AS n FROM makings WHERE piece_id = (SELECT id FROM pieces WHERE ulid = '{$piece}')")[0]['n']);
            $one->ask('/stock', ['_token' => $token, 'kind' => 'coil', 'name' => "Reversed {$round}", 'metal' => 'copper', 'size' => '20awg', 'temper' => 'dead-soft', 'amount' => '2 m']);
            $entry = (string) self::$served->rows('SELECT entry FROM movements ORDER BY id DESC LIMIT 1')[0]['entry'];
            Visitor::together([[$one, '/stock/book/reverse', ['_token' => $token, 'entry' => $entry], false], [$two, '/stock/book/reverse', ['_token' => $token, 'entry' => $entry], false]]);
            $statuses = [$one->status, $two->status];
            sort($statuses);
            self::assertSame([303, 409], $statuses);
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

                return [$visitor, "/join/{$match[1]}", ['_token' => $token, 'name' => "Guest {$guest}", 'email' => "guest{$round}{$guest}@w.example", 'password' => 'a few plain words'], false];
            }, [1, 2]);
            Visitor::together($guests);
            $statuses = [$guests[0][0]->status, $guests[1][0]->status];
            sort($statuses);
            self::assertSame([302, 404], $statuses, "round {$round}");
        }
    }
}
