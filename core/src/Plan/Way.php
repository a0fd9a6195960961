<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

/** A way out of a warning: what the button says and the change it makes, as the change reader takes it. */
final readonly class Way
{
    /** @param  array<string, string>  $change */
    public function __construct(public string $words, public array $change)
    {
    }

    /** @param  non-empty-list<array<string, string>>  $changes  that belong together */
    public static function all(string $words, array $changes): self
    {
        return new self(
            $words,
            count($changes) === 1
                ? $changes[0]
                : [
                    'do' => 'all',
                    'of' => json_encode($changes, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE),
                    'words' => $words,
                ],
        );
    }
}
