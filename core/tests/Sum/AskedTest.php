<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Sum;

use Hebra\Core\Problem;
use Hebra\Core\Sum\Asked;
use Hebra\Core\Sum\Given;
use Hebra\Core\Sum\Intents;
use Hebra\Core\Sum\Question;
use Hebra\Core\Sum\Sum;
use Hebra\Core\Sum\Sums;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;

/** Sentences in the words of makers, each with the sum it asks for, what its figures are, and its answer. */
final class AskedTest extends TestCase
{
    /**
     * @return array<string, array{array{ask: string, sum: string, inputs: array<string, string>, missing: list<string>, results: array<string, mixed>}}>
     */
    public static function sentences(): array
    {
        /**
         * @var list<array{ask: string, sum: string, inputs: array<string, string>, missing: list<string>, results: array<string, mixed>}>
         *     $rows
         */
        $rows = json_decode(
            (string) file_get_contents(__DIR__.'/fixtures/questions.json'),
            true,
            512,
            JSON_THROW_ON_ERROR,
        );

        return array_combine(array_column($rows, 'ask'), array_map(fn (array $row): array => [$row], $rows));
    }

    /**
     * @param  array{ask: string, sum: string, inputs: array<string, string>, missing: list<string>, results: array<string, mixed>}  $row
     */
    #[DataProvider('sentences')]
    public function test_a_sentence_is_answered(array $row): void
    {
        $asked = Asked::read($row['ask']);
        self::assertSame($row['sum'], $asked->sum->name);
        self::assertEquals($row['inputs'], $asked->inputs);
        self::assertSame($row['missing'], $asked->missing);
        $results = $asked->sum->work(Given::read($asked->sum, $asked->inputs))->results;
        foreach ($row['results'] as $name => $value) {
            is_float($value)
                ? self::assertEqualsWithDelta($value, $results[$name], 1e-4)
                : self::assertSame($value, $results[$name]);
        }
    }

    public function test_there_are_a_hundred_and_fifty(): void
    {
        self::assertGreaterThanOrEqual(150, count(self::sentences()));
    }

    /** Each sum is asked for by some sentence; what speaks for a sum or an input names one that there is. */
    public function test_words_speak_for_what_there_is(): void
    {
        $asked = array_unique(array_map(fn (array $row): string => $row[0]['sum'], array_values(self::sentences())));
        self::assertSame([], array_diff(array_keys(Sums::all()), $asked));
        $kinds = ['metal', 'temper', 'ring', 'wires', 'pattern', 'passes', 'gauge', 'box', 'mass', 'length', 'count'];
        $intents = new \ReflectionClass(Intents::class);
        self::assertEqualsCanonicalizing(array_keys(Sums::all()), array_keys($intents->getConstant('WORDS')));
        foreach ($intents->getConstant('FIGURES') as $name => $figures) {
            self::assertArrayHasKey($name, Sums::all());
            self::assertSame([], array_diff(array_keys($figures), $kinds), $name);
        }
        $keys = array_merge(
            ...array_values(array_map(fn (Sum $sum): array => array_column($sum->inputs, 'key'), Sums::all())),
        );
        self::assertSame(
            [],
            array_diff(array_keys((new \ReflectionClass(Question::class))->getConstant('ROLES')), $keys),
        );
    }

    /** Capitals, stops and small words change nothing. */
    #[Group('wide')]
    public function test_the_manner_of_asking_changes_nothing(): void
    {
        foreach (self::sentences() as $sentence => [$row]) {
            $asked = Asked::read('Please: '.mb_strtoupper(mb_substr($sentence, 0, 1)).mb_substr($sentence, 1).' ?!');
            self::assertSame([$row['sum'], $row['missing']], [$asked->sum->name, $asked->missing], $sentence);
        }
    }

    /** @return array<string, array{string, string, array<string, string>}> */
    public static function terse(): array
    {
        return LineTest::lines();
    }

    /** @param  array<string, string>  $expected */
    #[DataProvider('terse')]
    public function test_a_terse_line_is_answered_as_before(string $line, string $name, array $expected): void
    {
        $asked = Asked::read($line);
        self::assertSame([$name, []], [$asked->sum->name, $asked->missing]);
        self::assertEquals(
            $asked->sum->work(Given::read($asked->sum, $expected))->results,
            $asked->sum->work(Given::read($asked->sum, $asked->inputs))->results,
        );
    }

    /** @return array<string, array{string, string}> */
    public static function refused(): array
    {
        return [
            'no sum' => ['dance 3', 'I know no sum for “dance 3”'],
            'nothing' => ['  ', 'empty'],
            'a weight that has no place' => ['hoop 30mm 20ga eye 2mm hook 8mm 14kg', '“14kg”'],
            'a novel' => [str_repeat('coil ', 60), 'Ask holds 300 characters: give at most 240.'],
        ];
    }

    #[DataProvider('refused')]
    public function test_refuses_in_one_sentence(string $line, string $sentence): void
    {
        try {
            Asked::read($line);
            self::fail('It was understood.');
        } catch (Problem $problem) {
            self::assertSame('ask', $problem->field());
            self::assertStringContainsString($sentence, $problem->getMessage());
        }
    }
}
