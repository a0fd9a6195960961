<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\SupplyBook;
use App\View\PatternGallery;
use Hebra\Core\Bead\Bead;
use Hebra\Core\Piece\Patterns;
use Tests\TestCase;

/** Patterns are found by how they are made and by the beads that are there. */
final class GalleryTest extends TestCase
{
    /**
     * @param  array<string, string>  $asked
     * @return list<string>
     */
    private function found(array $asked): array
    {
        $cards = array_merge(...array_values((new PatternGallery($this->workshop(), $asked))->families));

        return array_map(fn ($card): string => $card->name, $cards);
    }

    public function test_patterns_are_found_by_how_a_part_is_made(): void
    {
        foreach (array_keys(PatternGallery::techniquesInUse()) as $technique) {
            $found = $this->found(['technique' => $technique]);
            $have = array_keys(array_filter(
                Patterns::all(), fn ($pattern): bool => in_array($technique, array_column($pattern->line, 0), true),
            ));
            self::assertNotSame([], $found);
            self::assertEqualsCanonicalizing($have, $found);
        }
        self::assertCount(
            count(Patterns::all()), $this->found(['technique' => 'knitting']), 'what is unknown asks for nothing',
        );
        $this->actingAs($this->maker)->get('/patterns?technique=cord')->assertOk()->assertSee('pattern-corded-pendant')
            ->assertDontSee('pattern-single-drop');
    }

    /** A pair of single drops takes two beads of two kinds: two of each, or of what stands in for it, are enough. */
    public function test_patterns_are_found_by_the_beads_in_stock(): void
    {
        self::assertNotContains('single-drop', $this->found(['beads' => '1']));
        $own = fn (string $line, int $count) => app(SupplyBook::class)->bead(
            $this->workshop(), Bead::parse($line), $count,
        );
        $own('8mm round, hole 1.2, sky', 2);
        $own('4mm bicone, hole 1, plum', 1);
        self::assertNotContains('single-drop', $this->found(['beads' => '1']), 'one of the second is too few');
        $own('4mm bicone, hole 0.9, sand', 1);
        self::assertContains('single-drop', $this->found(['beads' => '1']));
    }
}
