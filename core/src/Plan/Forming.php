<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

use Hebra\Core\Bend\Hammered;
use Hebra\Core\Bend\SpringBack;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Quantity\OutOfRange;
use Hebra\Core\School\School;
use Hebra\Core\Tool\Mark;
use Hebra\Core\Tool\ToolKind;
use Hebra\Core\Wire\Section;
use Hebra\Core\Wire\Wire;

/**
 * How a bend comes out at the size meant: the mandrel on which it ends there after it springs back, the nearest mark
 * the maker owns, and what that one ends at. Millimetres. Source: SpringBack::SOURCE.
 */
final readonly class Forming
{
    private function __construct(
        public float $wantedMm,
        public float $mandrelMm,
        public ?Mark $mark,
        public float $endsMm,
    ) {
    }

    /** A loop or an eye, on pliers. */
    public static function loop(Wire $wire, float $insideMm, Profile $profile): self
    {
        return self::on($wire, $insideMm, $profile, ...ToolKind::LOOPS);
    }

    /** A wide bend, on a mandrel. */
    public static function arch(Wire $wire, float $insideMm, Profile $profile): self
    {
        return self::on($wire, $insideMm, $profile, ...ToolKind::ARCHES);
    }

    /** Jump rings, on a rod or a winder. */
    public static function coil(Wire $wire, float $insideMm, Profile $profile): self
    {
        $kinds = $profile->schools->is(School::RingWinding, 'winder')
            ? ToolKind::COILS
            : ToolKind::ARCHES;

        return self::on($wire, $insideMm, $profile, ...$kinds);
    }

    /** A ring band, on the ring mandrel. */
    public static function band(Wire $wire, float $insideMm, Profile $profile): self
    {
        return self::on($wire, $insideMm, $profile, ...ToolKind::BANDS);
    }

    /** A bangle, flat and hard as the hammer left it. */
    public static function bangle(
        Wire $wire, float $insideMm, Profile $profile, ?Hammered $flat = null, bool $isAnnealed = false,
    ): self {
        if ($flat === null) {
            return self::on($wire, $insideMm, $profile, ...ToolKind::BANGLES);
        }
        $brought = $isAnnealed ? 0.0 : $wire->temper->numbersHard() + $profile->schools->straighteningNumbers();
        $numbers = min($brought + $flat->numbersHard(), $wire->metal->numbersBeforeAnnealing());

        return self::bent(
            $wire,
            Section::flat($flat->widthMm(), $flat->thicknessMm),
            $numbers,
            $insideMm,
            $profile,
            ToolKind::BangleMandrel,
        );
    }

    private static function on(Wire $wire, float $insideMm, Profile $profile, ToolKind ...$kinds): self
    {
        return self::bent(
            $wire,
            $wire->size->section(),
            $wire->temper->numbersHard(),
            $insideMm,
            $profile,
            ...$kinds,
        );
    }

    /** @param  float  $numbers  how hard it is when it is bent */
    private static function bent(
        Wire $wire, Section $section, float $numbers, float $insideMm, Profile $profile, ToolKind ...$kinds,
    ): self {
        $strength = $profile->strengths->of($wire->metal);
        $bend = new SpringBack($section, $strength->modulusMpa(), $strength->yieldMpa($numbers));
        try {
            // What this maker's wire opens to, over what the rule says.
            $spring = $profile->hand?->spring($wire->metal, $wire->temper) ?? 1.0;
            $mandrel = $bend->mandrelMm($insideMm / $spring);
        } catch (OutOfRange) {
            // Too springy for any mandrel: what is wanted is all that can be said.
            return new self($insideMm, $insideMm, null, $insideMm);
        }
        $mark = $profile->tools->nearest($mandrel, ...$kinds);
        // A tool that is far off is no help.
        if ($mark !== null && abs($mark->mm - $mandrel) > max(0.5, 0.2 * $mandrel)) {
            $mark = null;
        }

        return new self($insideMm, $mandrel, $mark, $mark === null ? $insideMm : $bend->insideMm($mark->mm) * $spring);
    }

    /**
     * Where to bend it: `the third mark (2.5 mm) of the round-nose pliers`, or the diameter and what one bends it on.
     */
    public function where(string $otherwise, Profile $profile): string
    {
        return $this->mark?->words() ?? 'the '.$profile->size($this->mandrelMm).' '.$otherwise;
    }

    /** The same as the name of a tool to lay ready. */
    public function tool(string $otherwise, Profile $profile): string
    {
        return preg_replace('/^the /', '', $this->where($otherwise, $profile)) ?? $otherwise;
    }

    /** What it springs to, where that can be seen: `It opens to 9 mm.` */
    public function opens(Profile $profile): string
    {
        $used = $this->mark->mm ?? $this->mandrelMm;
        if (! is_finite($this->endsMm) || abs($this->endsMm - $used) < 0.1) {
            return '';
        }
        $off = $this->endsMm - $this->wantedMm;
        $opens = ' It opens to '.$profile->size($this->endsMm);
        if (abs($off) < 0.15) {
            return "{$opens}.";
        }

        return "{$opens}, ".Figures::mm(round(abs($off), 1)).($off > 0 ? ' more' : ' less').' than planned.';
    }
}
