<?php

declare(strict_types=1);

namespace Hebra\Core\Handwork;

/** What can happen to a wire or a joint; and what is done once for a whole piece. */
enum EventKind: string
{
    case Form = 'form';
    case Close = 'close';
    case Thread = 'thread';
    case Work = 'work';
    case Hook = 'hook';
    case Ready = 'ready';
    case Cut = 'cut';
    case Rings = 'rings';
    case Inspect = 'inspect';
}
