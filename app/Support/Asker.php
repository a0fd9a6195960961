<?php

declare(strict_types=1);

namespace App\Support;

/**
 * Whether the one who asked still waits. PHP only notices when it writes, so a space goes out before the page now and
 * then; where it meets a closed connection the work ends.
 */
final class Asker
{
    private const EVERY_NS = 250_000_000;

    private int $last = 0;

    public function isGone(): bool
    {
        if (PHP_SAPI === 'cli' || hrtime(true) - $this->last < self::EVERY_NS) {
            return false;
        }
        $this->last = hrtime(true);
        while (ob_get_level() > 0) {
            ob_end_flush();
        }
        echo ' ';
        flush();

        return connection_aborted() === 1;
    }
}
