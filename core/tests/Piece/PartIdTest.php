<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Piece;

use Hebra\Core\Piece\EyeRef;
use Hebra\Core\Piece\InvalidPiece;
use Hebra\Core\Piece\PartId;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class PartIdTest extends TestCase
{
    public function test_one_name_is_one_object(): void
    {
        self::assertSame(PartId::of('p2'), PartId::read('p2', 'id'));
        self::assertNotSame(PartId::of('p2'), PartId::of('p20'));
        self::assertSame('"p2"', json_encode(PartId::of('p2')));
        self::assertSame(PartId::of('p2'), EyeRef::read('p2/bottom')?->part);
    }

    public function test_marks_begin_with_it(): void
    {
        self::assertSame('p2:top-loop', PartId::of('p2')->mark('top-loop'));
        self::assertSame('p10:top-loop', PartId::of('p10')->markLike('p2:top-loop'));
        self::assertSame('', PartId::of('p10')->markLike(''));
    }

    /** @return array<string, array{string}> */
    public static function others(): array
    {
        return [
            'nothing' => [''], 'a digit first' => ['2p'], 'a slash' => ['p2/bottom'], 'a space' => ['p 2'],
            'too long' => [str_repeat('p', 25)], 'no letter' => ['é2'],
        ];
    }

    #[DataProvider('others')]
    public function test_refuses_what_is_no_name(string $text): void
    {
        self::assertFalse(PartId::isName($text));
        $this->expectException(InvalidPiece::class);
        PartId::read($text, 'parts.0.id');
    }
}
