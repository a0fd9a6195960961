<?php

declare(strict_types=1);

namespace Hebra\Core\Tests;

use PhpParser\Node;
use PhpParser\NodeFinder;
use PhpParser\ParserFactory;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;

/** The layers: the core knows the trade and nothing of the web; every file says strict_types; classes are final. */
final class ArchitectureTest extends TestCase
{
    private const FORBIDDEN_CALLS = [
        'time', 'microtime', 'date', 'hrtime', 'mktime', 'strtotime', 'rand', 'mt_rand', 'random_int', 'random_bytes',
        'shuffle', 'array_rand', 'uniqid',
        'env', 'getenv', 'config', 'app', 'view', 'file_get_contents', 'file_put_contents', 'fopen', 'curl_init',
        'exec', 'shell_exec', 'proc_open', 'echo',
        'header', 'session_start', 'htmlspecialchars', 'e', 'dd', 'dump', 'var_dump', 'print_r', 'error_log',
    ];

    /** @return iterable<string, list<Node\Stmt>> */
    private static function files(string $folder): iterable
    {
        $parser = (new ParserFactory)->createForHostVersion();
        /** @var \SplFileInfo $file */
        foreach (new \RecursiveIteratorIterator(
            new \RecursiveDirectoryIterator(dirname(__DIR__, 2).'/'.$folder, \FilesystemIterator::SKIP_DOTS)
        ) as $file) {
            if ($file->getExtension() === 'php' && ! str_ends_with($file->getFilename(), '.blade.php')) {
                yield $file->getPathname() => $parser->parse((string) file_get_contents($file->getPathname())) ?? [];
            }
        }
    }

    #[Group('wide')]
    public function test_the_core_reaches_for_nothing_outside(): void
    {
        $finder = new NodeFinder;
        $read = 0;
        foreach (self::files('core/src') as $path => $ast) {
            $read++;
            foreach ($finder->findInstanceOf($ast, Node\Name::class) as $name) {
                self::assertDoesNotMatchRegularExpression(
                    '/^\\\\?(Illuminate|App|Symfony|Carbon|Database|DateTime\w*|PDO)\b/',
                    $name->toString(),
                    $path,
                );
            }
            foreach ($finder->findInstanceOf($ast, Node\Expr\FuncCall::class) as $call) {
                if ($call->name instanceof Node\Name) {
                    self::assertNotContains(
                        strtolower($call->name->getLast()),
                        self::FORBIDDEN_CALLS,
                        $path.':'.$call->getStartLine(),
                    );
                }
            }
            foreach ([
                Node\Stmt\Echo_::class, Node\Stmt\InlineHTML::class, Node\Expr\Exit_::class, Node\Stmt\Global_::class,
            ] as $kind) {
                self::assertSame([], $finder->findInstanceOf($ast, $kind), $path);
            }
            foreach ($finder->findInstanceOf($ast, Node\Scalar\String_::class) as $text) {
                self::assertDoesNotMatchRegularExpression(
                    '~</?(div|span|p|svg|g|path|a|b)\b[^>]*>|\b(SELECT|INSERT INTO|UPDATE)\b~',
                    $text->value,
                    $path.':'.$text->getStartLine(),
                );
            }
        }
        self::assertGreaterThan(50, $read);
    }

    /** Rooms build on each other one way; what still goes both ways is named, and may only become less. */
    #[Group('wide')]
    public function test_rooms_build_on_each_other_one_way(): void
    {
        $imports = [];
        $finder = new NodeFinder;
        foreach (self::files('core/src') as $path => $ast) {
            $room = explode('/', explode('/core/src/', $path)[1])[0];
            foreach ($finder->findInstanceOf($ast, Node\Name::class) as $name) {
                if (
                    preg_match('/^\\\\?Hebra\\\\Core\\\\([A-Z]\w+)\\\\/', $name->toString(), $found) === 1
                    && $found[1] !== $room
                ) {
                    $imports[$room][$found[1]] = true;
                }
            }
        }
        $both = [];
        foreach ($imports as $room => $others) {
            foreach (array_keys($others) as $other) {
                if (isset($imports[$other][$room]) && $room < $other) {
                    $both[] = "{$room} and {$other}";
                }
            }
        }
        self::assertSame([], $both);
        self::assertSame([], array_intersect(array_keys($imports['Piece']), ['Plan', 'Technique', 'Course', 'Figure']));
        self::assertArrayNotHasKey('Technique', $imports['Plan'], 'plans know techniques by what they are asked');
        self::assertSame([], array_intersect(array_keys($imports['Course']), ['Piece', 'Plan', 'Technique', 'Figure']));
    }

    /** What hands do is told with the stretch that they do it to: nothing else makes steps of a technique. */
    #[Group('wide')]
    public function test_no_technique_makes_steps_of_its_own(): void
    {
        $finder = new NodeFinder;
        $read = 0;
        foreach (self::files('core/src/Technique') as $path => $ast) {
            $read++;
            foreach ($finder->findInstanceOf($ast, Node\Name::class) as $name) {
                self::assertStringEndsNotWith('Plan\\Step', $name->toString(), $path);
            }
        }
        self::assertGreaterThan(50, $read);
    }

    #[Group('wide')]
    public function test_every_file_is_strict_and_every_class_final(): void
    {
        $finder = new NodeFinder;
        foreach (['core/src', 'core/tests', 'app', 'database', 'tests', 'config', 'routes', 'bootstrap'] as $folder) {
            foreach (self::files($folder) as $path => $ast) {
                if (str_contains($path, '/bootstrap/cache/')) {
                    continue;
                }
                self::assertInstanceOf(
                    Node\Stmt\Declare_::class,
                    $ast[0] ?? null,
                    "{$path} does not begin with strict_types",
                );
                foreach ($finder->findInstanceOf($ast, Node\Stmt\Class_::class) as $class) {
                    self::assertTrue($class->isFinal() || $class->isAbstract() || $class->isAnonymous(), $path);
                }
            }
        }
    }

    #[Group('wide')]
    public function test_env_is_read_in_config_alone(): void
    {
        $finder = new NodeFinder;
        foreach (['app', 'database', 'routes', 'bootstrap'] as $folder) {
            foreach (self::files($folder) as $path => $ast) {
                foreach (
                    str_contains($path, '/bootstrap/cache/')
                    ? []
                    : $finder->findInstanceOf($ast, Node\Expr\FuncCall::class) as $call
                ) {
                    self::assertFalse(
                        $call->name instanceof Node\Name && in_array($call->name->toString(), ['env', 'getenv'], true),
                        $path,
                    );
                }
            }
        }
    }

    /** What writes knows no page, what reads knows neither: pages are made of what was read. */
    public function test_actions_and_readers_know_no_view(): void
    {
        $finder = new NodeFinder;
        foreach (['app/Actions' => ['App\\View'], 'app/Read' => ['App\\View', 'App\\Actions']] as $folder => $barred) {
            foreach (self::files($folder) as $path => $ast) {
                foreach ($finder->findInstanceOf($ast, Node\UseItem::class) as $use) {
                    foreach ($barred as $room) {
                        self::assertStringStartsNotWith($room, $use->name->toString(), $path);
                    }
                }
            }
        }
    }

    public function test_controllers_do_no_sums(): void
    {
        $finder = new NodeFinder;
        foreach (self::files('app/Http') as $path => $ast) {
            foreach ($finder->findInstanceOf($ast, Node\Expr\FuncCall::class) as $call) {
                self::assertFalse(
                    $call->name instanceof Node\Name
                        && in_array($call->name->toString(), ['sqrt', 'pi', 'sin', 'cos', 'pow'], true),
                    $path,
                );
            }
        }
    }
}
