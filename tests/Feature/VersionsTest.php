<?php

declare(strict_types=1);

namespace Tests\Feature;

use PHPUnit\Framework\TestCase;

/** What a fresh machine installs is what was tried: the versions of all packages are written, and no address is. */
final class VersionsTest extends TestCase
{
    private const ROOT = __DIR__.'/../..';

    /** @return array<string, mixed> */
    private static function read(string $file): array
    {
        return json_decode((string) file_get_contents(self::ROOT."/{$file}"), true, flags: JSON_THROW_ON_ERROR);
    }

    public function test_every_php_package_is_installed_in_the_version_that_is_written(): void
    {
        $installed = require self::ROOT.'/packages/exact-versions/installed.php';
        $written = array_diff_key(self::read('packages/exact-versions/composer.json')['require'], ['php' => '']);
        ksort($installed);
        ksort($written);

        self::assertGreaterThan(50, count($installed));
        self::assertSame($written, $installed);
    }

    public function test_what_is_required_is_exact(): void
    {
        $composer = self::read('composer.json');
        $required = array_filter(
            [...$composer['require'], ...$composer['require-dev']],
            fn (string $name): bool => str_contains($name, '/'), ARRAY_FILTER_USE_KEY,
        );
        $package = self::read('package.json');
        $scripts = [...$package['dependencies'] ?? [], ...$package['devDependencies']];
        foreach ([...$required, ...$scripts] as $name => $version) {
            self::assertMatchesRegularExpression('/^\d+(\.\d+){1,3}$/', $version, $name);
        }
    }

    /** `resolved` is where npm keeps the address of a package; a repository of Composer has a `url`. */
    public function test_no_lock_names_an_address(): void
    {
        self::assertStringNotContainsString('"resolved"', (string) file_get_contents(self::ROOT.'/package-lock.json'));
        foreach (['packages/exact-versions/composer.json', 'composer.json'] as $file) {
            self::assertStringNotContainsString('://', (string) file_get_contents(self::ROOT."/{$file}"), $file);
        }
    }
}
