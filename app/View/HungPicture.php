<?php

declare(strict_types=1);

namespace App\View;

/** A kept picture of a piece as it hangs, at a size: once, or twice beside each other where it is a pair. */
final readonly class HungPicture
{
    public float $drawnWide;

    public float $drawnHigh;

    public float $width;

    public float $height;

    /**
     * @param  array{float, float}  $drawn  how wide and high one is drawn in its lines
     * @param  string  $lines  SVG, its names those of its place on the page
     */
    public function __construct(array $drawn, public int $times, float $ratio, public string $lines)
    {
        [$this->drawnWide, $this->drawnHigh] = $drawn;
        $this->width = round($this->drawnWide * $times * $ratio, 1);
        $this->height = round($this->drawnHigh * $ratio, 1);
    }
}
