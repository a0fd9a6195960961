<?php

declare(strict_types=1);

namespace Tests\Feature;

use PHPUnit\Framework\TestCase;

/** The one script: it parses, says what it knows, and refuses what it does not. */
final class ScriptTest extends TestCase
{
    /** @return array{int, string} */
    private static function script(string $arguments): array
    {
        exec('cd '.escapeshellarg(dirname(__DIR__, 2))." && {$arguments} 2>&1", $lines, $status);

        return [$status, implode("\n", $lines)];
    }

    public function test_it_parses_as_plain_shell(): void
    {
        foreach (['hebra', 'tests/run.sh', '.ci/run'] as $script) {
            self::assertSame([0, ''], self::script("sh -n {$script}"), $script);
        }
        self::assertStringContainsString('./hebra test', (string) file_get_contents(dirname(__DIR__, 2).'/.ci/run'));
    }

    public function test_it_says_what_it_knows_and_refuses_the_rest(): void
    {
        [$status, $help] = self::script('./hebra');
        self::assertSame(0, $status);
        foreach (['demo', 'serve', 'test', 'bench', 'doctor'] as $command) {
            self::assertStringContainsString("./hebra {$command}", $help);
        }
        self::assertSame([1, '“dance” is not known here: give demo, serve, test, bench or doctor.'], self::script('./hebra dance'));
        [$status, $refusal] = self::script('./hebra demo --stale');
        self::assertSame(1, $status);
        self::assertStringContainsString('“--stale” is not known here: ./hebra demo takes --fresh', $refusal);
    }

    public function test_the_doctor_finds_this_machine_well(): void
    {
        [$status, $report] = self::script('./hebra doctor');
        self::assertSame(0, $status, $report);
        self::assertStringContainsString('✓ PHP 8.2 with SQLite', $report);
        self::assertStringNotContainsString('✕', $report);
    }

    public function test_nothing_of_this_machine_is_in_the_tree(): void
    {
        [, $files] = self::script('git ls-files');
        foreach (['composer.lock', '.env', 'vendor/autoload.php'] as $kept) {
            self::assertNotContains($kept, explode("\n", $files));
        }
        self::assertStringNotContainsString('"resolved"', (string) file_get_contents(dirname(__DIR__, 2).'/package-lock.json'));
    }
}
