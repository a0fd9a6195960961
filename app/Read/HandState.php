<?php

declare(strict_types=1);

namespace App\Read;

use App\Models\HandBook;
use App\Models\Tool;
use App\Models\Workshop;
use Illuminate\Support\Facades\DB;

/** All that plans are made with besides their design, as one word: another one as soon as any of it changes. */
final class HandState
{
    /** The same with the pace that its work is foretold by. */
    public static function atPace(Workshop $workshop): string
    {
        return self::of($workshop).HandBook::of($workshop)->timed();
    }

    public static function of(Workshop $workshop): string
    {
        $of = fn (string $table, string $columns): mixed => DB::table($table)->where('workshop_id', $workshop->id)
            ->selectRaw($columns)->first();

        return md5((string) json_encode([
            config('hebra.version'), $workshop->getAttributes(),
            $workshop->tools->map(fn (Tool $tool): array => $tool->getAttributes())->all(),
            $of('making_cuts', 'COUNT(*), COUNT(forgotten_at), SUM(is_put_back), MAX(id)'),
            $of('measurements', 'COUNT(*), COUNT(forgotten_at), MAX(id)'),
        ]));
    }
}
