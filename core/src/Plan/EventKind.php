<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

/** What can happen to a wire or a joint. */
enum EventKind: string
{
    case Form = 'form';
    case Close = 'close';
    case Thread = 'thread';
    case Work = 'work';
    case Hook = 'hook';
}
