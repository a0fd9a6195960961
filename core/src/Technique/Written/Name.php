<?php

declare(strict_types=1);

namespace Hebra\Core\Technique\Written;

/** How a wire or a stretch is called in a sentence. */
final class Name
{
    /** `the frame`, `the left half`, `core 2` */
    public static function words(string $name): string
    {
        return (preg_match('/\d$/', $name) === 1 ? '' : 'the ').strtr($name, '-', ' ');
    }
}
