<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

use Hebra\Core\Piece\PartId;

/** One made part, repeats and groups unfolded: its name, and the instance and eye it hangs in. */
final readonly class Instance
{
    public function __construct(
        public PartPlan $part,
        public string $name,
        public ?string $above,
        public string $eye,
    ) {
    }

    /** `p2.3`: one of several that are made of a part. */
    public static function numbered(PartId $part, int $number): string
    {
        return $part.'.'.$number;
    }

    /** The part that a made one is of. */
    public static function partOf(string $name): PartId
    {
        return PartId::of(explode('.', $name)[0]);
    }
}
