<?php

declare(strict_types=1);

namespace Hebra\Core;

/** What all refusals share: a sentence and the field it speaks of. */
abstract class Refusal extends \InvalidArgumentException implements Problem
{
    final protected function __construct(private readonly string $field, string $sentence)
    {
        parent::__construct($sentence);
    }

    public function field(): string
    {
        return $this->field;
    }

    public function sentences(): array
    {
        return [$this->getMessage()];
    }

    public function says(string $field): ?string
    {
        return $field === $this->field ? $this->getMessage() : null;
    }

    /** What was read, short enough to stand in a sentence and free of control characters. */
    protected static function shown(string $text): string
    {
        $clean = preg_replace('/[\p{C}\s]+/u', ' ', mb_scrub($text)) ?? '';

        return '“'.(mb_strlen($clean) > 40 ? mb_substr($clean, 0, 40).'…' : trim($clean)).'”';
    }

    protected static function titled(string $field): string
    {
        $words = str_replace(['_', '-', '.'], ' ', $field);

        return mb_strtoupper(mb_substr($words, 0, 1)).mb_substr($words, 1);
    }
}
