<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys;

/** A board that is written anew where its answer differs is the board that was answered, and keeps the rest. */
final class PatchedTest extends BrowserTestCase
{
    /** All of the desk as it stands, with what its fields hold; but for where lines end and what a pointer lights. */
    private const SEEN = <<<'JS'
        const seen = () => {
            const desk = document.querySelector('#desk').cloneNode(true);
            const fields = (room) => [...room.querySelectorAll('input, select, textarea')];
            const live = fields(document.querySelector('#desk'));
            fields(desk).forEach((field, at) => {
                field.setAttribute('data-holds', `${live[at].value} ${live[at].checked ?? ''}`);
            });
            desk.querySelectorAll('[name=_once]').forEach((one) => one.remove());
            desk.querySelector('.leaders').replaceChildren();
            [desk, ...desk.querySelectorAll('[class]')].forEach((one) => {
                one.classList.remove('is-lit', 'has-lit', 'htmx-settling', 'htmx-request', 'htmx-swapping');
            });
            // An option that stands first is chosen whether it says so or not.
            const told = (one) => [...one.attributes].map(({ name, value }) => `${name}="${value}"`)
                .filter((words) => words !== 'class=""' && words !== 'selected=""').sort().join(' ');
            const words = (one) => [...one.childNodes].filter((child) => child.nodeType === Node.TEXT_NODE)
                .map((text) => text.data.trim()).join(' ').trim();

            return [desk, ...desk.querySelectorAll('*')].map(
                (one) => `${one.localName} ${told(one)} ${words(one)}`.replace(/\s+/g, ' '),
            );
        };
        const laidOut = (then) => requestAnimationFrame(() => requestAnimationFrame(then));
        JS;

    protected function setUp(): void
    {
        parent::setUp();
        $this->window(1280, 900);
        $this->enterDemo();
        $this->visit('/patterns');
        $this->startFrom('link-and-drop');
        $this->seeInside('h2', 'From the ear down');
        $this->untilReady();
        self::$browser->executeScript(
            'document.addEventListener("htmx:beforeSwap", ({ detail }) => { if (detail.target.id === "desk") '
                .'window.answered = detail.serverResponse; })',
        );
    }

    /** All has come: what takes hold of the board, and its price. */
    private function untilReady(): void
    {
        $this->untilStill();
        self::eventually(fn (): bool => (bool) self::$browser->executeScript(
            'return document.querySelector(".board[data-carries]") !== null '
                .'&& ! document.querySelector(".figures").textContent.includes("what it costs") '
                .'&& document.querySelector(".figures [aria-busy]") === null',
        ), 'the board is ready');
    }

    /** @return list<string> element by element */
    private function seen(): array
    {
        return self::$browser->executeAsyncScript(
            self::SEEN.'const done = arguments[0]; laidOut(() => done(seen()));',
        );
    }

    private function change(string $selector): void
    {
        self::$browser->executeScript(
            'window.answered = null; document.querySelector(arguments[0]).click()', [$selector],
        );
        self::eventually(
            fn (): bool => self::$browser->executeScript('return window.answered !== null'), "{$selector} is answered",
        );
        $this->untilReady();
    }

    /** The last answer takes the place of the whole desk. */
    private function whole(): void
    {
        self::$browser->executeScript(
            'window.htmx.swap("#desk", window.answered, { swapStyle: "outerHTML", swapDelay: 0, settleDelay: 0 })',
        );
        $this->untilReady();
    }

    public function test_it_is_the_desk_that_was_answered(): void
    {
        $changes = [
            '#tray-0', '#run-down', '#part-p1', '#part-p2', '#part-copy', '#do-undo-', '[id^=run-p3]', '#run-off',
            '#do-undo-', '#do-redo-', '.sides a:not([aria-current])',
        ];
        foreach ($changes as $change) {
            $this->change($change);
            $patched = $this->seen();
            $this->whole();
            $whole = $this->seen();
            self::assertSame(array_diff_assoc($whole, $patched), array_diff_assoc($patched, $whole), $change);
        }
        $this->assertQuietConsole();
    }

    public function test_what_a_change_leaves_as_it_was_stays(): void
    {
        $kept = ['#part-p1', '#tray-1', '.canvas svg', '#desk'];
        self::$browser->executeScript(
            'arguments[0].forEach((one) => { document.querySelector(one).isKept = true; })', [$kept],
        );
        $drawn = 'return document.querySelector(".canvas svg").innerHTML';
        $was = self::$browser->executeScript($drawn);
        $this->change('#run-off');
        self::assertNotSame($was, self::$browser->executeScript($drawn));
        self::assertSame([true, true, true, true], self::$browser->executeScript(
            'return arguments[0].map((one) => document.querySelector(one).isKept ?? false)', [$kept],
        ));
    }

    /** A price is worked out after the board is answered: what it was is read until then, and is said to be old. */
    public function test_a_price_stands_until_the_next_is_there(): void
    {
        $price = 'document.querySelector(".figures > div:last-child")';
        self::$browser->executeScript(
            "window.prices = []; const look = () => { const price = {$price}; "
                .'window.prices.push([price.querySelector(".figure")?.textContent ?? "", '
                .'price.hasAttribute("aria-busy")].join(" ")); }; '
                .'new MutationObserver(look).observe(document.body, '
                .'{ subtree: true, childList: true, attributes: true, attributeFilter: ["aria-busy"] });',
        );
        $figure = fn (): string => self::$browser->executeScript(
            "return {$price}.querySelector('.figure').textContent",
        );
        $this->change('#part-p2');
        $was = $figure();
        $this->change('#part-copy');
        $now = $figure();
        self::assertNotSame($was, $now, 'a part more costs more');
        $told = array_values(array_unique(self::$browser->executeScript('return window.prices')));
        self::assertContains("{$was} true", $told, 'the old one, while the next is worked out');
        self::assertSame("{$now} false", $told[count($told) - 1]);
        self::assertSame([], array_values(array_filter($told, fn (string $one): bool => str_starts_with($one, ' '))));
    }

    public function test_a_measure_that_is_typed_is_asked_for_once(): void
    {
        $field = '#'.$this->one('.beside .setting .in')->getAttribute('id');
        $this->one($field)->click();
        self::$browser->executeScript(
            'window.sent = []; document.addEventListener("htmx:beforeRequest", ({ detail }) => { '
                .'if (detail.requestConfig.verb === "post") window.sent.push(detail.requestConfig.path); })',
        );
        $this->type(WebDriverKeys::CONTROL, 'a', WebDriverKeys::NULL, '4 mm', WebDriverKeys::ENTER);
        $this->seeInside('.figures', '→');
        $this->untilReady();
        self::assertCount(1, self::$browser->executeScript('return window.sent'));
        self::assertStringContainsString('→', $this->text('.figures'));
        self::assertSame(substr($field, 1), self::$browser->executeScript('return document.activeElement.id'));
    }

    public function test_of_a_large_drawing_the_same_place_stays_in_sight(): void
    {
        $this->one('#zoom-in')->click();
        $this->one('#zoom-in')->click();
        $sight = 'const { scrollLeft, scrollTop, clientWidth } = document.querySelector(".canvas"); '
            .'return [scrollLeft, scrollTop, clientWidth]';
        self::$browser->executeScript('document.querySelector(".canvas").scrollTo(41, 63)');
        self::assertSame([41, 63], array_slice($was = self::$browser->executeScript($sight), 0, 2));
        $this->change('#run-down');
        self::assertSame($was, self::$browser->executeScript($sight));
    }

    public function test_what_was_typed_and_not_sent_gives_way_and_the_focus_stays(): void
    {
        $name = self::$browser->executeScript(
            'const field = document.querySelector("#piece-name"); const was = field.value; field.value = "Not sent"; '
                .'document.querySelector("#tray-1").focus(); return was',
        );
        $this->change('#run-down');
        self::assertSame([$name, 'tray-1'], self::$browser->executeScript(
            'return [document.querySelector("#piece-name").value, document.activeElement.id]',
        ));
    }
}
