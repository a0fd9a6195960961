<?php

declare(strict_types=1);

namespace Tests\Feature;

use Hebra\Core\Piece\Patterns;
use Hebra\Core\Piece\PieceJson;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The commands as outside scripts call them: a process each, standard output and error apart. */
final class CommandsTest extends TestCase
{
    /**
     * @param  list<string>  $arguments
     * @return array{int, string, string}
     */
    private static function artisan(array $arguments): array
    {
        $process = proc_open(
            [PHP_BINARY, 'artisan', ...$arguments],
            [1 => ['pipe', 'w'], 2 => ['pipe', 'w']],
            $pipes,
            dirname(__DIR__, 2),
        );
        self::assertIsResource($process);
        [$out, $error] = [(string) stream_get_contents($pipes[1]), (string) stream_get_contents($pipes[2])];

        return [proc_close($process), $out, $error];
    }

    /** One offcut of 212 takes a link and three pins to half a millimetre; the rest comes off the coil. */
    public function test_cuts_are_planned_from_two_lists(): void
    {
        [$cuts, $stock] = [(string) tempnam(sys_get_temp_dir(), 'cuts'), (string) tempnam(sys_get_temp_dir(), 'stock')];
        file_put_contents($cuts, "label,length,count\near wire,63.5,4\nlink,2 1/2 in,6\npin,48,3\n");
        file_put_contents(
            $stock,
            "label,length,count\noffcut a,212,1\noffcut b,96mm,1\nwindow coil,1.4m,1\nnew coil,3m,0\n",
        );
        [$code, $out, $err] = self::artisan(['hebra:cut', $cuts, $stock, '--json']);
        self::assertSame([0, ''], [$code, $err]);
        $plan = json_decode($out, true, 16, JSON_THROW_ON_ERROR);
        self::assertSame(
            ['assignments', 'value_lost_mm', 'bound_mm', 'optimal', 'opened', 'scrap_mm'],
            array_keys($plan),
        );
        self::assertSame(
            [['offcut a', ['link' => 1, 'pin' => 3]], ['window coil', ['ear wire' => 4, 'link' => 5]]],
            array_map(fn (array $one): array => [$one['stock'], $one['cuts']], $plan['assignments']),
        );
        self::assertSame(
            [621.5, 621.5, true, 2, 0.5],
            [$plan['value_lost_mm'], $plan['bound_mm'], $plan['optimal'], $plan['opened'], $plan['scrap_mm']],
        );
        file_put_contents($cuts, "bangle,5000,1\n");
        [$code, $out, $err] = self::artisan(['hebra:cut', $cuts, $stock, '--json']);
        self::assertSame(
            [1, '', "bangle is 5000 mm long, and the longest piece in stock 3000 mm: 2000 mm are missing.\n"],
            [$code, $out, $err],
        );
        foreach ([
            '--keep=-1mm' => 'keep', '--offcut-worth=2' => 'offcut worth', '--seconds=soon' => 'seconds',
        ] as $option => $named) {
            [$code, $out, $err] = self::artisan(['hebra:cut', $cuts, $stock, $option]);
            self::assertSame([1, '', 1], [$code, $out, substr_count($err, "\n")]);
            self::assertStringContainsStringIgnoringCase($named, $err);
        }
        array_map(unlink(...), [$cuts, $stock]);
    }

    public function test_a_sum_prints_json_in_full_precision(): void
    {
        [$status, $out, $error] = self::artisan(['hebra:sum', 'simple-loop', 'wire=20ga', 'inside=2,4 mm', '--json']);
        self::assertSame([0, ''], [$status, $error]);
        $answer = json_decode($out, true, 16, JSON_THROW_ON_ERROR);
        self::assertSame(['sum', 'inputs', 'results', 'working', 'source'], array_keys($answer));
        self::assertSame(['wire' => '20ga', 'inside' => '2,4 mm'], $answer['inputs']);
        self::assertEqualsWithDelta(
            M_PI * (2.4 + 0.127 * 92 ** (16 / 39)),
            $answer['results']['wire_length_mm'],
            1e-12,
        );
    }

    public function test_a_sum_prints_a_table_with_its_working(): void
    {
        [$status, $out] = self::artisan(['hebra:sum', 'wrapped-link', 'wire=22awg', 'inside=2.5', 'wraps=3', 'body=8']);
        self::assertSame(0, $status);
        foreach (['cut_mm', '56.1922', 'body + 2(neck + loop + wraps + tail)', 'Source: '] as $seen) {
            self::assertStringContainsString($seen, $out);
        }
    }

    /** @return array<string, array{list<string>, string}> */
    public static function refused(): array
    {
        return [
            'unknown sum' => [['hebra:sum', 'weld'], 'Sum “weld” is not known here'],
            'unknown key' => [['hebra:sum', 'simple-loop', 'wire=20awg', 'inside=2', 'x=1'], 'takes no “x”'],
            'not a pair' => [['hebra:sum', 'simple-loop', '20awg'], '“20awg” is not key=value'],
            'out of range' => [
                ['hebra:sum', 'simple-loop', 'wire=20awg', 'inside=0', '--json'], 'Inside 0 mm is not a size',
            ],
            'a whole size' => [['hebra:sum', 'wire-size', 'size=20'], 'could be 20awg, 20swg or 20mm'],
            'no file' => [['hebra:plan', 'nowhere.json'], 'cannot be read'],
            'not a piece' => [
                ['hebra:plan', 'package.json', '--json'],
                'The document says it is missing: a piece says "hebra": "piece".',
            ],
        ];
    }

    /** @param  list<string>  $arguments */
    #[DataProvider('refused')]
    public function test_a_refusal_is_one_line_on_standard_error(array $arguments, string $sentence): void
    {
        [$status, $out, $error] = self::artisan($arguments);
        self::assertSame([1, ''], [$status, $out]);
        self::assertStringContainsString($sentence, $error);
        self::assertSame(1, substr_count($error, "\n"));
    }

    /**
     * From thirteen parts on steps are told by operation; each order on request, and what is formed aligned with it.
     */
    public function test_a_plan_tells_its_steps_by_operation_or_part_by_part(): void
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'hebra');
        file_put_contents($file, PieceJson::write(Patterns::start('linked-bracelet', 'Planned')));
        try {
            $told = [];
            foreach ([[], ['--operations'], ['--parts']] as $options) {
                [$status, $out] = self::artisan(['hebra:plan', $file, '--json', ...$options]);
                self::assertSame(0, $status);
                $plan = json_decode($out, true, 16, JSON_THROW_ON_ERROR);
                self::assertCount(count($plan['steps']), $plan['forming']);
                $told[] = $plan['steps'];
            }
        } finally {
            unlink($file);
        }
        self::assertSame($told[0], $told[1]);
        self::assertGreaterThan(count($told[0]), count($told[2]));
        $wraps = array_values(array_filter($told[0], fn (array $step): bool => $step['operation'] === 'wrap'));
        self::assertSame([6, 6], array_column($wraps, 'times'));
        self::assertCount(6, $wraps[0]['parts']);
        self::assertCount(12, array_filter($told[2], fn (array $step): bool => $step['operation'] === 'wrap'));
    }

    /**
     * Asked for, every wire's middle line is as long as its cut; every step that forms names stretches that there are.
     */
    public function test_a_plan_tells_curves_and_what_is_formed(): void
    {
        foreach (['two-links', 'meander', 'bound-disc'] as $pattern) {
            $file = (string) tempnam(sys_get_temp_dir(), 'hebra');
            file_put_contents($file, PieceJson::write(Patterns::start($pattern, 'Planned')));
            try {
                [$status, $out] = self::artisan(['hebra:plan', $file, '--json', '--curve']);
            } finally {
                unlink($file);
            }
            self::assertSame(0, $status);
            $plan = json_decode($out, true, 16, JSON_THROW_ON_ERROR);
            $moves = [];
            foreach ($plan['courses'] as $course) {
                $moves[$course['wire']] = $course['moves'];
                $long = 0.0;
                foreach (array_slice($course['curve_mm'] ?? [], 1) as $at => $to) {
                    $from = $course['curve_mm'][$at];
                    $long += sqrt(($to[0] - $from[0]) ** 2 + ($to[1] - $from[1]) ** 2 + ($to[2] - $from[2]) ** 2);
                }
                $cut = array_sum(array_column($course['moves'], 'length_mm'));
                if ($course['cut'] !== 'Rings') {
                    self::assertEqualsWithDelta($cut, $long, 0.03 * $cut, "{$pattern}: {$course['cut']}");
                }
            }
            // After each step the moves that are made, counted through all courses; in the end all that stays.
            self::assertCount(count($plan['steps']), $plan['forming']);
            $all = array_merge(...array_map(fn (array $course): array => $course['moves'], $plan['courses']));
            $last = [];
            foreach ($plan['forming'] as $made) {
                self::assertSame([], array_diff($last, $made));
                $last = $made;
            }
            $stays = array_keys(
                array_filter($all, fn (array $move): bool => ! in_array($move['kind'], ['tail', 'trim'], true))
            );
            self::assertSame($stays, $last, $pattern);
        }
    }

    public function test_draws_a_piece_and_each_of_its_steps(): void
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'hebra');
        file_put_contents($file, PieceJson::write(Patterns::start('sewn-disc', 'Drawn')));
        try {
            foreach (['front', 'side', 'back'] as $view) {
                [$status, $svg, $error] = self::artisan(['hebra:drawing', $file, "--view={$view}"]);
                self::assertSame([0, ''], [$status, $error]);
                self::assertGreaterThan(10, count(self::wires($svg)), $view);
            }
            [, $first] = self::artisan(['hebra:forming', $file, '--step=2']);
            [$status, $last, $error] = self::artisan(['hebra:forming', $file, '--step=20', '--view=back']);
            self::assertSame([0, ''], [$status, $error]);
            self::assertLessThan(count(self::wires($last)), count(self::wires($first)), 'a cut is but its wire');
            foreach ([
                '--step=0' => '1 to', '--step=999' => '1 to', '--view=inside' => 'front, side, back, top',
            ] as $wrong => $says) {
                [$status, $out, $error] = self::artisan(['hebra:forming', $file, $wrong]);
                self::assertSame([1, ''], [$status, $out]);
                self::assertStringContainsString($says, $error);
            }
            [$status, $out, $error] = self::artisan(['hebra:drawing', '/no/such/piece.json']);
            self::assertSame([1, ''], [$status, $out]);
            self::assertStringContainsString('/no/such/piece.json', $error);
        } finally {
            unlink($file);
        }
    }

    /** @return list<string> what is drawn in wire, of a picture that can be read */
    private static function wires(string $svg): array
    {
        $read = simplexml_load_string($svg);
        self::assertNotFalse($read);
        $read->registerXPathNamespace('s', 'http://www.w3.org/2000/svg');

        return array_map(strval(...), $read->xpath('//s:g[contains(@class, "wire")]/@data-mark') ?: []);
    }

    public function test_a_plan_prints_everything(): void
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'hebra');
        file_put_contents($file, PieceJson::write(Patterns::start('two-links', 'Planned')));
        try {
            [$status, $out, $error] = self::artisan(['hebra:plan', $file, '--json']);
            self::assertSame([0, ''], [$status, $error]);
            $plan = json_decode($out, true, 16, JSON_THROW_ON_ERROR);
            self::assertSame(
                [
                    'name', 'makes', 'cuts', 'courses', 'forming', 'rings', 'beads', 'findings', 'buy', 'passes',
                    'steps',
                    'checks', 'size', 'metal',
                ],
                array_keys($plan),
            );
            foreach ($plan['cuts'] as $cut) {
                self::assertSame(
                    ['label', 'key', 'wire', 'count', 'length_mm', 'printed_mm', 'trim_mm', 'segments', 'bends_mm'],
                    array_keys($cut),
                );
                self::assertEqualsWithDelta(
                    array_sum(array_column($cut['segments'], 'length_mm')),
                    $cut['length_mm'],
                    1e-9,
                );
                self::assertGreaterThanOrEqual($cut['length_mm'] - 1e-6, $cut['printed_mm']);
            }
            foreach ($plan['metal'] as $metal) {
                self::assertEqualsWithDelta($metal['gross_g'], $metal['net_g'] + $metal['scrap_g'], 1e-9);
            }
            // Replayed from outside: what the steps push on, over the end they say, lies on the wire as its course has
            // it.
            foreach ($plan['courses'] as $course) {
                $along = array_merge(
                    ...array_map(fn (array $move): array => $move['things'] ?? [], $course['moves']),
                    ...[[]],
                );
                $put = [];
                $first = null;
                foreach ($plan['steps'] as $step) {
                    if (
                        ($step['wire'] ?? '') === $course['wire']
                        && isset($step['puts_on'])
                        && ($first ??= $step['parts'][0]) === $step['parts'][0]
                    ) {
                        $put = $step['over'] === 'first'
                            ? [...array_reverse($step['puts_on']), ...$put]
                            : [...$put, ...$step['puts_on']];
                    }
                }
                self::assertSame($along, $put, $course['wire']);
            }
            $gross = array_sum(
                array_map(
                    fn (
                        array $cut,
                    ): float => $cut['count'] * ($cut['printed_mm'] + $cut['trim_mm']) * ($cut['wire'] === $plan['metal'][0]['wire'] ? 1 : 0),
                    $plan['cuts'],
                ),
            );
            self::assertEqualsWithDelta(
                $plan['metal'][0]['gross_g'],
                \Hebra\Core\Piece\Patterns::start('two-links', 'x')->wires['ear']->gramsOf($gross),
                1e-9,
                'gross is of printed lengths and trims',
            );
            self::assertSame(['ready', 'cut', 'cut'], array_slice(array_column($plan['steps'], 'operation'), 0, 3));
            [$status, $table] = self::artisan(['hebra:plan', $file]);
            self::assertSame(0, $status);
            self::assertStringContainsString('Link 1', $table);
        } finally {
            unlink($file);
        }
    }

    public function test_a_sentence_is_answered(): void
    {
        [$status, $out, $error] = self::artisan(
            ['hebra:ask', 'what mandrel for a US 8 ring in half-hard 16 gauge sterling?', '--json']
        );
        self::assertSame([0, ''], [$status, $error]);
        $answer = json_decode($out, true, 16, JSON_THROW_ON_ERROR);
        self::assertSame(['sum', 'inputs', 'results', 'missing'], array_keys($answer));
        self::assertSame(['spring-back', []], [$answer['sum'], $answer['missing']]);
        // Elastic recovery of a bend (Gardiner): Ri/Rf = 4x³ − 3x + 1 with x = Ri·Y/(E·t), from memory; the finger is
        // 18.13 mm.
        self::assertEqualsWithDelta(18.13, $answer['results']['released_inside_mm'], 0.01);
        self::assertLessThan(18.13, $answer['results']['mandrel_mm']);

        [, $out] = self::artisan(['hebra:ask', '2', 'feet', 'of', '26', 'gauge', 'copper', 'weighs?', '--json']);
        // 609.6 mm × π/4 × (0.4049 mm)² × 8.96 mg/mm³, copper of ASTM B3 by its handbook density.
        self::assertEqualsWithDelta(
            609.6 * M_PI / 4 * 0.4049 ** 2 * 8.96e-3,
            json_decode($out, true)['results']['mass_g'],
            1e-3,
        );
    }

    public function test_what_a_sentence_leaves_out_is_named_with_the_value_it_takes(): void
    {
        [$status, $out] = self::artisan(
            ['hebra:ask', 'how much wire for a 30 mm hoop in 20 gauge with a 2 mm eye?', '--json']
        );
        self::assertSame(0, $status);
        $answer = json_decode($out, true, 16, JSON_THROW_ON_ERROR);
        self::assertSame(['hook'], $answer['missing']);
        self::assertSame('8 mm', $answer['inputs']['hook']);
    }

    public function test_a_sentence_that_means_nothing_is_refused_in_one_line(): void
    {
        [$status, $out, $error] = self::artisan(['hebra:ask', 'dance', '3']);
        self::assertSame(
            [1, '', 'I know no sum for “dance 3”: begin with what it is, such as coil, bind, link, weave, hoop, '
                ."ring us 7.\n"],
            [$status, $out, $error],
        );
    }
}
