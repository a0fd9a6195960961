<?php

declare(strict_types=1);

namespace App\View;

use App\Models\Finished;
use App\Models\FinishedMove;
use App\Models\Inspected;
use App\Models\Making;
use App\Models\MakingCut;
use App\Models\Measurement;
use App\Models\Movement;
use App\Models\Photo;
use App\Models\StepTime;
use App\Models\Workshop;
use App\View\Market\Motif;
use Carbon\CarbonImmutable;
use Hebra\Core\Hand\Pace;
use Hebra\Core\Plan\Inspection;
use Hebra\Core\Plan\Plan;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Quantity\Figures;
use Illuminate\Support\Collection;

/** One making as a record that prints: its picture, its life, what is in it and what it took. */
final readonly class RecordDesk
{
    /** How large its picture may be, in pixels, and at which ratio. */
    private const ROOM = [470.0, 560.0, 4.0];

    private const MOST_MOVES = 6;

    /** The ruler below it, and what it is longer than its scale at its first end, in pixels. */
    private const RULER = 560.0;

    private const FREE = 14.0;

    /** Ticks of the ruler stand so far apart at least, in pixels. */
    private const APART = 5.0;

    public Plan $plan;

    public Profile $profile;

    public HungPiece $hung;

    /** One of the box, where it was of one alone. */
    public ?Finished $finished;

    /** @var Collection<int, Movement> what the book says of it */
    private Collection $book;

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
        /** @var Collection<int, Finished> $finished */
        $finished = Finished::query()->where('making_id', $making->id)->limit(2)->get();
        $this->finished = $finished->count() === 1 ? $finished->first() : null;
        /** @var Collection<int, Movement> $book */
        $book = $making->movements()->with('lot')->orderBy('id')->get();
        $this->book = $book;
        $this->hung = HungPiece::in(self::ROOM, $this->plan, 'record');
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

    /** `No. 3, a pair, 51.5 mm, 3.28 g`. */
    public function sentence(): string
    {
        $round = $this->plan->roundMm();
        $finished = $this->finished;

        return implode(', ', array_filter([
            $finished === null ? '' : "No. {$finished->number}", $this->making->document()->makes->words(),
            $this->profile->length($round ?? $this->plan->hangsMm()).($round === null ? '' : ' round'),
            $this->making->weight_mg === null ? '' : Figures::grams($this->making->weight_mg / 1000),
        ]));
    }

    /** @return list<array{words: string, day: CarbonImmutable|null, isNow: bool}> its life, and what is to come */
    public function life(): array
    {
        $life = [
            ['words' => 'begun', 'day' => $this->making->created_at],
            ['words' => 'made', 'day' => $this->making->closed_at], ...$this->moves(),
        ];
        $gone = count(array_filter($life, fn (array $one): bool => $one['day'] !== null));

        return array_map(
            fn (array $one, int $at): array => $one + ['isNow' => $at === $gone - 1], $life, array_keys($life),
        );
    }

    /** @return list<array{words: string, day: CarbonImmutable|null}> where it went since, and where it may go */
    private function moves(): array
    {
        $finished = $this->finished;
        $moves = [];
        foreach ($finished?->moves()->orderBy('id')->limit(self::MOST_MOVES)->get() ?? [] as $move) {
            /** @var FinishedMove $move */
            $moves[] = ['words' => $move->place->words(), 'day' => $move->created_at];
        }

        return [...$moves, ...($finished?->place->isAtHand() === true ? [['words' => 'sold', 'day' => null]] : [])];
    }

    /** @return list<RecordWire> each wire as it was cut */
    public function wires(): array
    {
        return array_values($this->cuts->groupBy('label')
            ->map(fn (Collection $cuts, string $label): RecordWire => new RecordWire($label, $cuts, $this->book))
            ->all());
    }

    /** The wire that goes by a label, in words. */
    public function wireWords(string $label): string
    {
        foreach ($this->plan->strips() as $cut) {
            if ($cut->label === $label) {
                return $cut->wire->words();
            }
        }

        return '';
    }

    /** @return array<string, int> milligrams in the piece and in the jar, by what they are called */
    public function together(): array
    {
        $mg = fn (string $account): int => (int) $this->book->where('kind', 'made')->where('account', $account)
            ->sum('mass_mg');

        return ['in it' => $mg('pieces'), 'to the jar' => $mg('scrap jar')];
    }

    /** @return list<array{float, bool, string}> ticks of a ruler at the picture's scale, in pixels */
    public function ruler(): array
    {
        $perMm = Drawing::PX_PER_MM * $this->hung->drawing->ratio;
        $step = array_values(array_filter([1, 5, 10, 50], fn (int $mm): bool => $mm * $perMm >= self::APART))[0] ?? 100;
        $ticks = [];
        for ($mm = 0; $mm * $perMm < self::RULER; $mm += $step) {
            $isLong = $mm % (10 * $step) === 0;
            $ticks[] = [round(self::FREE + $mm * $perMm, 1), $isLong, $isLong ? (string) $mm : ''];
        }

        return $ticks;
    }

    /** @return list<array{words: string, minutes: float, capped: int, motif: string}> by kind of step */
    public function times(): array
    {
        $rows = [];
        foreach ($this->making->stepTimes()->orderBy('id')->get() as $time) {
            /** @var StepTime $time */
            $row = $rows[$time->kind] ?? [
                'words' => Pace::KINDS[$time->kind] ?? $time->kind, 'minutes' => 0.0, 'capped' => 0,
                'motif' => Motif::ofKind($time->kind),
            ];
            $row['minutes'] += $time->taken_ms / 60_000;
            $row['capped'] += $time->is_capped ? 1 : 0;
            $rows[$time->kind] = $row;
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
