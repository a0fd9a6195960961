<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

/** One thing to do at the bench. */
final readonly class Step
{
    /**
     * @param  list<string>  $marks  the wire to light up in drawing and strip
     * @param  list<Caution>  $cautions
     */
    public function __construct(
        public string $event,
        public string $part,
        public string $title,
        public string $text,
        public array $marks = [],
        public int $count = 0,
        public string $counted = '',
        public string $asks = '',
        public string $tool = '',
        public array $cautions = [],
    ) {
    }

    public function of(string $part, string $title): self
    {
        return new self($this->event, $part, $title, $this->text, $this->marks, $this->count, $this->counted, $this->asks, $this->tool, $this->cautions);
    }
}
