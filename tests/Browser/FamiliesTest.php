<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Interactions\WebDriverActions;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use Facebook\WebDriver\WebDriverSelect;
use Hebra\Core\Piece\Family;
use Hebra\Core\Piece\Pattern;
use Hebra\Core\Piece\Patterns;

/** Beyond the drop earring: a pattern by its picture, groups and eyes, a weave tapped and made. */
final class FamiliesTest extends BrowserTestCase
{
    protected function setUp(): void
    {
        $this->window(1280, 800);
        $this->enterDemo();
    }

    public function test_a_chain_from_its_picture_to_its_length(): void
    {
        $this->visit('/patterns');
        $this->startFrom('linked-bracelet');
        $this->seeInside('h2', 'Round the wrist');
        $this->seeInside('.figures', 'end to end');
        $this->one('#group-g1-more')->click();
        $this->seeInside('.group-head', '× 7');
        // Six are too short by less than a repeat: a ring makes up for it.
        $this->button('6 repeats, 1 ring to lengthen it')->click();
        $this->seeInside('.group-head', '× 6');
        // A drop hung aside from a link, not at the end of the line.
        $this->letGo();
        $this->type('d');
        self::eventually(
            fn (): bool => count(self::$browser->findElements(WebDriverBy::cssSelector('.part'))) === 5,
            'a drop is added by its key',
        );
        (new WebDriverSelect($this->one('#hang-p5')))->selectByValue('p2/bottom');
        $this->seeInside('.part.is-open', 'in link’s bottom loop');
        $this->one('#keep-pattern')->click();
        $this->see('is kept as a pattern');
        $this->see('Your own');
        $this->assertQuietConsole();
    }

    public function test_a_piece_is_looked_at_from_its_sides_and_turned_by_keys(): void
    {
        $this->visit('/patterns');
        $this->startFrom('framed-drop');
        $this->seeInside('h2', 'From the neck down');
        $label = fn (): string => (string) $this->one('.drawing .canvas svg')->getAttribute('aria-label');
        foreach (['side', 'back'] as $side) {
            $this->one("#view-{$side}")->click();
            self::eventually(fn (): bool => str_contains($label(), "from the {$side}"), "seen from the {$side}");
        }
        // A change keeps the side.
        $this->one('#zoom-fit');
        $this->letGo();
        $this->type('r');
        self::eventually(
            fn (): bool => count(self::$browser->findElements(WebDriverBy::cssSelector('.part'))) === 4,
            'a ring is added by its key',
        );
        self::assertStringContainsString('from the back', $label());
        $this->one('#view-turn')->click();
        $space = fn (string $what): string => (string) $this->one('.space')->getAttribute($what);
        self::eventually(fn (): bool => $space('data-state') === 'shown', 'it stands in space');
        $this->type(WebDriverKeys::ARROW_RIGHT);
        self::eventually(fn (): bool => $space('data-turned') === '10', 'an arrow turns it');
        $this->one('#view-front')->click();
        self::eventually(
            fn (): bool => $this->one('.drawing .canvas svg')->isDisplayed() && ! str_contains($label(), 'from the'),
            'and the front is back',
        );
        $this->assertQuietConsole();
    }

    public function test_a_free_wire_is_said_on_by_taps_in_the_drawing_and_by_keys(): void
    {
        $this->visit('/patterns');
        $this->startFrom('tied-drop');
        $this->seeInside('h2', 'From the neck down');
        $this->one('#part-p2')->click();
        $text = fn (): string => (string) $this->one('.is-course')->getAttribute('value');
        self::eventually(fn (): bool => str_contains($text(), 'tie (26)'), 'its way is there');
        $ends = fn (string $move): bool => str_ends_with(trim($text()), $move);
        // Keys go to what is there to stay: not to what an answer is about to replace.
        $isStill = fn (): bool => (bool) self::$browser->executeScript(
            'return document.documentElement.classList.contains("is-pointing") '
                .'&& document.querySelector(".htmx-request, .htmx-swapping, .htmx-settling") === null',
        );
        self::eventually($isStill, 'it can be said on');
        // By key: the button of a bead's letter, then that of a move.
        $this->one('#set-p2-course-A')->sendKeys(WebDriverKeys::ENTER);
        self::eventually(fn (): bool => $ends('tail 8 · through A'), 'through the bead once more');
        self::eventually($isStill, 'the answer is there');
        $this->one('#set-p2-course-spiral')->sendKeys(WebDriverKeys::ENTER);
        self::eventually(fn (): bool => $ends('through A · spiral 2'), 'then a spiral');
        // By pointer: a bead in the drawing, then the hoop of the frame, as its wire is called there.
        $point = fn (string $mark) => self::$browser->executeScript(
            'document.querySelector(arguments[0]).dispatchEvent(new MouseEvent("click", { bubbles: true }))',
            [".drawing [data-mark='p2:{$mark}']"],
        );
        $point('beads-a');
        self::eventually(fn (): bool => $ends('spiral 2 · through A'), 'what is pointed at is gone through');
        $point('frame-5');
        self::eventually(fn (): bool => $ends('through A · wrap 3 on hoop'), 'what is pointed at is wrapped on');
        self::eventually(
            fn (): bool => str_contains($this->one('.figures')->getText(), 'top to bottom'), 'it is drawn',
        );
        $this->assertQuietConsole();
    }

    public function test_what_is_drawn_by_reference_lights_its_strip_and_the_drawing_grows(): void
    {
        $this->visit('/patterns');
        $this->startFrom('linked-bracelet');
        $this->seeInside('h2', 'Round the wrist');
        self::$browser->findElement(WebDriverBy::linkText('Cut'))->click();
        $this->see('Link');
        $link = self::$browser->findElement(WebDriverBy::cssSelector('.cut-part g[data-mark="p2:top-wraps"]'));
        (new WebDriverActions(self::$browser))->moveToElement($link)->perform();
        self::eventually(
            fn (): bool => str_contains(
                (string) $this->one('.stretch[data-mark="p2:top-wraps"]')->getAttribute('class'),
                'is-lit',
            ),
            'the strip answers',
        );
        self::assertStringContainsString(
            'is-lit',
            (string) $this->one('.cut-part g[data-mark="p2:top-wraps"]')->getAttribute('class'),
        );
        self::$browser->findElement(WebDriverBy::linkText('Lay out'))->click();
        $this->see('Round the wrist');
        $width = fn (): int => $this->one('.drawing svg')->getSize()->getWidth();
        $fits = $width();
        $this->one('#zoom-in')->click();
        self::eventually(fn (): bool => $width() > $fits, 'the drawing grows');
        $this->one('#zoom-fit')->click();
        self::eventually(fn (): bool => $width() === $fits, 'and fits again');
        $this->assertQuietConsole();
    }

    public function test_patterns_are_asked_for_and_strands_close(): void
    {
        $rings = count(
            array_filter(Patterns::all(), fn (Pattern $pattern): bool => $pattern->family === Family::Ring),
        );
        $this->visit('/patterns');
        (new WebDriverSelect($this->one('#ask-family')))->selectByValue('ring');
        self::eventually(
            fn (): bool => count(
                self::$browser->findElements(WebDriverBy::cssSelector('#gallery a.pattern'))
            ) === $rings,
            "{$rings} kinds of ring",
        );
        self::assertStringContainsString('family=ring', self::$browser->getCurrentURL());
        (new WebDriverSelect($this->one('#ask-family')))->selectByValue('');
        self::eventually(
            fn (): bool => count(
                self::$browser->findElements(WebDriverBy::cssSelector('#pattern-two-strand-bracelet')),
            ) === 1,
            'all again',
        );
        $this->startFrom('two-strand-bracelet');
        $this->see('closes in ring, part 5');
        $this->one('#part-p8')->click();
        self::eventually(
            fn (): bool => count(self::$browser->findElements(WebDriverBy::cssSelector('#close-p8'))) === 1,
            'the part opens',
        );
        (new WebDriverSelect($this->one('#close-p8')))->selectByValue('');
        self::eventually(
            fn (): bool => ! str_contains($this->text('.line'), 'closes in ring, part 5'),
            'its end hangs open',
        );
        $this->button('Undo')->click();
        $this->see('closes in ring, part 5');
        $this->assertQuietConsole();
    }

    /** A photo stays in the browser; what is tapped on it, or set by keys, becomes the outline of a bought part. */
    public function test_an_outline_is_traced_from_a_photo(): void
    {
        $this->visit('/patterns');
        $this->startFrom('connector-drop');
        self::eventually(fn (): bool => $this->howMany('#part-p3') === 1, 'the piece opens');
        $this->one('#part-p3')->click();
        self::eventually(fn (): bool => $this->howMany('#set-p3-shape') === 1, 'the part opens');
        (new WebDriverSelect($this->one('#set-p3-shape')))->selectByValue('own');
        self::eventually(fn (): bool => $this->howMany('#trace-photo') === 1, 'its outline may be its own');
        $this->one('#trace-photo')->sendKeys(dirname(__DIR__, 2).'/README.md');
        self::eventually(
            fn (): bool => str_contains($this->text('.trace .problem'), 'is no photo'), 'that is no photo',
        );
        $this->one('#trace-photo')->sendKeys(dirname(__DIR__, 2).'/docs/screenshots/sum.png');
        self::eventually(fn (): bool => $this->one('#trace-sheet')->isDisplayed(), 'the photo is there');
        self::assertFalse($this->one('#trace-use')->isEnabled());
        $sheet = $this->one('#trace-sheet');
        // A pointer moves within the window only: the sheet is brought there first, as a maker would scroll to it.
        self::$browser->executeScript('arguments[0].scrollIntoView({ block: "center" })', [$sheet]);
        foreach ([[0, -90], [70, 60]] as [$x, $y]) {
            (new WebDriverActions(self::$browser))->moveToElement($sheet, $x, $y)->click()->perform();
        }
        $this->type(
            WebDriverKeys::SHIFT, str_repeat(WebDriverKeys::ARROW_LEFT, 7), WebDriverKeys::NULL, WebDriverKeys::ENTER,
        );
        self::eventually(fn (): bool => $this->one('#trace-use')->isEnabled(), 'three points are an outline');
        $outline = (string) $this->one('.trace-outline')->getAttribute('d');
        self::assertMatchesRegularExpression('/^M[\d. ]+L[\d. ]+L[\d. ]+Z$/', $outline);
        $this->one('#trace-use')->click();
        self::eventually(
            fn (): bool => $this->howMany('#trace-sheet') === 1 && ! $this->one('#trace-sheet')->isDisplayed()
                && $this->one('#set-p3-path')->getAttribute('value') === $outline,
            'the outline is the part’s',
        );
        self::assertSame(0, $this->howMany('#problem-outline-as-svg-path'));
        $this->assertQuietConsole();
    }

    public function test_a_weave_is_tapped_stepped_and_made(): void
    {
        $this->visit('/weave');
        $this->button('1-3')->click();
        self::eventually(
            fn (): bool => $this->one('#field-pattern')->getAttribute('value') === '4@1-2 4@2-3 3@1-3',
            'tapped on',
        );
        self::$browser->findElement(WebDriverBy::cssSelector('h1'))->click();
        $this->type(WebDriverKeys::ARROW_RIGHT);
        $this->seeInside('.weave-steps [aria-current]', '4 turns round cores 1 to 2');
        $this->type(WebDriverKeys::ARROW_RIGHT);
        $this->seeInside('.weave-steps [aria-current]', '4 turns round cores 2 to 3');
        self::assertStringContainsString('at=2', self::$browser->getCurrentURL(), 'the address follows');
        $this->type(WebDriverKeys::BACKSPACE);
        self::eventually(
            fn (): bool => $this->one('#field-pattern')->getAttribute('value') === '4@1-2 4@2-3',
            'the last is off again',
        );
        // Clearing the field would already weave: all of it is written over.
        $this->one('#field-cores')->sendKeys(
            [WebDriverKeys::CONTROL, 'a', WebDriverKeys::CONTROL, '2', WebDriverKeys::TAB],
        );
        $this->see('names core 3 of 2');
        $this->one('#field-cores')->sendKeys(
            [WebDriverKeys::CONTROL, 'a', WebDriverKeys::CONTROL, '3', WebDriverKeys::TAB],
        );
        $this->see('What it takes');
        $this->button('Make a band of it')->click();
        $this->seeInside('h2', 'Round the wrist');
        $this->assertQuietConsole();
    }

    private function howMany(string $selector): int
    {
        return count(self::$browser->findElements(WebDriverBy::cssSelector($selector)));
    }
}
