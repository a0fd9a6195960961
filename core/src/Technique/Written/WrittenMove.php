<?php

declare(strict_types=1);

namespace Hebra\Core\Technique\Written;

use Hebra\Core\Handwork\Handwork;
use Hebra\Core\Handwork\Moment;
use Hebra\Core\Plan\Profile;

/** One move of a wire as it is written: how it lies, and what the hands do for it. A new kind of move is one class. */
interface WrittenMove
{
    public static function form(): Form;

    /** @throws \Hebra\Core\Problem if a number of it lies outside */
    public static function read(Reading $reading): self;

    /** @throws \Hebra\Core\Problem if what it is to meet is not there, or it does not go */
    public function lay(Laying $wire): void;

    /** What the hands do at its moment; null where nothing is done. */
    public function handwork(Profile $profile, Put $put, Moment $moment): ?Handwork;

    /** The inside of what something can hang in, mm; null where nothing can. */
    public function insideMm(): ?float;
}
