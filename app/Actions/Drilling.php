<?php

declare(strict_types=1);

namespace App\Actions;

use App\Exceptions\Refused;
use App\Models\Drill;
use App\Models\MakingCut;
use App\Models\Workshop;
use Hebra\Core\Hand\Work;
use Hebra\Core\Quantity\Length;
use Hebra\Core\Quantity\OneOf;
use Hebra\Core\Quantity\Unreadable;
use Hebra\Core\Wire\Metal;
use Hebra\Core\Wire\SizeSystem;
use Hebra\Core\Wire\Temper;
use Hebra\Core\Wire\Wire;
use Hebra\Core\Wire\WireSize;
use Hebra\Core\Wrap\Spiral;
use Hebra\Core\Wrap\Turn;
use Illuminate\Support\Facades\DB;

/** A practice: some loops, wraps, pairs or bends, measured, plotted and learned from. */
final class Drilling
{
    /** Kind => what it is called, how many are measured at most, what is asked. */
    public const KINDS = [
        'loops' => [
            'words' => 'Ten loops on one mark', 'most' => 10,
            'how' => 'Turn ten loops on one mark of your pliers, cut them off, and measure each inside.',
            'measure' => 'Inside, one after the other',
        ],
        'pairs' => [
            'words' => 'Five matched pairs', 'most' => 10,
            'how' => 'Turn ten loops two by two, each pair on one mark, and measure them in that order.',
            'measure' => 'Inside, pair by pair',
        ],
        'wraps' => ['words' => 'Twenty wraps', 'most' => 5, 'how' => 'Wrap twenty turns side by side on a wire or a '
            .'rod, and measure how long they are. Once, or up to five times.', 'measure' => 'Length of twenty'],
        'bend' => ['words' => 'A bend let go', 'most' => 10, 'how' => 'Bend a round on a mandrel, let go, and measure '
            .'what it opened to inside. Once, or up to ten times.', 'measure' => 'Opened to, inside'],
        'coil' => ['words' => 'A coil of ten', 'most' => 5, 'how' => 'Wind ten turns side by side on a rod, slip them '
            .'off, and measure how long they are. Once, or up to five times.', 'measure' => 'Length of ten'],
        'spiral' => ['words' => 'Two spirals alike', 'most' => 6, 'how' => 'Wind flat spirals of three turns from a '
            .'small eye, two by two, and measure each across.', 'measure' => 'Across, pair by pair'],
        'weave' => ['words' => 'Five repeats of a weave', 'most' => 5, 'how' => 'Round two cores three times and round '
            .'one three times, five times over, and measure how long that is.', 'measure' => 'Length of five'],
    ];

    /** What is kept of the sizes of each kind: only what teaches has a name that the hand knows. */
    private const MEASURED = [
        'loops' => 'loop', 'pairs' => 'loop', 'wraps' => 'wraps', 'bend' => 'inside', 'coil' => 'wraps',
        'spiral' => 'across', 'weave' => 'woven',
    ];

    private const COIL_TURNS = 10;

    private const SPIRAL_TURNS = 3.0;

    /** Turns of all that is measured once, of kinds whose wire is all formed on one size. */
    private const TURNS = [
        'loops' => 1, 'pairs' => 1, 'wraps' => self::WRAPS, 'coil' => self::COIL_TURNS,
    ];

    /** Of the weaver, side by side. */
    private const WOVEN_TURNS = 30;

    private const WRAPS = 20;

    /**
     * @param  array<string, string>  $input kind, metal, size, temper, wanted, sizes; cut and left of the wire, where
     *     they were measured
     *
     * @throws \Hebra\Core\Problem
     */
    public function keep(Workshop $workshop, array $input): Drill
    {
        $kind = self::KINDS[$input['kind'] ?? ''] ?? throw Unreadable::choice(
            'kind',
            $input['kind'] ?? '',
            array_keys(self::KINDS),
        );
        $profile = $workshop->profile();
        $sizes = new Measuring($workshop->id, $profile);
        $wire = new Wire(
            OneOf::read(Metal::class, $input['metal'] ?? '', 'metal'),
            WireSize::parseDrawn($input['size'] ?? '', 'size'),
            OneOf::read(Temper::class, $input['temper'] ?? '', 'temper'),
        );
        $on = $sizes->size($input['wanted'] ?? '', 'wanted');
        $measured = $sizes->list($input['sizes'] ?? '', 'sizes');
        count($measured) <= $kind['most']
            || throw Refused::invalid('sizes', count($measured)." sizes: this drill takes at most {$kind['most']}.");
        ! in_array($input['kind'], ['pairs', 'spiral'], true) || count($measured) % 2 === 0
            || throw Refused::invalid('sizes', count($measured).' sizes: pairs take an even number, such as ten.');
        $wanted = match ($input['kind']) {
            'wraps' => self::WRAPS * $wire->diameterMm(),
            'coil' => self::COIL_TURNS * $wire->diameterMm(),
            'weave' => self::WOVEN_TURNS * $wire->diameterMm(),
            'spiral' => (new Spiral($wire->diameterMm(), $on, self::SPIRAL_TURNS))->widthMm(),
            'bend' => $sizes->opens($wire, $on, $profile),
            default => $on,
        };
        $used = $this->used($input, $profile->unit());

        return DB::transaction(function () use (
            $workshop, $input, $wire, $on, $measured, $wanted, $used, $sizes,
        ): Drill {
            $drill = Drill::query()->create([
                'workshop_id' => $workshop->id, 'kind' => $input['kind'], 'metal' => $wire->metal->value,
                'size' => $wire->size->text(), 'temper' => $wire->temper->value,
                'wanted_um' => (int) round(1000 * $on),
            ]);
            foreach ($measured as $mm) {
                $sizes->keep(self::MEASURED[$input['kind']], $wire, $wanted, $mm, drill: $drill);
            }
            $each = self::TURNS[$input['kind']] ?? 0;
            if ($used !== null && $each > 0) {
                $this->learn($drill, $each * count($measured), $used);
            }

            return $drill;
        });
    }

    /**
     * @param  array<string, string>  $input
     * @return array{float, float}|null cut and left, mm
     */
    private function used(array $input, \Hebra\Core\Quantity\LengthUnit $unit): ?array
    {
        if (trim($input['cut'] ?? '') === '' || trim($input['left'] ?? '') === '') {
            return null;
        }
        $read = fn (string $field, float $least): float => Length::parse($input[$field], $field, $unit)
            ->within($field, $least, 10_000)->millimetres();
        [$cut, $left] = array_values(Fields::all([
            'cut' => fn (): float => $read('cut', 1), 'left' => fn (): float => $read('left', 0),
        ]));
        $left < $cut || throw Refused::invalid('left', 'Left over is more than was cut: give less.');

        return [$cut, $left];
    }

    /**
     * Loops or wraps of one wire are all formed, each a turn round its mark.
     *
     * @param  array{float, float}  $used  cut and left, mm
     */
    private function learn(Drill $drill, int $turns, array $used): void
    {
        [$cut, $left] = $used;
        $wireMm = $drill->wire()->diameterMm();
        $formed = $turns * Turn::mm($drill->wanted_um / 1000, $wireMm, 0.0);
        $ratio = ($cut - $left) / $formed;
        $ratio > 0.5 && $ratio < 2.0
            || throw Refused::invalid(
                'left',
                sprintf(
                    '%d turns on that mark take %s mm by the sum, and %s mm were used: look at the mark, the cut and '
                        .'what was left.',
                    $turns,
                    round($formed),
                    round($cut - $left),
                ),
            );
        MakingCut::query()->create([
            'workshop_id' => $drill->workshop_id, 'drill_id' => $drill->id,
            'label' => self::KINDS[$drill->kind]['words'],
            'count' => 1, 'planned_um' => (int) round(1000 * $formed), 'cut_um' => (int) round(1000 * $cut),
            'left_um' => (int) round(1000 * $left),
            'way' => Work::LOOPS, 'awg' => SizeSystem::nearestAwg($wireMm),
            'formed_um' => (int) round(1000 * $formed), 'straight_um' => 0,
        ]);
    }
}
