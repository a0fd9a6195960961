<?php

declare(strict_types=1);

namespace Hebra\Core\Piece;

/** An eye of a part as a document says it: `p2/bottom`. */
final readonly class EyeRef
{
    public function __construct(public string $part, public string $eye = 'bottom')
    {
    }

    /** Null where nothing is said. */
    public static function read(string $text): ?self
    {
        return $text === '' ? null : new self(...explode('/', $text, 2) + ['', '']);
    }

    public function text(): string
    {
        return $this->part.'/'.$this->eye;
    }

    /** Whether it names an eye at all; what it names is for the parts to say. */
    public function isWhole(): bool
    {
        return $this->part !== '' && preg_match('/^[a-z][a-z0-9-]{0,23}$/', $this->eye) === 1;
    }

    /** The eye of that name of another part. */
    public function of(string $part): self
    {
        return new self($part, $this->eye);
    }
}
