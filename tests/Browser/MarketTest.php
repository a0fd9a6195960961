<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Interactions\WebDriverActions;
use Facebook\WebDriver\WebDriverKeys;

/** From what is wanted to what is sold: planned, kept, sold, taken back; and a size read off a photo. */
final class MarketTest extends BrowserTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->window(1280, 900);
        $this->enterDemo();
    }

    public function test_a_market_is_planned_and_made_to_fit_its_days(): void
    {
        $this->button('The plan')->click();
        $this->seeInside('h1', 'Harbour winter market');
        $this->seeInside('.market-head', 'short');
        $this->seeInside('.day-rows', 'Night tide');
        // The first way out is more time: one tap, and all is in time.
        $this->one('.market-ways button')->click();
        $this->see('That day has its own hours now.');
        self::eventually(fn (): bool => ! str_contains($this->text('.market-head'), 'short'), 'all fits its days');
        // One more of a piece than there is time for, by keys, and back.
        $this->one('[aria-label="One Night tide more"]')->sendKeys(WebDriverKeys::ENTER);
        $this->see('The plan is made anew.');
        $this->one('[aria-label="One Night tide fewer"]')->sendKeys(WebDriverKeys::ENTER);
        self::eventually(fn (): bool => str_contains($this->text('.wants'), 'Night tide'), 'it is wanted still');
        $this->button('The list')->click();
        $this->seeInside('h1', 'To buy');
        $this->see('Wire, in whole metres');
        $this->assertQuietConsole();
    }

    public function test_a_gift_is_planned_from_an_empty_form_by_keys(): void
    {
        $this->visit('/plan');
        $this->one('summary.day-title')->sendKeys(WebDriverKeys::ENTER);
        $this->one('#new-name')->sendKeys('For the harbour master');
        self::$browser->executeScript(
            'document.getElementById("new-due").value = arguments[0]', [date('Y-m-d', time() + 40 * 86_400)],
        );
        $this->one('#new-name')->sendKeys(WebDriverKeys::ENTER);
        $this->see('say now what is wanted for it');
        $this->seeInside('.occasions', 'For the harbour master');
        $this->assertQuietConsole();
    }

    public function test_a_pair_is_kept_sold_and_taken_back(): void
    {
        $this->visit('/box');
        $this->one('#box-words')->sendKeys('no. 6'.WebDriverKeys::ENTER);
        $this->seeInside('.box', 'Breakwater');
        $this->one('.compartment-piece')->click();
        $this->seeInside('h1', 'Breakwater');
        $this->one('#kept-for')->sendKeys('Harbour winter market');
        $this->button('Keep it')->click();
        $this->see('It is kept for Harbour winter market.');
        $this->button('Sold for')->click();
        $this->see('No. 6 is sold.');
        $this->seeInside('.facts', 'Sold for');
        $this->button('In the box')->sendKeys(WebDriverKeys::ENTER);
        $this->see('No. 6 is in the box.');
        $this->button('Sheet for the customer')->click();
        $this->seeInside('.paper', 'No. 6');
        $this->assertQuietConsole();
    }

    /** Two points on what is known, two on what is measured: as far as the one by pointer, twice that by keys. */
    public function test_a_size_is_read_off_a_photo_and_written_down(): void
    {
        $this->visit('/practice');
        $this->one('.measure summary')->click();
        $this->one('#measure-photo')->sendKeys(dirname(__DIR__, 2).'/docs/screenshots/sum.png');
        self::eventually(fn (): bool => $this->one('#measure-sheet')->isDisplayed(), 'the photo is there');
        $sheet = $this->one('#measure-sheet');
        self::$browser->executeScript('arguments[0].scrollIntoView({ block: "center" })', [$sheet]);
        foreach ([[-100, -40], [100, -40]] as [$x, $y]) {
            (new WebDriverActions(self::$browser))->moveToElement($sheet, $x, $y)->click()->perform();
        }
        $this->seeInside('#measure-how', 'Tap one end of what you measure');
        $right = str_repeat(WebDriverKeys::ARROW_RIGHT, 5);
        $sheet->sendKeys(WebDriverKeys::ARROW_DOWN.WebDriverKeys::ENTER);
        // Fifty pixels of the sheet to the left, of two hundred that are 85.6 mm.
        $sheet->sendKeys(
            [WebDriverKeys::SHIFT, str_repeat(WebDriverKeys::ARROW_LEFT, 5), WebDriverKeys::NULL, WebDriverKeys::ENTER]
        );
        $this->seeInside('#measure-says', 'give or take');
        // Two hundred pixels of the window, as many of the sheet as it is drawn larger or smaller.
        $perPixel = (float) self::$browser->executeScript(
            'return arguments[0].viewBox.baseVal.width / arguments[0].getBoundingClientRect().width', [$sheet],
        );
        self::assertEqualsWithDelta(
            85.6 * 50 / (200 * $perPixel), (float) $this->text('#measure-says'), 1.2, $this->text('#measure-says'),
        );
        $this->one('#measure-use')->click();
        self::eventually(
            fn (): bool => str_ends_with((string) $this->one('#field-sizes')->getAttribute('value'), ' mm'),
            'it is written down',
        );
        $this->assertQuietConsole();
    }

    /** Everything that has to do with a word, from the header by keys, and on to a repair that is done. */
    public function test_a_repair_is_found_done_and_paid(): void
    {
        $this->visit('/');
        $this->one('#top-ask')->sendKeys('orla quince'.WebDriverKeys::ENTER);
        $this->seeInside('h1', 'Find');
        $this->seeInside('.found', 'Orla Quince');
        $this->one('.found a[href^="/repairs/"]')->click();
        $this->seeInside('h1', 'Breakwater');
        $this->assertNoAxeViolations('a repair');
        $this->one('#field-took')->clear()->sendKeys('20'.WebDriverKeys::ENTER);
        $this->see('It is done.');
        $this->button('No. 2 in the box')->click();
        $this->seeInside('.finished-where', 'Sold');
        $this->assertQuietConsole();
    }

    public function test_a_piece_is_tagged_and_found_by_its_tag(): void
    {
        $this->visit('/pieces');
        $this->one('[aria-label="more for Slipway"]')->click();
        $tags = $this->one('[aria-label="tag Slipway"]')->findElement(
            \Facebook\WebDriver\WebDriverBy::xpath('preceding-sibling::input[@name="tags"]'),
        );
        $tags->sendKeys('rope, sea'.WebDriverKeys::ENTER);
        $this->see('Slipway is found by #rope #sea.');
        $this->button('#rope')->click();
        $this->see('1 of');
        $this->assertNoAxeViolations('pieces by a tag');
    }

    /** A scale on a cable: what its last line said is in the book. A stand-in sends the lines. */
    public function test_a_scale_on_its_cable_is_read(): void
    {
        $this->visit('/account');
        $this->one('#has_scale')->click();
        $this->one('#has_camera')->click();
        $this->button('Save')->click();
        $this->see('Saved');
        $this->visit('/stock');
        $this->one('a.peg, .pegs a, a[href*="lot="]')->click();
        $this->one('[aria-label^="weigh "]')->click();
        $this->seeInside('#scale', 'does not answer');
        self::$browser->executeScript(<<<'JS'
            const lines = ['US,GS,+  20.10 g\r\n', 'ST,GS,+  20', '.50 g\r\n'];
            const port = { open: async () => {}, readable: new ReadableStream({ start(sent) {
                lines.forEach((line) => sent.enqueue(new TextEncoder().encode(line)));
            } }) };
            Object.defineProperty(navigator, 'serial', { value: { requestPort: async () => port } });
            JS);
        $this->one('#connect')->click();
        $this->seeInside('#scale', '20.50 g');
        $this->seeInside('#scale', 'It stands still');
        $this->one('#take-reading')->click();
        $this->see('is weighed');
        $this->seeInside('#story', '20.50 g');
    }

    /** The camera of the device stands in for a chosen photo. A stand-in draws what it sees. */
    public function test_a_photo_is_taken_here_and_now(): void
    {
        $this->visit('/account');
        $this->one('#has_camera')->isSelected() || $this->one('#has_camera')->click();
        $this->button('Save')->click();
        $this->see('Saved');
        $this->visit('/practice');
        self::$browser->executeScript(<<<'JS'
            const sheet = document.createElement('canvas');
            [sheet.width, sheet.height] = [320, 200];
            setInterval(() => sheet.getContext('2d').fillRect(40, 40, 80, 8), 50);
            navigator.mediaDevices.getUserMedia = async () => sheet.captureStream();
            JS);
        $this->one('.measure summary')->click();
        $this->one('#measure-camera')->click();
        self::eventually(fn (): bool => $this->one('#measure-snap')->isDisplayed(), 'the camera looks');
        self::eventually(fn (): bool => (bool) self::$browser->executeScript(
            'return document.querySelector(".measure-view").videoWidth > 0',
        ), 'it sees something');
        $this->one('#measure-snap')->click();
        self::eventually(fn (): bool => $this->one('#measure-sheet')->isDisplayed(), 'the photo is there');
        $this->assertQuietConsole();
    }
}
