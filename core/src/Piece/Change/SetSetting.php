<?php

declare(strict_types=1);

namespace Hebra\Core\Piece\Change;

use Hebra\Core\Piece\Change;
use Hebra\Core\Piece\InvalidPiece;
use Hebra\Core\Piece\PartId;
use Hebra\Core\Piece\Piece;
use Hebra\Core\Quantity\LengthUnit;

/** One setting of a part, as the maker typed it. */
final readonly class SetSetting implements Change
{
    public function __construct(
        public PartId $part,
        public string $key,
        public string $value,
        public LengthUnit $bare = LengthUnit::Millimetre,
    ) {
    }

    public function apply(Piece $piece): Piece
    {
        $part = $piece->part($this->part);
        foreach ($part->technique()->parameters() as $parameter) {
            if ($parameter->key === $this->key) {
                $set = $part->withSetting($this->key, $parameter->fromText(
                    $this->value, $this->bare, $parameter->per === '' ? 0.0 : $part->mm($parameter->per),
                ));

                return Sized::following($piece, $part, $part->technique()->following($set, $this->key), $this->key);
            }
        }
        throw InvalidPiece::unknownKey('settings', $this->key);
    }

    public function words(Piece $before): string
    {
        foreach ($before->part($this->part)->technique()->parameters() as $parameter) {
            if ($parameter->key === $this->key) {
                return ucfirst($parameter->words).' changed';
            }
        }

        return 'Setting changed';
    }
}
