<?php

declare(strict_types=1);

namespace Hebra\Core\Handwork;

use Hebra\Core\Copy;

/**
 * What the hands do to a stretch of wire, as it is told with that stretch. Which wire it is done to, what it lights up,
 * what it puts on and how far it comes are read off the course.
 */
final readonly class Handwork
{
    /** @param  list<Caution>  $cautions */
    public function __construct(
        public Moment $moment,
        public string $title,
        public string $text,
        public Operation $operation,
        public string $tool,
        public int $count = 0,
        public string $counted = '',
        public array $cautions = [],
        /** its turn at its moment; in the order of the wire among those of one turn */
        public int $turn = 0,
        /** whether what stands on the stretch is put on now */
        public bool $puts = false,
        /** whether it names its wire though it puts nothing on it */
        public bool $isOfWire = false,
        /**
         * how much of all that bears the mark of the stretch is made after it, in wires, those of one kind one after
         * another; null for what its stretches tell
         */
        public ?float $share = null,
        /** @var list<string> what it lights up, by their marks; its own stretches where nothing is said */
        public array $lights = [],
        /** what is asked before it goes on */
        public string $asks = '',
    ) {
    }

    /** Looked at from behind, where makers do. */
    public static function turnOver(Moment $moment, string $text, int $turn): self
    {
        return new self($moment, 'Turn it over', $text, Operation::TurnOver, 'fingers', turn: $turn);
    }

    /** What glue needs before it is touched again. */
    public static function setting(Moment $moment, string $text, string $mark = ''): self
    {
        return new self(
            $moment, 'Let it set', $text, Operation::Wait, '', lights: $mark === '' ? [] : [$mark],
            asks: 'Has it set as long as its sheet says?',
        );
    }

    /**
     * The same, naming its wire.
     *
     * @param  list<string>  $lights
     */
    public function ofWire(string $text, array $lights, bool $puts): self
    {
        return $this->with(['text' => $text, 'lights' => $lights, 'puts' => $puts, 'isOfWire' => true]);
    }

    /** The same, of several wires so far: how much is made after it, in wires. */
    public function upTo(float $share): self
    {
        return $this->with(['share' => $share]);
    }

    /**
     * The same, with what else is looked at.
     *
     * @param  list<string>  $lights
     */
    public function lighting(array $lights): self
    {
        return $this->with(['lights' => $lights]);
    }

    /** @param  array<string, mixed>  $changed */
    private function with(array $changed): self
    {
        return Copy::of(self::class, get_object_vars($this), $changed);
    }

    /** @return list<mixed> all that is said: what is said alike of several wires is done at once */
    public function said(): array
    {
        return [
            $this->moment->text(), $this->turn, $this->title, $this->text, $this->operation, $this->tool, $this->count,
            $this->counted, $this->asks,
        ];
    }
}
