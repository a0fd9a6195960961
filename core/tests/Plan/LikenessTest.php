<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Plan;

use Hebra\Core\Figure\BeadMark;
use Hebra\Core\Figure\Stroke;
use Hebra\Core\Piece\ChangeWriter;
use Hebra\Core\Piece\Parameter;
use Hebra\Core\Piece\Piece;
use Hebra\Core\Plan\Check;
use Hebra\Core\Plan\Cut;
use Hebra\Core\Plan\FitSheet;
use Hebra\Core\Plan\Inspection;
use Hebra\Core\Plan\Minutes;
use Hebra\Core\Plan\Plan;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Plan\Point;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Plan\Way;
use Hebra\Core\Plan\WireRow;
use Hebra\Core\Plan\WireTable;
use Hebra\Core\Sum\Given;
use Hebra\Core\Sum\Input;
use Hebra\Core\Sum\Sums;
use Hebra\Core\Technique\Techniques;
use Hebra\Core\Tests\Kept;
use Hebra\Core\Tests\Piece\Everything;
use Hebra\Core\Wire\Metal;
use Hebra\Core\Wire\MetalTable;
use Hebra\Core\Wire\Temper;
use Hebra\Core\Wire\Wire;
use Hebra\Core\Wire\WireSize;
use Hebra\Core\Working;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;

/**
 * Every pattern and every technique in each of its choices, as it was when it was last looked at: its cuts, what is
 * judged of it, its steps, where every stroke and bead of its drawing lies; and the ranges of every setting and every
 * input of a sum. What changes on purpose is looked at on the page and kept anew with HEBRA_KEEP_LIKENESS=1; what
 * changes unseen fails here.
 */
final class LikenessTest extends TestCase
{
    private const FILE = __DIR__.'/fixtures/likeness.json';

    #[Group('wide')]
    public function test_everything_is_as_it_was_last_looked_at(): void
    {
        $now = [];
        foreach ([
            ...iterator_to_array(Everything::patterns()), ...iterator_to_array(Everything::techniques()),
            ...iterator_to_array(Everything::changed(40)),
        ] as $name => $piece) {
            $now[$name] = self::likeness(Planner::plan($piece, new Profile));
        }
        foreach (Techniques::all() as $name => $technique) {
            $now["settings of {$name}"] = [
                'settings' => array_map(
                    fn (Parameter $one): array => array_map(
                        fn (mixed $value): mixed => $value instanceof \BackedEnum ? $value->value : $value,
                        [...get_object_vars($one), 'tools' => array_column($one->tools, 'value')],
                    ),
                    $technique->parameters(),
                ),
            ];
        }
        foreach (Sums::all() as $name => $sum) {
            $given = Given::read($sum, $sum->example());
            $answer = $sum->work($given);
            $diagram = $sum->figure($given, $answer);
            $now["answer of {$name}"] = [
                'results' => array_map(
                    fn (mixed $value): mixed => is_float($value) ? sprintf('%.9g', $value) : $value,
                    $answer->results,
                ),
                'working' => array_map(fn (Working $line): string => $line->text(), $answer->working),
                'drawn' => self::moments([$diagram->circles(), $diagram->lines()]),
            ];
            $now["inputs of {$name}"] = [
                'inputs' => array_map(
                    fn (Input $one): array => [$one->key, $one->default, $one->least, $one->most, $one->isOptional],
                    $sum->inputs,
                ),
            ];
        }
        Kept::assertSame(self::FILE, $now, 0.051);
    }

    /**
     * Far from what anyone looked at: many changes, and wires too thin, thick, soft and hard. All that is told and
     * drawn of each, as one sum.
     */
    #[Group('wide')]
    public function test_what_is_far_from_the_patterns_is_as_it_was(): void
    {
        $now = [];
        foreach ([
            ...iterator_to_array(Everything::patterns()), ...iterator_to_array(Everything::techniques()),
            ...iterator_to_array(Everything::changed(220)), ...iterator_to_array(self::otherwise()),
        ] as $name => $piece) {
            $plan = Planner::plan($piece, new Profile);
            $figure = $plan->figure();
            $now[$name] = [
                'told' => self::sum([$plan->toArray(), self::texts($plan)]),
                'drawn' => self::sum(
                    [
                        array_map(get_object_vars(...), $figure->strokes),
                        array_map(get_object_vars(...), $figure->beads),
                    ],
                ),
            ];
        }
        Kept::assertSame(__DIR__.'/fixtures/far.json', $now);
    }

    /** @return iterable<string, Piece> every pattern with one of its wires of another size and temper */
    private static function otherwise(): iterable
    {
        foreach (Everything::patterns() as $name => $piece) {
            foreach ($piece->rolesToChoose() as $role) {
                foreach ([
                    '14awg' => Temper::Hard, '18awg' => Temper::Spring, '24awg' => Temper::DeadSoft,
                    '30awg' => Temper::DeadSoft,
                ] as $size => $temper) {
                    yield "{$name}, {$role} {$size}" => $piece->withWire(
                        $role,
                        new Wire($piece->wires[$role]->metal, WireSize::parse($size), $temper),
                    );
                }
            }
        }
    }

    private static function sum(mixed $all): int
    {
        return crc32(
            (string) json_encode(
                Kept::figures(json_decode((string) json_encode($all, JSON_PARTIAL_OUTPUT_ON_ERROR), true)),
            ),
        );
    }

    /**
     * @return list<mixed> every sentence: checks with their ways out, steps with their cautions, what is made ready and
     *     looked over
     */
    private static function texts(Plan $plan): array
    {
        $checks = array_map(fn (Check $check): array => [
            $check->level, $check->rule, $check->text, (string) $check->part,
            array_map(fn (Way $way): array => [$way->words, ChangeWriter::fields($way->change)], $check->ways),
        ], $plan->checks);

        return [$checks, $plan->prepare(), $plan->steps(), self::points($plan), FitSheet::of($plan)];
    }

    /** @return list<array<string, mixed>> what each says; its bead is what it names */
    private static function points(Plan $plan): array
    {
        return array_map(
            fn (Point $point): array => array_diff_key(get_object_vars($point), ['bead' => true]),
            Inspection::of($plan),
        );
    }

    /**
     * Of every wire of every pattern: which are ruled out, which stand first, and every figure and sentence that judges
     * them.
     */
    #[Group('wide')]
    public function test_every_wire_is_judged_as_it_was_last_looked_at(): void
    {
        $now = [];
        foreach (Everything::patterns() as $name => $piece) {
            foreach ($piece->rolesToChoose() as $role) {
                $rows = WireTable::of($piece, $role, new Profile);
                $all = array_map(
                    fn (WireRow $row): array => [
                        $row->wire->key(),
                        $row->rank,
                        $row->why,
                        ...Kept::figures(
                            array_map(
                                fn (?float $one): float => (float) $one,
                                [
                                    $row->penalty, $row->springs, $row->holds, $row->effort, $row->marginMm,
                                    $row->opensN, $row->grams,
                                ],
                            ),
                        ),
                    ],
                    $rows,
                );
                $now["{$name}: {$role}"] = [
                    'first' => array_slice(array_column($all, 0), 0, 3),
                    'fit' => count(array_filter($rows, fn (WireRow $row): bool => $row->fits)),
                    'all' => crc32((string) json_encode($all)),
                ];
            }
        }
        foreach (Metal::cases() as $metal) {
            $row = MetalTable::row($metal);
            $now["metal {$metal->value}"] = Kept::figures(
                [
                    ...get_object_vars($row), 'strength' => get_object_vars($row->strength),
                    'tempers' => array_map(fn (Temper $temper): string => $temper->value, $row->tempers),
                ],
            );
        }
        Kept::assertSame(__DIR__.'/fixtures/wires.json', $now);
    }

    /** @return array<string, mixed> */
    private static function likeness(Plan $plan): array
    {
        $figure = $plan->figure();
        $texts = array_map(
            fn ($step): string => "{$step->title} {$step->text} {$step->count}",
            [...$plan->prepare(), ...$plan->steps()],
        );

        return [
            'cuts' => array_map(
                fn (Cut $cut): array => [
                    $cut->label,
                    $cut->count,
                    round($cut->lengthMm(), 2),
                    ...array_map(fn ($bend): float => round($bend->atMm, 2), $cut->bends),
                ],
                $plan->cuts,
            ),
            'checks' => array_map(
                fn (Check $check): string => "{$check->level->value} {$check->rule} ".crc32($check->text),
                $plan->checks,
            ),
            'steps' => [count($texts), crc32(implode("\n", $texts))],
            'looks' => array_map(
                fn (array $point): string => $point['key'].' '.crc32((string) json_encode($point)),
                self::points($plan),
            ),
            'told' => crc32(
                (string) json_encode(
                    Kept::figures(
                        [
                            $plan->toArray(), FitSheet::of($plan)->lines, FitSheet::of($plan)->sentences,
                            array_map(fn ($one): float => round($one->scrapGrams(), 6), $plan->metal),
                        ],
                    ),
                ),
            ),
            'minutes' => Kept::figures(Minutes::of($plan)),
            'size' => [round($plan->hangsMm(), 2), round($figure->widthMm(), 2), round($figure->heightMm(), 2)],
            'strokes' => array_map(
                fn (Stroke $stroke): array => [$stroke->layer, $stroke->mark, ...self::moments($stroke->path)],
                $figure->strokes,
            ),
            'beads' => array_map(
                fn (BeadMark $bead): array => [round($bead->xMm, 2), round($bead->topMm, 2)],
                $figure->beads,
            ),
        ];
    }

    /**
     * Where a path lies and how it runs, in two figures: the sum of its numbers, and that sum weighted by place.
     *
     * @param  array<mixed>  $path
     * @return array{float, float}
     */
    private static function moments(array $path): array
    {
        $sum = $weighted = 0.0;
        $at = 0;
        array_walk_recursive($path, function (mixed $value) use (&$sum, &$weighted, &$at): void {
            if (is_int($value) || is_float($value)) {
                $sum += $value;
                $weighted += $value * (1 + $at++ % 7);
            }
        });

        return [round($sum, 1), round($weighted, 1)];
    }
}
