<?php

declare(strict_types=1);

namespace Hebra\Core\Figure;

use Hebra\Core\Course\Span;
use Hebra\Core\Course\Vector;
use Hebra\Core\Wire\Wire;

/**
 * Paths of what is looked at from one side: copies of what is known are moved on the page.
 *
 * @phpstan-import-type Path from Stroke
 */
final class KnownPaths
{
    /** Of the wire's thickness: what strays no farther from a line is seen as one. */
    private const NEARLY = 0.06;

    /**
     * @var array<string, array{Path, non-empty-list<SeenSpan>}> with what they are paths of, so that none gets the
     *     number of another
     */
    private array $known = [];

    /**
     * @param  non-empty-list<SeenSpan>  $run
     * @param  array{float, float}  $joinsMm  how much further it runs at its beginning, and at its end
     * @return Path
     */
    public function of(array $run, array $joinsMm, Wire $wire): array
    {
        $path = new SeenPath(self::NEARLY * $wire->diameterMm());
        $by = $run[0]->by;
        foreach ($run as $piece) {
            if ($piece->by === null || ($piece->by !== $by && $piece->by != $by)) {
                return $path->through(array_map(fn (SeenSpan $one): Span => $one->span(), $run), ...$joinsMm);
            }
        }
        $told = array_map(fn (SeenSpan $one): int => spl_object_id($one->told), $run);
        // In whole ten-thousandths: a number with a point is slow to write.
        $sizes = array_map(fn (float $mm): int => (int) round(1e4 * $mm), [...$joinsMm, $wire->diameterMm()]);
        $key = implode('/', [...$told, ...$sizes]);
        [$known] = $this->known[$key] ??= [
            $path->through(array_map(fn (SeenSpan $one): Span => $one->told, $run), ...$joinsMm), $run,
        ];

        return Stroke::shifted($known, ...SeenPath::page($by ?? new Vector(0.0, 0.0)));
    }
}
