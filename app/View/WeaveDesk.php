<?php

declare(strict_types=1);

namespace App\View;

use Hebra\Core\Figure\Diagram;
use Hebra\Core\Figure\WeaveNotes;
use Hebra\Core\Figure\Woven;
use Hebra\Core\Piece\Change\Several;
use Hebra\Core\Piece\ChangeReader;
use Hebra\Core\Piece\Patterns;
use Hebra\Core\Piece\Piece;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Problem;
use Hebra\Core\Quantity\Count;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Quantity\Length;
use Hebra\Core\Wire\WireSize;
use Hebra\Core\Wrap\BandLayout;
use Hebra\Core\Wrap\BandSection;
use Hebra\Core\Wrap\BandWeave;
use Hebra\Core\Wrap\BasketWeave;
use Hebra\Core\Wrap\Crossing;
use Hebra\Core\Wrap\LighterCore;
use Hebra\Core\Wrap\Weave;
use Hebra\Core\Wrap\WeaveMove;
use Hebra\Core\Wrap\WeavePattern;

/**
 * The weave studio: a weave as it is written or tapped, woven to scale from both sides, one step at a time, and what it
 * takes.
 */
final class WeaveDesk
{
    public const USUAL = [
        'kind' => 'figure',
        'cores' => '3',
        'core' => '20 awg',
        'wire' => '28 awg',
        'pattern' => '4@1-2 4@2-3',
        'passes' => 'f1 b2 f3 b3 f2 b1',
        'length' => '50 mm',
        'turns' => '3',
        'at' => '',
        'section' => '',
    ];

    /** So many turns or passes are drawn at most. */
    private const DRAWN = 64;

    /** So many whole repeats are seen before the one that is being woven. */
    private const BEFORE = 2;

    /** How wide the weave is drawn, mm. */
    private const WIDE = 196.0;

    private const TURNED_OVER = 'back, turned over along its length';

    /** The back is seen as much smaller at least. */
    private const BACK = 0.6;

    public readonly ?Problem $problem;

    public ?DiagramView $front = null;

    public ?DiagramView $back = null;

    /** @var list<WeaveMove> one repeat, move by move */
    public array $moves = [];

    private ?WeaveNotes $notes = null;

    /** @var list<array{string, string}> */
    public array $results = [];

    /** @var list<array{string, string}> what hands and eyes ask before it is begun */
    public array $hints = [];

    /** @var list<string> what speaks against it */
    public array $objections = [];

    /** Where a band is written in several sections. */
    public ?BandLayout $layout = null;

    public readonly BandText $band;

    public int $cores = 3;

    /** Which move of a repeat is shown, from 1; 0 for the whole. */
    public int $at = 0;

    /** @param  array<string, string>  $texts  every key of USUAL */
    public function __construct(public array $texts, public readonly Profile $profile)
    {
        $problem = null;
        $written = $texts['kind'] === 'basket' ? $texts['passes'] : $texts['pattern'];
        $this->band = BandText::of($written, $texts['section']);
        try {
            $this->cores = Count::parse($texts['cores'], 'cores', 2, 7);
            if ($this->isSectioned()) {
                $this->layOut();
            }
            match (true) {
                $this->isCrossing() => null,
                $this->isBasket() => $this->basket(),
                default => $this->figure(),
            };
        } catch (Problem $caught) {
            $problem = $caught;
        }
        $this->problem = $problem;
    }

    /**
     * The texts with what was tapped added to the weave, or its last step taken off.
     *
     * @param  array<string, string>  $texts
     * @return array<string, string>
     */
    public static function tapped(array $texts, string $add): array
    {
        $key = $texts['kind'] === 'basket' ? 'passes' : 'pattern';
        $band = BandText::of($texts[$key], $texts['section']);
        $written = preg_split('/[\s,;]+/', $band->moves(), -1, PREG_SPLIT_NO_EMPTY) ?: [];
        if ($add === 'undo') {
            array_pop($written);
        } elseif ($add !== 'section') {
            $written[] = $key === 'passes' || $band->isBasket() ? $add : trim($texts['turns']).'@'.$add;
        }
        $band = $add === 'section' ? $band->longer() : $band->with(implode(' ', $written));

        return [
            $key => $band->text(), 'at' => '', 'section' => count($band->sections) > 1 ? (string) $band->here : '',
        ] + $texts;
    }

    public function isBasket(): bool
    {
        return $this->texts['kind'] === 'basket' || $this->band->isBasket();
    }

    public function isSectioned(): bool
    {
        return $this->texts['kind'] !== 'basket' && count($this->band->sections) > 1;
    }

    /** Whether cores change sides in the section at hand, and nothing is woven. */
    public function isCrossing(): bool
    {
        return $this->isSectioned() && Crossing::read($this->band->moves(), $this->cores, 'pattern') !== null;
    }

    private function here(): ?BandSection
    {
        return $this->layout?->sections[$this->band->here - 1] ?? null;
    }

    /** The band as it is written, worked out over its length. */
    private function layOut(): void
    {
        [$core, $wire, $length] = $this->sizes();
        $band = BandWeave::parse($this->texts['pattern'], $this->cores);
        $this->layout = $band->over($length, $core, $wire);
        $this->results = [
            ['weaving wire of all of it, tails extra', $this->profile->cutLength($this->layout->weavingWireMm())],
            ['the band, woven', $this->profile->length($this->layout->lengthMm())],
        ];
        foreach ($band->freeCores() as $free) {
            $this->objections[] = "No section takes core {$free}: it would fall out.";
        }
    }

    /** @return array{float, float, float} core, weaving wire, length to be woven, mm */
    private function sizes(): array
    {
        return [
            WireSize::parse($this->texts['core'], 'core')->diameterMm(),
            WireSize::parse($this->texts['wire'], 'wire')->diameterMm(),
            Length::parse(
                $this->texts['length'],
                'length',
                $this->profile->unit(),
            )->within('length', 1, 2000)->millimetres(),
        ];
    }

    private function figure(): void
    {
        [$core, $wire, $length] = $this->sizes();
        $pattern = WeavePattern::parse($this->band->moves(), $this->cores);
        $weave = Weave::of($pattern, $core, $wire, $this->layout?->spacingMm)
            ->reaching($this->here()->lengthMm ?? $length);
        $this->moves = WeaveMove::figures($pattern);
        $this->notes = new WeaveNotes(WeaveNotes::spaced($this->cores, $weave->spacingMm), $core, $wire);
        $this->at = $this->move();
        [$drawn, $litFrom] = $this->shown($weave->turns());
        $this->seen(
            Woven::figure($weave, $drawn, true, $litFrom, 'front'),
            Woven::figure($weave, $drawn, false, $litFrom, self::TURNED_OVER),
        );
        foreach ($this->isSectioned() ? [] : $pattern->freeCores() as $free) {
            $this->objections[] = "No figure takes core {$free}: it would fall out.";
        }
        $this->answer(
            $weave->repeats,
            $weave->wireLengthMm() + $weave->repeats * $weave->reachedMm(),
            $weave->wovenMm(),
            $weave->repeatMm() + $weave->reachedMm(),
            ($this->cores - 1) * $weave->spacingMm + $core + 2 * $wire,
        );
        $this->results[] = ['turns', number_format($weave->turns())];
        $ends = array_map(fn (array $figure): string => Figures::mm($figure['turns'] * $wire), $pattern->figures);
        $this->handling(
            'alike: every turn goes once before its cores and once behind',
            'after any figure, '.implode(' or ', array_unique($ends)).' each: the rest slides off',
        );
    }

    private function basket(): void
    {
        [$core, $wire, $length] = $this->sizes();
        $weave = BasketWeave::parse(
            $this->band->moves(), $this->cores, $this->texts['kind'] === 'basket' ? 'passes' : 'pattern',
        );
        $spacing = $core + $wire;
        $repeats = $this->here()->repeats
            ?? max(1, (int) ceil($length / $weave->climbMm($wire) - 1e-9));
        $this->moves = WeaveMove::passes($weave);
        $this->notes = new WeaveNotes(WeaveNotes::spaced($this->cores, $spacing), $core, $wire);
        $this->at = $this->move();
        [$drawn, $litFrom] = $this->shown($repeats * count($weave->touches));
        $this->seen(
            Woven::basket($weave, $core, $wire, $spacing, $drawn, true, $litFrom, 'front'),
            Woven::basket($weave, $core, $wire, $spacing, $drawn, false, $litFrom, self::TURNED_OVER),
        );
        if (! $this->isSectioned() && $weave->objection() !== null) {
            $this->objections[] = $weave->objection();
        }
        $this->answer(
            $repeats,
            $weave->wireMm($core, $wire, $spacing, $repeats),
            $repeats * $weave->climbMm($wire),
            $weave->wireMm($core, $wire, $spacing, 1),
            ($this->cores - 1) * $spacing + $core + 2 * $wire,
        );
        $this->handling(
            $weave->facesMatch() ? 'alike' : 'unlike: choose which one shows',
            'after any repeat, '.Figures::mm($weave->climbMm($wire)).' each: the rest slides off',
        );
    }

    private function handling(string $faces, string $cutBack): void
    {
        $this->hints = [['both faces', $faces], ['cut back', $cutBack]];
        $lighter = LighterCore::than(WireSize::parse($this->texts['core'], 'core'));
        if ($lighter !== null) {
            $this->hints[] = [
                'kinder to hands', $lighter->size->text().' cores: '.Figures::trim(100 * $lighter->effort, 0)
                    .' % of the force to bend',
            ];
        }
    }

    private function seen(Diagram $front, Diagram $back): void
    {
        $this->front = new DiagramView($front, 8.0, self::WIDE);
        $this->back = new DiagramView($back, self::BACK * $this->front->scale, self::WIDE);
    }

    private function move(): int
    {
        return min(count($this->moves), (int) preg_replace('/^\D.*$|^(\d{1,4}).*$/s', '$1', $this->texts['at']));
    }

    /** How many turns or passes of a repeat are woven after so many moves. */
    private function wovenAfter(int $moves): int
    {
        return array_sum(
            array_map(fn (WeaveMove $move): int => $move->turns, array_slice($this->moves, 0, $moves)),
        );
    }

    /** @return array{int, int} how many turns or passes are drawn, and from which on they are lit */
    private function shown(int $all): array
    {
        if ($this->at === 0) {
            return [min($all, self::DRAWN), PHP_INT_MAX];
        }
        $repeat = $this->wovenAfter(count($this->moves));
        $before = $repeat * max(0, min(self::BEFORE, intdiv($all, $repeat) - 1, intdiv(self::DRAWN, $repeat) - 1));

        return [$before + $this->wovenAfter($this->at), $before + $this->wovenAfter($this->at - 1)];
    }

    /** What is to be done now, and where it has not begun, the first. */
    public function now(): ?WeaveMove
    {
        return $this->moves[max(0, $this->at - 1)] ?? null;
    }

    /** Cut across the cores, with the way of the wire. */
    public function across(): ?DiagramView
    {
        $now = $this->now();

        return $this->notes === null || $now === null ? null : new DiagramView($this->notes->across($now), 8.0);
    }

    /** A move as a note on its cores. */
    public function note(WeaveMove $move, bool $isLit = false): ?DiagramView
    {
        return $this->notes === null ? null : new DiagramView($this->notes->note($move, $isLit));
    }

    private function answer(int $repeats, float $wireMm, float $wovenMm, float $repeatMm, float $wideMm): void
    {
        $this->results = [
            ...$this->results,
            [$this->isSectioned() ? 'this section' : 'weaving wire, tails extra', $this->profile->cutLength($wireMm)],
            ['woven length', $this->profile->length($wovenMm)], ['repeats', number_format($repeats)],
            ['wire for one repeat', Figures::mm($repeatMm)], ['wide, about', Figures::mm($wideMm)],
        ];
    }

    /** @return list<WeaveMove> what can be tapped: cores of a figure, or a pass */
    public function taps(): array
    {
        $turns = max(1, min(500, (int) $this->texts['turns']));

        return WeaveMove::next($this->cores, $turns, $this->isBasket());
    }

    /** @param  array<string, string|int>  $changed */
    public function address(array $changed = []): string
    {
        return '/weave?'.http_build_query(
            array_filter(array_map(strval(...), $changed + $this->texts), fn (string $text): bool => $text !== ''),
        );
    }

    /** Where the band that it makes is seen. */
    public function bandUrl(): string
    {
        return '/weave/band.svg'.strstr($this->address(['at' => '', 'section' => '', 'turns' => '']), '?');
    }

    /** @throws Problem if the weave is none, or no band */
    public function piece(): Piece
    {
        $start = Patterns::start('woven-bracelet', 'Woven band', $this->profile->schools);
        $set = fn (string $key): array => [
            'do' => 'part.set',
            'part' => 'p2',
            'key' => $key,
            'value' => $this->texts[$key],
        ];

        return (new Several(array_map(fn (array $change) => ChangeReader::read($change, $this->profile->unit()), [
            $set('cores'), [
                'value' => $this->texts[$this->texts['kind'] === 'basket' ? 'passes' : 'pattern'],
            ] + $set('pattern'), $set('length'), ['do' => 'wire', 'role' => 'core', 'size' => $this->texts['core']], [
                'do' => 'wire', 'role' => 'weave', 'size' => $this->texts['wire'],
            ],
        ]), 'Woven'))->apply($start);
    }
}
