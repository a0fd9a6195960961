<?php

declare(strict_types=1);

namespace Hebra\Core;

/**
 * One line of a sum as a maker would write it out: what it is, the rule in symbols, the same in numbers, the result.
 */
final readonly class Working
{
    public function __construct(
        public string $what,
        public string $rule,
        public string $numbers,
        public float $result,
        public string $unit = 'mm',
        public string $source = 'common practice',
    ) {
    }

    /** The same by a maker's own hand. */
    public function byHand(float $factor, int $makings): self
    {
        return new self(
            $this->what,
            '('.$this->rule.') × your hand',
            '('.$this->numbers.') × '.Quantity\Figures::trim($factor, 3),
            $this->result * $factor,
            $this->unit,
            $this->source.'; your hand from '.Quantity\Figures::counted($makings, 'making'),
        );
    }

    public function text(): string
    {
        return "{$this->what}: {$this->rule} = {$this->numbers} = ".Quantity\Figures::trim($this->result, 3)
            .($this->unit === '' ? '' : ' '.$this->unit);
    }
}
