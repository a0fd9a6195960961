<?php

declare(strict_types=1);

namespace Hebra\Core\Wrap;

use Hebra\Core\Quantity\Figures;

/** One move of a weave as hands make it: so many turns round neighbouring cores, or one pass before or behind one. */
final readonly class WeaveMove
{
    public int $from;

    public int $to;

    /**
     * @param  array{int, int}  $cores  the first and the last
     * @param  bool|null  $isFront  of a pass, whether it goes before its core; null of turns round cores
     */
    private function __construct(public int $turns, array $cores, public ?bool $isFront)
    {
        [$this->from, $this->to] = $cores;
    }

    /** @return non-empty-list<self> one repeat */
    public static function figures(WeavePattern $pattern): array
    {
        return array_map(
            fn (array $figure): self => new self($figure['turns'], [$figure['from'], $figure['to']], null),
            $pattern->figures,
        );
    }

    /** @return non-empty-list<self> one repeat */
    public static function passes(BasketWeave $weave): array
    {
        return array_map(
            fn (array $touch): self => new self(1, [$touch['core'], $touch['core']], $touch['isFront']),
            $weave->touches,
        );
    }

    /** @return list<self> what could come next, round or over each of so many cores */
    public static function next(int $cores, int $turns, bool $isBasket): array
    {
        $next = [];
        for ($from = 1; $from <= $cores; $from++) {
            if ($isBasket) {
                array_push($next, new self(1, [$from, $from], true), new self(1, [$from, $from], false));

                continue;
            }
            for ($to = $from; $to <= $cores; $to++) {
                $next[] = new self($turns, [$from, $to], null);
            }
        }

        return $next;
    }

    /** As it is written, without its turns: `1-2`, `f3`. */
    public function cores(): string
    {
        $pass = match ($this->isFront) {
            true => 'f',
            false => 'b',
            null => '',
        };

        return $pass.$this->from.($this->to > $this->from ? "-{$this->to}" : '');
    }

    /** As it is written: `4@1-2`, `f3`. */
    public function written(): string
    {
        return ($this->isFront === null ? "{$this->turns}@" : '').$this->cores();
    }

    public function words(): string
    {
        $cores = $this->from === $this->to ? "core {$this->from}" : "cores {$this->from} to {$this->to}";

        return match ($this->isFront) {
            true => "in front of {$cores}",
            false => "behind {$cores}",
            null => Figures::counted($this->turns, 'turn')." round {$cores}",
        };
    }

    /** Which way the wire goes meanwhile. */
    public function way(): string
    {
        return match ($this->isFront) {
            true => 'On the side that faces you.',
            false => 'On the far side.',
            null => 'Down the front, up behind.',
        };
    }
}
