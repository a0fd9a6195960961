<?php

declare(strict_types=1);

namespace App\Read;

use App\Models\Making;
use App\Models\Piece;
use App\Models\Workshop;
use Hebra\Core\Piece\Editions;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/**
 * The editions of a piece as they were made: since when, what changed, how many were made and sold, and for how much.
 *
 * @phpstan-type Edition array{
 *     number: int, since: string, changes: list<string>, made: int, sold: int, cents: int, makings: list<int>,
 * }
 */
final readonly class MadeEditions
{
    /** The latest makings that are looked at. */
    private const MOST = 300;

    /** @var list<Edition> the first made first */
    public array $all;

    public function __construct(Piece $piece, Workshop $workshop)
    {
        /** @var Collection<int, Making> $makings */
        $makings = $piece->makings()->whereNotNull('closed_at')->latest('id')->limit(self::MOST)->get()->reverse()
            ->values();
        $editions = Editions::of(array_values($makings->map(fn (Making $making) => $making->document())->all()));
        $brought = self::brought($piece);
        $all = [];
        foreach ($makings as $at => $making) {
            $number = $editions->number($at);
            $all[$number] ??= [
                'number' => $number, 'since' => $making->closed_at?->format('j F Y') ?? '',
                'changes' => $editions->changes($number, $workshop->profile()->length(...)),
                'made' => 0, 'sold' => 0, 'cents' => 0, 'makings' => [],
            ];
            $all[$number]['makings'][] = $making->id;
            foreach ($brought[$making->id] ?? [] as $what => $much) {
                $all[$number][$what] += $much;
            }
        }
        $this->all = array_values($all);
    }

    /** @return array<int, array{made: int, sold: int, cents: int}> by making */
    private static function brought(Piece $piece): array
    {
        return DB::table('finished')->where('piece_id', $piece->id)->groupBy('making_id')->selectRaw(
            'making_id, COUNT(*) AS made, COUNT(sold_at) AS sold, SUM(CASE WHEN sold_at IS NULL THEN 0 '
                .'ELSE COALESCE(sold_cents, 0) END) AS cents',
        )->get()->mapWithKeys(fn (object $row): array => [(int) $row->making_id => [
            'made' => (int) $row->made, 'sold' => (int) $row->sold, 'cents' => (int) $row->cents,
        ]])->all();
    }
}
