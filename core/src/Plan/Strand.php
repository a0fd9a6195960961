<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

/**
 * Parts that follow each other and end in an eye elsewhere: a strand beside the line, from the part both hang in to the
 * one both end in; or a ring of parts, which ends where it began.
 */
final readonly class Strand
{
    /** @param  non-empty-list<Instance>  $members  from the first to the one that closes */
    private function __construct(
        public array $members,
        public string $to,
        public string $eye,
        /** its place among those that end there, from 0 */
        public int $number,
    ) {
    }

    /**
     * @param  list<Closing>  $closings
     * @param  array<string, Instance>  $named
     * @return list<self>
     */
    public static function all(array $closings, array $named): array
    {
        $strands = [];
        $at = [];
        foreach ($closings as $closing) {
            // What stands above the eye it ends in, that part itself among it.
            $onWay = [];
            for ($name = $closing->to; $name !== null; $name = $named[$name]->above) {
                $onWay[$name] = true;
            }
            $members = [];
            for ($name = $closing->instance; $name !== null && ! isset($onWay[$name]); $name = $named[$name]->above) {
                array_unshift($members, $named[$name]);
            }
            // A ring that closes in the upper eye of its first part has that part in it.
            if ($name === $closing->to && $closing->eye === 'top') {
                array_unshift($members, $named[$name]);
            }
            if ($members !== []) {
                $at[$closing->to] = ($at[$closing->to] ?? -1) + 1;
                $strands[] = new self($members, $closing->to, $closing->eye, $at[$closing->to]);
            }
        }

        return $strands;
    }

    /** Whether it ends where it began. */
    public function isRing(): bool
    {
        return $this->members[0]->name === $this->to || $this->members[0]->above === $this->to;
    }

    /** 1 for the first, to the right, -1 for the second. */
    public function side(): float
    {
        return $this->number % 2 === 0 ? 1.0 : -1.0;
    }

    /**
     * The parts of the line that lie beside it, between the same ends.
     *
     * @param  array<string, Instance>  $named
     * @return list<Instance>
     */
    public function beside(array $named): array
    {
        $from = $this->members[0]->above;
        $beside = [];
        for (
            $name = $named[$this->to]->above; $name !== null
            && $name !== $from
            && ! $this->isRing(); $name = $named[$name]->above
        ) {
            array_unshift($beside, $named[$name]);
        }

        return $beside;
    }
}
