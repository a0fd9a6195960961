<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys;

/** Lay out as a board: what is taken hold of in the drawing and carried from the tray, by a real pointer. */
final class BoardTest extends BrowserTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->window(1280, 900);
        $this->enterDemo();
        $this->visit('/patterns');
        $this->one('#pattern-link-and-drop')->click();
        $this->seeInside('h2', 'From the ear down');
        self::eventually(fn (): bool => $this->howMany('.leaders path') > 3, 'leaders run to what is measured');
    }

    private function howMany(string $selector): int
    {
        return (int) self::$browser->executeScript('return document.querySelectorAll(arguments[0]).length', [$selector]);
    }

    /** @return array{int, int} the middle of an element, or of its upper edge */
    private function place(string $selector, float $down = 0.5): array
    {
        $box = self::$browser->executeScript(
            'const box = document.querySelector(arguments[0]).getBoundingClientRect(); return [box.left + box.width / 2, box.top + box.height * arguments[1]]',
            [$selector, $down],
        );

        return [(int) round($box[0]), (int) round($box[1])];
    }

    /** @param  list<array<string, mixed>>  $moves */
    private function pointer(array $moves): void
    {
        self::$browser->execute('actions', ['actions' => [[
            'type' => 'pointer', 'id' => 'hand', 'parameters' => ['pointerType' => 'mouse'], 'actions' => $moves,
        ]]]);
    }

    /** From the tray over the drawing, and held there. */
    private function carry(string $well, string $over, float $down): void
    {
        [$x, $y] = $this->place($well, 0.3);
        [$toX, $toY] = $this->place($over, $down);
        $moves = [
            ['type' => 'pointerMove', 'duration' => 0, 'x' => $x, 'y' => $y], ['type' => 'pointerDown', 'button' => 0],
        ];
        for ($step = 1; $step <= 10; $step++) {
            $moves[] = [
                'type' => 'pointerMove', 'duration' => 30, 'x' => (int) ($x + ($toX - $x) * $step / 10),
                'y' => (int) ($y + ($toY - $y) * $step / 10),
            ];
        }
        $this->pointer($moves);
        self::eventually(fn (): bool => $this->howMany('.gap-here') === 1, 'a gap opens where it would go');
    }

    /** @return list<string> what is on the drop, from the top */
    private function drop(): array
    {
        return array_map(
            fn ($run): string => trim($run->getText()),
            self::$browser->findElements(\Facebook\WebDriver\WebDriverBy::cssSelector('[id^="run-p3-"]')),
        );
    }

    public function test_a_bead_of_the_tray_is_carried_to_its_gap(): void
    {
        $before = $this->drop();
        $this->carry('#tray-0', '.drawing use[data-mark="p3:bead-0"]', 0.0);
        $this->pointer([['type' => 'pointerUp', 'button' => 0]]);
        self::eventually(fn (): bool => count($this->drop()) === count($before) + 1, 'it is on the wire');
        self::assertSame($before, array_slice($this->drop(), 1), 'above what hung there');
        self::assertSame(0, $this->howMany('.bead-carried'));
        $this->seeInside('.figures', '→');
        $this->assertQuietConsole();
    }

    public function test_escape_puts_it_back(): void
    {
        $before = $this->drop();
        $this->carry('#tray-1', '.drawing use[data-mark="p3:bead-0"]', 0.0);
        self::$browser->getKeyboard()->sendKeys(WebDriverKeys::ESCAPE);
        self::eventually(fn (): bool => $this->howMany('.bead-carried') + $this->howMany('.gap-here') === 0, 'it is back in its well');
        $this->pointer([['type' => 'pointerUp', 'button' => 0]]);
        $this->visit((string) parse_url((string) self::$browser->getCurrentURL(), PHP_URL_PATH));
        self::assertSame($before, $this->drop());
        $this->assertQuietConsole();
    }

    /** A tap on a bead chooses it; one on a loop of the part that is chosen opens its measure, to be typed. */
    public function test_what_is_tapped_in_the_drawing_is_chosen_and_measured(): void
    {
        [$x, $y] = $this->place('.drawing use[data-mark="p3:bead-0"]');
        $tap = fn (int $x, int $y) => $this->pointer([
            ['type' => 'pointerMove', 'duration' => 0, 'x' => $x, 'y' => $y], ['type' => 'pointerDown', 'button' => 0],
            ['type' => 'pointerUp', 'button' => 0],
        ]);
        $tap($x, $y);
        self::eventually(fn (): bool => $this->howMany('#run-p3-0[aria-current]') === 1, 'the drop’s bead is chosen');
        self::assertSame(1, $this->howMany('.ringed'));
        self::$browser->executeScript(
            'document.querySelector(".drawing g[data-mark=\"p3:top-loop\"]").dispatchEvent(new MouseEvent("click", { bubbles: true }))',
        );
        self::eventually(
            fn (): bool => self::$browser->executeScript('return document.activeElement.id') === 'set-p3-inside', 'its measure is open',
        );
        $this->one('#set-p3-inside')->sendKeys(WebDriverKeys::CONTROL.'a');
        $this->one('#set-p3-inside')->sendKeys('3.5 mm'.WebDriverKeys::ENTER);
        self::eventually(fn (): bool => $this->one('#set-p3-inside')->getAttribute('value') === '3.5 mm', 'it is set');
        $this->seeInside('.figures', '→');
    }
}
