<?php

declare(strict_types=1);

namespace Hebra\Core\Piece;

/** The kinds of value a technique can be given. */
enum ParameterKind: string
{
    case Length = 'length';
    case Count = 'count';
    /** a count of which parts of one make sense: loops */
    case Number = 'number';
    case Choice = 'choice';
    case Flag = 'flag';
    case Weave = 'weave';
    case Course = 'course';
    /** one line that is read by the technique's own rule, or any words */
    case Text = 'text';
}
