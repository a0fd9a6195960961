<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Lot;
use App\Models\Supply;
use App\Models\Workshop;
use Hebra\Core\Bead\Bead as CoreBead;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Problem;
use Hebra\Core\Quantity\Currency;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Stock\WireLine;
use Hebra\Core\Wire\Wire;

/** One line of what comes in or is looked for: wire, pins, beads, or more of a supply that is there. */
final readonly class TypedIn
{
    private const SUPPLY = '/^\s*(?<amount>[\d.,]+\s*(?:mm|cm|m|in|ft|yd)?)\s+(?:x\s+|×\s+)?(?<name>\S.*?)'
        .'(?:,\s*(?<kind>[a-z]+))?(?:\s+(?<price>\d+[.,]\d+)(?:\s+each)?)?\s*$/iu';

    /**
     * @param  array<string, string>  $fields  of wire or a supply
     */
    private function __construct(
        public ?WireLine $wire,
        /** what will hang on the wall, where it is a coil that comes in */
        public ?Wire $ghost,
        private array $fields,
        /** what comes in, not kept yet */
        private ?Lot $draft = null,
        private int $milligrams = 0,
        private ?CoreBead $bead = null,
        private int $count = 0,
        private ?Supply $supply = null,
    ) {
    }

    /** @throws Problem if it is none of these, or lacks a word */
    public static function read(Workshop $workshop, string $line): self
    {
        return self::supply($workshop, $line) ?? self::beads($line) ?? self::wire($workshop, $line);
    }

    private static function supply(Workshop $workshop, string $line): ?self
    {
        if (mb_strlen($line) > 160 || preg_match(self::SUPPLY, $line, $said) !== 1) {
            return null;
        }
        $name = trim($said['name']);
        /** @var Supply|null $known */
        $known = $workshop->supplies()->get()->first(
            fn (Supply $supply): bool => in_array(
                mb_strtolower($supply->name), [mb_strtolower($name), rtrim(mb_strtolower($name), 's')], true,
            ),
        );
        $kind = $known->kind ?? self::kind($said['kind'] ?? '');
        if ($kind === '') {
            return null;
        }
        $supply = $known ?? new Supply(['kind' => $kind, 'name' => $name]);
        $supply->read($said['amount'], 'line', $workshop->profile());

        return new self(null, null, [
            'kind' => $kind, 'name' => $supply->name, 'amount' => $said['amount'], 'price' => $said['price'] ?? '',
        ], supply: $supply);
    }

    /** A kind of supply by its name, or by the first word that tells it. */
    private static function kind(string $word): string
    {
        foreach (Supply::KINDS as $kind => $words) {
            if ($word !== '' && (rtrim($kind, 's') === rtrim(mb_strtolower($word), 's') || $words === $word)) {
                return $kind;
            }
        }

        return '';
    }

    private static function beads(string $line): ?self
    {
        try {
            [$count, $bead] = CoreBead::counted($line);
            $bead = CoreBead::parse($bead, 'line');
        } catch (Problem) {
            return null;
        }
        $isWire = preg_match('/\b(coil|awg|swg|ga|gauge|half[- ]round)\b/iu', $line) === 1
            && preg_match('/\bhole\b/iu', $line) !== 1;

        return $isWire ? null : new self(null, null, [], bead: $bead, count: $count);
    }

    private static function wire(Workshop $workshop, string $line): self
    {
        $wire = WireLine::read($line, $workshop->profile()->sizes);
        if ($wire->finds()) {
            return new self($wire, null, []);
        }
        $fields = $wire->fields();
        [$lot, $milligrams] = app(Stockkeeping::class)->read($fields, $workshop->profile()->unit());

        return new self($wire, $lot->kind === 'coil' ? $lot->wire() : null, $fields, $lot, $milligrams);
    }

    public function ghostMm(): float
    {
        return $this->ghost === null ? 0.0 : $this->milligrams / $this->ghost->milligramsPerMm();
    }

    /** Whether nothing comes in by it. */
    public function finds(): bool
    {
        return $this->wire?->finds() === true;
    }

    /** What will come of it. */
    public function sentence(Profile $profile): string
    {
        if ($this->bead !== null) {
            return "{$this->count} × {$this->bead->words()}, into the tray";
        }
        if ($this->supply !== null) {
            $there = $this->supply->exists
                ? 'more of what is there ('.$this->supply->words($this->supply->held, $profile).')'
                : 'new on the shelf';

            return "{$this->fields['amount']} {$this->supply->name}: {$there}";
        }

        return $this->draft === null ? '' : $this->wireSentence($this->draft, $profile);
    }

    private function wireSentence(Lot $lot, Profile $profile): string
    {
        $what = match ($lot->kind) {
            'coil' => "A new coil, hung at {$lot->wire()->metal->words()} {$lot->wire()->size->text()}",
            'offcut' => "An offcut of {$lot->wireWords()}",
            default => "{$this->fields['pins']} ".Lot::KINDS[$lot->kind]." of {$lot->wireWords()}",
        };
        $metres = $lot->mmOf($this->milligrams) / 1000;
        $price = $lot->price_cents === null || $lot->isPins()
            ? ''
            : ', '.app(Currency::class)->text((int) round($lot->price_cents / max(0.001, $metres))).' a metre';
        $long = $lot->isPins() ? '' : $profile->length(1000 * $metres).', ';

        return "{$what}: {$long}".Figures::grams($this->milligrams / 1000).$price;
    }

    /**
     * Writes it.
     *
     * @return array{string, string} where it stands now, and what is said of it
     *
     * @throws Problem
     */
    public function take(Workshop $workshop, Stockkeeping $stock, SupplyBook $supplies): array
    {
        if ($this->bead !== null) {
            $supplies->bead($workshop, $this->bead, $this->count);

            return ['/stock#beads', $this->count.' × '.$this->bead->words().' in the tray.'];
        }
        if ($this->supply !== null) {
            $kept = $supplies->receive($workshop, $this->fields, $workshop->profile());

            $held = $kept->words($kept->held, $workshop->profile());

            return ['/stock#jars', ucfirst($kept->name).": {$held} in stock."];
        }
        $lot = $stock->receive($workshop, $this->fields, $workshop->profile()->unit());

        return ['/stock?lot='.$lot->ulid, $lot->name.' is in stock.'];
    }
}
