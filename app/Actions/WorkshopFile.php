<?php

declare(strict_types=1);

namespace App\Actions;

use App\Exceptions\Refused;
use App\Models\Bead;
use App\Models\Drill;
use App\Models\Finished;
use App\Models\HandBook;
use App\Models\Lot;
use App\Models\Making;
use App\Models\Piece;
use App\Models\Workshop;
use App\Read\HandDesk;
use App\Read\MakingDesk;
use App\Read\Wanted;
use Generator;
use Hebra\Core\Piece\PieceJson;
use Hebra\Core\Piece\ReceivedJson;
use Hebra\Core\Problem;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/**
 * A whole workshop as one JSON document, and back into an empty one: the same bytes come out again. Keys are sorted,
 * rows stand by their own ids, the lines of the metal book in their order; nothing in it says when it was written.
 */
final class WorkshopFile
{
    private const VERSION = 7;

    private const WORKSHOP = [
        'name', 'ruler', 'sizes', 'clearance_um', 'keep_um', 'shortcuts', 'schools', 'strengths', 'currency',
        'hour_cents', 'overhead_percent', 'margin_percent', 'metal_prices_e4', 'packing_cents', 'low_um', 'hand_on',
        'week_minutes', 'day_minutes', 'tax_percent', 'rounding', 'price_lists', 'decimals',
        'has_scale', 'has_camera',
    ];

    /** Tables by the name they have in the file: their columns, and which of them name a row of another table. */
    private const TABLES = [
        'tools' => [['ulid', 'kind', 'name', 'marks_um', 'grip_um', 'created_at', 'updated_at'], []],
        'beads' => [[
            'ulid', 'name', 'shape', 'length_um', 'width_um', 'hole_um', 'drilling', 'material', 'colour', 'price_e4',
            'low_at', 'created_at', 'updated_at', 'deleted_at',
        ], []],
        'supplies' => [['ulid', 'kind', 'name', 'price_e4', 'low_at', 'created_at', 'updated_at', 'deleted_at'], []],
        'lots' => [[
            'ulid', 'kind', 'name', 'metal', 'size', 'temper', 'mass_ng_per_mm', 'pin_length_um', 'price_cents',
            'measured_um', 'tags', 'created_at', 'updated_at',
        ], []],
        'pieces' => [[
            'ulid', 'name', 'revision', 'stage', 'is_pattern', 'family', 'tags', 'created_at', 'updated_at',
            'deleted_at',
        ], []],
        'piece_revisions' => [['number', 'document', 'words', 'created_at'], ['piece_id' => 'pieces']],
        'makings' => [[
            'ulid', 'document', 'revision', 'step', 'counted', 'moves', 'is_across', 'progress', 'counts', 'troubles',
            'weight_mg', 'waits_until', 'minutes', 'note', 'closed_at', 'created_at', 'updated_at',
        ], ['piece_id' => 'pieces']],
        'movements' => [
            ['entry', 'kind', 'account', 'metal', 'mass_mg', 'words', 'reverses', 'maker', 'created_at'],
            ['lot_id' => 'lots', 'making_id' => 'makings'],
        ],
        'supply_movements' => [
            ['entry', 'kind', 'amount', 'words', 'reverses', 'maker', 'created_at'],
            ['bead_id' => 'beads', 'supply_id' => 'supplies', 'making_id' => 'makings'],
        ],
        'cut_ticks' => [['cut', 'length_um', 'is_spoiled', 'created_at'], ['piece_id' => 'pieces', 'lot_id' => 'lots']],
        'reservations' => [['cut', 'count', 'length_um', 'created_at'], ['piece_id' => 'pieces', 'lot_id' => 'lots']],
        'drills' => [['ulid', 'kind', 'metal', 'size', 'temper', 'wanted_um', 'created_at'], []],
        'making_cuts' => [[
            'label', 'count', 'planned_um', 'cut_um', 'left_um', 'short_um', 'is_bound', 'way', 'awg', 'formed_um',
            'straight_um', 'tail_um', 'ng_per_mm', 'is_put_back', 'created_at', 'forgotten_at',
        ], ['making_id' => 'makings', 'drill_id' => 'drills']],
        'step_times' => [
            ['kind', 'title', 'estimate_ms', 'taken_ms', 'is_capped', 'created_at', 'forgotten_at'],
            ['making_id' => 'makings'],
        ],
        'measurements' => [
            ['what', 'metal', 'temper', 'wanted_um', 'measured_um', 'created_at', 'forgotten_at'],
            ['making_id' => 'makings', 'drill_id' => 'drills'],
        ],
        'inspections' => [['point', 'is_fine', 'created_at'], ['making_id' => 'makings']],
        'photos' => [['ulid', 'width', 'height', 'jpeg_base64', 'created_at'], ['making_id' => 'makings']],
        'occasions' => [['ulid', 'kind', 'name', 'note', 'due_on', 'paid_cents', 'created_at', 'updated_at'], []],
        'wants' => [
            ['ulid', 'count', 'price_cents', 'from_on', 'created_at', 'updated_at'],
            ['occasion_id' => 'occasions', 'piece_id' => 'pieces'],
        ],
        'finished' => [[
            'ulid', 'number', 'name', 'place', 'metals', 'minutes', 'cost_cents', 'price_cents', 'sold_cents', 'note',
            'moved_at', 'sold_at', 'created_at', 'updated_at',
        ], ['piece_id' => 'pieces', 'making_id' => 'makings', 'want_id' => 'wants']],
        'finished_moves' => [['place', 'cents', 'words', 'maker', 'created_at'], ['finished_id' => 'finished']],
        'repairs' => [[
            'ulid', 'name', 'words', 'minutes', 'price_cents', 'took_minutes', 'got_cents', 'done_at', 'created_at',
            'updated_at',
        ], ['occasion_id' => 'occasions', 'finished_id' => 'finished']],
    ];

    /** What may lie beside the file: a picture. */
    private const PICTURE = 'jpeg_base64';

    /**
     * What the file leaves out, by table: keys of this database, sums of the book, and what belongs to a person or the
     * device.
     */
    public const DERIVED = [
        '*' => ['id', 'workshop_id'],
        'workshops' => ['ulid', 'is_demo', 'created_at', 'updated_at'],
        'beads' => ['owned'],
        'pieces' => ['told'],
        'supplies' => ['held'],
    ];

    /** Tables that are no part of a workshop: people, events kept only to meet late ones, sums of other tables. */
    public const ELSEWHERE = [
        'migrations', 'users', 'bench_events', 'attempts', 'invitations', 'sent_forms', 'movement_sums', 'written',
    ];

    public function __construct(private readonly KeepPhoto $photos, private readonly Box $box)
    {
    }

    /** @return array<string, list<string>> the columns that the file has, by table */
    public static function columns(): array
    {
        return ['workshops' => self::WORKSHOP] + array_map(
            fn (array $table): array => [...$table[0], ...array_keys($table[1])],
            self::TABLES,
        );
    }

    public function write(Workshop $workshop): string
    {
        $file = $this->head($workshop);
        foreach ($this->tables($workshop, true) as $table => $rows) {
            $file[$table] = iterator_to_array($rows, false);
        }

        return json_encode(
            self::sorted($file),
            JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRETTY_PRINT,
        )."\n";
    }

    /** @return array{hebra: string, version: int, workshop: array<string, mixed>} what stands above the tables */
    public function head(Workshop $workshop): array
    {
        return [
            'hebra' => 'workshop',
            'version' => self::VERSION,
            'workshop' => (array) DB::table('workshops')->where('id', $workshop->id)->first(self::WORKSHOP),
        ];
    }

    /**
     * Table after table, row after row, as they are asked for.
     *
     * @param  bool  $hasPictures  whether the photos stand in it too, not beside it
     * @return Generator<string, Generator<int, array<string, mixed>>>
     */
    public function tables(Workshop $workshop, bool $hasPictures): Generator
    {
        /** @var array<string, array<int, string>> $ulids */
        $ulids = [];
        foreach (array_keys(self::TABLES) as $table) {
            yield $table => $this->rows($workshop, $table, $hasPictures, $ulids);
        }
    }

    /**
     * @param  array<string, array<int, string>>  $ulids  names of rows by their id, of the tables before it
     * @return Generator<int, array<string, mixed>>
     */
    private function rows(Workshop $workshop, string $table, bool $hasPictures, array &$ulids): Generator
    {
        [$columns, $refers] = self::TABLES[$table];
        $columns = $table === 'photos' && ! $hasPictures
            ? array_values(array_diff($columns, [self::PICTURE]))
            : $columns;
        $query = DB::table($table)->orderBy('id');
        $table === 'piece_revisions'
            ? $query->whereIn('piece_id', DB::table('pieces')->where('workshop_id', $workshop->id)->select('id'))
            : $query->where('workshop_id', $workshop->id);
        foreach ($query->select(['id', ...$columns, ...array_keys($refers)])->cursor() as $one) {
            $one = (array) $one;
            if (isset($one['ulid'])) {
                $ulids[$table][(int) $one['id']] = (string) $one['ulid'];
            }
            foreach ($refers as $column => $of) {
                $one[$column] = $one[$column] === null ? null : $ulids[$of][$one[$column]];
            }
            unset($one['id']);
            yield $one;
        }
    }

    /**
     * @param  array<mixed>  $value
     * @return array<mixed>
     */
    private static function sorted(array $value): array
    {
        $value = array_map(fn (mixed $one): mixed => is_array($one) ? self::sorted($one) : $one, $value);
        if (! array_is_list($value)) {
            ksort($value);
        }

        return $value;
    }

    public function isEmpty(Workshop $workshop): bool
    {
        foreach (['pieces', 'lots', 'beads', 'supplies', 'tools', 'movements', 'makings', 'occasions'] as $table) {
            if (DB::table($table)->where('workshop_id', $workshop->id)->exists()) {
                return false;
            }
        }

        return true;
    }

    /**
     * One document, of this or an older version, photos within.
     *
     * @param  bool  $isBeside  whether it stands beside what it was: then everything in it gets a name of its own
     *
     * @throws Problem if the workshop is not empty, or the file is none; then nothing has changed
     */
    public function read(Workshop $workshop, string $json, bool $isBeside = false): void
    {
        $this->checkEmpty($workshop);
        $file = json_decode($json, true, 32);
        self::checkHead($file);
        ReceivedJson::check($json, $file, 'file');
        unset($json);
        $file = self::upgraded($file);
        foreach (array_diff(array_keys($file), ['hebra', 'version', 'workshop', ...array_keys(self::TABLES)]) as $key) {
            throw Refused::invalid(
                'file',
                'The file has “'.mb_substr((string) $key, 0, 40).'”, which is not known here.',
            );
        }
        foreach (array_keys(self::TABLES) as $table) {
            is_array($file[$table] ?? null) && array_is_list($file[$table])
                || throw Refused::invalid('file', "“{$table}” is no list.");
        }
        $this->take($workshop, $file, fn (string $table): array => $file[$table], null, $isBeside);
    }

    /** @phpstan-assert array<string, mixed> $file */
    public static function checkHead(mixed $file): void
    {
        is_array($file) && ($file['hebra'] ?? null) === 'workshop'
            || throw Refused::invalid(
                'file',
                'The file is no workshop that Hebra exported: give one written under Account.',
            );
    }

    private function checkEmpty(Workshop $workshop): void
    {
        $this->isEmpty($workshop)
            || throw Refused::invalid(
                'file',
                'This workshop is not empty: a whole workshop comes back into a new one, with no pieces, stock, beads '
                    .'or tools.',
            );
    }

    /**
     * Into an empty workshop: every row is looked at first, then all are written, or none.
     *
     * @param  array<string, mixed>  $head  as head() gives it
     * @param  callable(string): iterable<int, mixed>  $rows  of a table, as often as they are asked for
     * @param  (callable(string): string)|null  $picture  a photo's bytes by its name, where they lie beside the file
     *
     * @throws Problem if the workshop is not empty, or the rows are none; then nothing has changed
     */
    public function take(Workshop $workshop, array $head, callable $rows, ?callable $picture, bool $isBeside): void
    {
        $this->checkEmpty($workshop);
        $version = $head['version'] ?? null;
        $said = is_scalar($version) ? mb_substr((string) $version, 0, 20) : 'of another kind';
        $version === self::VERSION || throw Refused::invalid(
            'file', "The file has version {$said}: versions 1 to ".self::VERSION.' are read here.',
        );
        $settings = $this->row('workshop', $head['workshop'] ?? null, self::WORKSHOP);
        $this->check($rows, $picture !== null);
        try {
            DB::transaction(function () use ($workshop, $settings, $rows, $picture, $isBeside): void {
                DB::table('workshops')->where('id', $workshop->id)->update($settings);
                $this->fill($workshop, $rows, $picture, $isBeside);
                $this->tried($workshop);
            });
        } catch (Refused $refused) {
            throw $refused;
        } catch (QueryException $fault) {
            $why = str_contains($fault->getMessage(), 'UNIQUE')
                ? 'A piece, lot or tool in it is already in another workshop here'
                : 'A line in it breaks a rule of the book';
            throw Refused::invalid('file', $why.': nothing was brought in.');
        } catch (\Throwable $fault) {
            throw Refused::invalid(
                'file',
                'Something in it is not known here ('.mb_substr($fault->getMessage(), 0, 120)
                    .'): nothing was brought in.',
            );
        }
        $workshop->refresh();
        $workshop->settled();
    }

    /** @param  callable(string): iterable<int, mixed>  $rows */
    private function check(callable $rows, bool $isWithoutPictures): void
    {
        $sums = [];
        foreach (self::TABLES as $table => [$columns, $refers]) {
            $columns = $table === 'photos' && $isWithoutPictures
                ? array_values(array_diff($columns, [self::PICTURE]))
                : $columns;
            foreach ($rows($table) as $at => $row) {
                $row = $this->row("{$table}.{$at}", $row, [...$columns, ...array_keys($refers)]);
                if (isset($row['document'])) {
                    $this->checkDocument($row['document'], "{$table}.{$at}.document");
                }
                if ($table === 'movements') {
                    is_int($row['mass_mg'])
                        || throw Refused::invalid('file', "{$table}.{$at}.mass_mg is no whole number.");
                    $entry = $row['entry'].'/'.$row['metal'];
                    $sums[$entry] = ($sums[$entry] ?? 0) + $row['mass_mg'];
                }
            }
        }
        array_filter($sums) === []
            || throw Refused::invalid(
                'file',
                'The entry “'.mb_substr((string) array_key_first(array_filter($sums)), 0, 60)
                    .'” does not add up to nothing: metal would appear or be lost.',
            );
    }

    private function checkDocument(mixed $document, string $place): void
    {
        try {
            PieceJson::readAll(is_string($document) ? $document : '');
        } catch (Problem $problem) {
            throw Refused::invalid('file', "{$place}: ".$problem->getMessage());
        }
    }

    /**
     * An older file as it would be written today, version by version.
     *
     * @param  array<mixed>  $file
     * @return array<mixed>
     */
    private static function upgraded(array $file): array
    {
        $next = [
            1 => self::fromVersion1(...), self::fromVersion2(...), self::fromVersion3(...), self::fromVersion4(...),
            self::fromVersion5(...), self::fromVersion6(...),
        ];
        foreach ($next as $version => $upgrade) {
            $file = ($file['version'] ?? null) === $version ? $upgrade($file) : $file;
        }

        return $file;
    }

    /**
     * Version 1 kept the number of each bead with it, and had no supplies: what there was came in as one line.
     *
     * @param  array<mixed>  $file
     * @return array<mixed>
     */
    private static function fromVersion1(array $file): array
    {
        if (is_array($file['workshop'] ?? null)) {
            $file['workshop'] += ['packing_cents' => 0, 'low_um' => 1_000_000];
        }
        $lines = [];
        $file = self::eachRow($file, 'beads', function (array $bead) use (&$lines): array {
            if (($bead['owned'] ?? 0) !== 0) {
                $lines[] = [
                    'entry' => (string) Str::ulid(),
                    'kind' => 'received',
                    'amount' => $bead['owned'],
                    'words' => 'as counted',
                    'reverses' => null,
                    'created_at' => $bead['created_at'] ?? null,
                    'bead_id' => $bead['ulid'] ?? null,
                    'supply_id' => null,
                    'making_id' => null,
                ];
            }

            return array_diff_key($bead, ['owned' => 0]) + ['low_at' => null, 'deleted_at' => null];
        });

        return ['version' => 2] + $file + ['supplies' => [], 'supply_movements' => $lines, 'reservations' => []];
    }

    /**
     * Version 2 knew nothing of what is learned by hand.
     *
     * @param  array<mixed>  $file
     * @return array<mixed>
     */
    private static function fromVersion2(array $file): array
    {
        if (is_array($file['workshop'] ?? null)) {
            $file['workshop'] += ['hand_on' => 1];
        }
        $since = [
            'moves' => 0,
            'is_across' => 0,
            'progress' => null,
            'counts' => null,
            'troubles' => null,
            'weight_mg' => null,
            'waits_until' => null,
        ];
        $file = self::eachRow($file, 'makings', fn (array $making): array => $making + $since);

        return ['version' => 3] + $file + array_fill_keys(
            ['drills', 'making_cuts', 'step_times', 'measurements', 'inspections', 'photos'],
            [],
        );
    }

    /**
     * Version 3 priced beads and supplies in whole cents, and its books did not say who wrote a line.
     *
     * @param  array<mixed>  $file
     * @return array<mixed>
     */
    private static function fromVersion3(array $file): array
    {
        foreach (['beads', 'supplies'] as $table) {
            $file = self::eachRow($file, $table, function (array $row): array {
                $cents = $row['price_cents'] ?? null;

                return array_diff_key($row, ['price_cents' => 0]) + [
                    'price_e4' => is_int($cents) ? $cents * 100 : $cents,
                ];
            });
        }

        foreach (['movements', 'supply_movements'] as $book) {
            $file = self::eachRow($file, $book, fn (array $line): array => $line + ['maker' => null]);
        }

        return ['version' => 4] + $file;
    }

    /**
     * Version 4 knew no variants.
     *
     * @param  array<mixed>  $file
     * @return array<mixed>
     */
    private static function fromVersion4(array $file): array
    {
        return ['version' => 5] + self::eachRow(
            $file, 'pieces', fn (array $piece): array => $piece + ['family' => null],
        );
    }

    /**
     * Version 5 knew no plan of work, no box and one price only.
     *
     * @param  array<mixed>  $file
     * @return array<mixed>
     */
    private static function fromVersion5(array $file): array
    {
        if (is_array($file['workshop'] ?? null)) {
            $file['workshop'] += [
                'week_minutes' => null, 'day_minutes' => null, 'tax_percent' => 0, 'rounding' => '',
                'price_lists' => null,
            ];
        }

        return ['version' => 6] + $file + array_fill_keys(['occasions', 'wants', 'finished', 'finished_moves'], []);
    }

    /**
     * Version 6 knew no repairs and no words of the maker’s own, and told all amounts with decimals.
     *
     * @param  array<mixed>  $file
     * @return array<mixed>
     */
    private static function fromVersion6(array $file): array
    {
        if (is_array($file['workshop'] ?? null)) {
            $file['workshop'] += ['decimals' => 2, 'has_scale' => 0, 'has_camera' => 0];
        }
        foreach (['pieces', 'lots'] as $table) {
            $file = self::eachRow($file, $table, fn (array $row): array => $row + ['tags' => '']);
        }

        $file = self::eachRow($file, 'finished', fn (array $row): array => $row + [
            'sold_at' => ($row['place'] ?? null) === 'sold' ? $row['moved_at'] ?? null : null,
        ]);

        return ['version' => 7] + $file + ['repairs' => []];
    }

    /**
     * @param  array<mixed>  $file
     * @param  callable(array<mixed>): array<mixed>  $change
     * @return array<mixed>
     */
    private static function eachRow(array $file, string $table, callable $change): array
    {
        foreach (is_array($file[$table] ?? null) ? $file[$table] : [] as $at => $row) {
            $file[$table][$at] = is_array($row) ? $change($row) : $row;
        }

        return $file;
    }

    /**
     * @param  list<string>  $columns
     * @return array<string, mixed>
     */
    private function row(string $place, mixed $row, array $columns): array
    {
        is_array($row) || throw Refused::invalid('file', "{$place} is no row.");
        foreach (array_diff(array_keys($row), $columns) as $key) {
            throw Refused::invalid(
                'file',
                "{$place} has “".mb_substr((string) $key, 0, 40).'”, which is not known here.',
            );
        }
        foreach (array_diff($columns, array_keys($row)) as $key) {
            throw Refused::invalid('file', "{$place} has no “{$key}”.");
        }
        foreach ($row as $key => $value) {
            $value === null || is_scalar($value)
                || throw Refused::invalid('file', "{$place}.{$key} is no single value.");
        }

        return $row;
    }

    /** Everything that came in is read once as the pages will read it. */
    private function tried(Workshop $workshop): void
    {
        $workshop->refresh();
        $workshop->settled();
        $workshop->profile();
        $workshop->costing();
        $workshop->lots()->each(fn (Lot $lot) => $lot->wire());
        $workshop->beads()->each(fn (Bead $bead) => $bead->core());
        $workshop->pieces()->withTrashed()->each(
            fn (Piece $piece) => Piece::withoutTimestamps(fn () => $piece->tell($piece->document())),
        );
        $workshop->makings()->each(fn (Making $making) => $making->document());
        $pace = HandBook::of($workshop)->pace();
        /** @var Making $making */
        foreach ($workshop->makings()->whereNull('closed_at')->get() as $making) {
            (new MakingDesk($making, $making->plan($workshop->profile())))->carried($pace);
        }
        new HandDesk($workshop);
        $workshop->drills()->each(fn (Drill $drill) => $drill->wire());
        $workshop->finished()->each(fn (Finished $finished) => $finished->place->words().$finished->massMg());
        new Wanted($workshop);
        $this->box->fillWithEarlier($workshop);
    }

    /** @return array{width: int, height: int, jpeg_base64: string} */
    private function photo(string $bytes, string $place): array
    {
        try {
            return $this->photos->received($bytes);
        } catch (Problem $problem) {
            throw Refused::invalid('file', "{$place}: {$problem->getMessage()} Nothing was brought in.");
        }
    }

    /**
     * @param  callable(string): iterable<int, mixed>  $rows  looked at already
     * @param  (callable(string): string)|null  $picture
     */
    private function fill(Workshop $workshop, callable $rows, ?callable $picture, bool $isBeside): void
    {
        $ids = [];
        foreach (self::TABLES as $table => [, $refers]) {
            foreach ($rows($table) as $at => $row) {
                $row = (array) $row;
                foreach ($refers as $column => $of) {
                    $row[$column] = $row[$column] === null
                        ? null
                        : $ids[$of][$row[$column]] ?? throw Refused::invalid(
                            'file',
                            "{$table}.{$at}.{$column} names “".mb_substr((string) $row[$column], 0, 40)
                                .'”, which is not in the file.',
                        );
                }
                if ($table === 'photos') {
                    $row = [
                        ...$row,
                        ...$this->photo(
                            $picture === null
                                ? (string) base64_decode((string) $row[self::PICTURE], true)
                                : $picture((string) $row['ulid']),
                            "{$table}.{$at}",
                        ),
                    ];
                }
                $name = $row['ulid'] ?? null;
                if ($name !== null && $isBeside) {
                    $row['ulid'] = strtolower((string) Str::ulid());
                }
                $id = DB::table($table)->insertGetId(
                    $table === 'piece_revisions' ? $row : ['workshop_id' => $workshop->id] + $row,
                );
                if ($name !== null) {
                    $ids[$table][$name] = $id;
                }
            }
        }
    }
}
