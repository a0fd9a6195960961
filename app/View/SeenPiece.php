<?php

declare(strict_types=1);

namespace App\View;

use App\Models\Workshop;
use App\Read\HandState;
use Hebra\Core\Piece\PieceJson;
use Hebra\Core\Plan\Level;
use Hebra\Core\Plan\Minutes;
use Hebra\Core\Plan\Plan;
use Hebra\Core\Plan\Planner;
use Illuminate\Support\Facades\Cache;

/**
 * A design as lists show it: read and planned once for the hand that plans it, and kept until either changes; its
 * picture is a file whose address names what is seen.
 *
 * @phpstan-type Facts array{
 *     hangs: float, steps: int, operations: int, worst: string, check: string, times: int, wide: float, high: float,
 *     minutes: array<string, float>,
 * }
 */
final readonly class SeenPiece
{
    private const KEPT_SECONDS = 1_209_600;

    private const ROOM = 2.0;

    /**
     * @param  Facts  $facts  drawn at true size
     * @param  string  $key  another one for whatever is seen otherwise
     */
    private function __construct(private array $facts, private string $key)
    {
    }

    /** @return callable(string): self of a design as it is written down, each for this workshop */
    public static function in(Workshop $workshop): callable
    {
        $state = self::state($workshop);

        return function (string $json) use ($state, $workshop): self {
            $key = md5($state.$json);

            return new self(Cache::remember(
                'seen-'.$key, self::KEPT_SECONDS, fn (): array => self::facts($json, $workshop, $key),
            ), $key);
        };
    }

    /** Another one as soon as the hand, or what is kept here, is another. */
    private static function state(Workshop $workshop): string
    {
        return HandState::of($workshop).filemtime(__FILE__);
    }

    /** @return Facts */
    private static function facts(string $json, Workshop $workshop, string $key): array
    {
        // For its picture, which is drawn when it is asked for: the design outlasts what is told of it.
        Cache::put(self::design($workshop, $key), $json, 2 * self::KEPT_SECONDS);
        $plan = Planner::plan(PieceJson::read($json), $workshop->profile());
        $hung = HungPiece::in([INF, INF, 1.0], $plan, 'seen');

        return [
            'hangs' => $plan->hangsMm(), 'steps' => $plan->inOperations(false)->stepCount(),
            'operations' => $plan->inOperations()->stepCount(), 'worst' => $plan->worst()->value,
            'check' => $plan->checks[0]->text ?? '', 'minutes' => Minutes::byKind($plan), 'times' => $hung->times,
            'wide' => $hung->drawing->width, 'high' => $hung->drawing->height,
        ];
    }

    private static function design(Workshop $workshop, string $key): string
    {
        return "seen-design-{$workshop->id}-{$key}";
    }

    public function hangsMm(): float
    {
        return $this->facts['hangs'];
    }

    /** How many steps its making has, part by part or by operation. */
    public function steps(bool $isByOperation): int
    {
        return $this->facts[$isByOperation ? 'operations' : 'steps'];
    }

    public function worst(): Level
    {
        return Level::from($this->facts['worst']);
    }

    /** @return array<string, float> guessed for each kind of step of the whole making */
    public function minutes(): array
    {
        return $this->facts['minutes'];
    }

    /** What is to be looked at first, where anything is. */
    public function check(): string
    {
        return $this->facts['check'];
    }

    /** As a file of its own, at true size; null where nothing of this workshop is seen so any more. */
    public static function file(string $key, Workshop $workshop): ?string
    {
        $json = Cache::get(self::design($workshop, $key));

        return is_string($json)
            ? Cache::remember("seen-file-{$key}", self::KEPT_SECONDS, fn (): string => self::drawn(
                Planner::plan(PieceJson::read($json), $workshop->profile()),
            ))
            : null;
    }

    /** The same of a design that stands in no list. */
    public static function picture(string $json, Workshop $workshop): string
    {
        return (string) self::file(self::in($workshop)($json)->key, $workshop);
    }

    private static function drawn(Plan $plan): string
    {
        $drawing = new Drawing($plan->assembly(), dimension: 0, room: self::ROOM, name: 'file', ratioGiven: 1.0);
        $one = view('svg.piece', ['drawing' => $drawing, 'small' => true, 'label' => ''])->render();
        $times = HungPiece::times($plan);
        $second = $times > 1 ? "<use href=\"#one\" x=\"{$drawing->width}\"/>" : '';

        return SvgFile::document(
            $drawing->width * $times, $drawing->height, '',
            view('svg.defs')->render()."<g id=\"one\">{$one}</g>{$second}",
        );
    }

    /**
     * Drawn as large as its room allows: once, or twice where it is a pair.
     *
     * @param  array{float, float, float}  $room  how wide and high at most, in pixels, and at which ratio
     */
    public function hung(array $room): HungPicture
    {
        [$wide, $high, $most] = $room;
        ['wide' => $drawnWide, 'high' => $drawnHigh, 'times' => $times] = $this->facts;
        $inner = fn (float $drawn): float => max(1e-9, $drawn - 2 * self::ROOM);
        $ratio = min($most, $high / $inner($drawnHigh), $wide / $times / $inner($drawnWide));

        return new HungPicture(
            round($drawnWide * $times * $ratio, 1), round($drawnHigh * $ratio, 1), "/seen/{$this->key}.svg",
        );
    }
}
