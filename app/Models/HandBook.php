<?php

declare(strict_types=1);

namespace App\Models;

use Hebra\Core\Hand\Hand;
use Hebra\Core\Hand\Learned;
use Hebra\Core\Hand\Log;
use Hebra\Core\Hand\Pace;
use Hebra\Core\Quantity\Ruler;
use Illuminate\Database\Eloquent\Collection as EloquentCollection;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;

/** What a workshop's logs teach: read from its tables, the latest first where there are very many. */
final class HandBook
{
    /** Of one thing no more than so many logs count: hands change. */
    private const LATEST = 200;

    private const KEPT_SECONDS = 604_800;

    /** @var array<string, list<MakingCut>>|null by `loops/22` */
    private ?array $cuts = null;

    private function __construct(private readonly Workshop $workshop)
    {
    }

    public static function of(Workshop $workshop): self
    {
        return new self($workshop);
    }

    public function hand(): Hand
    {
        return new Hand(
            $this->ways(),
            $this->springs(),
            $this->workshop->metalPrices(),
            now()->toDateString(),
            $this->workshop->hour_cents,
            Ruler::from($this->workshop->ruler),
        );
    }

    /** @return array<string, list<MakingCut>> what teaches, by `loops/22`, oldest first */
    public function cuts(): array
    {
        if ($this->cuts === null) {
            $this->cuts = [];
            /** @var Collection<int, MakingCut> $rows */
            $rows = $this->workshop->makingCuts()->whereNotNull('way')->whereNull('forgotten_at')->latest('id')->limit(
                10 * self::LATEST,
            )->get();
            foreach ($rows->reverse()->groupBy(fn (MakingCut $cut): string => $cut->key()) as $key => $of) {
                $this->cuts[(string) $key] = array_values($of->slice(-self::LATEST)->all());
            }
            ksort($this->cuts);
        }

        return $this->cuts;
    }

    /** @return array<string, list<MakingCut>> the same, with the pieces they were for */
    public function cutsOfPieces(): array
    {
        $all = array_merge(...array_values($this->cuts()));
        (new EloquentCollection($all))->load(['making', 'making.piece' => fn ($piece) => $piece->withTrashed()]);

        return $this->cuts();
    }

    /** @return array<string, Learned> */
    public function ways(): array
    {
        $logs = [];
        // Asked for by every plan: bare rows, no models.
        $rows = DB::select(
            'SELECT way, awg, cut_um, left_um, short_um, straight_um, formed_um, is_bound, is_put_back '
                .'FROM making_cuts WHERE workshop_id = ? AND way IS NOT NULL AND forgotten_at IS NULL '
                .'ORDER BY id DESC LIMIT '.(10 * self::LATEST),
            [$this->workshop->id],
        );
        foreach ($rows as $row) {
            $key = $row->way.'/'.$row->awg;
            if (count($logs[$key] ?? []) < self::LATEST) {
                $logs[$key][] = new Log(MakingCut::ratioOf($row), (bool) $row->is_bound, (bool) $row->is_put_back);
            }
        }
        ksort($logs);

        return array_map(fn (array $of): Learned => Learned::from(array_reverse($of)), $logs);
    }

    /** @return array<string, Learned> by `sterling/half-hard`: what bends opened to, over what was foretold */
    public function springs(): array
    {
        $logs = [];
        $rows = DB::select(
            'SELECT metal, temper, measured_um, wanted_um FROM measurements '
                ."WHERE workshop_id = ? AND what = 'inside' AND forgotten_at IS NULL AND wanted_um > 0 "
                .'ORDER BY id DESC LIMIT '.self::LATEST,
            [$this->workshop->id],
        );
        foreach (array_reverse($rows) as $row) {
            $logs[$row->metal.'/'.$row->temper][] = new Log($row->measured_um / $row->wanted_um);
        }

        return array_map(fn (array $of): Learned => Learned::from($of), $logs);
    }

    /** Learned once from what was timed, and kept until more is or some is forgotten. */
    public function pace(): Pace
    {
        return Cache::remember('pace-'.$this->timed(), self::KEPT_SECONDS, $this->paceOfLogs(...));
    }

    /** All that a pace is learned from, as one word: another one as soon as any of it changes. */
    public function timed(): string
    {
        $rows = $this->workshop->stepTimes()->toBase()
            ->selectRaw('COUNT(*), COUNT(forgotten_at), SUM(is_capped), MAX(id)')->first();

        return md5((string) json_encode([config('hebra.version'), $this->workshop->id, $rows]));
    }

    private function paceOfLogs(): Pace
    {
        $logs = [];
        /** @var Collection<int, StepTime> $rows */
        $rows = $this->workshop->stepTimes()->whereNull('forgotten_at')->where(
            'is_capped',
            false,
        )->latest('id')->limit(2000)->get();
        foreach ($rows->reverse() as $row) {
            $logs[$row->kind][] = $row->log();
        }

        return Pace::from(array_map(fn (array $of): array => array_slice($of, -self::LATEST), $logs));
    }
}
