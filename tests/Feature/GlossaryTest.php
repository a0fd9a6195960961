<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\View\Glossary;
use Symfony\Component\Finder\Finder;
use Tests\TestCase;

/** Words that pages mark are words of docs/words.md, and say what stands there. */
final class GlossaryTest extends TestCase
{
    public function test_every_word_that_a_page_marks_is_in_the_glossary(): void
    {
        $marked = [];
        foreach (Finder::create()->files()->in(resource_path('views'))->name('*.blade.php') as $file) {
            preg_match_all('/<x-term word="([^"]+)"/', $file->getContents(), $found);
            self::assertSame(array_unique($found[1]), $found[1], "{$file->getRelativePathname()}: once on a page");
            array_push($marked, ...$found[1]);
        }
        self::assertGreaterThan(5, count(array_unique($marked)));
        $table = (string) file_get_contents(base_path('docs/words.md'));
        foreach ($marked as $word) {
            self::assertStringContainsString('| '.Glossary::says($word).' |', $table);
        }
        $this->expectExceptionMessage('docs/words.md does not have “zeppelin”.');
        Glossary::says('zeppelin');
    }

    public function test_a_page_says_what_its_words_mean(): void
    {
        $this->actingAs($this->maker)->get('/stock')->assertOk()
            ->assertSee('data-term="scrap"', false)->assertSee(Glossary::says('scrap'));
    }
}
