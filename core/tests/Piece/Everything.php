<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Piece;

use Hebra\Core\Bead\Bead;
use Hebra\Core\Piece\BeadRun;
use Hebra\Core\Piece\Fit;
use Hebra\Core\Piece\FitKind;
use Hebra\Core\Piece\Kinds;
use Hebra\Core\Piece\Makes;
use Hebra\Core\Piece\Part;
use Hebra\Core\Piece\PartId;
use Hebra\Core\Piece\Patterns;
use Hebra\Core\Piece\Piece;
use Hebra\Core\Plan\Check;
use Hebra\Core\Plan\Level;
use Hebra\Core\Plan\PartPlan;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Plan\Technique;
use Hebra\Core\Problem;
use Hebra\Core\Technique\Techniques;

/**
 * Everything there is, for what must hold of all of it: each pattern, each technique in each of its choices, and seeded
 * changes of them.
 */
final class Everything
{
    /** @return iterable<string, Piece> */
    public static function pieces(int $changed = 150): iterable
    {
        yield from self::patterns();
        yield from self::techniques();
        yield from self::changed($changed);
    }

    /**
     * Each part that a check does not stop: what cannot be made so lies nowhere right.
     *
     * @return iterable<string, PartPlan>
     */
    public static function parts(int $changed = 150): iterable
    {
        $profile = new Profile;
        foreach (self::pieces($changed) as $name => $piece) {
            $checks = str_contains($name, 'changed') ? Planner::plan($piece, $profile, false)->checks : [];
            $stops = array_filter($checks, fn (Check $check): bool => $check->level === Level::Stop);
            $stopped = array_map(fn (Check $check): ?PartId => $check->part, $stops);
            foreach ($piece->parts as $part) {
                if (! in_array($part->id, $stopped, true)) {
                    yield "{$name}, {$part->id}" => PartPlan::of($piece, $part, $profile);
                }
            }
        }
    }

    /** @return iterable<string, Piece> */
    public static function patterns(): iterable
    {
        foreach (array_keys(Patterns::all()) as $name) {
            yield "pattern {$name}" => Patterns::start($name, ucfirst($name));
        }
    }

    /**
     * @return iterable<string, Piece> each technique alone, every choice in turn, with three runs of unlike beads where
     *     it takes any
     */
    public static function techniques(): iterable
    {
        foreach (Techniques::all() as $name => $technique) {
            yield $name => self::alone($technique, []);
            foreach ($technique->parameters() as $parameter) {
                foreach (array_keys($parameter->choices) as $choice) {
                    yield "{$name}, {$parameter->key} {$choice}" => self::alone(
                        $technique,
                        [$parameter->key => (string) $choice],
                    );
                }
            }
            if ($technique->takesBeads()) {
                yield "{$name}, bound" => self::alone(
                    $technique,
                    array_intersect_key(
                        ['beads_sit' => 'on', 'style' => 'doubled'],
                        array_flip(array_column($technique->parameters(), 'key')),
                    ),
                );
            }
        }
    }

    /** @param  array<string, string>  $settings */
    private static function alone(Technique $technique, array $settings): Piece
    {
        $part = Kinds::newPart($technique->name(), PartId::of('p1'));
        foreach ($settings as $key => $value) {
            $part = $part->withSetting($key, $value);
        }
        $beads = [];
        if ($technique->takesBeads()) {
            $beads = [
                'b1' => Bead::parse('4mm round, hole 1.6, sea'),
                'b2' => Bead::parse('5 x 3mm rondelle, hole 1.6, amber'),
                'b3' => Bead::parse('3mm bicone, hole 1.6, plum'),
            ];
            $part = $part->withBeads($technique->name() === 'surround'
                ? [new BeadRun('b4', 1), new BeadRun('b1', 8), new BeadRun('b2', 3)]
                : [new BeadRun('b1', 1), new BeadRun('b2', 2), new BeadRun('b3', 1)]);
            $beads['b4'] = Bead::parse('20 x 20mm coin, hole 1.8, slate');
        }
        $fit = $technique->family()->name === 'Ring'
            ? FitKind::Finger
            : ($technique->family()->name === 'Bangle' ? FitKind::Wrist : FitKind::Ear);

        return Piece::of(
            'Alone',
            '',
            Makes::one(),
            [$technique->role() => $technique->usualWire()],
            $beads,
            [$part],
            Fit::usual($fit),
        );
    }

    /** @return iterable<string, Piece> */
    public static function changed(int $count, int $seed = 11): iterable
    {
        mt_srand($seed);
        $names = array_keys(Patterns::all());
        for ($number = 0; $number < $count; $number++) {
            $name = $names[$number % count($names)];
            $piece = Patterns::start($name, 'Changed');
            for ($change = mt_rand(1, 6); $change > 0; $change--) {
                try {
                    $piece = self::anyChange($piece);
                } catch (Problem) {
                    // Refused, as it should be: the next one, then.
                }
            }
            yield "{$name}, changed {$number}" => $piece;
        }
    }

    private static function anyChange(Piece $piece): Piece
    {
        if ($piece->parts === [] || mt_rand(0, 2) > 0) {
            return Some::randomChange($piece)->apply($piece);
        }
        $part = $piece->parts[mt_rand(0, count($piece->parts) - 1)];
        if ($part->beads !== [] && mt_rand(0, 2) === 0) {
            return Some::changed(
                $piece,
                [
                    'do' => 'bead.count', 'part' => $part->id->text, 'at' => mt_rand(0, count($part->beads) - 1),
                    'count' => mt_rand(1, 45),
                ],
            );
        }
        $parameters = $part->technique()->parameters();
        $parameter = $parameters[mt_rand(0, count($parameters) - 1)];
        $value = match ($parameter->kind->value) {
            'choice' => (string) array_keys($parameter->choices)[mt_rand(0, count($parameter->choices) - 1)],
            'length' => round(
                $parameter->least + ($parameter->most - $parameter->least) * mt_rand(0, 40) / 100,
                1,
            ).' mm',
            'count',
            'number' => (string) mt_rand(
                (int) ceil($parameter->least),
                (int) max(ceil($parameter->least), min($parameter->most, 12)),
            ),
            'flag' => (string) mt_rand(0, 1),
            default => (string) $parameter->default,
        };

        return Some::changed(
            $piece,
            ['do' => 'part.set', 'part' => $part->id->text, 'key' => $parameter->key, 'value' => $value],
        );
    }

    /** The same with all that can be bought, bought. */
    public static function bought(Piece $piece): Piece
    {
        return $piece->withParts(
            array_map(
                fn (Part $part): Part => array_key_exists('source', $part->settings)
                    ? $part->withSetting('source', 'bought')
                    : $part,
                $piece->parts,
            ),
        );
    }
}
