<?php

declare(strict_types=1);

namespace Tests\Feature;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Changed;

/** `./hebra test --changed` runs what a change touches, and all where nobody can know. */
final class ChangedTest extends TestCase
{
    private const ROOT = __DIR__.'/../../';

    private const ALWAYS = ['core/tests/ArchitectureTest.php', 'core/tests/ShapeTest.php'];

    /** @return iterable<string, array{list<string>, list<string>}> */
    public static function changes(): iterable
    {
        yield 'nothing' => [[], []];
        yield 'a word in the README' => [['README.md', 'docs/screenshots/bench.png'], ['tests/Feature']];
        yield 'a picture alone' => [['public/icon.png'], []];
        yield 'a test' => [['tests/Feature/ChangedTest.php'], ['tests/Feature/ChangedTest.php']];
        yield 'a test that is gone' => [['tests/Feature/GoneTest.php'], []];
        yield 'what tests stand on' => [['core/tests/Piece/Some.php'], ['core/tests/Piece']];
        yield 'figures of shape' => [['core/tests/shape.json'], ['core/tests/ShapeTest.php']];
        yield 'the script' => [['hebra', 'tests/run.sh'], ['tests/Feature/ScriptTest.php']];
        yield 'styles' => [['resources/css/stock.css'], ['tests/Browser/PagesTest.php']];
        yield 'a script' => [['resources/js/board.js', 'resources/css/stock.css'], ['tests/Browser']];
        yield 'a template' => [
            ['resources/views/stock/rows.blade.php'], ['tests/Browser/PagesTest.php', 'tests/Feature'],
        ];
        yield 'a room of the core' => [['core/src/Wrap/Gone.php'], [...self::ALWAYS, 'core/tests/Wrap']];
        yield 'what all stands on' => [
            ['composer.json', 'core/src/Wrap/Coil.php'], ['core/tests', 'tests/Browser', 'tests/Feature'],
        ];
    }

    /**
     * @param  list<string>  $changed
     * @param  list<string>  $tests
     */
    #[DataProvider('changes')]
    public function test_what_a_change_touches_is_tested(array $changed, array $tests): void
    {
        self::assertSame($tests, (new Changed(self::ROOT))->tests($changed));
    }

    public function test_a_class_of_the_application_is_tested_where_it_is_named(): void
    {
        $tests = (new Changed(self::ROOT))->tests(['app/View/Drawing.php']);

        self::assertContains('tests/Feature/DrawingTest.php', $tests);
        self::assertNotContains('tests/Feature', $tests);
    }

    public function test_all_that_is_named_is_there(): void
    {
        foreach (glob(self::ROOT.'{core/src,app}/*/*.php', GLOB_BRACE) ?: [] as $file) {
            $tests = (new Changed(self::ROOT))->tests([substr($file, strlen(self::ROOT))]);
            self::assertNotSame([], array_diff($tests, self::ALWAYS), "{$file} touches no test");
            foreach ($tests as $test) {
                self::assertFileExists(self::ROOT.$test);
            }
        }
    }
}
