<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Course;

use Hebra\Core\Bead\Bead;
use Hebra\Core\Course\Groups;
use Hebra\Core\Course\Spacings;
use Hebra\Core\Course\Strung;
use Hebra\Core\Piece\Patterns;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Plan\Step;
use Hebra\Core\Problem;
use Hebra\Core\Tests\Piece\Some;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Beads that float in groups, each where it is held. */
final class GroupsTest extends TestCase
{
    /** @return list<string> */
    private static function told(string $text): array
    {
        $bead = Bead::parse('4mm round');
        $groups = Groups::read($text, 'groups')->of([new Strung('a', $bead, 4), new Strung('b', $bead, 3)]);

        return array_map(
            fn (array $group): string => implode(
                '+', array_map(fn (Strung $run): string => $run->count.$run->key, $group),
            ),
            $groups,
        );
    }

    public function test_so_many_at_a_time_over_and_over(): void
    {
        self::assertSame(['4a', '3b'], self::told(''));
        self::assertSame(['3a', '1a+2b', '1b'], self::told('3'));
        self::assertSame(['2a', '1a', '1a+1b', '1b', '1b'], self::told('2 1'));
        foreach (['', '3', '2, 1', '7', '50'] as $text) {
            self::assertSame(count(self::told($text)), Groups::read($text, 'groups')->count([4, 3]), $text);
        }
    }

    public function test_gaps_are_lengths_in_any_unit(): void
    {
        $at = fn (string $text): array => array_map(
            fn (int $place): float => round(Spacings::read($text, 'gaps')->at($place), 9), [0, 1, 2, 3],
        );
        self::assertSame([40.0, 20.0, 20.0, 40.0], $at('40 20 20 40'));
        self::assertSame([38.1, 25.4, 38.1, 25.4], $at('1 1/2 in, 1 in'));
        self::assertSame([15.0, 15.0, 15.0, 15.0], $at('1.5 cm'));
        self::assertTrue(Spacings::read(' ', 'gaps')->isEmpty());
    }

    /** @return array<string, array{callable(): mixed, string}> */
    public static function wrong(): array
    {
        return [
            'no count' => [fn () => Groups::read('3 x', 'groups'), '/“x” is no number of beads/'],
            'none in a group' => [fn () => Groups::read('0', 'groups'), '/“0” is no number of beads/'],
            'too far' => [fn () => Spacings::read('40, 2 m', 'gaps'), '/“2 m” is no gap/'],
            'no length' => [fn () => Spacings::read('40, wide', 'gaps'), '/wide/'],
        ];
    }

    /** @param  callable(): mixed  $read */
    #[DataProvider('wrong')]
    public function test_what_is_wrong_is_named(callable $read, string $says): void
    {
        $this->expectException(Problem::class);
        $this->expectExceptionMessageMatches($says);
        $read();
    }

    /**
     * Four groups of 3, 6, 3 mm; two of one of 4; one of three of 8; seven pairs of crimps of 1.5; gaps 2 ·
     * (89 + 40 + 20
     * + 12), and 25 turned back at either end: 48 + 8 + 24 + 21 + 322 + 50 = 473.
     */
    public function test_stations_of_unlike_beads(): void
    {
        $piece = Patterns::start('station-strand', 'One');
        $plan = Planner::plan($piece, new Profile);
        $strand = array_values(array_filter($plan->cuts, fn ($cut): bool => $cut->label === 'Strand'))[0];
        self::assertEqualsWithDelta(473.0, $strand->lengthMm(), 1e-9);
        self::assertSame(16, array_sum(
            array_map(fn ($one): int => str_starts_with($one->words, 'crimp, for') ? $one->all : 0, $plan->findings)
        ));
        $groups = array_values(
            array_filter($plan->steps(), fn (Step $step): bool => str_contains($step->title, 'group'))
        );
        self::assertSame([3, 1, 3, 3, 3, 1, 3], array_column($groups, 'count'));
        self::assertStringContainsString('Measure 89 mm', $groups[0]->text);
        self::assertStringContainsString(
            '1 × clear 3 mm round, then 1 × plum 6 mm round, then 1 × clear 3 mm round, push them', $groups[0]->text,
        );
        $this->expectException(Problem::class);
        Some::changed($piece, ['do' => 'part.set', 'part' => 'p2', 'key' => 'groups', 'value' => 'three']);
    }
}
