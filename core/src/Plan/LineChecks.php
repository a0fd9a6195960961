<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

use Hebra\Core\Course\Strung;
use Hebra\Core\Piece\Change\AddPart;
use Hebra\Core\Piece\Change\SetMakes;
use Hebra\Core\Piece\Change\SetSetting;
use Hebra\Core\Piece\Makes;
use Hebra\Core\Piece\Piece;
use Hebra\Core\Quantity\Figures;

/**
 * What is judged of how parts stand to each other: clasps, strands, what hangs in the middle, which way flat parts
 * face, pairs.
 */
final class LineChecks
{
    /** @return list<Check> */
    public static function of(Piece $piece, Profile $profile, Layout $layout): array
    {
        return [
            ...self::clasps($piece, $profile, $layout),
            ...(new StrandChecks($piece, $profile, $layout))->all(),
            ...Middle::checks($piece, $layout),
            ...self::faces($piece, $layout),
            ...self::pair($piece, $layout),
        ];
    }

    /**
     * A clasp at one end closes in the last eye at the other.
     *
     * @return list<Check>
     */
    private static function clasps(Piece $piece, Profile $profile, Layout $layout): array
    {
        $checks = [];
        $hasClasp = fn (Instance $one): bool => $one->part->technique->clasp($one->part) !== null;
        if (array_filter($layout->instances(), $hasClasp) === []) {
            return [];
        }
        $line = array_values(array_filter($layout->instances(), $layout->isOnLine(...)));
        foreach ($line as $at => $instance) {
            $clasp = $instance->part->technique->clasp($instance->part);
            if ($clasp === null) {
                continue;
            }
            $ring = self::ringFor($line, $at);
            if ($ring === null) {
                $checks[] = new Check(
                    Level::Note,
                    'clasp',
                    "The {$clasp->words} has nothing to close in: end with a ring.",
                    $instance->part->part->id,
                    [new Way('Add a ring', new AddPart(
                        'jump-ring',
                        isset($instance->part->technique->eyes($instance->part, $instance->name)['bottom']) ? null : 0,
                    ))],
                );

                continue;
            }
            [$level, $text] = $clasp->with($ring, $profile);
            $checks[] = new Check(
                $level,
                'clasp',
                $text,
                $ring->part(),
                $level === Level::Stop ? [self::ringToCloseIn($piece, $clasp, $at === 0)] : [],
            );
        }

        return $checks;
    }

    /** A ring at the other end, as wide as what has to go through it. */
    private static function ringToCloseIn(Piece $piece, Clasp $clasp, bool $isAtStart): Way
    {
        $inside = ceil(max($clasp->throughMm + 0.5, min(1.2 * $clasp->throughMm, 12.0)));

        return Way::all('A ring of '.Figures::mm($inside).' to close in', [
            new AddPart('jump-ring', $isAtStart ? count($piece->parts) : 0),
            new SetSetting($piece->nextPartId(), 'inside', $inside.' mm'),
        ]);
    }

    /**
     * The eye at the other end: from there the first part that has one the clasp could take, past what only hangs.
     *
     * @param  list<Instance>  $line
     */
    private static function ringFor(array $line, int $at): ?Eye
    {
        foreach ($at === 0 ? array_reverse($line) : $line as $other) {
            $eyes = $other->part->technique->eyes($other->part, $other->name);
            if ($other === $line[$at] || $other->part->technique->clasp($other->part) !== null) {
                return null;
            }
            $ring = $at === 0 ? $eyes['bottom'] ?? null : $eyes['top'] ?? null;
            if ($ring !== null) {
                return $ring;
            }
        }

        return null;
    }

    /**
     * Each eye lies in a plane, and each ring turns what hangs in it by a quarter: a flat part shows its face or its
     * edge.
     *
     * @return list<Check>
     */
    private static function faces(Piece $piece, Layout $layout): array
    {
        $checks = [];
        foreach ($layout->isRound ? [] : $layout->instances() as $instance) {
            $across = $instance->part->technique->facesAcross($instance->part);
            $id = $instance->part->part->id;
            if ($across === null || isset($checks[$id->text])) {
                continue;
            }
            $label = $instance->part->label();
            if ($across !== $layout->facing($instance)) {
                $checks[$id->text] = new Check(
                    Level::Ok, 'facing', "The {$label} hangs with its face to the front.", $id,
                );

                continue;
            }
            $ways = [new Way('Turn its eye', new SetSetting($id, 'turned', $across ? '0' : '1'))];
            if ($instance->above !== null && $instance->part->part->on === null) {
                $ways[] = new Way('One ring more above it', new AddPart('jump-ring', $piece->indexOf($id)));
            }
            $checks[$id->text] = new Check(Level::Note, 'facing', "The {$label} hangs with its edge to the front: each "
                .'eye turns what hangs in it by a quarter.', $id, $ways);
        }

        return array_values($checks);
    }

    /**
     * A pair that is not alike left and right wants a mirror; one that is does not.
     *
     * @return list<Check>
     */
    private static function pair(Piece $piece, Layout $layout): array
    {
        if ($piece->makes->count !== 2 || $piece->makes->kind === 'batch') {
            return [];
        }
        $uneven = false;
        foreach ($layout->clusters() as $cluster) {
            $looks = array_map(
                fn (Instance $one): string => json_encode(
                    [$one->part->part->technique, $one->part->part->settings, array_map(
                        fn (Strung $strung): array => [$strung->bead->key(), $strung->count], $one->part->strung,
                    )],
                    JSON_THROW_ON_ERROR,
                ),
                $cluster,
            );
            $uneven = $uneven || $looks !== array_reverse($looks);
        }
        if ($uneven === $piece->makes->isMirrored()) {
            return $uneven
                ? [
                    new Check(
                        Level::Ok,
                        'pair',
                        'The second is made as the first is seen in a mirror: what hangs together goes on in the '
                            .'opposite order.',
                    ),
                ]
                : [];
        }

        return $uneven
            ? [
                new Check(
                    Level::Note,
                    'pair',
                    'What hangs together in one eye is not alike left and right: made alike, both earrings lean the '
                        .'same way.',
                    null,
                    [new Way('A mirrored pair', new SetMakes(Makes::mirroredPair()))],
                ),
            ]
            : [
                new Check(
                    Level::Ok,
                    'pair',
                    'Left and right are alike: mirrored and alike are the same here, but for the way its bends are '
                        .'turned.',
                ),
            ];
    }
}
