<?php

declare(strict_types=1);

namespace Tests\Feature;

use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\Finder\Finder;
use Tests\TestCase;

/** What the pages are drawn of (docs/interface.md) is drawn in one place each. */
final class DrawnOnceTest extends TestCase
{
    /** @return array<string, array{string, list<string>}> what only stands in these templates */
    public static function parts(): array
    {
        return [
            'a straight wire' => ['<rect class="strip-', ['components/wire.blade.php', 'svg/strip.blade.php']],
            'a lens' => ['loupe-glass', ['components/lens.blade.php']],
            'the figures over a ruler' => ['<svg width="100%" height="20">', ['components/marks.blade.php']],
            'a ruler of lengths' => ["@class(['rule'", ['components/rule.blade.php']],
            'a rail' => ['rail-hung', ['rail.blade.php', 'svg/bare-rail.blade.php']],
            'a choice in a sentence' => ['spoken-choice', ['components/said.blade.php']],
            'a piece in a list' => ['class="hung-picture"', ['svg/hung-picture.blade.php']],
            'a heap of beads' => ['class="heap"', ['svg/heap.blade.php']],
            'a jar, and the jar of clippings' => ['class="jar ', ['svg/clippings.blade.php', 'svg/jar.blade.php']],
            'a tool on its cloth' => ['class="tool-drawn"', ['svg/tool.blade.php']],
            'a chain that is apart' => ['class="apart"', ['svg/apart.blade.php']],
        ];
    }

    /** @param  list<string>  $where */
    #[DataProvider('parts')]
    public function test_it_is_drawn_once(string $mark, array $where): void
    {
        $drawn = [];
        foreach (Finder::create()->files()->in(resource_path('views'))->name('*.blade.php') as $file) {
            if (preg_match('~'.preg_quote($mark, '~').'~', $file->getContents()) === 1) {
                $drawn[] = $file->getRelativePathname();
            }
        }
        sort($drawn);
        self::assertSame($where, $drawn);
    }
}
