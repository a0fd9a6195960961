<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Actions\Box;
use App\Actions\Going;
use App\Actions\Planning;
use App\Actions\Repairing;
use App\Actions\Tagging;
use App\Models\Finished;
use App\Models\Workshop;
use Carbon\CarbonImmutable;
use Hebra\Core\Market\Place;
use Illuminate\Support\Collection;

/** What the demo workshop is getting ready for, and what became of what it made. All of it is made up. */
final class DemoMarket
{
    /** By name: margin and fee of the price, in percent. */
    public const LISTS = [
        'stall' => ['margin' => 34, 'fee' => 5], 'shop' => ['margin' => 8, 'fee' => 0],
        'friends' => ['margin' => 0, 'fee' => 0],
    ];

    private const WANTED = [
        // A day short of two weeks: too little time for all of it, whichever day of the week the demo begins.
        'market' => ['Harbour winter market', 'Stall 14, by the slipway. Bring the small rail.', 13, [
            ['Breakwater', 9, '58.00'], ['Winter buoys', 5, '62.00'], ['Kelp light', 9, '34.00'],
            ['Sandpiper drops', 4, '56.00'], ['Slipway', 4, '44.00'], ['Low water', 6, '46.00'],
            ['Night tide', 4, '49.00'],
        ]],
        'order' => ['Ysolde Pike', 'Wrist 165 mm. Fetches it on her way to the ferry.', 7, [
            ['Lobster-pot cuff', 1, '118.00'], ['Harbour bell ring', 1, '44.00'],
        ]],
        'gift' => ['Tamsin’s birthday', '', 18, [['Harbour mouth', 1, '']]],
    ];

    /** By its number: where it went, for how much, with what words. */
    private const GONE = [
        1 => [Place::Sold, 5800, 'first sale of the season'], 2 => [Place::Sold, 5600, ''],
        3 => [Place::Lent, null, 'for the window of the ferry office'],
        4 => [Place::Given, null, 'to a friend who found the buoys'], 7 => [Place::Stall, null, ''],
    ];

    private const REPAIRS = [
        ['2', 'Orla Quince', 'a new hook on each, the old ones were lost', 25, '9.00', 4],
        ['', 'Merrin Voss', 'five links more in the chain', 40, '18.00', 9],
    ];

    private const TAGS = [
        'Breakwater' => 'market, sea', 'Kelp light' => 'market, green', 'Winter buoys' => 'market, sea',
        'Harbour mouth' => 'gift, sea', 'Lobster-pot cuff' => 'order', 'Night tide' => 'market, dark',
    ];

    private const PRICES = ['Breakwater' => 5800, 'Kelp light' => 3400];

    public function __construct(
        private readonly Planning $planning, private readonly Box $box, private readonly Repairing $repairing,
    ) {
    }

    /** What was brought to be repaired, and words of the maker’s own for her pieces. */
    public function repairs(Workshop $workshop): void
    {
        foreach (self::REPAIRS as [$number, $who, $words, $minutes, $price, $days]) {
            $this->repairing->take($workshop, [
                'number' => $number, 'name' => 'Her aunt’s long chain', 'who' => $who, 'words' => $words,
                'minutes' => (string) $minutes, 'price' => $price,
                'due' => CarbonImmutable::today()->addDays($days)->format('Y-m-d'),
            ]);
        }
        foreach (self::TAGS as $name => $tags) {
            (new Tagging)->tag($workshop->pieces()->where('name', $name)->sole(), $tags);
        }
    }

    public function plan(Workshop $workshop): void
    {
        foreach (self::WANTED as $kind => [$name, $note, $days, $pieces]) {
            $occasion = $this->planning->plan($workshop, [
                'kind' => $kind, 'name' => $name, 'note' => $note,
                'due' => CarbonImmutable::today()->addDays($days)->format('Y-m-d'),
                'paid' => $kind === 'order' ? '40.00' : '',
            ]);
            foreach ($pieces as [$piece, $count, $price]) {
                $this->planning->want($occasion, [
                    'piece' => (string) $workshop->pieces()->where('name', $piece)->value('ulid'),
                    'count' => (string) $count, 'price' => $price,
                ]);
            }
        }
    }

    public function box(Workshop $workshop): void
    {
        /** @var Collection<int, Finished> $all */
        $all = $workshop->finished()->orderBy('number')->get();
        foreach ($all as $finished) {
            $this->box->label($finished, self::PRICES[$finished->name] ?? null, '');
        }
        foreach (self::GONE as $number => [$place, $cents, $words]) {
            /** @var Finished $finished */
            $finished = $workshop->finished()->where('number', $number)->sole();
            $this->box->move($finished, Going::to($place, $cents, $words));
        }
    }
}
