<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\Stockkeeping;
use App\Pdf\Curves;
use App\Pdf\CutSheet;
use App\Pdf\Paper;
use App\Pdf\Sheet;
use Hebra\Core\Piece\Patterns;
use Hebra\Core\Plan\Plan;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Quantity\LengthUnit;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Group;
use Tests\TestCase;

/** Sheets on paper: rendered, and measured with the pixels as a ruler. */
final class SheetsTest extends TestCase
{
    /** Ten pixels a millimetre. */
    private const DPI = 254;

    private static function plan(string $pattern): Plan
    {
        return Planner::plan(Patterns::start($pattern, 'On paper'), new Profile);
    }

    /** @return list<array{int, int, string}> each page: width, height, grey bytes */
    private static function pages(string $pdf): array
    {
        $folder = sys_get_temp_dir().'/hebra-sheet-'.bin2hex(random_bytes(6));
        mkdir($folder);
        file_put_contents("{$folder}/sheet.pdf", $pdf);
        exec(
            'pdftoppm -gray -r '.self::DPI.' '.escapeshellarg("{$folder}/sheet.pdf").' '
                .escapeshellarg("{$folder}/page").' 2>&1',
            $said,
            $status,
        );
        self::assertSame(0, $status, implode("\n", $said));
        $pages = [];
        foreach (glob("{$folder}/page*.pgm") ?: [] as $file) {
            $bytes = (string) file_get_contents($file);
            self::assertSame(1, preg_match('/^P5\s+(\d+)\s+(\d+)\s+255\s/', $bytes, $match));
            $pages[] = [(int) $match[1], (int) $match[2], substr($bytes, strlen($match[0]))];
        }
        array_map(unlink(...), glob("{$folder}/*") ?: []);
        rmdir($folder);

        return $pages;
    }

    /**
     * The longest dark run in a band of rows.
     *
     * @param  array{int, int, string}  $page
     * @return array{float, float} from and to, mm
     */
    private static function longest(array $page, float $fromMm, float $toMm): array
    {
        [$wide, , $grey] = $page;
        $best = [0, 0];
        for ($y = (int) round(10 * $fromMm); $y <= (int) round(10 * $toMm); $y++) {
            $row = substr($grey, $y * $wide, $wide);
            $start = null;
            for ($x = 0; $x <= $wide; $x++) {
                $isDark = $x < $wide && ord($row[$x]) < 140;
                $start = $isDark ? ($start ?? $x) : $start;
                if (! $isDark && $start !== null) {
                    $best = $x - $start > $best[1] - $best[0] ? [$start, $x] : $best;
                    $start = null;
                }
            }
        }

        return [$best[0] / 10, $best[1] / 10];
    }

    /** @return array<string, array{Paper, float, float}> */
    public static function papers(): array
    {
        return ['A4' => [Paper::A4, 210.0, 297.0], 'Letter' => [Paper::Letter, 215.9, 279.4]];
    }

    /**
     * The check ruler is 100 mm, and the first strip, an ear wire, is as long as its cut: 1 : 1 to the width of a line.
     */
    #[DataProvider('papers')]
    public function test_ruler_and_strip_measure_true(Paper $paper, float $wide, float $high): void
    {
        $plan = self::plan('link-and-drop');
        $pages = self::pages(CutSheet::of($plan, $paper));
        self::assertEqualsWithDelta([$wide, $high], [$pages[0][0] / 10, $pages[0][1] / 10], 0.2);
        [$from, $to] = self::longest($pages[0], Sheet::RULER_Y_MM - 0.2, Sheet::RULER_Y_MM + 0.2);
        self::assertEqualsWithDelta(100.0, $to - $from, 0.4);
        self::assertEqualsWithDelta(Sheet::MARGIN_MM, $from, 0.3);
        [$from, $to] = self::longest($pages[0], 44.0, 58.0);
        self::assertEqualsWithDelta($plan->cuts[0]->lengthMm(), $to - $from, 0.4);
    }

    /**
     * A weaving wire of metres folds into rows over several pages; every page has its ruler, and the rows together are
     * the wire.
     */
    public function test_a_long_wire_folds_over_pages(): void
    {
        $plan = self::plan('sectioned-band');
        $pages = self::pages(CutSheet::of($plan, Paper::A4));
        self::assertGreaterThan(1, count($pages));
        $rows = 0;
        foreach ($pages as $page) {
            [$from, $to] = self::longest($page, Sheet::RULER_Y_MM - 0.2, Sheet::RULER_Y_MM + 0.2);
            self::assertEqualsWithDelta(100.0, $to - $from, 0.4);
            $was = false;
            for ($y = 34.0; $y < 290; $y += 0.3) {
                [$from, $to] = self::longest($page, $y, $y);
                $is = $to - $from > 177.5;
                $rows += $is && ! $was ? 1 : 0;
                $was = $is;
            }
        }
        // Each full row of 178 mm shows an upper and a lower edge, or both as one where the wire is thin.
        $long = max(array_map(fn ($cut): float => $cut->lengthMm(), $plan->cuts));
        self::assertGreaterThanOrEqual((int) floor($long / 178), $rows);
    }

    /** A quarter of a circle of radius 5 about (5, 0), from (0, 0) to (5, 5), as one cubic curve. */
    public function test_curves_as_points(): void
    {
        $pull = 5 * 4 / 3 * tan(M_PI / 8);
        $points = Curves::points([0.0, 0.0], ['C', 0.0, $pull, 5.0 - $pull, 5.0, 5.0, 5.0]);
        self::assertEqualsWithDelta([5.0, 5.0], $points[9], 1e-6);
        foreach ($points as [$x, $y]) {
            self::assertEqualsWithDelta(5.0, hypot($x - 5.0, $y), 0.002);
        }
    }

    #[Group('wide')]
    public function test_sheets_and_labels_are_served_as_pdf(): void
    {
        $piece = $this->piece('link-and-drop');
        $lot = app(Stockkeeping::class)->receive(
            $this->workshop(),
            [
                'kind' => 'coil', 'metal' => 'sterling', 'size' => '22 awg', 'temper' => 'dead-soft', 'amount' => '2 m',
                'name' => 'Long <coil>',
            ],
            LengthUnit::Millimetre,
        );
        foreach ([
            "/pieces/{$piece->ulid}/cut-sheet.pdf", "/pieces/{$piece->ulid}/bench-sheet.pdf?paper=letter",
            "/pieces/{$piece->ulid}/cut-sheet.pdf?paper=nonsense", "/lots/{$lot->ulid}/label.pdf",
        ] as $address) {
            $pdf = $this->actingAs($this->maker)->get($address)->assertOk()->assertHeader(
                'Content-Type',
                'application/pdf',
            )->getContent();
            self::assertStringStartsWith('%PDF-', (string) $pdf);
        }
        foreach (Patterns::all() as $name => $pattern) {
            self::assertStringStartsWith('%PDF-', \App\Pdf\BenchSheet::of(self::plan($name), Paper::A4));
        }
    }
}
