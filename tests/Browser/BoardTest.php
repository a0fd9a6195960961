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
        $this->startFrom('link-and-drop');
        $this->seeInside('h2', 'From the ear down');
        self::eventually(fn (): bool => $this->howMany('.leaders path') > 3, 'leaders run to what is measured');
    }

    private function howMany(string $selector): int
    {
        return (int) self::$browser->executeScript(
            'return document.querySelectorAll(arguments[0]).length', [$selector],
        );
    }

    /** @return array{int, int} the middle of an element, or of its upper edge */
    private function place(string $selector, float $down = 0.5): array
    {
        $box = self::$browser->executeScript(
            'const box = document.querySelector(arguments[0]).getBoundingClientRect(); return [box.left + box.width / '
                .'2, box.top + box.height * arguments[1]]',
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
        $this->dragFrom(...[...$this->place($well, 0.3), ...$this->place($over, $down)]);
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

    /** Hold of a bead in the drawing, over another place of it. */
    private function drag(string $bead, int $toX, int $toY): void
    {
        $this->dragFrom(...[...$this->place($bead), $toX, $toY]);
    }

    private function dragFrom(int $x, int $y, int $toX, int $toY): void
    {
        self::eventually(fn (): bool => $this->howMany('.board[data-carries]') === 1, 'the board can be taken hold of');
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
    }

    /** @return list<string> every bead of the drawing with what it is, by part and run */
    private function strung(): array
    {
        return array_map(
            fn ($run): string => $run->getAttribute('id').' '.trim($run->getText()),
            self::$browser->findElements(\Facebook\WebDriver\WebDriverBy::cssSelector('[id^="run-p"]')),
        );
    }

    public function test_a_bead_is_carried_along_its_wire_to_another_and_off_the_paper(): void
    {
        $one = count($this->drop());
        $this->carry('#tray-0', '.drawing use[data-mark="p3:bead-0"]', 0.0);
        $this->pointer([['type' => 'pointerUp', 'button' => 0]]);
        self::eventually(fn (): bool => count($this->drop()) === $one + 1, 'two beads hang there');
        $drop = $this->drop();
        // Below the last of its wire.
        $last = count($drop) - 1;
        [$x, $y] = $this->place('.drawing use[data-mark="p3:bead-'.$last.'"]', 1.0);
        $this->drag('.drawing use[data-mark="p3:bead-0"]', $x, $y + 4);
        self::eventually(fn (): bool => $this->howMany('.gap-here') === 1, 'the gap at the foot opens');
        $this->pointer([['type' => 'pointerUp', 'button' => 0]]);
        self::eventually(
            fn (): bool => $this->drop() === [...array_slice($drop, 1), $drop[0]], 'it stands at the foot now',
        );
        self::assertSame(1, $this->howMany("#run-p3-{$last}[aria-current]"), 'and is still chosen');
        // Onto another one: they take each other's places.
        [$x, $y] = $this->place('.drawing use[data-mark="p3:bead-'.$last.'"]');
        $this->drag('.drawing use[data-mark="p3:bead-0"]', $x, $y);
        self::eventually(fn (): bool => $this->howMany('.on-wire.is-over') === 1, 'the other one lights');
        $this->pointer([['type' => 'pointerUp', 'button' => 0]]);
        self::eventually(fn (): bool => $this->drop()[0] === $drop[0], 'they are exchanged');
        // Off the paper it is taken off.
        $this->drag('.drawing use[data-mark="p3:bead-0"]', 1200, 40);
        self::eventually(fn (): bool => $this->howMany('.bead-carried.is-off') === 1, 'it would be off');
        $this->pointer([['type' => 'pointerUp', 'button' => 0]]);
        self::eventually(fn (): bool => count($this->drop()) === count($drop) - 1, 'it is off');
        $this->button('Undo')->click();
        self::eventually(fn (): bool => count($this->drop()) === count($drop), 'and back again');
        $this->assertQuietConsole();
    }

    public function test_a_bead_carried_from_the_link_to_the_drop_is_there(): void
    {
        $all = count($this->strung());
        [$x, $y] = $this->place('.drawing use[data-mark="p3:bead-0"]', 0.0);
        $drop = count($this->drop());
        $this->drag('.drawing use[data-mark="p2:bead-0"]', $x, $y - 3);
        self::eventually(fn (): bool => $this->howMany('.gap-here') === 1, 'a gap of the drop opens');
        $this->pointer([['type' => 'pointerUp', 'button' => 0]]);
        self::eventually(fn (): bool => count($this->drop()) === $drop + 1, 'the drop has one more');
        self::assertLessThanOrEqual($all, count($this->strung()), 'and nothing is doubled');
        $this->assertQuietConsole();
    }

    public function test_a_part_is_carried_to_another_eye(): void
    {
        $hangs = json_decode(
            (string) $this->one('.board')->getAttribute('data-hangs'), true, flags: JSON_THROW_ON_ERROR,
        );
        $place = array_search('p3', $hangs['parts'], true);
        $eyes = array_values(array_filter($hangs['eyes'], fn (array $eye): bool => $eye[0] < $place));
        self::assertGreaterThan(1, count($eyes));
        $hangsIn = fn (): string => (string) self::$browser->executeScript(
            'return document.querySelector("#hang-p3")?.value ?? ""',
        );
        $other = array_values(array_filter($eyes, fn (array $eye): bool => $eye[1] === 'p1/bottom'))[0];
        $spot = self::$browser->executeScript(
            'const at = new DOMPoint(arguments[0], arguments[1])'
                .'.matrixTransform(document.querySelector(".canvas svg").getScreenCTM()); return [at.x, at.y]',
            [$other[2], $other[3]],
        );
        [$x, $y] = $this->place('.drawing g.wire[data-mark="p3:top-wraps"]');
        $to = [(int) $spot[0] + 3, (int) $spot[1] + 3];
        $this->dragFrom($x, $y, ...$to);
        self::eventually(fn (): bool => $this->howMany('.eye-here.is-near') === 1, 'the eye it would hang in lights');
        self::assertSame(count($eyes), $this->howMany('.eye-here:not(.is-out)'));
        self::assertSame(count($hangs['eyes']), $this->howMany('.eye-here'), 'those that cannot are seen as well');
        $this->type(WebDriverKeys::ESCAPE);
        self::eventually(fn (): bool => $this->howMany('.part-carried') === 0, 'it hangs where it hung');
        $this->pointer([['type' => 'pointerUp', 'button' => 0]]);
        $this->dragFrom($x, $y, ...$to);
        self::eventually(fn (): bool => $this->howMany('.eye-here.is-near') === 1, 'and again');
        $this->pointer([['type' => 'pointerUp', 'button' => 0]]);
        self::eventually(fn (): bool => $hangsIn() === 'p1/bottom', 'it hangs in the ear wire');
        $this->button('Undo')->click();
        self::eventually(fn (): bool => $hangsIn() !== 'p1/bottom', 'and back');
        $this->assertQuietConsole();
    }

    /** @return array{int, int} where an eye is in the window */
    private function eye(string $ref): array
    {
        $hangs = json_decode(
            (string) $this->one('.board')->getAttribute('data-hangs'), true, flags: JSON_THROW_ON_ERROR,
        );
        $eye = array_values(array_filter($hangs['eyes'], fn (array $eye): bool => $eye[1] === $ref))[0];
        $spot = self::$browser->executeScript(
            'const at = new DOMPoint(arguments[0], arguments[1])'
                .'.matrixTransform(document.querySelector(".canvas svg").getScreenCTM()); return [at.x, at.y]',
            [$eye[2], $eye[3]],
        );

        return [(int) $spot[0] + 2, (int) $spot[1] + 2];
    }

    /** A part of the tray hangs where it is let go of; over an eye that cannot take what is carried stands why. */
    public function test_a_part_of_the_tray_is_carried_to_an_eye(): void
    {
        $this->window(1280, 1250);
        $this->dragFrom(...[...$this->place('#add-wrapped-link'), ...$this->eye('p2/bottom')]);
        self::eventually(fn (): bool => $this->howMany('.eye-here.is-near') === 1, 'the eye it would hang in lights');
        self::assertSame(0, $this->howMany('.eye-here.is-out'), 'a new one hangs in any');
        $this->pointer([['type' => 'pointerUp', 'button' => 0]]);
        self::eventually(
            fn (): bool => self::$browser->executeScript(
                'return document.querySelector("#hang-p4")?.value',
            ) === 'p2/bottom',
            'a second link hangs beside the drop',
        );
        $this->dragFrom(
            ...[...$this->place('.drawing g.wire[data-mark="p3:foot"]'), ...$this->eye('p4/bottom')],
        );
        self::eventually(fn (): bool => $this->howMany('.eye-words.is-out') === 1, 'why it cannot stands there');
        self::assertStringContainsString('comes after it', (string) self::$browser->executeScript(
            'return document.querySelector(".eye-words").textContent',
        ));
        $this->pointer([['type' => 'pointerUp', 'button' => 0]]);
        self::eventually(fn (): bool => $this->howMany('.part-carried') === 0, 'it goes back');
        $this->button('Undo')->click();
        self::eventually(fn (): bool => $this->howMany('.part') === 3, 'and is gone');
        $this->assertQuietConsole();
    }

    public function test_a_bead_of_the_tray_on_a_bead_takes_its_place(): void
    {
        $drop = $this->drop();
        [$x, $y] = $this->place('.drawing use[data-mark="p3:bead-0"]');
        $this->drag('#tray-2 .well-bead', $x, $y);
        self::eventually(fn (): bool => $this->howMany('.on-wire.is-over') === 1, 'the one it would replace lights');
        $this->pointer([['type' => 'pointerUp', 'button' => 0]]);
        self::eventually(fn (): bool => ($this->drop()[0] ?? '') !== $drop[0], 'another bead stands there');
        self::assertSame(array_slice($drop, 1), array_slice($this->drop(), 1));
        $this->assertQuietConsole();
    }

    /** Two fingers spread: what is between them grows and stays there; one that holds the paper moves it. */
    public function test_the_drawing_is_pinched_wheeled_and_moved(): void
    {
        $zoom = fn (): float => (float) self::$browser->executeScript(
            'return getComputedStyle(document.querySelector(".canvas")).getPropertyValue("--zoom")',
        );
        $middle = fn (): array => $this->place('.drawing use[data-mark="p3:bead-0"]');
        [$x, $y] = $middle();
        self::$browser->executeScript(
            'const canvas = document.querySelector(".canvas"); const [x, y] = arguments; const at = (apart) => [-1, '
                .'1].map('
                .'(side, id) => new Touch({ identifier: id, target: canvas, clientX: x + side * apart, clientY: y })); '
                .'const fire = (type, apart) => canvas.dispatchEvent(new TouchEvent(type, { touches: at(apart), '
                .'bubbles: true, cancelable: true })); fire("touchstart", 40); fire("touchmove", 60); '
                .'fire("touchmove", 80); canvas.dispatchEvent(new TouchEvent("touchend", { touches: [] }));',
            [$x, $y],
        );
        self::assertEqualsWithDelta(2.0, $zoom(), 0.01, 'twice as far apart, twice as large');
        [$nowX, $nowY] = $middle();
        self::assertEqualsWithDelta([$x, $y], [$nowX, $nowY], 12.0, 'what was between the fingers is there still');
        $scrolled = fn (): array => self::$browser->executeScript(
            'const canvas = document.querySelector(".canvas"); return [canvas.scrollLeft, canvas.scrollTop]',
        );
        [$left, $top] = $scrolled();
        [$paperX, $paperY] = $this->place('.canvas', 0.8);
        $this->dragFrom($paperX + 150, $paperY, $paperX + 90, $paperY - 40);
        $this->pointer([['type' => 'pointerUp', 'button' => 0]]);
        self::assertEqualsWithDelta([$left + 60, $top + 40], $scrolled(), 14.0, 'the paper is moved');
        self::$browser->executeScript(
            'document.querySelector(".canvas").dispatchEvent(new WheelEvent("wheel", { ctrlKey: true, deltaY: 400, '
                .'bubbles: true, cancelable: true, clientX: arguments[0], clientY: arguments[1] }))', [$x, $y],
        );
        self::assertSame(1.0, $zoom(), 'and small again');
        $this->assertQuietConsole();
    }

    public function test_escape_puts_it_back(): void
    {
        $before = $this->drop();
        $this->carry('#tray-1', '.drawing use[data-mark="p3:bead-0"]', 0.0);
        $this->type(WebDriverKeys::ESCAPE);
        self::eventually(
            fn (): bool => $this->howMany('.bead-carried') + $this->howMany('.gap-here') === 0,
            'it is back in its well',
        );
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
            'document.querySelector(".drawing g[data-mark=\"p3:top-loop\"]").dispatchEvent(new MouseEvent("click", '
                .'{ bubbles: true }))',
        );
        self::eventually(
            fn (): bool => self::$browser->executeScript('return document.activeElement.id') === 'set-p3-inside',
            'its measure is open',
        );
        $this->one('#set-p3-inside')->sendKeys(WebDriverKeys::CONTROL.'a');
        $this->one('#set-p3-inside')->sendKeys('3.5 mm'.WebDriverKeys::ENTER);
        self::eventually(fn (): bool => $this->one('#set-p3-inside')->getAttribute('value') === '3.5 mm', 'it is set');
        $this->seeInside('.figures', '→');
    }

    /** Hold of a handle, and so many steps to the right of it. */
    private function pull(string $setting, int $steps): void
    {
        [$x, $y] = $this->place("[data-for=\"{$setting}\"] .reach");
        $moves = [
            ['type' => 'pointerMove', 'duration' => 0, 'x' => $x, 'y' => $y], ['type' => 'pointerDown', 'button' => 0],
        ];
        for ($step = 1; $step <= abs($steps); $step++) {
            $to = $x + 13 * $step * ($steps <=> 0);
            $moves[] = ['type' => 'pointerMove', 'duration' => 20, 'x' => $to, 'y' => $y];
        }
        $this->pointer($moves);
    }

    private function canUndo(): bool
    {
        return (bool) self::$browser->executeScript(
            "return [...document.querySelectorAll('button')].some((one) => one.textContent.trim() === 'Undo' && ! "
                .'one.disabled)',
        );
    }

    private function said(): string
    {
        return (string) self::$browser->executeScript("return document.querySelector('.pull-said').textContent");
    }

    private function value(string $selector): string
    {
        return (string) self::$browser->executeScript('return document.querySelector(arguments[0]).value', [$selector]);
    }

    /** A count step by step: figures follow while it is held, nothing is kept before it is let go. */
    public function test_a_measure_is_pulled_and_the_figures_run_along(): void
    {
        $this->pull('set-p2-top_wraps', 2);
        self::assertSame('5', $this->value('#set-p2-top_wraps'));
        self::eventually(fn (): bool => $this->howMany('.figures s') > 0, 'figures tell what it was and would be');
        self::assertSame('5', $this->said());
        self::assertFalse($this->canUndo(), 'nothing is kept yet');
        $this->pointer([['type' => 'pointerUp', 'button' => 0]]);
        self::eventually(fn (): bool => $this->canUndo(), 'let go it is a change');
        self::assertSame('5', $this->value('#set-p2-top_wraps'));
        self::assertGreaterThan(0, $this->howMany('.figures s'), 'and what changed stays told');
        self::assertSame(0, $this->howMany('.pull-said'));
        $this->assertQuietConsole();
    }

    private function awaitPrice(): void
    {
        self::eventually(
            fn (): bool => preg_match('/price of the pair.*\d+\.\d\d/s', $this->text('.figures')) === 1,
            'asked for once the board stands',
        );
    }

    public function test_the_price_stands_among_the_figures(): void
    {
        $this->awaitPrice();
        $this->assertQuietConsole();
    }

    public function test_escape_puts_a_pulled_measure_back(): void
    {
        $this->awaitPrice();
        $before = $this->text('.figures > div');
        $this->pull('set-p2-top_wraps', 3);
        self::eventually(fn (): bool => $this->text('.figures > div') !== $before, 'the figures follow');
        $this->type(WebDriverKeys::ESCAPE);
        self::eventually(fn (): bool => $this->text('.figures > div') === $before, 'as they were');
        self::assertSame('3', $this->value('#set-p2-top_wraps'));
        $this->pointer([['type' => 'pointerUp', 'button' => 0]]);
        self::assertFalse($this->canUndo());
        $this->assertQuietConsole();
    }

    /** A loop steps along the marks of the maker’s own pliers, and says which. */
    public function test_a_loop_is_pulled_along_the_marks_of_the_pliers(): void
    {
        $this->pull('set-p2-top_inside', 1);
        self::assertMatchesRegularExpression('/^[\d.]+ mm · (mark|step) \d+$/', $this->said());
        self::assertStringStartsWith($this->value('#set-p2-top_inside'), $this->said());
        $this->pointer([['type' => 'pointerUp', 'button' => 0]]);
        self::eventually(fn (): bool => $this->canUndo(), 'let go it is a change');
        $this->assertQuietConsole();
    }

    /** What would stop the piece goes back, and says why. */
    public function test_a_pull_that_cannot_be_made_goes_back_and_says_why(): void
    {
        $this->visit('/patterns');
        $this->startFrom('framed-drop');
        self::eventually(fn (): bool => $this->howMany('[data-for="set-p2-size"]') === 1, 'the frame has its handle');
        $was = $this->value('#set-p2-size');
        $this->pull('set-p2-size', -24);
        self::eventually(fn (): bool => $this->howMany('.pull-said.is-refused') === 1, 'it is said why');
        $this->pointer([['type' => 'pointerUp', 'button' => 0]]);
        self::eventually(fn (): bool => $this->howMany('.pull-refused') === 1, 'and stays said where it is');
        self::assertSame($was, $this->value('#set-p2-size'));
        self::assertFalse($this->canUndo());
        $this->assertQuietConsole();
    }

    public function test_arrows_step_a_field_along_the_same_marks(): void
    {
        $this->one('#set-p2-top_wraps')->sendKeys(WebDriverKeys::ARROW_UP);
        self::eventually(fn (): bool => $this->value('#set-p2-top_wraps') === '4', 'one more');
        self::eventually(fn (): bool => $this->canUndo(), 'it is kept');
        $this->type(WebDriverKeys::ARROW_DOWN);
        self::eventually(
            fn (): bool => $this->value('#set-p2-top_wraps') === '3', 'and one fewer: the field keeps the focus',
        );
        $this->assertQuietConsole();
    }

    /** A screen is measured once by a card; from then on a millimetre of the drawing is one of it. */
    public function test_the_drawing_is_shown_as_large_as_it_is(): void
    {
        self::$browser->executeScript("localStorage.removeItem('hebra-pixels-per-mm')");
        $this->one('#zoom-true')->click();
        self::eventually(fn (): bool => $this->one('#true-size-width')->isDisplayed(), 'the screen is measured first');
        self::$browser->executeScript(
            "const slide = document.querySelector('#true-size-width'); slide.value = 428; slide.dispatchEvent(new "
                ."Event('input', { bubbles: true }))",
        );
        $this->one('#true-size-keep')->click();
        $perMm = fn (): float => (float) self::$browser->executeScript(
            "const one = document.querySelector('.canvas svg'); return one.getScreenCTM().a * one.dataset.k",
        );
        self::eventually(fn (): bool => abs($perMm() - 428 / 85.6) < 0.02, 'five pixels a millimetre');
        $this->one('#zoom-true')->click();
        self::eventually(fn (): bool => abs($perMm() - 5.0) > 0.5, 'and back to what fits');
        $this->one('#zoom-true')->click();
        self::eventually(fn (): bool => abs($perMm() - 5.0) < 0.02, 'without being measured again');
        $this->assertQuietConsole();
    }

    /** What the board says of its scale is what is seen: a drawing is made smaller where the window is low. */
    public function test_the_scale_that_is_said_is_the_one_that_is_seen(): void
    {
        self::$browser->executeScript("localStorage.removeItem('hebra-pixels-per-mm')");
        self::$browser->navigate()->refresh();
        $said = fn (): float => (float) $this->one('.ratio')->getText();
        $seen = fn (): float => (float) self::$browser->executeScript(
            "const one = document.querySelector('.canvas svg');"
                .'return one.getScreenCTM().a * one.dataset.k / (96 / 25.4)',
        );
        $agrees = fn (): bool => abs($said() - $seen()) <= 0.051 * $seen();
        self::eventually($agrees, 'as it is laid out');
        $before = $seen();
        self::$browser->executeScript("document.querySelector('.canvas').style.height = '200px'");
        self::eventually(fn (): bool => $seen() < 0.9 * $before && $agrees(), 'in half the room');
        $this->one('#zoom-in')->click();
        self::eventually($agrees, 'and drawn larger');
        $this->assertQuietConsole();
    }

    /**
     * What is wrong stands on the board with a line to it, read and reached like anything else; so is a chain’s tape.
     */
    public function test_flags_and_the_tape_are_for_everyone(): void
    {
        $this->one('#run-p3-0')->click();
        self::eventually(
            fn (): bool => $this->howMany('#run-p3-0[aria-current="true"]') === 1, 'the drop’s bead is chosen',
        );
        $this->one('#bead-hole')->click();
        $this->type(WebDriverKeys::CONTROL, 'a', WebDriverKeys::NULL, '0.3', WebDriverKeys::ENTER);
        self::eventually(fn (): bool => $this->howMany('.leaders path.wrong') === 1, 'a line runs to the bead');
        $this->assertNoAxeViolations('a flagged board');
        $this->one('#zoom-true')->click();
        self::eventually(
            fn (): bool => $this->howMany('dialog[open]') === 1 || $this->howMany('.canvas.is-true') === 1,
            'its size is asked or shown',
        );
        $this->assertNoAxeViolations('measuring the screen');
        $this->visit('/patterns');
        $this->startFrom('linked-bracelet');
        self::eventually(fn (): bool => $this->howMany('.tape-now') === 1, 'the bracelet lies on its tape');
        $this->assertNoAxeViolations('a tape');
        $this->window(390, 844);
        self::eventually(fn (): bool => $this->howMany('.handle') > 0, 'handles are there on a phone as well');
        self::assertLessThanOrEqual(
            390, (int) self::$browser->executeScript('return document.documentElement.scrollWidth'),
            'nothing is wider than it',
        );
        $this->assertNoAxeViolations('a phone');
        $this->assertQuietConsole();
    }

    /** With shift held: a press at the first place, let go at the last. */
    private function withShift(int ...$places): void
    {
        [$x, $y] = [$places[0], $places[1]];
        [$toX, $toY] = [$places[2] ?? $x, $places[3] ?? $y];
        $move = fn (int $toX, int $toY, int $ms): array => [
            'type' => 'pointerMove', 'x' => $toX, 'y' => $toY, 'duration' => $ms,
        ];
        self::$browser->execute('actions', ['actions' => [
            ['type' => 'key', 'id' => 'keys', 'actions' => [
                ['type' => 'keyDown', 'value' => WebDriverKeys::SHIFT], ...array_fill(0, 4, ['type' => 'pause']),
                ['type' => 'keyUp', 'value' => WebDriverKeys::SHIFT],
            ]],
            ['type' => 'pointer', 'id' => 'hand', 'parameters' => ['pointerType' => 'mouse'], 'actions' => [
                $move($x, $y, 0), ['type' => 'pointerDown', 'button' => 0], $move(intdiv($x + $toX, 2), $toY, 40),
                $move($toX, $toY, 40), ['type' => 'pointerUp', 'button' => 0], ['type' => 'pause'],
            ]],
        ]]);
    }

    /** @return list<string> every run of the line, from the top */
    private function line(): array
    {
        return array_map(
            fn ($run): string => trim($run->getText()),
            self::$browser->findElements(\Facebook\WebDriver\WebDriverBy::cssSelector('.line a.run')),
        );
    }

    /** Two beads with shift, one frame about all, one change for what is chosen, and one undo. */
    public function test_several_beads_are_chosen_and_changed_at_once(): void
    {
        $before = $this->line();
        self::assertFalse($this->one('#several')->isDisplayed());
        $this->withShift(...$this->place('.drawing use[data-mark="p2:bead-0"]'));
        $this->withShift(...$this->place('.drawing use[data-mark="p3:bead-0"]'));
        $this->seeInside('#several', '2 chosen');
        self::assertSame(2, $this->howMany('.canvas .is-several'));
        $this->assertNoAxeViolations('several chosen');
        $this->one('#several button[value="beads.count +1"]')->click();
        self::eventually(fn (): bool => $this->line() !== $before, 'one more of both');
        self::assertSame('2', substr($this->line()[0], 0, 1));
        self::assertFalse($this->one('#several')->isDisplayed());
        $this->type(WebDriverKeys::CONTROL, 'z', WebDriverKeys::NULL);
        self::eventually(fn (): bool => $this->line() === $before, 'one undo takes both back');
        // A frame about the whole piece, and Esc.
        $box = self::$browser->executeScript(
            'const all = [...document.querySelectorAll(".canvas [data-mark*=bead]")].map((one) => '
                .'one.getBoundingClientRect()); return [Math.min(...all.map((one) => one.left)) - 14, '
                .'Math.min(...all.map((one) => one.top)) - 14, Math.max(...all.map((one) => one.right)) + 14, '
                .'Math.max(...all.map((one) => one.bottom)) + 14]',
        );
        $this->withShift(...array_map(fn (float|int $at): int => (int) round($at), $box));
        $this->seeInside('#several', count($before).' chosen');
        $this->type(WebDriverKeys::ESCAPE);
        self::eventually(fn (): bool => ! $this->one('#several')->isDisplayed(), 'none is chosen');
        // By keys alone: the box beside a bead, then all its like.
        self::$browser->executeScript('document.querySelector(".choose").focus()');
        $this->type(' ');
        $this->seeInside('#several', '1 chosen');
        $this->one('#several button[value="beads.remove"]')->sendKeys(WebDriverKeys::ENTER);
        self::eventually(fn (): bool => count($this->line()) === count($before) - 1, 'it is off');
        $this->assertQuietConsole();
    }
}
