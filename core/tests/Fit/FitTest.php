<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Fit;

use Hebra\Core\Bend\Hammered;
use Hebra\Core\Chain\Links;
use Hebra\Core\Fit\Band;
use Hebra\Core\Fit\Frame;
use Hebra\Core\Fit\RingSize;
use Hebra\Core\Quantity\OutOfRange;
use Hebra\Core\Quantity\Unreadable;
use Hebra\Core\Wire\SectionKind;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class FitTest extends TestCase
{
    /** @return array<string, array{string, float}> */
    public static function rings(): array
    {
        return [
            'ISO 8653, size is circumference' => ['iso 54', 54 / M_PI],
            'US whole' => ['us 7', 17.3196],
            'US half, two ways' => ['us 6 1/2', 16.9132],
            'US decimal' => ['US 6.5', 16.9132],
            'UK letter' => ['uk N', 53.75 / M_PI],
            'UK half letter' => ['uk n 1/2', 54.375 / M_PI],
            'UK after Z' => ['uk Z+1', 70.0 / M_PI],
            'Japan' => ['jp 13', 17.0],
            'diameter' => ['diameter 17.3mm', 17.3],
            'circumference in inches' => ['circumference 2 1/8 in', 53.975 / M_PI],
        ];
    }

    #[DataProvider('rings')]
    public function test_ring_sizes_are_read(string $text, float $insideMm): void
    {
        self::assertEqualsWithDelta($insideMm, RingSize::parse($text)->insideMm(), 1e-9);
    }

    public function test_scales_read_back_as_themselves(): void
    {
        for ($us = 1; $us <= 15; $us += 0.5) {
            $ring = RingSize::parse("us {$us}");
            self::assertEqualsWithDelta($us, $ring->us(), 1e-9);
            self::assertEqualsWithDelta(
                $ring->insideMm(),
                RingSize::parse('iso '.sprintf('%.9f', $ring->iso()))->insideMm(),
                1e-8,
            );
            self::assertEqualsWithDelta(
                $ring->insideMm(),
                RingSize::parse('jp '.sprintf('%.9f', $ring->jp()))->insideMm(),
                1e-8,
            );
        }
        foreach (range('A', 'Z') as $letter) {
            self::assertSame($letter, RingSize::parse("uk {$letter}")->uk());
            self::assertSame("{$letter} 1/2", RingSize::parse("uk {$letter} 1/2")->uk());
        }
        self::assertSame('US 7 1/2', RingSize::parse('us 7.5')->usWords());
        self::assertStringContainsString('UK N 1/2', RingSize::parse('us 7')->words());
    }

    /** @return array<string, array{string, class-string<\Throwable>}> */
    public static function noRings(): array
    {
        return [
            'bare' => ['7', Unreadable::class],
            'two letters' => ['uk AB', Unreadable::class],
            'plus before Z' => ['uk M+1', Unreadable::class],
            'a doll' => ['us -2', OutOfRange::class],
            'an arm' => ['diameter 60mm', OutOfRange::class],
            'words' => ['us seven', Unreadable::class],
            'nothing' => ['', Unreadable::class],
        ];
    }

    /** @param  class-string<\Throwable>  $class */
    #[DataProvider('noRings')]
    public function test_refuses_ring_sizes(string $text, string $class): void
    {
        $this->expectException($class);
        RingSize::parse($text);
    }

    public function test_bands_go_back_to_what_they_came_from(): void
    {
        $flat = Hammered::of(2.0, 1.4);
        self::assertEqualsWithDelta(
            63.0,
            Band::bangleInsideMm(Band::bangleMm(63.0, 2.0, 40, $flat), 2.0, 40, $flat),
            1e-9,
        );
        self::assertEqualsWithDelta(30.0, Band::hoopDiameterMm(Band::hoopMm(30.0, 0.8, 2.0, 8.0), 0.8, 2.0, 8.0), 1e-9);
        // Hammered it is longer in the end, so less is cut.
        self::assertLessThan(Band::bangleMm(63.0, 2.0, 40), Band::bangleMm(63.0, 2.0, 40, $flat));
        self::assertEqualsWithDelta(0.4244, Band::neutralMm(SectionKind::HalfRound, 1.0), 1e-4);
    }

    /**
     * Common practice: a bangle of 57 to 70 mm from wire of 2 mm is cut between 22 and 27 cm, ends of 4 cm included.
     */
    public function test_bangles_are_of_a_size(): void
    {
        self::assertGreaterThan(220, Band::bangleMm(57, 2.0, 40));
        self::assertLessThan(270, Band::bangleMm(70, 2.0, 40));
    }

    /** The drop's outline, walked along its edge point by point. */
    public function test_the_drop_frame_is_its_outline(): void
    {
        $outline = 0.0;
        $last = null;
        $steps = 40_000;
        $free = acos(0.5);
        for ($i = 0; $i <= $steps; $i++) {
            $angle = -M_PI / 2 + $free + (2 * M_PI - 2 * $free) * $i / $steps;
            $next = [0.5 * cos($angle), 0.5 * sin($angle)];
            $outline += $last === null ? 0.0 : hypot($next[0] - $last[0], $next[1] - $last[1]);
            $last = $next;
        }
        $outline += 2 * hypot(0.5 * cos(-M_PI / 2 + $free), -1 - 0.5 * sin(-M_PI / 2 + $free));
        self::assertEqualsWithDelta($outline, Frame::Drop->outline(), 1e-6);
        self::assertSame(
            [M_PI, 4.0, 3.0],
            [Frame::Hoop->outline(), Frame::Square->outline(), Frame::Triangle->outline()],
        );
    }

    public function test_rings_hooked_together(): void
    {
        self::assertSame(6.0, Links::chainMm(1, 4.0, 1.0));
        self::assertEqualsWithDelta(1.0, Links::throughMm(6.0, 1.0, 1e-9), 1e-9);
        $this->expectException(OutOfRange::class);
        Links::throughMm(3.0, 1.0, 3.0);
    }

    /**
     * Round an ellipse summed over 4,000 stretches of its arc, beside Ramanujan’s
     * formula; π/2 · (3 · 112 − √(236 · 212)) = 176.4345. A circle is an oval of two alike widths.
     */
    public function test_round_an_oval(): void
    {
        self::assertEqualsWithDelta(176.4345, Band::ovalMm(62.0, 50.0), 0.0005);
        self::assertEqualsWithDelta(M_PI * 55, Band::ovalMm(55.0, 55.0), 1e-9);
        foreach ([[62.0, 50.0], [62.0, 31.0], [70.0, 66.0]] as [$long, $wide]) {
            $round = 0.0;
            for ($part = 0; $part < 4000; $part++) {
                $at = ($part + 0.5) * 2 * M_PI / 4000;
                $round += hypot($long / 2 * sin($at), $wide / 2 * cos($at)) * 2 * M_PI / 4000;
            }
            self::assertEqualsWithDelta($round, Band::ovalMm($long, $wide), 1e-4 * $round);
            self::assertEqualsWithDelta($long, Band::ovalLongMm(Band::ovalMm($long, $wide), $wide), 1e-6);
        }
    }
}
