<?php

declare(strict_types=1);

namespace Hebra\Core\Course;

/** What a bought pin comes with at its end: named as lots of them are. */
enum PinKind: string
{
    case Head = 'pins';
    case Eye = 'eye-pins';

    public function words(): string
    {
        return match ($this) {
            self::Head => 'head pin',
            self::Eye => 'eye pin',
        };
    }
}
