<?php

declare(strict_types=1);

namespace Tests;

/** Which tests a change touches: those beside what was changed, and those that name it. */
final readonly class Changed
{
    private const FEATURE = 'tests/Feature';

    private const BROWSER = 'tests/Browser';

    private const PAGES = 'tests/Browser/PagesTest.php';

    private const KEPT = ['core/tests/ArchitectureTest.php', 'core/tests/ShapeTest.php'];

    /** Where a folder is changed of which no test knows what it touches. */
    private const TOUCHED = [
        'core/tests/shape.json' => ['core/tests/ShapeTest.php'],
        'hebra' => ['tests/Feature/ScriptTest.php'],
        'tests/run.sh' => ['tests/Feature/ScriptTest.php'],
        'tests/Changed.php' => ['tests/Feature/ChangedTest.php'],
        'tests/changed.php' => ['tests/Feature/ChangedTest.php'],
        'resources/views/' => [self::FEATURE, self::PAGES],
        'resources/css/' => [self::PAGES],
        'resources/js/' => [self::BROWSER],
        'docs/' => [self::FEATURE],
        'routes/' => [self::FEATURE],
        'config/' => [self::FEATURE],
        'database/' => [self::FEATURE],
    ];

    /** @param  string  $root  of the repository, with a slash */
    public function __construct(private string $root)
    {
    }

    /**
     * @param  list<string>  $paths  what was changed, from the root
     * @return list<string> files and folders of tests; what lies in a folder that is named too is not named
     */
    public function tests(array $paths): array
    {
        $tests = array_unique(array_merge([], ...array_map($this->touched(...), $paths)));
        sort($tests);

        return array_values(array_filter($tests, fn (string $test): bool => ! array_filter(
            $tests, fn (string $other): bool => str_starts_with($test, "{$other}/"),
        )));
    }

    /** @return list<string> */
    private function touched(string $path): array
    {
        if (preg_match('~^(core/tests|tests/(?:Feature|Browser))/.*Test\.php$~', $path) === 1) {
            return is_file($this->root.$path) ? [$path] : [];
        }
        if (preg_match('~^(core/tests/\w+|tests/Feature|tests/Browser)/~', $path, $folder) === 1) {
            return [$folder[1]];
        }
        if (preg_match('~^core/src/(\w+)/~', $path, $room) === 1) {
            $beside = "core/tests/{$room[1]}";

            return [is_dir($this->root.$beside) ? $beside : 'core/tests', ...self::KEPT, ...$this->naming($path)];
        }
        if (str_starts_with($path, 'app/')) {
            return [...self::KEPT, ...$this->naming($path) ?: [self::FEATURE]];
        }
        foreach (self::TOUCHED as $folder => $tests) {
            if (str_starts_with($path, $folder)) {
                return $tests;
            }
        }

        $isOnlySeen = preg_match('~\.(md|png|ico|webmanifest)$~', $path) === 1;

        return $isOnlySeen ? [] : ['core/tests', self::FEATURE, self::BROWSER];
    }

    /** @return list<string> the tests of the application that use a class */
    private function naming(string $path): array
    {
        $class = strtr(preg_replace('~^(?:core/src|app)/|\.php$~', '', $path) ?? '', '/', '\\');
        $class = (str_starts_with($path, 'app/') ? 'App\\' : 'Hebra\\Core\\').$class;
        $naming = array_filter(
            glob("{$this->root}tests/{Feature,Browser}/*Test.php", GLOB_BRACE) ?: [],
            fn (string $test): bool => preg_match(
                '/'.preg_quote($class, '/').'(?!\w)/', (string) file_get_contents($test),
            ) === 1,
        );

        return array_map(fn (string $test): string => substr($test, strlen($this->root)), array_values($naming));
    }
}
