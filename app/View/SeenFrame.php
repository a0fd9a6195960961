<?php

declare(strict_types=1);

namespace App\View;

use Hebra\Core\Figure\PieceFigure;

/** One of the two looks at a step: what is seen of a figure, and what hands and tools are on it. */
final readonly class SeenFrame
{
    /** @param  array{float, float, float, float}  $box  left, top, width and height of what is seen, in pixels */
    public function __construct(
        public string $name, public PieceFigure $figure, public Drawing $drawing, public HandSigns $signs,
        public array $box,
    ) {
    }

    /** Before it is done the hands are on it. */
    public function hasHands(): bool
    {
        return $this->name === StepPicture::BEFORE;
    }

    /** @param  string  $shapes  that carry their own colours, as a picture of this frame */
    public function picture(string $shapes): string
    {
        return '<svg xmlns="http://www.w3.org/2000/svg" width="'.$this->box[2].'" height="'.$this->box[3].'" viewBox="'
            .$this->viewBox().'">'.$shapes.'</svg>';
    }

    public function viewBox(): string
    {
        return implode(' ', array_map(fn (float $px): string => (string) round($px, 2), $this->box));
    }
}
