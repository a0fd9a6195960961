<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\KnownByUlid;
use Carbon\CarbonImmutable;
use Hebra\Core\Piece\Piece as Document;
use Hebra\Core\Piece\PieceJson;
use Hebra\Core\Piece\Told;
use Illuminate\Database\Eloquent\Builder as EloquentBuilder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;
use Illuminate\Database\Eloquent\SoftDeletes;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/**
 * A piece in the workshop: where its history stands. The design itself is the document of its current revision.
 *
 * @property int $id
 * @property string $ulid
 * @property int $workshop_id
 * @property string $name
 * @property int $revision
 * @property string $stage
 * @property string $told  what its design can be looked for by, kept with it at each change
 * @property string $tags  the maker’s own words, `#blue #gift`
 * @property string|null $family  what its variants and it are known by
 * @property bool $is_pattern  kept to start others from, not among the pieces
 * @property CarbonImmutable|null $deleted_at
 * @property CarbonImmutable $updated_at
 * @property Making|null $openMaking
 * @property string|null $made_at  when it was last closed, where the query asked for it
 * @property Workshop $workshop
 */
final class Piece extends Model
{
    use KnownByUlid, SoftDeletes;

    /** What a piece is looked for by in a query. */
    public const TOLD = "told || ' ' || tags";

    public const STAGES = [
        'lay-out' => 'Lay out',
        'wire' => 'Wire & fit',
        'cut' => 'Cut',
        'make' => 'Make',
        'log' => 'Weigh & log',
    ];

    protected $guarded = ['id'];

    /** @var array<string, string> */
    protected $casts = ['is_pattern' => 'boolean'];

    protected $attributes = ['told' => '', 'tags' => ''];

    /** Its name, and what it can be looked for by, are its design’s. */
    public function tell(Document $document): void
    {
        $this->forceFill(['name' => $document->name, 'told' => Told::of($document)])->save();
    }

    private ?Document $read = null;

    private ?string $json = null;

    /** @return BelongsTo<Workshop, $this> */
    public function workshop(): BelongsTo
    {
        return $this->belongsTo(Workshop::class);
    }

    /** @return EloquentBuilder<self> the others of its family */
    public function variants(): EloquentBuilder
    {
        return self::query()->where('workshop_id', $this->workshop_id)->where('is_pattern', false)
            ->where('family', $this->family ?? '')->where('id', '!=', $this->id);
    }

    /** @return HasMany<Making, $this> */
    public function makings(): HasMany
    {
        return $this->hasMany(Making::class);
    }

    /** @return HasOne<Making, $this> */
    public function openMaking(): HasOne
    {
        return $this->hasOne(Making::class)->whereNull('closed_at')->latestOfMany();
    }

    /**
     * Their designs asked for at once, where each will be.
     *
     * @param  Collection<int, Piece>  $pieces
     * @return Collection<int, Piece> the same
     */
    public static function designed(Collection $pieces): Collection
    {
        $designs = DB::table('piece_revisions')->join('pieces', 'pieces.id', '=', 'piece_revisions.piece_id')
            ->whereColumn('piece_revisions.number', 'pieces.revision')->whereIn('pieces.id', $pieces->pluck('id'))
            ->pluck('document', 'piece_id');

        return $pieces->each(function (Piece $piece) use ($designs): void {
            $piece->json = $designs->has($piece->id) ? (string) $designs[$piece->id] : null;
        });
    }

    public function json(): string
    {
        return $this->json ??= (string) $this->history()->where('number', $this->revision)->value('document');
    }

    public function document(): Document
    {
        return $this->read ??= PieceJson::read($this->json());
    }

    /** @return array{bool, bool} whether there is a revision to go back to, and one to go on to */
    public function canMove(): array
    {
        $numbers = $this->history()->whereIn(
            'number',
            [$this->revision - 1, $this->revision + 1],
        )->pluck('number')->all();

        return [in_array($this->revision - 1, $numbers), in_array($this->revision + 1, $numbers)];
    }

    /** Where it was worked on last, without counting as a change to it. */
    public function leftAt(string $stage): void
    {
        if ($this->stage !== $stage) {
            $this->newQuery()->toBase()->where('id', $this->id)->update(['stage' => $stage]);
            $this->forceFill(['stage' => $stage])->syncOriginalAttribute('stage');
        }
    }

    /** What was read of it is read anew with it. */
    public function refresh(): static
    {
        $this->moved();

        return parent::refresh();
    }

    /** The history moved: what was read is forgotten, or is known already. */
    public function moved(?Document $document = null, ?string $json = null): void
    {
        $this->read = $document;
        $this->json = $json;
    }

    /** The rows of the history, bare: documents are read and written as they are. */
    public function history(): Builder
    {
        return DB::table('piece_revisions')->where('piece_id', $this->id);
    }
}
