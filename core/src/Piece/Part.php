<?php

declare(strict_types=1);

namespace Hebra\Core\Piece;

use Hebra\Core\Copy;

/**
 * One made part of a piece: a technique with its settings, the wire it is made of (by role), the beads on it, where it
 * hangs and the group it repeats with.
 */
final readonly class Part
{
    /**
     * @param  array<string, float|int|string|bool>  $settings  every parameter of the technique
     * @param  list<BeadRun>  $beads
     * @param  EyeRef|null  $on  the eye it hangs in; null for the one before it
     * @param  string  $group  the group it repeats with; empty for none
     * @param  EyeRef|null  $to  the eye that its lower end closes in besides; null for none
     */
    public function __construct(
        public PartId $id,
        public string $technique,
        public string $wire,
        public int $repeat,
        public array $settings,
        public array $beads,
        public ?EyeRef $on = null,
        public string $group = '',
        public ?EyeRef $to = null,
    ) {
    }

    public function technique(): Kind
    {
        return Kinds::named($this->technique);
    }

    /** What it is called in a sentence. */
    public function label(): string
    {
        return $this->technique()->labelOf($this);
    }

    /** @param  array<string, mixed>  $changed */
    private function with(array $changed): self
    {
        return Copy::of(self::class, get_object_vars($this), $changed);
    }

    /** @param  list<BeadRun>  $beads */
    public function withBeads(array $beads): self
    {
        return $this->with(['beads' => $beads]);
    }

    public function withSetting(string $key, float|int|string|bool $value): self
    {
        return $this->with(['settings' => [$key => $value] + $this->settings]);
    }

    /** Made as another is: its technique and settings, this one's wire, beads and place. */
    public function becoming(self $other): self
    {
        return $this->with(['technique' => $other->technique, 'settings' => $other->settings]);
    }

    public function repeated(int $repeat): self
    {
        return $this->with(['repeat' => $repeat]);
    }

    public function withId(PartId $id): self
    {
        return $this->with(['id' => $id]);
    }

    /** Of the wire of another role. */
    public function madeOf(string $role): self
    {
        return $this->with(['wire' => $role]);
    }

    /** Whether its wire is another than that of its kind. */
    public function isOfOwnWire(): bool
    {
        return $this->wire !== $this->technique()->role();
    }

    public function hungOn(?EyeRef $on): self
    {
        return $this->with(['on' => $on]);
    }

    public function closedIn(?EyeRef $to): self
    {
        return $this->with(['to' => $to]);
    }

    public function inGroup(string $group): self
    {
        return $this->with(['group' => $group]);
    }

    /** The same seen in a mirror along the line: beads backwards, what is set on top below and the other way round. */
    public function mirrored(): self
    {
        $settings = $this->settings;
        foreach ($settings as $key => $value) {
            if (str_starts_with($key, 'top_') && array_key_exists($below = 'bottom_'.substr($key, 4), $settings)) {
                [$settings[$key], $settings[$below]] = [$this->settings[$below], $value];
            }
        }

        return $this->with(['settings' => $settings, 'beads' => array_reverse($this->beads)]);
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
