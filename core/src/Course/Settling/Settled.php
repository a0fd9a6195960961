<?php

declare(strict_types=1);

namespace Hebra\Core\Course\Settling;

use Closure;
use Hebra\Core\Course\Course;

/** The courses of a part as their wires lie when each has given way to the others; worked out once for all alike. */
final class Settled
{
    /** So many parts are remembered. */
    private const KEPT = 2000;

    /** @var array<string, list<Aside>> */
    private static array $known = [];

    /** @var (Closure(string, Closure(): list<Aside>): list<Aside>)|null */
    private static ?Closure $remembers = null;

    /**
     * Where what was worked out is kept beyond this run.
     *
     * @param  (Closure(string, Closure(): list<Aside>): list<Aside>)|null  $remembers  what is known by a name, or
     *     worked out and remembered
     */
    public static function rememberedBy(?Closure $remembers): void
    {
        self::$remembers = $remembers;
    }

    /**
     * @param  list<array{Course, float}>  $wires  each with its thickness, mm; 0 for what is no wire
     * @return list<Course>
     */
    public static function of(array $wires): array
    {
        $name = self::name($wires);
        if (! isset(self::$known[$name])) {
            $work = fn (): array => Settling::asides($wires);
            $asides = self::$remembers === null ? $work() : (self::$remembers)($name, $work);
            self::$known = [...array_slice(self::$known, 1 - self::KEPT), $name => $asides];
        }

        return array_map(
            fn (array $wire, Aside $aside): Course => Pushed::course($wire[0], $aside), $wires, self::$known[$name],
        );
    }

    /**
     * The same for wires that lie alike.
     *
     * @param  list<array{Course, float}>  $wires
     */
    private static function name(array $wires): string
    {
        $told = hash_init('xxh128');
        foreach ($wires as [$course, $thick]) {
            foreach ($course->curves() as $at => $curve) {
                $move = $course->moves[$at];
                $kind = "{$move->segment->kind->value} {$thick} {$move->wideMm} ".(int) $move->isSeen();
                hash_update($told, $kind.' '.count($move->threaded()));
                foreach ($curve->spans as $span) {
                    [$first, $to] = [$span->first, $span->to];
                    hash_update($told, pack('g6', $first->x, $first->y, $first->z, $to->x, $to->y, $to->z));
                }
            }
        }

        return hash_final($told);
    }
}
