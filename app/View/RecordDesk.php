<?php

declare(strict_types=1);

namespace App\View;

use App\Models\Inspected;
use App\Models\Making;
use App\Models\MakingCut;
use App\Models\Measurement;
use App\Models\Photo;
use App\Models\StepTime;
use App\Models\Workshop;
use Hebra\Core\Hand\Pace;
use Hebra\Core\Plan\Inspection;
use Hebra\Core\Plan\Plan;
use Hebra\Core\Plan\Profile;
use Illuminate\Support\Collection;

/** One making as a record that prints. */
final readonly class RecordDesk
{
    public Plan $plan;

    public Profile $profile;

    public Drawing $drawing;

    /** @var Collection<int, MakingCut> */
    public Collection $cuts;

    /** @var Collection<int, Photo> */
    public Collection $photos;

    /** @var Collection<int, Measurement> */
    public Collection $sizes;

    public function __construct(public Making $making, Workshop $workshop)
    {
        $this->profile = $workshop->profile();
        $this->plan = $making->plan($this->profile);
        $this->drawing = new Drawing($this->plan->assembly(), dimension: $this->plan->isLaidRound() ? 0 : 64);
        /** @var Collection<int, MakingCut> $cuts */
        $cuts = $making->cuts()->orderBy('id')->get();
        $this->cuts = $cuts;
        /** @var Collection<int, Photo> $photos */
        $photos = $making->photos()->orderBy('id')->get(['id', 'ulid', 'width', 'height', 'making_id']);
        $this->photos = $photos;
        /** @var Collection<int, Measurement> $sizes */
        $sizes = $making->measurements()->orderBy('id')->get();
        $this->sizes = $sizes;
    }

    /** @return list<array{words: string, minutes: float, capped: int}> by kind of step */
    public function times(): array
    {
        $rows = [];
        foreach ($this->making->stepTimes()->orderBy('id')->get() as $time) {
            /** @var StepTime $time */
            $rows[$time->kind]['words'] = Pace::KINDS[$time->kind] ?? $time->kind;
            $rows[$time->kind]['minutes'] = ($rows[$time->kind]['minutes'] ?? 0.0) + $time->taken_ms / 60_000;
            $rows[$time->kind]['capped'] = ($rows[$time->kind]['capped'] ?? 0) + ($time->is_capped ? 1 : 0);
        }

        return array_values($rows);
    }

    /** @return list<array{look: string, expect: string, isFine: bool}> */
    public function inspected(): array
    {
        $found = $this->making->inspected()->get()->keyBy('point');
        $rows = [];
        foreach (Inspection::of($this->plan) as $point) {
            $one = $found->get($point->key);
            if ($one instanceof Inspected) {
                $rows[] = ['look' => $point->look, 'expect' => $point->expect, 'isFine' => $one->is_fine];
            }
        }

        return $rows;
    }
}
