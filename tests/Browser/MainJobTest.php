<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use Facebook\WebDriver\WebDriverSelect;

/** From a new piece to a closed making, as a maker does it: once by mouse, once by keyboard alone. */
final class MainJobTest extends BrowserTestCase
{
    protected function setUp(): void
    {
        $this->window(1280, 800);
        $this->enterDemo();
    }

    public function test_the_main_job_by_mouse(): void
    {
        $this->button('Start a piece')->click();
        $this->one('#pattern-link-and-drop')->click();
        $this->one('#field-name')->sendKeys('Mouse drops');
        $this->button('Start this piece')->click();
        $this->seeInside('h2', 'From the ear down');
        $before = $this->text('.figures');
        $this->button('One more')->click();
        $this->seeInside('.figures', '→');
        self::assertNotSame($before, $this->text('.figures'));
        $this->button('Undo')->click();
        self::eventually(fn (): bool => str_contains($this->runs(), '1 × moss 8 mm round'), 'one bead again');
        $this->one('#field-bead')->sendKeys('Pea: 3mm round, hole 0.3');
        $this->button('Add it')->click();
        $this->see('22 AWG does not pass the Pea');
        $this->button('I tried it: the hole is 0.7 mm')->click();
        self::eventually(fn (): bool => ! str_contains($this->text(), 'does not pass'), 'the way out mends it');

        $this->button('Choose the wire')->click();
        $this->seeInside('h2', 'Which wire');
        $this->one('#role-link')->click();
        self::eventually(
            fn (): bool => $this->one('#role-link')->getAttribute('aria-current') === 'true',
            'the links are open',
        );
        $hung = $this->text('.wire-piece figcaption');
        self::$browser->findElement(WebDriverBy::cssSelector('.cell[value="24 awg/dead-soft"]'))->click();
        self::eventually(fn (): bool => str_contains($this->text('#role-link'), '24 AWG'), 'the link is of 24 AWG');
        self::assertNotSame($hung, $this->text('.wire-piece figcaption'), 'the drawing follows at once');
        $this->see('too thick for the hole');
        (new WebDriverSelect($this->one('#fit-kind')))->selectByValue('finger');
        self::eventually(
            fn (): bool => str_contains($this->text('.stage-panel'), 'UK N 1/2'),
            'a finger has its scales',
        );
        (new WebDriverSelect($this->one('#fit-kind')))->selectByValue('ear');
        self::eventually(
            fn (): bool => str_contains($this->text('.stage-panel'), 'above the lowest you want'),
            'an ear has its length',
        );

        $this->button('See the cuts')->click();
        $this->seeInside('h2', '6 cuts of 2 wires');
        self::$browser->action()->moveToElement($this->one('.strip [data-mark="p2:top-loop"] .hit'))->perform();
        self::eventually(
            fn (): bool => count(
                self::$browser->findElements(
                    WebDriverBy::cssSelector('.cut-part .wire.is-lit[data-mark="p2:top-loop"]'),
                ),
            ) > 0,
            'the same wire lights up in the drawing',
        );
        self::$browser->executeScript(
            'document.querySelector(\'.cut-part .wire[data-mark="p3:top-wraps"]\').dispatchEvent(new '
                .'PointerEvent("pointerover", {bubbles: true}))',
        );
        self::eventually(
            fn (): bool => count(
                self::$browser->findElements(
                    WebDriverBy::cssSelector('.strip .stretch.is-lit[data-mark="p3:top-wraps"]'),
                ),
            ) === 1,
            'and the other way round',
        );
        self::$browser->findElements(WebDriverBy::cssSelector('.why summary'))[1]->click();
        $this->seeInside('.why', 'π(D + d)');

        $this->button('Start making')->click();
        $this->seeInside('h2', 'Lay everything ready');
        $asked = 0;
        for ($click = 0; $click < 250 && ! str_contains($this->text('.stage-panel h2'), 'steps are done'); $click++) {
            $asked += str_contains($this->text('#go-on'), 'hooked on') ? 1 : 0;
            $seen = $this->text('.stage-panel');
            $this->one('#go-on')->click();
            $this->stepIsNew($seen, 'the step goes on');
        }
        self::assertSame(2, $asked);
        $this->button('Weigh & log')->click();
        $this->seeInside('h2', 'What was left?');
        $this->one('#field-minutes')->sendKeys('48');
        $this->one('#close-making')->click();
        $this->see('48 minutes');
        $this->see('in the piece');
        $this->visit('/stock/book');
        $this->see('cut for Mouse drops, ear wire');
        $this->assertQuietConsole();
    }

    public function test_the_main_job_by_keyboard_alone(): void
    {
        $keys = $this->type(...);
        $this->tabTo('Pieces');
        $keys(WebDriverKeys::ENTER);
        $this->seeInside('h1', 'Pieces');
        $this->tabTo('Start a piece');
        $keys(WebDriverKeys::ENTER);
        $this->seeInside('h1', 'Patterns');
        $this->tabTo('#pattern-link-and-drop');
        $keys(WebDriverKeys::ENTER);
        $this->seeInside('.opened h2', 'Link and drop');
        $this->tabTo('#field-name');
        $keys('Key drops', WebDriverKeys::ENTER);
        $this->seeInside('h2', 'From the ear down');
        $keys('+');
        self::eventually(fn (): bool => str_contains($this->runs(), '2 × moss 8 mm round'), 'plus adds a bead');
        $keys(WebDriverKeys::ARROW_DOWN);
        self::eventually(
            fn (): bool => str_contains($this->text('.run[aria-current="true"]'), 'bicone'),
            'the next bead is chosen',
        );
        $keys('-');
        self::eventually(fn (): bool => ! str_contains($this->runs(), 'bicone'), 'one fewer than one takes it off');
        $keys(WebDriverKeys::CONTROL, 'z', WebDriverKeys::NULL);
        self::eventually(fn (): bool => str_contains($this->runs(), 'bicone'), 'undone');
        $keys('l');
        self::eventually(
            fn (): bool => count(self::$browser->findElements(WebDriverBy::cssSelector('.part'))) === 4,
            'L adds a link',
        );
        $this->tabTo('Choose the wire');
        $keys(WebDriverKeys::ENTER);
        $this->seeInside('h2', 'Which wire');
        $second = $this->text('.ranked li:nth-child(2) strong');
        $keys('2');
        self::eventually(fn (): bool => str_contains($this->text('#role-ear'), $second), 'the digit chooses by rank');
        $this->tabTo('See the cuts');
        $keys(WebDriverKeys::ENTER);
        $this->seeInside('h2', '8 cuts of 3 wires');
        $this->tabTo('Start making');
        $keys(WebDriverKeys::ENTER);
        $this->seeInside('h2', 'Lay everything ready');
        $reloaded = false;
        for ($press = 0; $press < 400 && ! str_contains($this->text('.stage-panel h2'), 'steps are done'); $press++) {
            $seen = $this->text('.stage-panel');
            $keys(str_contains($this->text('#go-on'), 'hooked on') ? 'y' : ' ');
            $this->stepIsNew($seen, 'the step goes on by space');
            if ($press === 20) {
                $at = $this->text('#step-place');
                self::$browser->navigate()->refresh();
                $this->seeInside('#step-place', $at);
                $reloaded = true;
            }
        }
        self::assertTrue($reloaded);
        $keys(' ');
        $this->seeInside('h2', 'What was left?');
        $this->tabTo('#field-minutes');
        $keys('51');
        $this->tabTo('#close-making');
        $keys(WebDriverKeys::ENTER);
        $this->see('51 minutes');
        $this->assertQuietConsole();
    }

    /** The beads on the line of parts, without the tray. */
    private function runs(): string
    {
        return implode(
            ' ',
            array_map(
                fn ($run): string => $run->getText(),
                self::$browser->findElements(WebDriverBy::cssSelector('.run')),
            ),
        );
    }

    /** Presses Tab until the focus is on what has these words, or matches the selector. */
    private function tabTo(string $target): void
    {
        for ($press = 0; $press < 160; $press++) {
            $this->type(WebDriverKeys::TAB);
            $found = self::$browser->executeScript(
                'const one = document.activeElement; const t = arguments[0]; return t.startsWith("#") ? one.matches(t) '
                    .': (one.getAttribute("aria-label") === t || one.textContent.trim().startsWith(t));',
                [$target],
            );
            if ($found) {
                self::assertNotSame(
                    'none',
                    self::$browser->executeScript('return getComputedStyle(document.activeElement).outlineStyle'),
                    'the focus is seen on '.$target,
                );

                return;
            }
        }
        self::fail("{$target} cannot be reached by keyboard.");
    }

    public function test_a_stale_tab_is_told_and_shows_the_piece_as_it_is(): void
    {
        $this->visit('/pieces');
        $this->button('Sandpiper drops')->click();
        $this->seeInside('.strung', 'Cut');
        $this->visit(parse_url(self::$browser->getCurrentURL(), PHP_URL_PATH).'/../lay-out');
        $this->seeInside('h2', 'From the ear down');
        self::$browser->executeScript(
            'for (const input of document.querySelectorAll("input[name=revision]")) { input.value = "77"; }',
        );
        $this->button('One more')->click();
        $this->see('This piece was changed elsewhere since you opened it here');
        self::assertStringContainsString('1 × Tide glass', $this->text('.line'));
        $this->button('One more')->click();
        self::eventually(fn (): bool => str_contains($this->text('.line'), '2 × Tide glass'), 'and goes on from there');
        $this->assertQuietConsole();
    }

    public function test_a_refusal_stands_at_its_field(): void
    {
        $this->visit('/pieces');
        $this->button('Breakwater')->click();
        $this->seeInside('.strung', 'Lay out');
        $field = $this->one('#set-p2-top_inside');
        $field->sendKeys([WebDriverKeys::CONTROL, 'a', WebDriverKeys::NULL, 'banana', WebDriverKeys::ENTER]);
        self::eventually(
            fn (): bool => str_contains($this->text('#problem-top-loop-inside'), 'is not a length'),
            'the sentence is at its field',
        );
        self::assertSame('true', $this->one('#set-p2-top_inside')->getAttribute('aria-invalid'));
        self::assertSame('banana', $this->one('#set-p2-top_inside')->getAttribute('value'));
        $this->assertQuietConsole();
    }
}
