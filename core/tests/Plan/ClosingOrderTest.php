<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Plan;

use Hebra\Core\Handwork\EventKind;
use Hebra\Core\Plan\CannotClose;
use Hebra\Core\Plan\ClosingOrder;
use Hebra\Core\Plan\Event;
use Hebra\Core\Plan\Eye;
use Hebra\Core\Plan\EyeKind;
use Hebra\Core\Plan\Joint;
use Hebra\Core\Plan\WireRun;
use PHPUnit\Framework\TestCase;

final class ClosingOrderTest extends TestCase
{
    private static function eye(string $id, EyeKind $kind): Eye
    {
        return new Eye($id, $kind, 2.5, 0.6, $id, $id);
    }

    /** @return array{WireRun, Eye, Eye} */
    private static function link(
        string $name,
        EyeKind $top = EyeKind::Permanent,
        EyeKind $bottom = EyeKind::Permanent,
    ): array {
        $eyes = ['top' => self::eye("{$name}/top", $top), 'bottom' => self::eye("{$name}/bottom", $bottom)];

        return [new WireRun($name, ['top', 'thread', 'bottom'], $eyes), $eyes['top'], $eyes['bottom']];
    }

    /**
     * @param  list<Event>  $order
     * @return list<string>
     */
    private static function keys(array $order): array
    {
        return array_map(fn (Event $event): string => $event->key(), $order);
    }

    public function test_the_later_of_two_links_is_hooked_on_before_it_is_wrapped_shut(): void
    {
        [$a, , $aBottom] = self::link('a');
        [$b, $bTop] = self::link('b');
        $order = self::keys(ClosingOrder::of([$a, $b], [new Joint($aBottom, $bTop)]));
        self::assertSame([
            'form a/top', 'close a/top', 'thread a', 'form a/bottom', 'close a/bottom',
            'form b/top', 'hook a/bottom~b/top', 'close b/top', 'thread b', 'form b/bottom', 'close b/bottom',
        ], $order);
    }

    public function test_a_permanent_eye_goes_on_a_closed_ring_before_it_is_wrapped(): void
    {
        [$a, , $bottom] = self::link('a');
        $ring = self::eye('ring/top', EyeKind::Closed);
        $order = self::keys(ClosingOrder::of([$a], [new Joint($bottom, $ring)]));
        self::assertLessThan(
            array_search('close a/bottom', $order, true),
            array_search('hook a/bottom~ring/top', $order, true),
        );
    }

    public function test_two_closed_rings_cannot_be_joined(): void
    {
        $this->expectException(CannotClose::class);
        $this->expectExceptionMessage(
            'The r/bottom and the s/top are both closed already: a jump ring is needed between them.',
        );
        ClosingOrder::of([], [new Joint(self::eye('r/bottom', EyeKind::Closed), self::eye('s/top', EyeKind::Closed))]);
    }

    public function test_a_ring_of_links_is_closed_by_turning_the_latest_choice(): void
    {
        // Three links in a circle: joined one after the other, the last must take both its neighbours.
        $links = array_map(self::link(...), ['a', 'b', 'c']);
        $joints = [
            new Joint($links[0][2], $links[1][1]),
            new Joint($links[1][2], $links[2][1]),
            new Joint($links[0][1], $links[2][2]),
        ];
        $order = ClosingOrder::of(array_column($links, 0), $joints);
        ClosingOrder::replay($order);
        self::assertCount(3, array_filter($order, fn (Event $event): bool => $event->kind === EventKind::Hook));
        self::assertCount(18, $order);
    }

    public function test_a_link_that_would_hook_into_itself_names_its_joint(): void
    {
        // A wire whose finished eye must take its own later eye before either is closed cannot be made.
        [$a, $top] = self::link('a');
        $other = self::eye('ring/top', EyeKind::Closed);
        $loop = new WireRun(
            'b',
            ['top', 'bottom'],
            [
                'top' => $bTop = self::eye('b/top', EyeKind::Permanent),
                'bottom' => $bBottom = self::eye('b/bottom', EyeKind::Permanent),
            ],
        );
        $order = self::keys(ClosingOrder::of([$a, $loop], [new Joint($top, $other), new Joint($bTop, $bBottom)]));
        self::assertLessThan(
            array_search('close b/bottom', $order, true),
            array_search('hook b/top~b/bottom', $order, true),
        );
        $this->expectException(CannotClose::class);
        $this->expectExceptionMessage('One jump ring in any of them mends it.');
        // First eye must be hooked on b's second before closing; b's second comes only after the first is closed.
        $closedSecond = new WireRun(
            'c',
            ['top', 'bottom'],
            [
                'top' => $cTop = self::eye('c/top', EyeKind::Permanent),
                'bottom' => self::eye('c/bottom', EyeKind::Permanent),
            ],
        );
        $fixed = self::eye('c/bottom', EyeKind::Closed);
        ClosingOrder::of([$closedSecond], [new Joint($cTop, $fixed)]);
    }

    /** Whatever hangs together, a valid order hooks before it closes; the state machine is its own proof. */
    public function test_every_order_survives_its_replay(): void
    {
        mt_srand(3);
        for ($try = 0; $try < 200; $try++) {
            $kinds = [EyeKind::Openable, EyeKind::Permanent];
            $links = [];
            foreach (range(0, mt_rand(1, 12)) as $number) {
                $links[] = self::link('l'.$number, $kinds[mt_rand(0, 1)], $kinds[mt_rand(0, 1)]);
            }
            $joints = [];
            for ($i = 1; $i < count($links); $i++) {
                $joints[] = new Joint($links[$i - 1][2], $links[$i][1]);
            }
            if (mt_rand(0, 1) === 1) {
                $joints[] = new Joint($links[0][1], $links[count($links) - 1][2]);
            }
            foreach ([false, true] as $byOperation) {
                $order = ClosingOrder::of(array_column($links, 0), $joints, $byOperation);
                ClosingOrder::replay($order);
                self::assertCount(5 * count($links) + count($joints), $order);
            }
        }
    }

    /** Links that are all alike are turned together, and joined when all are made, each through the next. */
    public function test_by_operation_what_is_alike_comes_together(): void
    {
        $links = array_map(self::link(...), ['a', 'b', 'c']);
        $joints = [new Joint($links[0][2], $links[1][1]), new Joint($links[1][2], $links[2][1])];
        $order = ClosingOrder::of(array_column($links, 0), $joints, true);
        ClosingOrder::replay($order);
        self::assertSame([
            'form a/top', 'form b/top', 'form c/top', 'close a/top', 'close b/top', 'close c/top',
            'thread a', 'thread b', 'thread c', 'form a/bottom', 'form b/bottom', 'form c/bottom',
            'hook a/bottom~b/top', 'hook b/bottom~c/top', 'close a/bottom', 'close b/bottom', 'close c/bottom',
        ], self::keys($order));
    }

    /** An eye that takes three is opened once, when all three are done; a row of rings opens every second one. */
    public function test_an_eye_is_opened_once_for_all_it_takes(): void
    {
        $ear = ['bottom' => $eye = self::eye('ear/bottom', EyeKind::Openable)];
        $drops = array_map(self::link(...), ['a', 'b', 'c']);
        $order = ClosingOrder::of(
            [new WireRun('ear', ['bottom'], $ear), ...array_column($drops, 0)],
            array_map(fn (array $drop): Joint => new Joint($eye, $drop[1]), $drops),
        );
        $hooks = array_values(array_filter($order, fn (Event $event): bool => $event->kind === EventKind::Hook));
        self::assertCount(1, $hooks);
        self::assertSame(['ear/bottom', 3], [$hooks[0]->open?->id, count($hooks[0]->joints)]);
        self::assertSame($hooks[0], $order[count($order) - 1]);
        ClosingOrder::replay($order);

        $rings = $joints = [];
        foreach (range(1, 7) as $number) {
            $both = array_map(
                fn (string $side): Eye => new Eye(
                    "r{$number}/{$side}", EyeKind::Openable, 4, 1, 'ring', '', one: 'ring',
                ),
                ['top' => 'top', 'bottom' => 'bottom'],
            );
            $rings[] = [new WireRun("r{$number}", ['top', 'bottom'], $both), $both];
        }
        for ($at = 1; $at < 7; $at++) {
            $joints[] = new Joint($rings[$at - 1][1]['bottom'], $rings[$at][1]['top']);
        }
        $chain = ClosingOrder::of(array_column($rings, 0), $joints);
        ClosingOrder::replay($chain);
        self::assertSame(
            ['r2', 'r4', 'r6'],
            array_values(
                array_map(
                    fn (Event $event): string => (string) $event->open?->instance(),
                    array_filter($chain, fn (Event $event): bool => $event->kind === EventKind::Hook),
                ),
            ),
        );
    }

    public function test_the_replay_refuses_a_hook_that_comes_too_late(): void
    {
        [$a, , $aBottom] = self::link('a');
        [$b, $bTop] = self::link('b');
        $joint = new Joint($aBottom, $bTop);
        $order = [...$a->events(), ...$b->events(), new Event(EventKind::Hook, $joint->id(), 'b', '', [$joint], $bTop)];
        $this->expectException(CannotClose::class);
        $this->expectExceptionMessage(
            'The order of work fails at “hook a/bottom~b/top”: both eyes are closed for good.',
        );
        ClosingOrder::replay($order);
    }

    public function test_the_replay_refuses_to_close_what_is_not_formed(): void
    {
        $this->expectException(CannotClose::class);
        $this->expectExceptionMessage('the eye is not formed yet');
        ClosingOrder::replay([new Event(EventKind::Close, 'a/top', 'a')]);
    }
}
