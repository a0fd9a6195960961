<?php

declare(strict_types=1);

namespace App\View;

use Hebra\Core\Piece\Pattern;
use Hebra\Core\Piece\Patterns;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Plan\Profile;

/** A starting pattern by its picture. */
final readonly class PatternCard
{
    public Drawing $drawing;

    public function __construct(public string $name, public Pattern $pattern, Profile $profile)
    {
        $this->drawing = new Drawing(Planner::plan(Patterns::start($name, $name, $profile->schools), $profile)->figure, 150, 190, 0, 8, 'pattern-'.$name);
    }

    /** @return array<string, list<self>> */
    public static function byFamily(Profile $profile): array
    {
        $by = [];
        foreach (Patterns::byFamily() as $family => $patterns) {
            foreach ($patterns as $name => $pattern) {
                $by[$family][] = new self($name, $pattern, $profile);
            }
        }

        return $by;
    }
}
