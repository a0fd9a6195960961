<?php

declare(strict_types=1);

namespace App\View;

/** A picture of a piece as it hangs, a file, at its size on the page: once, or twice beside each other for a pair. */
final readonly class HungPicture
{
    public function __construct(public float $width, public float $height, public string $address)
    {
    }
}
