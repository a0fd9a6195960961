<?php

declare(strict_types=1);

namespace Hebra\Core\Technique\Written;

use Hebra\Core\Handwork\Operation;

/** What the hands do for one move. */
final readonly class Handwork
{
    public function __construct(
        public string $title,
        public string $text,
        public Operation $operation,
        public string $tool = 'flat-nose pliers',
        public int $count = 0,
        public string $counted = '',
    ) {
    }
}
