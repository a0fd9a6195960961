<?php

declare(strict_types=1);

namespace App\Actions;

use App\Exceptions\Refused;
use App\Models\Lot;
use App\Models\Making;
use App\Models\Movement;
use App\Models\Workshop;
use Hebra\Core\Quantity\Count;
use Hebra\Core\Quantity\Length;
use Hebra\Core\Quantity\LengthUnit;
use Hebra\Core\Quantity\Mass;
use Hebra\Core\Quantity\Money;
use Hebra\Core\Quantity\Unreadable;
use Hebra\Core\Wire\Metal;
use Hebra\Core\Wire\Temper;
use Hebra\Core\Wire\Wire;
use Hebra\Core\Wire\WireSize;
use Illuminate\Support\Facades\DB;

/** Coils, offcuts and pins come in, are found longer or shorter than booked, and entries are reversed. */
final class Stockkeeping
{
    private const MOST_MM = 10_000_000;

    private const MOST_NAME = 60;

    /** Entries that a finished piece makes where it goes. */
    public const OF_THE_BOX = ['left', 'back', 'melted'];

    public function __construct(
        private readonly Book $book, private readonly SupplyBook $supplies, private readonly Box $box,
    ) {
    }

    /**
     * @param  array<string, string>  $input kind, name, metal, size, measured (a thickness), temper, amount (a length
     *     or a weight), pins, pin_length, price
     *
     * @throws \Hebra\Core\Problem if a field is unreadable or out of range
     */
    public function receive(Workshop $workshop, array $input, LengthUnit $bare): Lot
    {
        $draft = $this->read($input, $bare);
        $this->receiveAll($workshop, [$draft]);

        return $draft[0];
    }

    /**
     * What is to come in, read and not yet written.
     *
     * @param  array<string, string>  $input  as receive() takes it
     * @return array{Lot, int} a lot that is not kept yet, and its milligrams
     *
     * @throws \Hebra\Core\Problem if a field is unreadable or out of range
     */
    public function read(array $input, LengthUnit $bare): array
    {
        $kind = $input['kind'] ?? 'coil';
        $isPins = in_array($kind, Lot::PINS, true);
        $fields = new Fields;
        $fields->read(fn (): true => isset(Lot::KINDS[$kind])
            ?: throw Unreadable::choice('kind', $kind, array_keys(Lot::KINDS)));
        $wire = $fields->read(fn (): Wire => self::wire($input));
        $price = $fields->read(fn (): ?int => self::price($input));
        $name = $fields->read(fn (): string => self::name($input));
        $measured = $fields->read(fn (): ?WireSize => self::measured($input));
        $pinMm = $fields->read(fn (): ?float => $isPins ? self::pinMm($input, $bare) : null);
        $pins = $fields->read(fn (): int => $isPins ? self::pins($input) : 0);
        $fields->check();
        $lot = new Lot([
            'kind' => $kind, 'name' => $name->value(), 'price_cents' => $price->value(),
            'pin_length_um' => $pinMm->value() === null ? null : (int) round($pinMm->value() * 1000),
            ...self::told($wire->value(), $measured->value()),
        ]);

        return [
            $lot,
            $isPins ? $pins->value() * $lot->pinMg() : $this->amountMg($lot, $input['amount'] ?? '', $bare),
        ];
    }

    /** @param  array<string, string>  $input */
    private static function wire(array $input): Wire
    {
        $fields = new Fields;
        $metal = $fields->read(fn (): Metal => Metal::read($input['metal'] ?? ''));
        $size = $fields->read(fn (): WireSize => WireSize::parseDrawn($input['size'] ?? '', 'size'));
        $temper = $fields->read(fn (): Temper => Temper::read($input['temper'] ?? 'dead-soft'));
        $fields->check();

        return new Wire($metal->value(), $size->value(), $temper->value());
    }

    /** @param  array<string, string>  $input */
    private static function price(array $input): ?int
    {
        return trim($input['price'] ?? '') === '' ? null : Money::parse($input['price'])->cents();
    }

    /** @param  array<string, string>  $input */
    private static function name(array $input): string
    {
        $name = trim($input['name'] ?? '');

        return mb_strlen($name) <= self::MOST_NAME
            ? $name
            : throw Unreadable::tooLong('name', mb_strlen($name), self::MOST_NAME);
    }

    /** @param  array<string, string>  $input */
    private static function measured(array $input): ?WireSize
    {
        return trim($input['measured'] ?? '') === ''
            ? null
            : WireSize::millimetres(Length::parse($input['measured'], 'measured')->millimetres(), 'measured');
    }

    /** @param  array<string, string>  $input */
    private static function pinMm(array $input, LengthUnit $bare): float
    {
        return Length::parse($input['pin_length'] ?? '', 'pin length', $bare)->within('pin length', 5, 300)
            ->millimetres();
    }

    /** @param  array<string, string>  $input */
    private static function pins(array $input): int
    {
        return Count::parse($input['pins'] ?? '', 'pins', 1, 100_000);
    }

    /** @param  list<array{Lot, int}>  $drafts  as read() gives them; each becomes a lot that is kept */
    public function receiveAll(Workshop $workshop, array $drafts): void
    {
        DB::transaction(function () use ($workshop, $drafts): void {
            $numbers = $entries = [];
            foreach ($drafts as [$lot, $milligrams]) {
                $numbers[$lot->kind] ??= $workshop->lots()->where('kind', $lot->kind)->count();
                $numbers[$lot->kind]++;
                $this->keep($workshop, $lot, $numbers[$lot->kind]);
                $words = 'received '.$lot->name;
                $entries[] = Book::rows(
                    $workshop,
                    Entry::of('received'),
                    [Line::lot($lot, $milligrams, $words), Line::of('supplier', $lot->metal, -$milligrams, $words)],
                );
            }
            $this->book->enterAll($entries);
        });
    }

    /** @return array<string, int|string|null> what a lot keeps of its wire: its mass as it was measured, if it was */
    private static function told(Wire $wire, ?WireSize $measured): array
    {
        $drawn = $measured === null ? $wire : $wire->withSize($measured);

        return [
            'metal' => $wire->metal->value, 'size' => $wire->size->code(), 'temper' => $wire->temper->value,
            'mass_ng_per_mm' => (int) round($drawn->milligramsPerMm() * 1_000_000),
            'measured_um' => $measured === null ? null : (int) round($measured->diameterMm() * 1000),
        ];
    }

    private function keep(Workshop $workshop, Lot $lot, int $number): void
    {
        $lot->forceFill(
            [
                'workshop_id' => $workshop->id,
                'name' => $lot->name !== '' ? $lot->name : ucfirst(Lot::KINDS[$lot->kind])." {$number}",
            ],
        )->save();
    }

    /** A new one, kept, with nothing in it yet. */
    public function offcut(Workshop $workshop, Wire $wire, ?WireSize $measured): Lot
    {
        $lot = new Lot(['kind' => 'offcut', 'name' => '', ...self::told($wire, $measured)]);
        $this->keep($workshop, $lot, $workshop->lots()->where('kind', 'offcut')->count() + 1);

        return $lot;
    }

    /**
     * Pins where the lot holds pins, else a length or a weight.
     *
     * @throws \Hebra\Core\Problem
     */
    public function amountOf(Lot $lot, string $text, LengthUnit $bare): int
    {
        return $lot->isPins()
            ? Count::parse($text, 'amount', 0, 100_000) * $lot->pinMg()
            : $this->amountMg($lot, $text, $bare);
    }

    /** A length or a weight, whichever was written, as milligrams of this lot. */
    private function amountMg(Lot $lot, string $text, LengthUnit $bare): int
    {
        // A unit of weight makes it a weight; everything else is read as a length.
        $isMass = preg_match('/(?<![a-z])(mg|g|grams?|kg|oz|ozt|dwt)\s*$/i', trim($text)) === 1;
        $milligrams = $isMass
            ? Mass::parse($text, 'amount')->asAmount('amount', 100_000)->milligrams()
            : $lot->mgOf(Length::parse($text, 'amount', $bare)->asSize('amount', self::MOST_MM)->millimetres());

        return $milligrams > 0
            ? $milligrams
            : throw Refused::invalid(
                'amount',
                'Amount “'.$text.'” weighs less than a milligram: give at least 1 mg of wire.',
            );
    }

    /**
     * The lot holds another amount than the book says: one correcting entry.
     *
     * @throws \Hebra\Core\Problem if the amount is unreadable
     */
    public function correct(Lot $lot, Workshop $workshop, string $amount, LengthUnit $bare): void
    {
        $isNothing = preg_match('/^0+([.,]0+)?\s*\w*$/', trim($amount)) === 1;
        $holds = $isNothing ? 0 : $this->amountOf($lot, $amount, $bare);
        // What it holds is asked by the one who writes: another may have set it meanwhile.
        DB::transaction(fn () => $this->adjust($lot, $workshop, $holds - $lot->heldMg()));
    }

    public function adjust(Lot $lot, Workshop $workshop, int $byMg): void
    {
        $words = $lot->name.($byMg > 0 ? ' was longer than booked' : ' was shorter than booked');
        $this->book->enter(
            $workshop,
            Entry::of('corrected'),
            [Line::lot($lot, $byMg, $words), Line::of('found', $lot->metal, -$byMg, $words)],
        );
    }

    /**
     * Some of a lot went elsewhere than into a making.
     *
     * @param  Line  $to  where it went, and how much
     *
     * @throws Refused if the lot holds less
     */
    public function used(Lot $lot, Line $to): void
    {
        $to->massMg <= $lot->heldMg() || throw Refused::wouldHoldLess($lot->name);
        $this->book->enter(
            Workshop::query()->findOrFail($lot->workshop_id), Entry::of('made'),
            [Line::lot($lot, -$to->massMg, $to->words), $to],
        );
    }

    /** @throws Refused if it is reversed already or would leave a lot with less than nothing */
    public function reverse(Workshop $workshop, string $entry): void
    {
        DB::transaction(function () use ($workshop, $entry): void {
            $lines = $workshop->movements()->with('lot')->where('entry', $entry)->get();
            $isBoth = $this->supplies->reverse($workshop, $entry);
            $first = $lines->first();
            if ($first === null) {
                $isBoth || abort(404);

                return;
            }
            $making = $this->reversible($workshop, $first);
            $back = [];
            foreach ($lines as $line) {
                if ($line->lot !== null && $line->lot->heldMg() - $line->mass_mg < 0) {
                    throw Refused::wouldHoldLess($line->lot->name);
                }
                $words = 'reversed: '.$line->words;
                /** @var 'supplier'|'pieces'|'scrap jar'|'not booked'|'found'|'customers'|'refiner' $account */
                $account = $line->account;
                $back[] = $line->lot !== null
                    ? Line::lot($line->lot, -$line->mass_mg, $words)
                    : Line::of($account, $line->metal, -$line->mass_mg, $words);
            }
            // What comes back from the refiner is no scrap of the bench either.
            $kind = $first->kind === 'refined' ? 'refined' : 'reversed';
            $this->book->enter($workshop, Entry::of($kind, $making)->reversing($entry), $back);
        });
    }

    /**
     * The making an entry is of, whose pieces are taken out of the box with it.
     *
     * @throws Refused if it is reversed already, or is what a finished piece did
     */
    private function reversible(Workshop $workshop, Movement $first): ?Making
    {
        $isDone = $first->reverses !== null || $workshop->movements()->where('reverses', $first->entry)->exists();
        $isDone && throw Refused::alreadyReversed();
        in_array($first->kind, self::OF_THE_BOX, true) && throw Refused::invalid(
            'entry', 'A finished piece went there: take it back in the box, and its metal comes with it.',
        );
        $first->kind === 'made' && $first->making_id === null && throw Refused::invalid(
            'entry', 'It was a repair: what went into it stays with the piece.',
        );
        /** @var Making|null $making */
        $making = $first->making_id === null ? null : $workshop->makings()->whereKey($first->making_id)->first();
        if ($making !== null && $first->kind === 'made') {
            $this->box->empty($making);
        }

        return $making;
    }
}
