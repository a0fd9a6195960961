<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

/** An end of a wire: that with which its cut begins, or the other. What is pushed on comes over one of them. */
enum WireEnd: string
{
    case First = 'first';
    case Last = 'last';
}
