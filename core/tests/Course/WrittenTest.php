<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Course;

use Hebra\Core\Course\Written;
use Hebra\Core\Piece\Patterns;
use Hebra\Core\Piece\Piece;
use Hebra\Core\Plan\Check;
use Hebra\Core\Plan\Level;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Problem;
use Hebra\Core\Tests\Piece\Some;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** A wire told in words: what is read, what is refused in one sentence, and what is cut and done for it. */
final class WrittenTest extends TestCase
{
    public function test_reads_moves_however_they_are_parted(): void
    {
        $written = Written::parse("Straight 12 mm · ARC 20 −180; bend 60°, through 3\ncoil 8 on 2 · turn 90 · spiral 2.5");
        self::assertSame([
            ['straight', [12.0]], ['arc', [20.0, -180.0]], ['bend', [60.0]], ['through', [3.0]], ['coil', [8.0, 2.0]],
            ['turn', [90.0]], ['spiral', [2.5]],
        ], array_map(fn (array $move): array => [$move['kind'], $move['numbers']], $written->moves));
        self::assertSame(3, $written->beads());
    }

    /** @return array<string, array{string, string}> what is written, and what the sentence names */
    public static function refused(): array
    {
        return [
            'nothing' => [' · ; ', 'moves such as'],
            'no move' => ['straight 4 · jump 3', '“jump 3”'],
            'a number too few' => ['arc 20', '“arc 20”'],
            'a number too many' => ['straight 4 5', '“straight 4 5”'],
            'words among the numbers' => ['straight four', '“straight four”'],
            'nothing to bend' => ['bend 0', '“bend 0”'],
            'back on itself' => ['bend 180', '−170 to 170'],
            'longer than a coil' => ['straight 60000', '0.1 to 10000'],
            'too many moves' => [str_repeat('bend 10·', 5001), '5001 moves'],
        ];
    }

    #[DataProvider('refused')]
    public function test_refuses_in_one_sentence_at_its_place(string $text, string $names): void
    {
        $this->expectException(Problem::class);
        $this->expectExceptionMessageMatches('/'.preg_quote($names, '/').'/');
        Written::parse($text);
    }

    /** @param  array<string, string>  $more */
    private static function free(string $course, int $beads, array $more = []): Piece
    {
        return Some::changed(
            Patterns::start('meander', 'One'),
            ['do' => 'bead.remove', 'part' => 'p2', 'at' => '1'],
            ['do' => 'bead.count', 'part' => 'p2', 'at' => '0', 'count' => (string) $beads],
            ['do' => 'part.set', 'part' => 'p2', 'key' => 'course', 'value' => $course],
        );
    }

    /**
     * In 20 AWG, 0.8118 mm, between two plain eyes of 2.5: straight 10, half a turn of 12 inside π · 12.8118/2 = 20.125,
     * five turns on 3 mm 5 · √((π · 3.8118)² + 0.8118²) = 60.013, two turns of a spiral 2 · π · (0.8 + 1.6236) = 15.228,
     * eyes 2 · π · 3.3118 = 20.809.
     */
    public function test_a_cut_is_the_sum_of_its_moves(): void
    {
        $plan = Planner::plan(self::free('straight 10 · bend 30 · arc 12 180 · coil 5 on 3 · spiral 2', 1), new Profile);
        $cut = array_values(array_filter($plan->cuts, fn ($cut): bool => $cut->label === 'Free wire'))[0];
        self::assertEqualsWithDelta(10 + 20.125 + 60.013 + 15.228 + 20.809, $cut->lengthMm(), 0.01);
        self::assertContains('bend 30°', array_map(fn ($bend): string => $bend->words, $cut->bends));
        $titles = array_map(fn ($step): string => $step->title, $plan->steps());
        $work = array_values(array_filter($titles, fn (string $title): bool => str_starts_with($title, 'Free wire:')));
        self::assertSame([
            'Free wire: turn the top eye', 'Free wire: bend it', 'Free wire: bend the arc', 'Free wire: wind the coil',
            'Free wire: wind the spiral', 'Free wire: turn the bottom eye', 'Free wire: hang it on',
        ], $work);
    }

    public function test_beads_and_course_must_agree(): void
    {
        $stops = fn (int $beads): array => array_values(array_map(
            fn (Check $check): string => $check->text,
            array_filter(
                Planner::plan(self::free('straight 4 · through 3 · straight 4', $beads), new Profile)->checks,
                fn (Check $check): bool => $check->rule === 'course' && $check->level === Level::Stop,
            ),
        ));
        self::assertSame([], $stops(3));
        self::assertSame(['It goes through 3 beads, and 5 are on its line.'], $stops(5));
        self::assertSame(['It goes through 3 beads, and only 2 are on its line.'], $stops(2));
    }
}
