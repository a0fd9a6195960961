<?php

declare(strict_types=1);

namespace Tests\Feature;

use Symfony\Component\Finder\Finder;
use Tests\TestCase;

/** A template says at its head which classes it names, and names them shortly. */
final class TemplatesTest extends TestCase
{
    private const USED = '/^@use\(\'([\w\\\\]+)\'\)$/m';

    /** @return iterable<string, string> */
    private static function templates(): iterable
    {
        foreach (Finder::create()->files()->in(resource_path('views'))->name('*.blade.php') as $file) {
            yield $file->getRelativePathname() => $file->getContents();
        }
    }

    public function test_what_it_names_is_there_and_is_named(): void
    {
        $used = 0;
        foreach (self::templates() as $name => $template) {
            preg_match_all(self::USED, $template, $found);
            $body = (string) preg_replace(self::USED, '', $template);
            foreach ($found[1] as $class) {
                $short = class_basename($class);
                self::assertTrue(class_exists($class) || enum_exists($class), "{$name} uses {$class}");
                self::assertSame(1, preg_match("/\\b{$short}\\b/", $body), "{$name} names no {$short}");
                $used++;
            }
        }
        self::assertGreaterThan(100, $used);
    }

    public function test_it_names_none_in_full(): void
    {
        foreach (self::templates() as $name => $template) {
            $body = (string) preg_replace(self::USED, '', $template);
            self::assertSame(0, preg_match('/\\\\(Hebra|App)\\\\/', $body), "{$name} names a class in full");
        }
    }
}
