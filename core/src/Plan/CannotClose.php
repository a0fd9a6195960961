<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

use Hebra\Core\Refusal;

/** No order of work joins everything: the joints at fault ride along. */
final class CannotClose extends Refusal
{
    /** @var list<Joint> */
    private array $joints = [];

    public static function closedPair(Joint $joint): self
    {
        return (new self('joint', "The {$joint->a->words} and the {$joint->b->words} are both closed already: a jump "
            .'ring is needed between them.'))->with(
                [$joint],
            );
    }

    /** @param  list<Joint>  $joints */
    public static function cycle(array $joints): self
    {
        $names = implode(
            '; ',
            array_map(fn (Joint $joint): string => $joint->a->words.' to '.$joint->b->words, $joints),
        );

        return (new self('joint', 'Each of these would have to be joined before another is closed, all the way round: '
            ."{$names}. One jump ring in any of them mends it."))->with(
                $joints,
            );
    }

    public static function replay(string $event, string $why): self
    {
        return new self('order', "The order of work fails at “{$event}”: {$why}.");
    }

    /** @param  list<Joint>  $joints */
    private function with(array $joints): self
    {
        $this->joints = $joints;

        return $this;
    }

    /** @return list<Joint> */
    public function joints(): array
    {
        return $this->joints;
    }
}
