<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Actions\Bench;
use App\Actions\CloseMaking;
use App\Actions\Cutting;
use App\Actions\Drilling;
use App\Actions\History;
use App\Actions\Stockkeeping;
use App\Actions\SupplyBook;
use App\Models\CutTick;
use App\Models\Making;
use App\Models\Piece;
use App\Models\StepTime;
use App\Models\Tool;
use App\Models\User;
use App\Models\Workshop;
use App\Read\CuttingDesk;
use Hebra\Core\Bead\Bead as CoreBead;
use Hebra\Core\Hand\Work;
use Hebra\Core\Piece\ChangeReader;
use Hebra\Core\Piece\Family;
use Hebra\Core\Piece\FitKind;
use Hebra\Core\Piece\Makes;
use Hebra\Core\Piece\Pattern;
use Hebra\Core\Plan\Minutes;
use Hebra\Core\Plan\Plan;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Quantity\LengthUnit;
use Hebra\Core\Quantity\UnitPrice;
use Hebra\Core\Tool\Tool as CoreTool;
use Hebra\Core\Tool\ToolKind;
use Hebra\Core\Wire\Metal;
use Hebra\Core\Wire\WireSize;
use Illuminate\Database\Seeder;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Date;
use Illuminate\Support\Str;

/** A made-up workshop that gets ready for a winter market by the sea. Its own names, beads and numbers. */
final class DemoSeeder extends Seeder
{
    private const BEADS = [
        'sea glass' => ['Tide glass: 10mm round, hole 1.1, sea, glass', 26],
        'lilac' => ['Dusk bicone: 5mm bicone, hole 0.9, plum, glass', 40],
        'pebble' => ['Harbour pebble: 9 x 14mm drop, hole 0.9, slate, stone', 11],
        'kelp' => ['Kelp tube: 4 x 13mm tube, hole 0.8, moss, ceramic', 18],
        'lamp' => ['Harbour lamp: 8mm round, hole 1, amber, resin', 22],
        'buoy' => ['Buoy: 9 x 6mm rondelle, hole 1.2, rust, ceramic', 14],
        'foam' => ['Foam: 4mm round, hole 0.8, milk, glass', 96],
        'sky' => ['Winter sky: 6mm bicone, hole 1, sky, glass', 31],
        'night' => ['Night water: 8 x 12mm oval, hole 0.6, ink, stone', 9],
        'driftwood' => ['Driftwood: 12 x 20mm drop, hole 1.4, sand, wood', 7],
    ];

    private const TOOLS = [
        [ToolKind::RoundNose, 'Blue-handled round-nose', '1.5, 2, 2.5, 3, 3.5, 4.5 mm', 0.0],
        [ToolKind::Stepped, 'Stepped pliers', '5, 7, 10 mm', 0.0],
        [ToolKind::Mandrel, 'Steel rods', '3, 4, 6, 8, 9, 12, 15 mm', 0.0],
        [ToolKind::RingMandrel, 'Grooved ring mandrel', 'us 3 to us 13 by 1/2', 0.0],
        [ToolKind::BangleMandrel, 'Oak bangle mandrel', '55 to 70 by 2.5 mm', 0.0],
        [ToolKind::Winder, 'Bench winder', '1.5, 2, 2.5, 3, 4 mm', 25.0],
    ];

    /** Below it a bead is bought by the hank, for less than a cent. */
    private const SEED_MM = 2.5;

    /** Kind, name, amount, price, low. */
    private const SUPPLIES = [
        ['finding', 'ear back', '34', '0.07', '20'],
        ['rings', 'soldered ring, 5 mm', '16', '0.12', ''],
        ['crimps', 'crimp, for 0.38 mm wire', '60', '0.03', '40'],
        ['chain', 'chain of 3.5 × 2 mm links, sterling silver 22 AWG, half hard', '620 mm', '14.50', '500 mm'],
        ['strung', 'linen cord, undyed', '9 m', '0.40', ''],
        ['packing', 'Kraft box with a band', '11', '0.65', '12'],
    ];

    public function __construct(
        private readonly History $history,
        private readonly Stockkeeping $stock,
        private readonly Bench $bench,
        private readonly CloseMaking $closing,
        private readonly SupplyBook $supplies,
        private readonly Cutting $cutting,
        private readonly Drilling $drilling,
        private readonly DemoMarket $market,
    ) {
    }

    public function run(): void
    {
        if (Workshop::query()->where('is_demo', true)->exists()) {
            return;
        }
        $workshop = Workshop::query()->create([
            'name' => 'Marram Lane', 'is_demo' => true, 'margin_percent' => 34, 'packing_cents' => 65,
            'tax_percent' => 10,
            'rounding' => '.00', 'price_lists' => DemoMarket::LISTS,
        ]);
        // Nobody knows this password: the demo is entered by its button.
        User::query()->create(['workshop_id' => $workshop->id, 'name' => 'Ottla Wren', 'email' => 'ottla@marram-lane.example', 'password' => Str::random(40), 'recent_sums' => [
            [
                'words' => 'bead wrap 18 awg, 28 awg, 17, 3 mm',
                'address' => '/sums/bead-wrap?core=18+awg&wire=28+awg&beads=17&bead_length=3+mm',
            ],
            [
                'words' => 'spring back copper, half-hard, 14 awg, 60 mm',
                'address' => '/sums/spring-back?metal=copper&temper=half-hard&wire=14+awg&inside=60+mm',
            ],
        ]]);
        foreach (self::BEADS as [$line, $owned]) {
            // Most were priced when they came in; a few never were.
            $bead = CoreBead::parse($line);
            $cents = 12 + 3 * (strlen($line) % 17);
            $this->supplies->bead(
                $workshop,
                $bead,
                $owned,
                $owned > 8 ? UnitPrice::fromE4($bead->widthMm < self::SEED_MM ? 2 * $cents : 100 * $cents) : null,
            );
        }
        foreach (self::SUPPLIES as [$kind, $name, $amount, $price, $low]) {
            $this->supplies->receive(
                $workshop,
                ['kind' => $kind, 'name' => $name, 'amount' => $amount, 'price' => $price, 'low' => $low],
                $workshop->profile(),
            );
        }
        foreach (self::TOOLS as [$kind, $name, $marks, $gripMm]) {
            $tool = CoreTool::of($kind, $name, CoreTool::readMarks($kind, $marks, LengthUnit::Millimetre), $gripMm);
            Tool::query()->create([...Tool::columns($tool), 'workshop_id' => $workshop->id]);
        }
        $workshop->settled();
        $now = Carbon::now();
        $this->at($now, -27, fn () => $this->coils($workshop));
        mt_srand(1127);
        $breakwater = $this->at(
            $now,
            -26,
            fn () => $this->piece(
                $workshop,
                'Breakwater',
                [['wrapped-link', ['foam', 'lamp', 'foam']], ['head-pin', ['buoy']]],
            ),
        );
        $kelp = $this->at(
            $now,
            -24,
            fn () => $this->piece($workshop, 'Kelp light', [['head-pin', ['kelp', 'foam']]], Makes::batch(3)),
        );
        foreach ([
            -25 => [$breakwater, 88, 'First pair of the season. Lamp beads run a little large.'],
            -21 => [$breakwater, 81, ''], -19 => [$kelp, 110, 'Three for the corner rail.'],
            -16 => [$breakwater, 74, 'Wraps lie closer now.'], -12 => [$breakwater, 70, ''],
            -9 => [$kelp, 95, 'Three more; one tail too short to hold.'],
            -5 => [$breakwater, 66, 'Cut for my hand: long enough, and no more.'],
        ] as $days => [$piece, $minutes, $note]) {
            $this->at($now, $days, fn () => $this->made($piece, $minutes, $note));
        }
        foreach ([-23 => 0.16, -17 => 0.11, -10 => 0.08, -3 => 0.06] as $days => $spread) {
            $this->at($now, $days, fn () => $this->drilled($workshop, $spread));
        }
        $this->at(
            $now,
            -8,
            fn () => $this->piece(
                $workshop,
                'Slipway',
                [['wrapped-link', ['kelp']], ['wrapped-link', ['foam']], ['head-pin', ['sea glass']]],
                Makes::one(),
            ),
        );
        $this->at(
            $now,
            -7,
            fn () => $this->piece(
                $workshop,
                'Low water',
                [['wrapped-link', ['foam', 'buoy', 'foam']], ['head-pin', ['pebble']]],
                Makes::batch(6),
                Metal::Niobium,
            ),
        );
        $this->at(
            $now,
            -6,
            fn () => $this->piece($workshop, 'Night tide', [['wrapped-link', ['foam']], ['head-pin', ['night']]]),
        );
        $this->at(
            $now,
            -4,
            fn () => $this->piece(
                $workshop,
                'Mooring line',
                [['wrapped-link', ['foam', 'sky', 'foam'], 'repeat' => 3]],
                Makes::pair(),
                Metal::Copper,
            ),
        );
        $this->at(
            $now,
            -3,
            fn () => $this->piece(
                $workshop,
                'Driftwood, bought pins',
                [
                    ['wrapped-link', ['sky']],
                    ['head-pin', ['foam', 'driftwood'], ['source' => 'bought', 'pin_length' => 50.0]],
                ],
            ),
        );
        $lantern = $this->at(
            $now,
            -3,
            fn () => $this->piece(
                $workshop,
                'Lantern walk',
                [
                    ['wrapped-link', ['lamp'], ['turned' => true], 'repeat' => 2],
                    ['head-pin', ['lilac', 'lamp', 'lilac']],
                ],
                null,
                Metal::GoldFilled,
            ),
        );
        $this->at(
            $now,
            -3,
            fn () => $this->started(
                $workshop,
                'Groyne hoops',
                new Pattern(
                    '',
                    Family::Earring,
                    [['hoop', [['lilac', 3], 'lamp', ['lilac', 3]], ['diameter' => 34.0]]],
                ),
            ),
        );
        $this->at(
            $now,
            -3,
            fn () => $this->started(
                $workshop,
                'Shingle bracelet',
                new Pattern(
                    '',
                    Family::Chain,
                    [
                        ['hook'], ['wrapped-link', ['foam', 'lamp', 'foam'], 'group' => 'g1'],
                        ['jump-ring', [], ['inside' => 3.0], 'group' => 'g1'], ['jump-ring', [], ['inside' => 7.0]],
                    ],
                    FitKind::Wrist,
                    groups: ['g1' => 7],
                ),
            ),
        );
        $kept = $this->at(
            $now,
            -3,
            fn () => $this->started(
                $workshop,
                'Harbour mouth',
                new Pattern(
                    '',
                    Family::Pendant,
                    [
                        ['jump-ring', [], ['inside' => 6.0]], ['frame', [['foam', 9]], ['size' => 36.0]],
                        ['head-pin', ['sky', 'foam'], 'on' => 'p2/centre'],
                    ],
                    FitKind::Neck,
                ),
            ),
        );
        $this->at(
            $now,
            -2,
            fn () => $this->started(
                $workshop,
                'Rope-walk bangle',
                new Pattern(
                    '',
                    Family::Bangle,
                    [['bangle', [], ['style' => 'curled', 'ends' => 55.0]]],
                    FitKind::Wrist,
                    Metal::Copper,
                ),
            ),
        );
        $marsh = $this->at(
            $now,
            -2,
            fn () => $this->piece(
                $workshop,
                'Marsh lights',
                [
                    ['jump-ring', [], ['inside' => 5.0]], ['head-pin', ['sky', 'foam']],
                    ['head-pin', ['lilac'], 'on' => 'p2/bottom'],
                    ['head-pin', ['lamp', 'foam', 'foam'], 'on' => 'p2/bottom'],
                ],
                Makes::mirroredPair(),
            ),
        );
        $this->at($now, -2, fn () => $this->started($workshop, 'Ebb and flow', new Pattern('', Family::Chain, [
            ['hook', [], ['style' => 's']], ['jump-ring', [], ['inside' => 6.0]], ['chain', [], ['links' => 120]],
            ['jump-ring', [], ['inside' => 6.0]], ['jump-ring', [], ['inside' => 6.0]],
            ['chain', [], ['links' => 68], 'on' => 'p2/bottom'], ['jump-ring', [], ['inside' => 3.5]],
            ['head-pin', ['sea glass', 'foam'], 'on' => 'p7/bottom'],
            ['chain', [], ['links' => 68], 'on' => 'p7/bottom', 'to' => 'p4/top'],
        ], FitKind::Neck)));
        $this->at(
            $now,
            -2,
            fn () => $this->started(
                $workshop,
                'Lobster-pot cuff',
                new Pattern(
                    '',
                    Family::Woven,
                    [
                        ['hook'],
                        ['woven-band', [], [
                            'cores' => 4, 'length' => 147.0, 'pattern' => '6@1-2 6@2-3 6@3-4 x2 | cross 2-3 | 3@1-4',
                            'mirrored' => true,
                        ]],
                        ['jump-ring', [], ['inside' => 7.0]],
                    ],
                    FitKind::Wrist,
                    Metal::Copper,
                ),
            ),
        );
        $this->at(
            $now,
            -2,
            fn () => $this->started(
                $workshop,
                'Harbour bell ring',
                new Pattern('', Family::Ring, [['wound-ring', ['lamp'], ['turns' => 3]]], FitKind::Finger),
            ),
        );
        $this->at(
            $now,
            -2,
            fn () => $this->halfMade(
                $this->piece(
                    $workshop,
                    'Winter buoys',
                    [['wrapped-link', ['sky', 'buoy']], ['head-pin', ['lamp', 'foam']]],
                ),
                14,
                1,
            ),
        );
        // One is all but done, one just begun.
        $this->at(
            $now,
            -1,
            fn () => $this->begun($marsh)->forceFill(
                ['step' => Planner::plan($marsh->document(), $workshop->profile())->stepCount()],
            )->save(),
        );
        $this->at($now, -1, fn () => $this->begun($lantern)->forceFill(['step' => 6])->save());
        $this->at($now, -1, fn () => $this->cutting->keep(new CuttingDesk($workshop, collect([$kept]))));
        $this->at(
            $now,
            0,
            fn () => $this->piece(
                $workshop,
                'Sandpiper drops',
                [['wrapped-link', ['sea glass', 'lilac']], ['head-pin', ['pebble']]],
            ),
        );
        $this->at($now, -4, fn () => $this->market->box($workshop));
        $this->at($now, 0, fn () => $this->market->plan($workshop));
        $this->at($now, 0, fn () => $this->market->repairs($workshop));
    }

    /**
     * What is done inside happened so many days ago.
     *
     * @template T
     *
     * @param  callable(): T  $do
     * @return T
     */
    private function at(Carbon $now, int $days, callable $do): mixed
    {
        $clock = Date::getTestNow();
        Date::setTestNow($now->copy()->addDays($days));
        try {
            return $do();
        } finally {
            Date::setTestNow($clock);
        }
    }

    private function coils(Workshop $workshop): void
    {
        foreach ([
            ['Window coil', 'sterling', '20 awg', 'half-hard', '1.4 m', '21.40'],
            ['Long coil', 'sterling', '22 awg', 'dead-soft', '4.6 m', '38.00'],
            ['Fine coil', 'sterling', '24 awg', 'dead-soft', '12.5 g', '27.50'],
            ['Copper coil', 'copper', '22 awg', 'dead-soft', '8 m', '6.20'],
            ['Tin-box copper', 'copper', '20 awg', 'half-hard', '430 mm', ''],
            ['Gold loop', 'gold-filled', '20 awg', 'half-hard', '1.2 m', '46.00'],
            ['Gold thread', 'gold-filled', '26 awg', 'dead-soft', '2.4 m', '31.50'],
            ['Fence copper', 'copper', '18 awg', 'dead-soft', '6.1 m', '7.80'],
        ] as [$name, $metal, $size, $temper, $amount, $price]) {
            $this->stock->receive(
                $workshop,
                [
                    'kind' => 'coil', 'name' => $name, 'metal' => $metal, 'size' => $size, 'temper' => $temper,
                    'amount' => $amount, 'price' => $price,
                ],
                LengthUnit::Millimetre,
            );
        }
        foreach (['212 mm', '96 mm'] as $amount) {
            $this->stock->receive(
                $workshop,
                [
                    'kind' => 'offcut', 'metal' => 'sterling', 'size' => '22 awg', 'temper' => 'dead-soft',
                    'amount' => $amount,
                ],
                LengthUnit::Millimetre,
            );
        }
        $this->stock->receive(
            $workshop,
            [
                'kind' => 'pins', 'name' => 'Fifties', 'metal' => 'sterling', 'size' => '24 awg',
                'temper' => 'dead-soft', 'pins' => '20', 'pin_length' => '50 mm', 'price' => '9.80',
            ],
            LengthUnit::Millimetre,
        );
    }

    /**
     * @param  non-empty-list<array{0: string, 1?: list<string|array{string, int}>, 2?: array<string, float|int|string|bool>, repeat?: int, on?: string, to?: string, group?: string}>  $line
     *     below the ear wire
     */
    private function piece(
        Workshop $workshop, string $name, array $line, ?Makes $makes = null, Metal $metal = Metal::Sterling,
    ): Piece {
        return $this->started(
            $workshop,
            $name,
            new Pattern('', Family::Earring, [['ear-wire'], ...$line], metal: $metal),
            $makes,
        );
    }

    private function started(Workshop $workshop, string $name, Pattern $pattern, ?Makes $makes = null): Piece
    {
        $document = $pattern->piece($name, array_map(fn (array $bead): string => $bead[0], self::BEADS));
        // The fine stone has a fine hole: its drop stays on the usual wire, and the check says so.
        $isFine = array_filter($document->beads, fn (CoreBead $bead): bool => $bead->holeMm < 0.7) !== [];
        $document = $isFine
            ? $document->withWire('pin', $document->wires['pin']->withSize(WireSize::awg(22)))
            : $document;

        return $this->history->begin($workshop, $makes === null ? $document : $document->withMakes($makes), 'Began');
    }

    private function begun(Piece $piece): Making
    {
        return $this->bench->begin($piece);
    }

    private function halfMade(Piece $piece, int $steps, int $counted): void
    {
        $this->history->change(
            $piece,
            1,
            ChangeReader::read(['do' => 'note', 'note' => 'For the stall by the lifeboat house.']),
        );
        $this->begun($piece)->forceFill(['step' => $steps, 'counted' => $counted])->save();
    }

    /** Made and closed by a hand that uses some four per cent more than the sum, and takes its time. */
    private function made(Piece $piece, int $minutes, string $note): void
    {
        $making = $this->begun($piece);
        $workshop = Workshop::query()->findOrFail($piece->workshop_id);
        $profile = $workshop->profile();
        $plan = Planner::plan($making->document(), $profile);
        foreach ([
            ...$plan->prepare(), ...array_merge(...array_fill(0, $plan->piece->makes->count, $plan->steps())),
        ] as $step) {
            $estimate = (int) round(60_000 * Minutes::step($step));
            StepTime::query()->create(
                [
                    'workshop_id' => $workshop->id, 'making_id' => $making->id, 'kind' => Minutes::kind($step),
                    'title' => $step->title, 'estimate_ms' => $estimate,
                    'taken_ms' => (int) round($estimate * max(0.5, $this->about(1.6, 0.35))),
                ],
            );
        }
        $making->forceFill(['step' => $plan->stepCount()])->save();
        $this->spoiled($making, $plan, $workshop);
        $desk = new \App\View\Desk($piece, $workshop, 'log');
        $plain = [];
        foreach (Planner::plan($making->document(), $profile->withoutHand())->cuts as $cut) {
            $plain[$cut->key()] = Work::in($cut);
        }
        $input = ['minutes' => (string) $minutes, 'note' => $note];
        foreach ($desk->onHand->shares($desk->plan) as $share) {
            $cut = $share->cut;
            $work = $plain[$cut->key()];
            $cutMm = $profile->ruler->upMm($cut->lengthMm());
            $left = $cutMm - $work->straightMm - $work->formedMm * $this->about(1.042, 0.015);
            $input['cut'][$cut->key()] = $cutMm.' mm';
            $input[$left < 0 ? 'short' : 'left'][$cut->key()] = $profile->ruler->nearestMm(abs($left)).' mm';
            $input['lot'][$cut->key()] = $desk->onHand->lotOffered($share)->ulid ?? '';
        }
        $this->closing->close($making, $workshop, $input);
    }

    /** Every third making or so one wire is spoiled. */
    private function spoiled(Making $making, Plan $plan, Workshop $workshop): void
    {
        $lot = $workshop->lots()->where('name', 'Fine coil')->firstOrFail();
        $cut = $plan->cuts[count($plan->cuts) - 1];
        if (mt_rand(0, 2) === 0) {
            $making->forceFill(
                ['troubles' => [['kind' => 'spoiled', 'cut' => $cut->key(), 'step' => 'Drop: turn the loop']]],
            )->save();
            CutTick::query()->create(
                [
                    'workshop_id' => $workshop->id, 'piece_id' => $making->piece_id, 'lot_id' => $lot->id,
                    'cut' => $cut->key(),
                    'length_um' => (int) round(1000 * $plan->profile->ruler->upMm($cut->lengthMm())),
                    'is_spoiled' => true,
                ],
            );
        }
    }

    /** A week's practice: ten loops, five pairs and a bend. */
    private function drilled(Workshop $workshop, float $spread): void
    {
        $sizes = fn (int $many, float $mm, float $spread): string => implode(
            '; ',
            array_map(fn (): string => round($this->about($mm, $spread), 2).' mm', range(1, $many)),
        );
        $wire = ['metal' => 'sterling', 'size' => '22 awg', 'temper' => 'dead-soft'];
        $this->drilling->keep(
            $workshop,
            ['kind' => 'loops', ...$wire, 'wanted' => '2.5 mm', 'sizes' => $sizes(10, 2.55, $spread)],
        );
        $this->drilling->keep(
            $workshop,
            ['kind' => 'pairs', ...$wire, 'wanted' => '3 mm', 'sizes' => $sizes(10, 3.02, $spread)],
        );
        $this->drilling->keep(
            $workshop,
            [
                'kind' => 'bend', 'metal' => 'sterling', 'size' => '20 awg', 'temper' => 'half-hard',
                'wanted' => '12 mm', 'sizes' => $sizes(2, 13.7, 0.12),
            ],
        );
    }

    /** Box and Muller 1958. */
    private function about(float $mean, float $spread): float
    {
        return $mean + $spread * sqrt(
            -2 * log((mt_rand() + 1) / (mt_getrandmax() + 2)),
        ) * cos(2 * M_PI * mt_rand() / mt_getrandmax());
    }
}
