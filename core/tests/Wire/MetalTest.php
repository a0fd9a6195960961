<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Wire;

use Hebra\Core\Piece\Patterns;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Plan\WireTable;
use Hebra\Core\Problem;
use Hebra\Core\Wire\Metal;
use Hebra\Core\Wire\MetalTable;
use PHPUnit\Framework\TestCase;

/** One table of metals, from which page, paper and chooser read. */
final class MetalTest extends TestCase
{
    public function test_a_metal_is_read_by_name_or_words_in_any_case(): void
    {
        foreach (Metal::cases() as $metal) {
            foreach ([
                $metal->value, $metal->words(), mb_strtoupper($metal->words()), ucwords($metal->words()),
                str_replace('-', ' ', $metal->value),
            ] as $text) {
                self::assertSame($metal, Metal::read("  {$text} "), $text);
            }
        }
        $this->expectException(Problem::class);
        Metal::read('unobtainium');
    }

    /** What the page paints is what paper is printed with. */
    public function test_the_page_paints_each_metal_as_the_table_has_it(): void
    {
        $css = (string) file_get_contents(dirname(__DIR__, 3).'/resources/css/wire.css');
        foreach (Metal::cases() as $metal) {
            self::assertSame(
                1,
                preg_match(
                    '/^[^{]*\.metal-'.preg_quote($metal->value, '/')
                        .'(?![\w-])[^{]*\{ --w-edge: (#\w{6}); --w-body: (#\w{6}); --w-shine: (#\w{6}); \}/m',
                    $css,
                    $match,
                ),
                $metal->value,
            );
            self::assertSame(
                array_map(fn (array $rgb): string => vsprintf('#%02x%02x%02x', $rgb), $metal->tint()),
                array_slice($match, 1),
                $metal->value,
            );
        }
    }

    /** A made-up price stands from its day on until the next; before the first day, the first stands. */
    public function test_made_up_prices_stand_from_their_day_on(): void
    {
        self::assertSame(['from' => '2026-07-01', 'e4' => 13_200], Metal::Sterling->inventedPrice('2026-10-31'));
        self::assertSame(['from' => '2026-11-01', 'e4' => 12_950], Metal::Sterling->inventedPrice('2026-11-01'));
        self::assertSame(['from' => '2026-01-01', 'e4' => 12_600], Metal::Sterling->inventedPrice('2020-02-02'));
        foreach (Metal::cases() as $metal) {
            $days = array_keys(MetalTable::row($metal)->inventedE4);
            self::assertSame(
                $days,
                [...array_filter($days, fn (string $day): bool => $day >= $days[0])],
                'early days first',
            );
            self::assertGreaterThan(0, $metal->inventedPrice('2026-11-28')['e4'], $metal->value);
        }
    }

    /** No metal is offered in a temper it never comes in, save one that is chosen already. */
    public function test_the_chooser_offers_no_temper_a_metal_never_comes_in(): void
    {
        foreach (Metal::cases() as $metal) {
            $piece = Patterns::start('single-drop', 'Chosen');
            foreach (array_keys($piece->wires) as $role) {
                $piece = $piece->withWire($role, $piece->wires[$role]->withMetal($metal));
            }
            foreach ($piece->rolesToChoose() as $role) {
                foreach (WireTable::of($piece, $role, new Profile) as $row) {
                    self::assertContains(
                        $row->wire->temper,
                        [...$metal->tempers(), $piece->wires[$role]->temper],
                        "{$metal->value} {$role}",
                    );
                }
            }
        }
    }
}
