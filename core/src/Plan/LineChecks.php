<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

use Hebra\Core\Piece\FitKind;
use Hebra\Core\Piece\Piece;
use Hebra\Core\Quantity\Figures;

/** What is judged of how parts stand to each other: strands beside each other, rings of parts, which way flat parts face, clasps, pairs. */
final class LineChecks
{
    /** Lengths that are taken for alike, mm. */
    private const ALIKE_MM = 0.5;

    /** @return list<Check> */
    public static function of(Piece $piece, Profile $profile, Layout $layout): array
    {
        return [...self::clasps($profile, $layout), ...self::strands($piece, $profile, $layout), ...self::faces($piece, $layout), ...self::pair($piece, $layout)];
    }

    /**
     * A clasp at one end closes in the last eye at the other.
     *
     * @return list<Check>
     */
    private static function clasps(Profile $profile, Layout $layout): array
    {
        $checks = [];
        $line = array_values(array_filter($layout->instances(), fn (Instance $instance): bool => ! $layout->isAside($instance)));
        foreach ($line as $at => $instance) {
            $clasp = $instance->part->technique->clasp($instance->part);
            if ($clasp === null) {
                continue;
            }
            $ring = self::ringFor($line, $at);
            if ($ring === null) {
                $checks[] = new Check(Level::Note, 'clasp', "The {$clasp->words} has nothing to close in: end with a ring.", $instance->part->part->id, [new Way('Add a ring', ['do' => 'part.add', 'technique' => 'jump-ring'])]);

                continue;
            }
            [$level, $text] = $clasp->with($ring, $profile);
            $checks[] = new Check($level, 'clasp', $text, explode('.', explode('/', $ring->id)[0])[0]);
        }

        return $checks;
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

    /** @return list<Check> */
    private static function strands(Piece $piece, Profile $profile, Layout $layout): array
    {
        $checks = [];
        foreach ($layout->strands as $strand) {
            $id = $strand->members[count($strand->members) - 1]->part->part->id;
            $own = $layout->sumMm($strand->members);
            if ($strand->isRing()) {
                $checks[] = new Check(count($strand->members) > 2 ? Level::Ok : Level::Note, 'ring of parts', Figures::counted(count($strand->members), 'part').' close to a ring, '.$profile->length($own).' round'.(count($strand->members) > 2 ? '.' : ': two or fewer lie flat on each other.'), $id);

                continue;
            }
            $beside = $layout->sumMm($layout->beside($strand));
            $more = $own - $beside;
            $text = 'The strand beside is '.$profile->length($own).', that of the line '.$profile->length($beside);
            if (abs($more) < self::ALIKE_MM) {
                $checks[] = new Check(Level::Ok, 'strands', $text.': they lie side by side.', $id);

                continue;
            }
            // Both its sides grow by half of what it has more.
            $low = $profile->length(abs($more) / 2);
            if ($piece->fit->kind === FitKind::Neck) {
                $checks[] = new Check(Level::Ok, 'strands', $text.': '.($more > 0 ? 'it' : 'the line')." hangs about {$low} lower.", $id);

                continue;
            }
            $checks[] = new Check(Level::Note, 'strands', $text.': '.$profile->length(abs($more)).' '.($more > 0 ? 'longer, it bags' : 'shorter, the line bags').'. Fill that with beads or rings, or change how often it repeats.', $id, self::alike($piece, $layout, $strand, $more));
        }

        return $checks;
    }

    /** @return list<Way> so many repeats that both come nearest in length */
    private static function alike(Piece $piece, Layout $layout, Strand $strand, float $moreMm): array
    {
        $by = [];
        foreach ($strand->members as $member) {
            $part = $member->part->part;
            $key = $part->group !== '' ? ['group', $part->group, $piece->groups[$part->group]->repeat] : ['part', $part->id, $part->repeat];
            if ($key[2] > 1) {
                $by[$key[0].'/'.$key[1]] = [$key, ($by[$key[0].'/'.$key[1]][1] ?? 0.0) + $layout->advances[$member->name]];
            }
        }
        foreach ($by as [[$what, $name, $count], $length]) {
            $nearest = max(1, (int) round($count - $moreMm / ($length / $count)));
            if ($nearest !== $count) {
                return [new Way(Figures::counted($nearest, 'repeat'), $what === 'group' ? ['do' => 'group.set', 'group' => $name, 'count' => (string) $nearest] : ['do' => 'part.repeat', 'part' => $name, 'count' => (string) $nearest])];
            }
        }

        return [];
    }

    /**
     * Each eye lies in a plane, and each ring turns what hangs in it by a quarter: a flat part shows its face or its edge.
     *
     * @return list<Check>
     */
    private static function faces(Piece $piece, Layout $layout): array
    {
        $checks = [];
        foreach ($layout->isRound ? [] : $layout->instances() as $instance) {
            $across = $instance->part->technique->facesAcross($instance->part);
            $id = $instance->part->part->id;
            if ($across === null || isset($checks[$id])) {
                continue;
            }
            $label = $instance->part->technique->label();
            $checks[$id] = $across !== $layout->facing($instance)
                ? new Check(Level::Ok, 'facing', "The {$label} hangs with its face to the front.", $id)
                : new Check(Level::Note, 'facing', "The {$label} hangs with its edge to the front: each eye turns what hangs in it by a quarter.", $id, [
                    new Way('Turn its eye', ['do' => 'part.set', 'part' => $id, 'key' => 'turned', 'value' => $across ? '0' : '1']),
                    ...($instance->above === null || $instance->part->part->on !== '' ? [] : [new Way('One ring more above it', ['do' => 'part.add', 'technique' => 'jump-ring', 'at' => (string) ($piece->indexOf($id))])]),
                ]);
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
            $looks = array_map(fn (Instance $one): string => json_encode([$one->part->part->technique, $one->part->part->settings, array_map(fn (Strung $strung): array => [$strung->bead->key(), $strung->count], $one->part->strung)], JSON_THROW_ON_ERROR), $cluster);
            $uneven = $uneven || $looks !== array_reverse($looks);
        }
        if ($uneven === $piece->makes->isMirrored()) {
            return $uneven ? [new Check(Level::Ok, 'pair', 'The second is made as the first is seen in a mirror: what hangs together goes on in the opposite order.')] : [];
        }

        return $uneven
            ? [new Check(Level::Note, 'pair', 'What hangs together in one eye is not alike left and right: made alike, both earrings lean the same way.', '', [new Way('A mirrored pair', ['do' => 'makes', 'kind' => 'mirrored-pair'])])]
            : [new Check(Level::Ok, 'pair', 'Left and right are alike: mirrored and alike are the same here, but for the way its bends are turned.')];
    }
}
