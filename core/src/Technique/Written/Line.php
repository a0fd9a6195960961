<?php

declare(strict_types=1);

namespace Hebra\Core\Technique\Written;

/** What is told of one wire at once: its name, where it starts, and its moves from there on, to both of its ends. */
final readonly class Line
{
    /**
     * @param  string  $name  `tie`, `core 2`; empty where it has none
     * @param  list<Told>  $on  as it heads, to its last end
     * @param  list<Told>  $back  from where it starts the other way, to its first end
     */
    public function __construct(
        public string $name,
        public ?int $gauge,
        public ?Start $start,
        public array $on,
        public array $back,
        /** whether its wire was begun before: it goes on where that ended */
        public bool $goesOn = false,
    ) {
    }

    /** What its wire is for: its name without its number. */
    public function role(): string
    {
        return preg_replace('/ \d+$/', '', $this->name) ?? $this->name;
    }

    /** @return list<Told> in the order in which they are worked */
    public function moves(): array
    {
        return [...$this->on, ...$this->back];
    }

    /** What comes after a move, towards the same end. */
    public function after(Told $told): ?Told
    {
        foreach ([$this->on, $this->back] as $leg) {
            $place = array_search($told, $leg, true);
            if ($place !== false) {
                return $leg[$place + 1] ?? null;
            }
        }

        return null;
    }

    /** What comes before a move, on its way to the same end. */
    public function before(Told $told): ?Told
    {
        foreach ([$this->on, $this->back] as $leg) {
            $place = array_search($told, $leg, true);
            if ($place !== false) {
                return $leg[$place - 1] ?? null;
            }
        }

        return null;
    }

    /** Whether its wire ends with a stretch: what follows is of the same name, or a tail. */
    public function endsIn(Told $told): bool
    {
        $next = $this->after($told);
        while ($next !== null && ($next->move instanceof Move\Tail || $next->name === $told->name)) {
            $next = $this->after($next);
        }

        return $next === null;
    }

    /** A sentence of its wire. */
    public function said(string $text): string
    {
        return $this->name === '' ? $text : ucfirst($this->name).': '.lcfirst($text);
    }

    /** Whether its ends are written, or are the settings' to say. */
    public function hasOwnEnds(): bool
    {
        return $this->name !== '' || $this->start !== null || $this->back !== [];
    }
}
