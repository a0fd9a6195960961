<?php

declare(strict_types=1);

namespace Hebra\Core\Piece;

/** An eye of a part as a document says it: `p2/bottom`. */
final readonly class EyeRef
{
    public function __construct(public PartId $part, public string $eye = 'bottom')
    {
    }

    /** Null where nothing is said. */
    public static function read(string $text): ?self
    {
        return $text === '' ? null : self::split(...explode('/', $text, 2));
    }

    private static function split(string $part, string $eye = ''): self
    {
        return new self(PartId::of($part), $eye);
    }

    public function text(): string
    {
        return $this->part.'/'.$this->eye;
    }

    /** Whether it names an eye at all; what it names is for the parts to say. */
    public function isWhole(): bool
    {
        return PartId::isName($this->part->text) && preg_match('/^[a-z][a-z0-9-]{0,23}$/', $this->eye) === 1;
    }

    /** The eye of that name of another part. */
    public function of(PartId $part): self
    {
        return new self($part, $this->eye);
    }
}
