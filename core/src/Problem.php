<?php

declare(strict_types=1);

namespace Hebra\Core;

/**
 * Everything that the core refuses. The message is one full sentence that names the field, what was read and what
 * would be accepted; the field's name rides along so that a page can put the sentence in its place.
 */
interface Problem extends \Throwable
{
    /** The name of the field or setting at fault, such as `inside` or `parts.2.settings.wraps`. */
    public function field(): string;

    /** @return non-empty-list<string> each of its sentences */
    public function sentences(): array;

    /** What it says of a field; null where nothing. */
    public function says(string $field): ?string;
}
