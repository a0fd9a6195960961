<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

/** How much a check asks of the maker. */
enum Level: string
{
    case Ok = 'ok';
    case Note = 'note';
    case Warn = 'warn';
    case Stop = 'stop';
}
