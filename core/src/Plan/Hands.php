<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

use Hebra\Core\Figure\View;

/** What the picture of a step shows of hands and tools: signs for ways, pliers, the rod or block under the wire. */
final readonly class Hands
{
    /**
     * @param  list<HandHint>  $hints
     * @param  list<Jaw>  $jaws
     */
    private function __construct(public array $hints, public array $jaws, public ?Jaw $under)
    {
    }

    /** @param  int  $step  its place, from 0 */
    public static function of(FormingStates $states, int $step, View $view): self
    {
        return new self(
            HandHints::of($states, $step, $view), HandHints::jaws($states, $step, $view),
            HandHints::under($states, $step, $view),
        );
    }
}
