<?php

declare(strict_types=1);

namespace Hebra\Core\Piece;

/** One made part of a piece: a technique with its settings, the wire it is made of (by role) and the beads on it. */
final readonly class Part
{
    /**
     * @param  array<string, float|int|string|bool>  $settings  every parameter of the technique
     * @param  list<BeadRun>  $beads
     */
    public function __construct(
        public string $id,
        public string $technique,
        public string $wire,
        public int $repeat,
        public array $settings,
        public array $beads,
    ) {
    }

    public function technique(): Technique
    {
        return Techniques::named($this->technique);
    }

    /** @param  list<BeadRun>  $beads */
    public function withBeads(array $beads): self
    {
        return new self($this->id, $this->technique, $this->wire, $this->repeat, $this->settings, $beads);
    }

    public function withSetting(string $key, float|int|string|bool $value): self
    {
        return new self($this->id, $this->technique, $this->wire, $this->repeat, [$key => $value] + $this->settings, $this->beads);
    }

    public function repeated(int $repeat): self
    {
        return new self($this->id, $this->technique, $this->wire, $repeat, $this->settings, $this->beads);
    }

    public function withId(string $id): self
    {
        return new self($id, $this->technique, $this->wire, $this->repeat, $this->settings, $this->beads);
    }

    public function beadCount(): int
    {
        return array_sum(array_map(fn (BeadRun $run): int => $run->count, $this->beads));
    }

    public function mm(string $key): float
    {
        return (float) $this->settings[$key];
    }

    public function count(string $key): int
    {
        return (int) $this->settings[$key];
    }

    public function is(string $key): bool
    {
        return $this->settings[$key] === true;
    }

    public function choice(string $key): string
    {
        return (string) $this->settings[$key];
    }
}
