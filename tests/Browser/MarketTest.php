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
        self::assertMatchesRegularExpression('/^2[0-2]\.\d mm/', $this->text('#measure-says'));
        $this->one('#measure-use')->click();
        self::eventually(
            fn (): bool => str_ends_with((string) $this->one('#field-sizes')->getAttribute('value'), ' mm'),
            'it is written down',
        );
        $this->assertQuietConsole();
    }
}
