<?php

declare(strict_types=1);

namespace Hebra\Core\Sum;

use Hebra\Core\Bend\Loop;

/** A plain eye. */
final readonly class SimpleLoopSum implements Sum
{
    public function name(): string
    {
        return 'simple-loop';
    }

    public function question(): string
    {
        return 'How much wire does a plain eye take?';
    }

    public function inputs(): array
    {
        return [
            Input::wire('wire', 'wire size', '20 awg'),
            Input::size('inside', 'inside diameter', '2.5 mm'),
        ];
    }

    public function source(): string
    {
        return Loop::SOURCE;
    }

    public function work(Given $given): Answer
    {
        $length = Loop::lengthMm($given->mm('inside'), $given->mm('wire'));

        return new Answer(['wire_length_mm' => $length], [Loop::working('eye', $given->mm('inside'), $given->mm('wire'))]);
    }
}
