<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\View\Drawing;
use Hebra\Core\Piece\Change\CopyPart;
use Hebra\Core\Piece\Change\CountBead;
use Hebra\Core\Piece\Change\MoveBead;
use Hebra\Core\Piece\Part;
use Hebra\Core\Piece\Patterns;
use Hebra\Core\Piece\Piece;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Plan\Profile;
use Tests\TestCase;

/** What is made often is drawn once and put where it is used: the drawing is the same as if it were drawn each time. */
final class DrawingTest extends TestCase
{
    /** Both round to a hundredth of a pixel, the place of a template and that of its strokes. */
    private const PLAY_PX = 0.021;

    private static function drawing(Piece $piece, bool $byReference): Drawing
    {
        $drawing = new Drawing(Planner::plan($piece, new Profile)->assembly(), byReference: $byReference);

        return $drawing->allApart();
    }

    /** @return iterable<string, Piece> each with so many copies more of each part that can be copied */
    private static function pieces(int $copies): iterable
    {
        foreach (['two-links', 'link-and-drop', 'meander'] as $pattern) {
            $piece = Patterns::start($pattern, 'One');
            for ($copy = 0; $copy < $copies; $copy++) {
                $piece = (new CopyPart($piece->parts[1]->id))->apply($piece);
            }
            yield $pattern => $piece;
        }
    }

    /** @return array<string, list<array{float, float}>> where the paths of each mark of each layer begin */
    private static function begin(Drawing $drawing): array
    {
        $paths = array_column($drawing->templates(), 'path', 'id');
        $begin = [];
        foreach ($drawing->layers() as $layer => $strokes) {
            foreach ($strokes as $stroke) {
                $from = self::moved($stroke['path'], 0.0, 0.0);
                foreach ($stroke['uses'] as [$id, $where]) {
                    self::assertSame(1, preg_match('/^translate\((\S+) (\S+)\)$/', $where, $at), 'none is turned');
                    array_push($from, ...self::moved($paths[$id], (float) $at[1], (float) $at[2]));
                }
                $begin["{$layer} {$stroke['mark']} {$stroke['width']}"] = [
                    ...$begin["{$layer} {$stroke['mark']} {$stroke['width']}"] ?? [], ...$from,
                ];
            }
        }
        ksort($begin);

        return array_map(function (array $from): array {
            sort($from);

            return $from;
        }, $begin);
    }

    /** @return list<array{float, float}> */
    private static function moved(string $path, float $x, float $y): array
    {
        preg_match_all('/M(-?[\d.]+)[ ]?(-?[\d.]+)/', $path, $found, PREG_SET_ORDER);

        return array_map(fn (array $one): array => [$x + (float) $one[1], $y + (float) $one[2]], $found);
    }

    public function test_what_is_used_lies_where_it_would_be_drawn(): void
    {
        $used = 0;
        foreach (self::pieces(6) as $pattern => $piece) {
            $once = self::begin($drawing = self::drawing($piece, true));
            $each = self::begin(self::drawing($piece, false));
            $used += count($drawing->templates());
            self::assertSame(array_keys($each), array_keys($once), $pattern);
            foreach ($each as $mark => $places) {
                self::assertCount(count($places), $once[$mark], "{$pattern}, {$mark}");
                foreach ($places as $at => [$x, $y]) {
                    self::assertEqualsWithDelta([$x, $y], $once[$mark][$at], self::PLAY_PX, "{$pattern}, {$mark}");
                }
            }
        }
        self::assertGreaterThan(20, $used);
    }

    /** Copies bear marks of their own, and need no template of their own. */
    public function test_more_copies_need_no_more_templates(): void
    {
        foreach (self::pieces(6) as $pattern => $few) {
            $many = iterator_to_array(self::pieces(12))[$pattern];
            self::assertSame(
                count(self::drawing($few, true)->templates()), count(self::drawing($many, true)->templates()), $pattern,
            );
            $ids = array_map(fn (Part $part): string => $part->id->text, $many->parts);
            $drawn = [];
            foreach (self::drawing($many, true)->layers() as $strokes) {
                foreach ($strokes as $stroke) {
                    $drawn[strtok($stroke['mark'], ':')] = true;
                }
            }
            self::assertSame([], array_diff($ids, array_keys($drawn)), "{$pattern}: some are not drawn");
        }
    }

    /** @return array<string, list<string>> the names that are told and used in the drawing of each part */
    private static function names(Piece $piece): array
    {
        $drawing = new Drawing(Planner::plan($piece, new Profile)->assembly(), ratioGiven: 1.0);
        $drawn = view('svg.piece', [
            'drawing' => $drawing->allApart(), 'hangs' => '', 'across' => '', 'label' => 'One',
        ])->render();
        preg_match_all('~<(?:g|use) [^>]*data-mark="(\w+):.*?(?=<(?:g|use) [^>]*data-mark|</svg>)~s', $drawn, $marked);
        $names = [];
        foreach ($marked[1] as $at => $part) {
            preg_match_all('~(?:id="|href="#)([^"]+)"~', $marked[0][$at], $found);
            $names[$part] = [...$names[$part] ?? [], ...$found[1]];
        }

        return $names;
    }

    /** A page that is written anew where it differs leaves them as they are. */
    public function test_names_stay_where_another_part_changes(): void
    {
        $changes = 0;
        foreach (self::pieces(6) as $pattern => $piece) {
            $part = $piece->parts[1];
            $more = [new CountBead($part->id, 0, $part->beads[0]->count + 2)];
            $places = count($part->beads) > 1 ? [new MoveBead($part->id, 0, 1)] : [];
            foreach ([...$more, ...$places] as $change) {
                [$was, $is] = [self::names($piece), self::names($change->apply($piece))];
                self::assertNotSame($was[$part->id->text], $is[$part->id->text], $pattern);
                unset($was[$part->id->text], $is[$part->id->text]);
                self::assertGreaterThan(count($was), count(array_merge(...array_values($was))));
                self::assertSame($was, $is, $pattern);
                $changes++;
            }
        }
        self::assertGreaterThan(3, $changes);
    }
}
