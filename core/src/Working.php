<?php

declare(strict_types=1);

namespace Hebra\Core;

/** One line of a sum as a maker would write it out: what it is, the rule in symbols, the same in numbers, the result. */
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

    public function text(): string
    {
        return "{$this->what}: {$this->rule} = {$this->numbers} = ".Quantity\Figures::trim($this->result, 3).($this->unit === '' ? '' : ' '.$this->unit);
    }
}
