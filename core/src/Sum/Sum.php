<?php

declare(strict_types=1);

namespace Hebra\Core\Sum;

/** One rule of the trade on its own. Page, command and documentation are views of it. */
interface Sum
{
    /** `wrapped-loop` */
    public function name(): string;

    /** The question it answers, as a maker would ask it. */
    public function question(): string;

    /** @return list<Input> */
    public function inputs(): array;

    public function source(): string;

    public function work(Given $given): Answer;
}
