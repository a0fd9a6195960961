<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Tool;

use Hebra\Core\Plan\Forming;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Problem;
use Hebra\Core\Quantity\LengthUnit;
use Hebra\Core\Tool\Tool;
use Hebra\Core\Tool\ToolBox;
use Hebra\Core\Tool\ToolKind;
use Hebra\Core\Wire\Metal;
use Hebra\Core\Wire\Temper;
use Hebra\Core\Wire\Wire;
use Hebra\Core\Wire\WireSize;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class ToolTest extends TestCase
{
    private static function tool(ToolKind $kind, string $marks, string $name = ''): Tool
    {
        return Tool::of($kind, $name, Tool::readMarks($kind, $marks, LengthUnit::Millimetre));
    }

    /** @return array<string, array{ToolKind, string, list<float>, string}> */
    public static function marks(): array
    {
        return [
            'a list with its unit once' => [ToolKind::RoundNose, '2.5, 1.5, 2 mm', [1.5, 2.0, 2.5], '1.5, 2, 2.5 mm'],
            'each with its own' => [ToolKind::Stepped, '1/4 in; 5mm', [5.0, 6.35], '5, 6.35 mm'],
            'a row' => [ToolKind::Mandrel, '3 to 8 by 1 mm', [3.0, 4.0, 5.0, 6.0, 7.0, 8.0], '3 to 8 by 1 mm'],
            'decimal commas' => [ToolKind::RoundNose, '1,5; 2,5', [1.5, 2.5], '1.5, 2.5 mm'],
            'ring sizes' => [ToolKind::RingMandrel, 'us 5, us 6', [15.694, 16.507], 'us 5, us 6'],
        ];
    }

    /** @param  list<float>  $expected */
    #[DataProvider('marks')]
    public function test_marks_are_read_and_written(
        ToolKind $kind,
        string $text,
        array $expected,
        string $written,
    ): void {
        $tool = self::tool($kind, $text);
        self::assertEqualsWithDelta($expected, $tool->marksMm, 1e-3);
        self::assertSame($written, $tool->marksText());
        self::assertEqualsWithDelta($tool->marksMm, self::tool($kind, $tool->marksText())->marksMm, 2e-3);
    }

    /** @return array<string, array{ToolKind, string, string}> */
    public static function noMarks(): array
    {
        return [
            'a word' => [ToolKind::RoundNose, 'thick', 'Marks “thick” is not a length'],
            'nothing' => [ToolKind::RoundNose, '', 'Marks is empty: give the marks you drew on the jaw'],
            'backwards' => [
                ToolKind::Mandrel, '8 to 3 by 1', 'is no row of marks: give up to 80 marks from small to large.',
            ],
            'a step of nothing' => [ToolKind::Mandrel, '3 to 8 by 0', 'is no row of marks'],
            'a pipe' => [
                ToolKind::Mandrel, '400 mm', 'Marks 400 mm is not a size: give more than 0 and at most 120 mm.',
            ],
            'no ring' => [ToolKind::RingMandrel, '60 mm', 'Marks 60 mm is out of range: give 11.6 mm to 25 mm.'],
            'a novel' => [ToolKind::Mandrel, str_repeat('3, ', 300), 'Marks holds 900 characters'],
        ];
    }

    #[DataProvider('noMarks')]
    public function test_refuses_marks(ToolKind $kind, string $text, string $sentence): void
    {
        $this->expectException(Problem::class);
        $this->expectExceptionMessage($sentence);
        self::tool($kind, $text);
    }

    public function test_the_nearest_mark_is_named(): void
    {
        $box = new ToolBox(
            [
                self::tool(ToolKind::RoundNose, '1.5, 2, 2.5, 3 mm', 'Fine pliers'),
                self::tool(ToolKind::Stepped, '5, 7 mm'), self::tool(ToolKind::RingMandrel, 'us 6 to us 8 by 1/2'),
            ],
        );
        self::assertSame(
            'the third mark (2.5 mm) of the fine pliers',
            $box->nearest(2.45, ToolKind::RoundNose, ToolKind::Stepped)?->words(),
        );
        self::assertSame(
            'the 5 mm step of the stepped pliers',
            $box->nearest(4.6, ToolKind::RoundNose, ToolKind::Stepped)?->words(),
        );
        self::assertSame('US 7 1/2 on the ring mandrel', $box->nearest(17.7, ToolKind::RingMandrel)?->words());
        self::assertNull($box->nearest(2.0, ToolKind::Winder));
        self::assertSame(2.0, $box->nearest(2.25, ToolKind::RoundNose)?->mm);
    }

    /**
     * Half-hard 16 AWG sterling for a US 8: it is formed smaller and opens. Common practice: rings are often formed a
     * size under.
     */
    public function test_a_ring_is_formed_under_its_size_and_opens_to_it(): void
    {
        $profile = new Profile(tools: new ToolBox([self::tool(ToolKind::RingMandrel, 'us 3 to us 13 by 1/2')]));
        $forming = Forming::band(new Wire(Metal::Sterling, WireSize::awg(16), Temper::HalfHard), 18.1324, $profile);
        self::assertLessThan(18.1324 - 0.8, $forming->mandrelMm);
        self::assertStringStartsWith('US 6', $forming->where('ring mandrel', $profile));
        self::assertStringContainsString('It opens to', $forming->opens($profile));
        self::assertEqualsWithDelta(18.13, $forming->endsMm, 0.35);
    }

    public function test_without_a_tool_that_is_near_the_diameter_is_named(): void
    {
        $profile = new Profile(tools: new ToolBox([self::tool(ToolKind::RoundNose, '1 mm')]));
        $forming = Forming::loop(new Wire(Metal::Sterling, WireSize::awg(22), Temper::DeadSoft), 2.5, $profile);
        self::assertNull($forming->mark);
        self::assertSame(
            'the 2.45 mm mark of the round-nose pliers',
            $forming->where('mark of the round-nose pliers', $profile),
        );
        self::assertSame('', $forming->opens($profile));
    }
}
