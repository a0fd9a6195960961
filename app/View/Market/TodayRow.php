<?php

declare(strict_types=1);

namespace App\View\Market;

use App\Read\ToDo;
use App\Read\Wanted;
use App\View\HungPicture;
use App\View\SeenPiece;
use Hebra\Core\Market\Sitting;

/** What is done today on one piece, one sitting after the other. */
final readonly class TodayRow
{
    /** @param  non-empty-list<Sitting>  $sittings */
    public function __construct(private Wanted $wanted, private array $sittings)
    {
    }

    public function takes(Sitting $sitting): bool
    {
        return $sitting->wants === $this->sittings[0]->wants;
    }

    public function with(Sitting $sitting): self
    {
        return new self($this->wanted, [...$this->sittings, $sitting]);
    }

    private function toDo(): ?ToDo
    {
        return $this->wanted->toDo($this->sittings[0]->wants[0]);
    }

    public function name(): string
    {
        $more = count($this->sittings[0]->wants) - 1;

        return ($this->toDo()?->name() ?? '').($more > 0 ? " and {$more} more" : '');
    }

    /** `cut 11, weave, check, weigh`. */
    public function does(): string
    {
        return implode(
            ', ', array_map(fn (Sitting $one): string => $one->operation->doing($one->count), $this->sittings),
        );
    }

    public function time(): string
    {
        return PlanDesk::time(array_sum(array_map(fn (Sitting $one): float => $one->minutes, $this->sittings)));
    }

    public function url(): string
    {
        return $this->toDo()?->url() ?? '/plan';
    }

    public function isNow(): bool
    {
        return $this->sittings[0]->from < 1.0;
    }

    /** Names it and its picture among all that is done today. */
    public function key(): string
    {
        return "now-{$this->sittings[0]->wants[0]}-".(int) $this->sittings[0]->from;
    }

    /** @param  callable(string): SeenPiece  $seen */
    public function hung(callable $seen): ?HungPicture
    {
        $design = $this->toDo()?->design();

        return $design === null ? null : $seen($design)->hung([44.0, 46.0, 1.0]);
    }
}
