<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

/** Whether an eye can be joined to another once it is made. */
enum EyeKind: string
{
    /** plain eye, jump ring, hook: opens sideways and closes again */
    case Openable = 'openable';
    /** wrapped loop: joined before its wraps close it, never after */
    case Permanent = 'permanent';
    /** soldered ring, bought link: already closed when it comes to the bench */
    case Closed = 'closed';
}
