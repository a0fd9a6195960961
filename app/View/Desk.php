<?php

declare(strict_types=1);

namespace App\View;

use App\Models\Bead as OwnBead;
use App\Models\HandBook;
use App\Models\Lot;
use App\Models\Making;
use App\Models\Movement;
use App\Models\Piece;
use App\Models\SupplyMovement;
use App\Models\Workshop;
use App\Read\MakingDesk;
use App\Read\OnHand;
use App\View\Bench\Clock;
use Hebra\Core\Bead\Bead as CoreBead;
use Hebra\Core\Bead\BeadShape;
use Hebra\Core\Bead\Material;
use Hebra\Core\Figure\View;
use Hebra\Core\Hand\Learned;
use Hebra\Core\Hand\Pace;
use Hebra\Core\Piece\BeadRun;
use Hebra\Core\Piece\Family;
use Hebra\Core\Piece\FitKind;
use Hebra\Core\Piece\Kind;
use Hebra\Core\Piece\Kinds;
use Hebra\Core\Piece\Parameter;
use Hebra\Core\Piece\Part;
use Hebra\Core\Piece\PartId;
use Hebra\Core\Piece\Piece as Document;
use Hebra\Core\Plan\Check;
use Hebra\Core\Plan\Cut;
use Hebra\Core\Plan\FitSheet;
use Hebra\Core\Plan\Inspection;
use Hebra\Core\Plan\Level;
use Hebra\Core\Plan\Plan;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Plan\Point;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Plan\Supply;
use Hebra\Core\Plan\WireTable;
use Hebra\Core\Problem;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Technique\PinChoice;
use Hebra\Core\Wire\Wire;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** Everything a stage of a piece shows; one presenter for all five, each reading what it needs. */
final class Desk
{
    /** A strip longer than this has a scale of its own, mm. */
    private const LONG_MM = 600.0;

    /** The room of a strip under the picture of its step. */
    private const BENCH_PX = 560.0;

    public readonly Document $document;

    public readonly Plan $plan;

    public readonly Profile $profile;

    public readonly Drawing $drawing;

    /** What the stock has for it. */
    public readonly OnHand $onHand;

    /** @var list<float> what the figures were on the page that was changed */
    public array $was = [];

    private ?Board $board = null;

    /** The wire whose table is open on the Wire & fit stage. */
    public ?string $askedRole = null;

    private ?MakingDesk $makingDesk = null;

    private ?Pace $pace = null;

    public function __construct(
        public readonly Piece $piece,
        public readonly Workshop $workshop,
        public readonly string $stage,
        private readonly ?PartId $openPart = null,
        private readonly ?int $openRun = null,
        public readonly ?Problem $problem = null,
        public readonly View $side = View::Front,
        ?Document $instead = null,
    ) {
        $this->profile = $workshop->profile();
        $making = $stage === 'make' || $stage === 'log' ? $piece->openMaking : null;
        // A making goes on with the design it began with, whatever has been changed since.
        $this->document = $instead ?? ($making === null ? $piece->document() : $making->document());
        $this->plan = $making === null
            ? Planner::plan($this->document, $this->profile)
            : $making->plan($this->profile);
        $this->onHand = new OnHand($piece, $workshop, $this->profile);
        if ($making !== null) {
            $this->makingDesk = new MakingDesk($making, $this->plan);
        }
        // At the bench a left-handed maker sees it mirrored, and the second of a mirrored pair is seen so by everyone.
        $isLeft = $stage === 'make' && $this->profile->schools->isLeftHanded();
        $isBoard = $stage === 'lay-out';
        $isRound = $this->plan->isLaidRound();
        $flags = $isBoard && $this->hasFlags() ? Board::FLAG : 0.0;
        $this->drawing = new Drawing(
            $this->plan->seen($this->side),
            $isBoard ? Board::WIDE : 330,
            $isBoard ? Board::HIGH : 560,
            dimension: $isRound ? 0.0 : Board::DIMENSION + $flags,
            room: $isBoard ? Board::EDGE : 26,
            isMirrored: $isLeft !== ($stage === 'make' && $this->makingDesk?->isMirrored() === true),
            rulerWide: $isBoard && ! $isRound && $this->side !== View::Top ? Board::RULER : 0.0,
        );
        // At the bench it is seen how far it has come.
        $this->drawing->allApart()->fading($stage === 'make' ? $this->makingDesk?->unmade() ?? [] : []);
    }

    private function hasFlags(): bool
    {
        return $this->checks(Level::Stop, Level::Warn) !== [];
    }

    public function board(): Board
    {
        return $this->board ??= new Board($this);
    }

    /** In how many places a bead stands, in a row or alone. */
    public function alike(string $bead): int
    {
        return array_sum(array_map(
            fn (Part $part): int => count(array_filter($part->beads, fn (BeadRun $run): bool => $run->bead === $bead)),
            $this->document->parts,
        ));
    }

    public function wireBoard(): WireBoard
    {
        return new WireBoard($this);
    }

    public function cutBoard(): CutBoard
    {
        return new CutBoard($this);
    }

    /** The figures that the page shows, for the next one to tell what changed. */
    public function shown(): string
    {
        return $this->board()->shown();
    }

    /** The whole page, or, for a page that is already there, the desk alone. */
    public function rendered(bool $isFragment): string
    {
        return view(
            $isFragment ? 'stages.desk' : 'stages.page',
            ['desk' => $this, 'problem' => $this->problem],
        )->render();
    }

    public function url(string $stage): string
    {
        return '/pieces/'.$this->piece->ulid.'/'.$stage;
    }

    /** Whether the stage has a place for a refusal at its field; the others stand above it. */
    public function places(Problem $problem): bool
    {
        $field = $problem->field();
        $open = $this->open();

        return $field === 'name' || match ($this->stage) {
            'lay-out' => $open !== null && (
                ($open->technique()->takesBeads() && ($field === 'hole' ? $this->run() !== null : in_array(
                    $field, ['bead', 'bead hole', 'bead width', 'bead length', 'bead colour', 'bead name'], true,
                )))
                || array_filter(
                    $open->technique()->parameters(),
                    fn (Parameter $parameter): bool => $parameter->words === $field && $open->technique()->shows(
                        $parameter->key,
                        $open,
                    ),
                ) !== []
            ),
            'wire' => in_array($field, ['size', 'fit'], true),
            'make' => in_array(
                $field,
                ['hooked', 'counted', 'found', 'wait'],
                true,
            ) || str_starts_with($field, 'measured.'),
            'log' => preg_match(
                '/^(minutes|note|weight|loops|loops on|bent on|opened|packed|packing|'
                    .'(cut|left|kept|lot|others|short|weighed|before)\..+)$/',
                $field,
            ) === 1,
            default => false,
        };
    }

    /**
     * From where it can be looked at, by what is asked for: what is laid round has no side.
     *
     * @return array<string, array{string, View}> address => words
     */
    public function sides(): array
    {
        $sides = [];
        foreach ($this->plan->views() as $side) {
            $asked = ['view' => $side->value, 'open' => $this->openPart?->text, 'run' => $this->openRun];
            $sides[$this->url($this->stage).'?'.http_build_query($asked)] = [$side->value, $side];
        }

        return $sides;
    }

    /** How long the piece is, in words: `hangs 63 mm`. */
    public function high(): string
    {
        $round = $this->plan->roundMm();
        if ($round !== null) {
            return $this->profile->length($round).' round';
        }
        $length = $this->profile->length($this->plan->hangsMm());

        return $this->plan->isLaidRound() ? $length.' end to end' : $this->document->fit->kind->high($length);
    }

    /** How high it hangs, where the drawing shows it: laid round or from above it does not. */
    public function hangs(): string
    {
        return $this->plan->isLaidRound() || $this->side === View::Top ? '' : $this->high();
    }

    /** How wide it lies where it is laid round. */
    public function across(): string
    {
        return $this->plan->isLaidRound() ? $this->profile->length($this->plan->assembly()->widthMm()).' across' : '';
    }

    /** @return list<Kind> those with a key and a button of their own */
    public function quickTechniques(): array
    {
        return array_map(
            Kinds::named(...),
            [$this->document->fit->kind === FitKind::Ear ? 'ear-wire' : 'jump-ring', 'wrapped-link', 'head-pin'],
        );
    }

    /** @return array<string, list<Kind>> all others, by family in words */
    public function techniquesByFamily(): array
    {
        $by = [];
        foreach (Family::cases() as $family) {
            $by[$family->words()] = array_values(
                array_filter(
                    Kinds::all(),
                    fn (Kind $technique): bool => $technique->family() === $family && ! in_array(
                        $technique,
                        $this->quickTechniques(),
                        true,
                    ),
                ),
            );
        }

        return array_filter($by);
    }

    public function making(): ?MakingDesk
    {
        return $this->makingDesk;
    }

    /** @return list<Check> which bought pins would serve, with what they come to; none where nothing is a head pin */
    public function pinChoice(): array
    {
        $choice = PinChoice::of($this->plan);

        return $choice === null ? [] : [new Check(Level::Note, 'pins', $choice->text(), null, $choice->ways())];
    }

    public function isOlderDesign(): bool
    {
        return $this->makingDesk !== null && $this->makingDesk->making->revision !== $this->piece->revision;
    }

    /** The part whose settings are open: the one asked for, else the first with beads. */
    public function open(): ?Part
    {
        return $this->opened ??= $this->partAskedFor();
    }

    private ?Part $opened = null;

    private function partAskedFor(): ?Part
    {
        foreach ($this->document->parts as $part) {
            if ($part->id === $this->openPart) {
                return $part;
            }
        }
        foreach ($this->document->parts as $part) {
            if ($part->technique()->takesBeads()) {
                return $part;
            }
        }

        return $this->document->parts[0] ?? null;
    }

    /** Where a new part stands: below the one that is chosen; nowhere in particular while none was. */
    public function placeForNew(): ?int
    {
        foreach ($this->document->parts as $index => $part) {
            if ($part->id === $this->openPart) {
                return $index + 1;
            }
        }

        return null;
    }

    /** A bead's size as it is typed, width and length. */
    public function sizeOf(CoreBead $bead): string
    {
        return abs($bead->widthMm - $bead->lengthMm) < 0.005
            ? Figures::mm($bead->widthMm)
            : Figures::trim($bead->widthMm).' x '.Figures::mm($bead->lengthMm);
    }

    public function run(): ?int
    {
        $open = $this->open();
        if ($open === null || $open->beads === []) {
            return null;
        }

        return max(0, min(count($open->beads) - 1, $this->openRun ?? 0));
    }

    /** @return array{part: PartId, run: int}|null the run before or after the open one, over all parts */
    public function neighbour(int $by): ?array
    {
        $all = [];
        $here = null;
        foreach ($this->document->parts as $part) {
            foreach (array_keys($part->beads) as $run) {
                if ($part->id === $this->open()?->id && $run === $this->run()) {
                    $here = count($all);
                }
                $all[] = ['part' => $part->id, 'run' => $run];
            }
        }

        return $here === null ? ($all[0] ?? null) : ($all[$here + $by] ?? null);
    }

    /** @return list<Check> */
    public function checks(Level ...$levels): array
    {
        return array_values(
            array_filter($this->plan->checks, fn (Check $check): bool => in_array($check->level, $levels, true)),
        );
    }

    /** @return list<Strip> */
    public function strips(float $room = 700): array
    {
        $cuts = $this->plan->strips();
        $lengths = array_map(fn (Cut $cut): float => $cut->lengthMm(), $cuts);
        // All at one scale, but a wire of metres, which would make the others dots.
        $usual = array_filter($lengths, fn (float $length): bool => $length <= self::LONG_MM);
        $ratio = Strip::ratioFor(max([1.0, ...($usual === [] ? $lengths : $usual)]), $room);

        return array_map(
            fn (Cut $cut): Strip => new Strip(
                $cut,
                $this->profile,
                $cut->lengthMm() <= self::LONG_MM ? $ratio : Strip::ratioFor($cut->lengthMm(), $room),
            ),
            $cuts,
        );
    }

    /** @return list<Strip> of the cuts that steps ahead work on, each as large as it fits under their pictures */
    public function benchStrips(): array
    {
        return array_map(
            fn (Cut $cut): Strip => new Strip(
                $cut, $this->profile, Strip::ratioFor(max(1.0, $cut->lengthMm()), self::BENCH_PX),
            ),
            $this->makingDesk?->cutsAhead() ?? [],
        );
    }

    /** The role whose table is open: the one asked for, else the first. */
    public function openRole(): ?string
    {
        $roles = $this->document->rolesToChoose();

        return in_array($this->askedRole, $roles, true) ? $this->askedRole : ($roles[0] ?? null);
    }

    /** What a wire is called: by its kind, or by the part that has it for itself. */
    public function roleWords(string $role): string
    {
        $own = array_values(
            array_filter(
                $this->document->parts,
                fn (Part $part): bool => $part->wire === $role && $part->isOfOwnWire(),
            ),
        )[0] ?? null;

        return $own === null ? WireChoice::roleWords($role) : ucfirst($own->label()).', its own';
    }

    /** @return list<Part> made of a wire, bought ones left out */
    public function partsOf(string $role): array
    {
        return array_values(
            array_filter(
                $this->document->parts,
                fn (Part $part): bool => $part->wire === $role && ! $part->technique()->isBought($part),
            ),
        );
    }

    public function wireChoice(string $role): WireChoice
    {
        return new WireChoice(
            $this->document->wires[$role],
            WireTable::of($this->document, $role, $this->profile, $this->supply()),
            $this->profile,
        );
    }

    public function fitSheet(): FitSheet
    {
        return FitSheet::of($this->plan);
    }

    public function supply(): Supply
    {
        $held = [];
        foreach ($this->onHand->lots() as $lot) {
            if (! $lot->isPins()) {
                $key = $lot->wire()->key();
                $held[$key] = ($held[$key] ?? 0.0) + $lot->heldMm();
            }
        }

        $prices = $this->workshop->metalPrices();
        $day = now()->format('Y-m-d');

        return new Supply(
            $held,
            fn (Wire $wire): ?float => ($e4 = $prices->perGramE4($wire, $day)) === null ? null : $e4 / 100,
        );
    }

    /** @var list<CoreBead>|null */
    private ?array $tray = null;

    /**
     * @return list<CoreBead> beads of the tray: the maker's own first, then what the piece was given, then common ones
     */
    public function tray(): array
    {
        return $this->tray ??= $this->trayRead();
    }

    /** @return list<CoreBead> */
    private function trayRead(): array
    {
        $own = DB::table('beads')->where('workshop_id', $this->workshop->id)
            ->whereNull('deleted_at')
            ->latest('updated_at')
            ->limit(24)
            ->get(
                ['name', 'shape', 'length_um', 'width_um', 'hole_um', 'drilling', 'material', 'colour'],
            );

        $all = [
            ...array_values($own->map(fn (\stdClass $row): CoreBead => OwnBead::fromRow((array) $row))->all()),
            ...array_values($this->document->beads),
            ...self::commonBeads(),
        ];
        $once = [];
        foreach ($all as $bead) {
            $once[$bead->key()] ??= $bead;
        }

        return array_values($once);
    }

    /** @return list<CoreBead> */
    private static function commonBeads(): array
    {
        $bead = fn (
            BeadShape $shape, float $width, float $length, float $hole, string $colour,
        ): CoreBead => CoreBead::of($shape, $length, $width, $hole, colour: $colour);

        return [
            $bead(BeadShape::Round, 4, 4, 0.8, 'sea'), $bead(BeadShape::Round, 6, 6, 1, 'amber'),
            $bead(BeadShape::Round, 8, 8, 1, 'slate'), $bead(BeadShape::Bicone, 4, 4, 0.9, 'plum'),
            $bead(BeadShape::Rondelle, 6, 4, 1, 'moss'), $bead(BeadShape::Tube, 3, 10, 0.8, 'sky'),
            $bead(BeadShape::Drop, 8, 12, 0.9, 'rust'),
            CoreBead::of(BeadShape::Cap, 2, 7, 1, material: Material::Metal, colour: 'slate'),
        ];
    }

    /** The id of a bead's small picture. */
    public static function glyph(CoreBead $bead): string
    {
        return 'glyph-'.hash('crc32b', $bead->key());
    }

    /** A bead as the one line that the tray's form sends. */
    public static function line(CoreBead $bead): string
    {
        return $bead->line();
    }

    /** @return Collection<int, SupplyMovement> beads and supplies that a making took */
    public function counted(Making $making): Collection
    {
        /** @var Collection<int, SupplyMovement> $lines */
        $lines = SupplyMovement::query()->where(
            'making_id',
            $making->id,
        )->where('kind', 'used')->with('supply')->orderBy('id')->get();

        return $lines;
    }

    /** @return Collection<int, Making> what else is under way and does not rest */
    public function otherMakings(): Collection
    {
        /** @var Collection<int, Making> $makings */
        $makings = $this->workshop->makings()->whereNull('closed_at')->where(
            'piece_id',
            '!=',
            $this->piece->id,
        )->whereHas('piece')->with('piece')->latest('updated_at')->limit(5)->get();

        return $makings->reject(fn (Making $making): bool => $making->isWaiting())->values();
    }

    /** How long the whole making will take, in words. */
    public function foretold(): string
    {
        $pace = $this->pace();
        ['about' => $about, 'from' => $from, 'to' => $to] = $pace->foretell($this->plan);
        $words = Clock::words(...);

        return 'About '.$words($about).' at the bench'.($pace->isLearned()
            ? ", in four of five cases between {$words($from)} and {$words($to)}, by the time your steps took so far."
            : ', by a guess: it is learned as you go.');
    }

    /** Read off the logs once. */
    public function pace(): Pace
    {
        return $this->pace ??= HandBook::of($this->workshop)->pace();
    }

    /** Whether any way of forming is learned, followed or not. */
    public function isLearned(): bool
    {
        return array_filter(
            HandBook::of($this->workshop)->ways(),
            fn (Learned $learned): bool => $learned->isLearned(),
        ) !== [];
    }

    /** @return list<Point> what the finished piece is looked over for */
    public function points(): array
    {
        return Inspection::of($this->plan);
    }

    /** @return array{metal: string, bead: CoreBead} what right and wrong are drawn of: its own first wire and bead */
    public function sightsOf(Point $point): array
    {
        $wire = array_values($this->document->wires)[0] ?? null;

        return [
            'metal' => $wire === null ? 'sterling' : $wire->metal->value,
            'bead' => $point->bead ?? array_values($this->document->beads)[0] ?? CoreBead::parse('8mm round, amber'),
        ];
    }

    /** @return array<string, bool> what was found so far, by point */
    public function found(): array
    {
        return $this->makingDesk === null
            ? []
            : $this->makingDesk->making->inspected()->pluck('is_fine', 'point')->all();
    }

    public function measuredOf(string $point): ?string
    {
        $um = $this->makingDesk?->making->measurements()->where('what', $point)->latest('id')->value('measured_um');

        return $um === null ? null : $this->profile->size($um / 1000);
    }

    /** What the steps took at the bench, in minutes; empty where nothing was timed. */
    public function minutesTaken(Making $making): string
    {
        $ms = (int) $making->stepTimes()->sum('taken_ms');

        return $ms < 30_000 ? '' : (string) (int) round($ms / 60_000);
    }

    /** @return Collection<int, Making> */
    public function closedMakings(): Collection
    {
        return $this->piece->makings()->whereNotNull('closed_at')->with(
            ['movements.lot'],
        )->latest('closed_at')->limit(20)->get();
    }

    /**
     * What a closed making took, from the book: account or lot, milligrams.
     *
     * @return list<array{words: string, mg: int}>
     */
    public static function bill(Making $making): array
    {
        return array_values($making->movements
            ->groupBy(fn (Movement $line): string => match (true) {
                $line->lot !== null && $line->mass_mg < 0 => "out of {$line->lot->name}",
                $line->lot !== null => "offcut kept as {$line->lot->name}",
                $line->account === 'pieces' => 'in the piece',
                $line->account === 'scrap jar' => 'to the scrap jar',
                default => 'wire not booked',
            })
            ->map(
                fn (Collection $lines, string $words): array => [
                    'words' => $words,
                    'mg' => (int) $lines->sum('mass_mg'),
                ],
            )
            ->filter(fn (array $row): bool => $row['mg'] !== 0)
            ->all());
    }
}
