<?php

declare(strict_types=1);

namespace Hebra\Core\Tests;

use PhpParser\Node;
use PhpParser\NodeFinder;
use PhpParser\NodeTraverser;
use PhpParser\NodeVisitor\NameResolver;
use PhpParser\ParserFactory;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;

/**
 * The shape of the code may only become better: each figure stands in shape.json, and is written lower there when it
 * falls. What it should come to in the end is nothing, but for the size of methods.
 */
final class ShapeTest extends TestCase
{
    private const WIDE = 120;

    private const LONG_METHOD = 40;

    private const MANY = 3;

    /** @return iterable<string, array{string, string}> */
    public static function rooms(): iterable
    {
        yield 'core' => ['core', 'core/src'];
        yield 'app' => ['app', 'app'];
    }

    #[DataProvider('rooms')]
    #[Group('wide')]
    public function test_its_figures_only_fall(string $room, string $folder): void
    {
        $kept = self::kept()[$room];
        $now = self::figures($folder);
        self::assertSame(array_keys($now), array_keys($kept));
        foreach ($now as $what => $figure) {
            self::assertLessThanOrEqual($kept[$what], $figure, "{$room}: {$what} rose: mend what was added.");
            self::assertSame($kept[$what], $figure, "{$room}: {$what} fell: write {$figure} in core/tests/shape.json.");
        }
    }

    #[Group('wide')]
    public function test_rooms_that_import_each_other_are_only_those_known(): void
    {
        $known = self::kept()['import each other'];
        $now = self::mutual();
        self::assertSame([], array_values(array_diff($now, $known)), 'more rooms import each other');
        self::assertSame($known, $now, 'fewer import each other: write so in core/tests/shape.json.');
    }

    /** @return array<string, mixed> */
    private static function kept(): array
    {
        return json_decode((string) file_get_contents(__DIR__.'/shape.json'), true, flags: JSON_THROW_ON_ERROR);
    }

    /** @return array<string, int> */
    private static function figures(string $folder): array
    {
        $finder = new NodeFinder;
        $sizes = [];
        $figures = ['wide lines' => 0, 'nested ternaries' => 0, 'long methods' => 0, 'methods that ask for much' => 0];
        foreach (self::files($folder) as [$source, $tree, $tokens]) {
            $lines = explode("\n", $source);
            $figures['wide lines'] += count(array_filter(
                $lines, fn (string $line): bool => mb_strlen($line) > self::WIDE,
            ));
            foreach ($finder->findInstanceOf($tree, Node\Stmt\ClassMethod::class) as $method) {
                $figures['nested ternaries'] += self::nested($finder, $method);
                $figures['long methods'] += $method->getEndLine() - $method->getStartLine() >= self::LONG_METHOD
                    ? 1
                    : 0;
                $isMuch = $method->name->toString() !== '__construct' && count($method->params) > self::MANY;
                $figures['methods that ask for much'] += $isMuch ? 1 : 0;
                $sizes[] = count(array_filter(
                    array_slice(
                        $tokens, $method->getStartTokenPos(),
                        $method->getEndTokenPos() - $method->getStartTokenPos() + 1,
                    ),
                    fn ($token): bool => ! $token->is([T_WHITESPACE, T_COMMENT, T_DOC_COMMENT]),
                ));
            }
        }
        sort($sizes);

        // In tens: one method more or less moves it by one or two.
        $most = $sizes[(int) floor(0.9 * (count($sizes) - 1))];

        return $figures + ['tokens of a method, 90th of 100, in tens' => (int) ceil($most / 10)];
    }

    private static function nested(NodeFinder $finder, Node\Stmt\ClassMethod $method): int
    {
        return count(array_filter(
            $finder->findInstanceOf($method->stmts ?? [], Node\Expr\Ternary::class),
            fn (Node\Expr\Ternary $one): bool => $finder->findFirstInstanceOf(
                array_filter([$one->cond, $one->if, $one->else]), Node\Expr\Ternary::class,
            ) !== null,
        ));
    }

    /** @return list<string> */
    private static function mutual(): array
    {
        $uses = [];
        foreach (['core/src', 'app'] as $folder) {
            foreach (self::files($folder) as [, $tree]) {
                foreach ((new NodeFinder)->findInstanceOf($tree, Node\Stmt\Namespace_::class) as $namespace) {
                    $from = self::room((string) $namespace->name);
                    foreach ((new NodeFinder)->findInstanceOf([$namespace], Node\Name\FullyQualified::class) as $name) {
                        $to = self::room($name->toString());
                        $uses[$from][$to] = $from !== '' && $to !== '' && $from !== $to;
                    }
                }
            }
        }
        $mutual = [];
        foreach ($uses as $from => $to) {
            foreach (array_keys(array_filter($to)) as $other) {
                if ($from < $other && ($uses[$other][$from] ?? false)) {
                    $mutual[] = "{$from} and {$other}";
                }
            }
        }
        sort($mutual);

        return $mutual;
    }

    /** `core/Plan`, `app/View`: empty for what is neither. */
    private static function room(string $name): string
    {
        return match (true) {
            preg_match('/^Hebra\\\\Core\\\\(\w+)\\\\/', $name.'\\', $match) === 1 => "core/{$match[1]}",
            preg_match('/^App\\\\(\w+)\\\\/', $name.'\\', $match) === 1 => "app/{$match[1]}",
            default => '',
        };
    }

    /** @return iterable<array{string, list<Node\Stmt>, array<\PhpParser\Token>}> */
    private static function files(string $folder): iterable
    {
        $parser = (new ParserFactory)->createForHostVersion();
        /** @var \SplFileInfo $file */
        foreach (new \RecursiveIteratorIterator(
            new \RecursiveDirectoryIterator(dirname(__DIR__, 2).'/'.$folder, \FilesystemIterator::SKIP_DOTS)
        ) as $file) {
            if ($file->getExtension() === 'php' && ! str_ends_with($file->getFilename(), '.blade.php')) {
                $source = (string) file_get_contents($file->getPathname());
                $tree = $parser->parse($source) ?? [];
                $tokens = $parser->getTokens();
                $names = new NodeTraverser;
                $names->addVisitor(new NameResolver);
                yield [$source, array_values($names->traverse($tree)), $tokens];
            }
        }
    }
}
