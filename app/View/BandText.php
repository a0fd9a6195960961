<?php

declare(strict_types=1);

namespace App\View;

/** A band as it is written, section by section, one of them in the hands: `4@1-2 4@2-3 x12 | cross 1-2 | 4@1-2`. */
final readonly class BandText
{
    /** The section that is woven now, from 1. */
    public int $here;

    /** @param  non-empty-list<string>  $sections */
    private function __construct(public array $sections, int $here)
    {
        $this->here = max(1, min(count($sections), $here));
    }

    public static function of(string $written, string $here): self
    {
        return new self(array_map(trim(...), explode('|', $written)), (int) $here);
    }

    /** The section at hand, without how often it is repeated. */
    public function moves(): string
    {
        return (string) preg_replace('/[\s,;]*\bx\d{1,5}$/u', '', $this->sections[$this->here - 1]);
    }

    private function repeats(): string
    {
        return substr($this->sections[$this->here - 1], strlen($this->moves()));
    }

    public function isBasket(): bool
    {
        return preg_match('/^[fb]\d/i', $this->moves()) === 1;
    }

    /** With other moves in the section at hand; without it where none are left and there are others. */
    public function with(string $moves): self
    {
        $sections = $this->sections;
        $sections[$this->here - 1] = trim($moves.$this->repeats());
        if ($moves === '' && count($sections) > 1) {
            unset($sections[$this->here - 1]);
        }
        /** @var non-empty-list<string> $sections */
        $sections = array_values($sections);

        return new self($sections, $this->here);
    }

    /** With one more section, woven as the one at hand, which is at hand then. */
    public function longer(): self
    {
        return new self([...$this->sections, $this->moves()], count($this->sections) + 1);
    }

    public function text(): string
    {
        return implode(' | ', $this->sections);
    }
}
