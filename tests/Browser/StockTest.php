<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Remote\LocalFileDetector;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use Facebook\WebDriver\WebDriverSelect;

/** Three half-made pieces, their cuts from the stock, the scale, a table, a photo and a practice, as at the bench. */
final class StockTest extends BrowserTestCase
{
    protected function setUp(): void
    {
        $this->window(1280, 800);
        $this->enterDemo();
    }

    private function choose(string $id, string $words): void
    {
        (new WebDriverSelect($this->one($id)))->selectByVisibleText($words);
    }

    /** What the book of the demo adds up to, over all its lines. */
    private function bookMg(): int
    {
        return (int) self::$served->book()->query(
            'SELECT COALESCE(SUM(mass_mg), 0) FROM movements',
        )?->fetchColumn();
    }

    public function test_three_pieces_are_planned_cut_and_dragged(): void
    {
        $this->visit('/cutting');
        foreach (['Winter buoys', 'Shingle bracelet', 'Sandpiper drops'] as $name) {
            self::$browser->findElement(
                WebDriverBy::xpath("//label[contains(normalize-space(.), '{$name}')]/input"),
            )->click();
        }
        $this->button('Plan the cuts')->click();
        $this->seeInside('details summary', 'Winter buoys');
        $this->see('No other way loses less.');
        // The Shingle links lie on the long coil; one kind is dragged onto another bar of the same wire.
        $rows = 'li[draggable=true]';
        self::eventually(
            fn (): bool => count(self::$browser->findElements(WebDriverBy::cssSelector($rows))) > 5,
            'cuts can be dragged',
        );
        $moved = self::$browser->executeScript(<<<'JS'
            const bars = [...document.querySelectorAll('.cut-bar[data-lot]')].filter((bar) => bar.dataset.lot);
            for (const bar of bars) {
                for (const row of bar.querySelectorAll('li[draggable=true]')) {
                    const pin = document.getElementById(row.dataset.pin);
                    const to = bars.find((other) => other !== bar && pin && [...pin.options].some((option) => option.value === other.dataset.lot));
                    if (to) {
                        const data = new DataTransfer();
                        row.dispatchEvent(new DragEvent('dragstart', { bubbles: true, dataTransfer: data }));
                        to.dispatchEvent(new DragEvent('dragover', { bubbles: true, cancelable: true, dataTransfer: data }));
                        to.dispatchEvent(new DragEvent('drop', { bubbles: true, cancelable: true, dataTransfer: data }));
                        return [row.innerText.split('\n')[0], to.querySelector('strong').innerText];
                    }
                }
            }
            return null;
            JS);
        self::assertIsArray($moved, 'a cut could come from two lots');
        self::eventually(
            fn (): bool => str_contains(rawurldecode(self::$browser->getCurrentURL()), 'pins['),
            'where it was dropped has its address',
        );
        $this->button('Keep this wire for them')->click();
        $this->see('no other piece is planned on that wire');
        $this->see('kept on this lot');
        $before = count(self::$browser->findElements(WebDriverBy::cssSelector('button[value=cut]')));
        $this->one('button[value=cut]')->click();
        $this->see('Cut so far');
        self::eventually(
            fn (): bool => count(
                self::$browser->findElements(WebDriverBy::cssSelector('button[value=cut]')),
            ) === $before - 1,
            'what is cut is planned no more',
        );
        $this->button('not cut after all')->click();
        self::eventually(
            fn (): bool => count(
                self::$browser->findElements(WebDriverBy::cssSelector('button[value=cut]')),
            ) === $before,
            'and is planned again',
        );
        $this->button('keep nothing back')->click();
        $this->see('Nothing is kept back');
        $this->assertQuietConsole();
    }

    public function test_a_lot_is_weighed_on_the_scale_and_the_book_follows(): void
    {
        $this->visit('/stock');
        $this->button('Copper coil: copper 22 AWG, dead soft, 8000 mm')->click();
        $held = $this->text('.story-lines tfoot');
        $this->button('weigh Copper coil')->click();
        $this->seeInside('h1', 'Weigh Copper coil');
        $this->one('#tare')->click();
        self::eventually(
            fn (): bool => str_contains($this->text('#scale'), 'It stands still.'),
            'the scale comes to rest',
        );
        // Connected or not, settled or not: taken when it stands still.
        for ($try = 0; $try < 20 && ! str_contains($this->text('main'), 'is weighed; the book has the line'); $try++) {
            self::eventually(
                fn (): bool => str_contains($this->text('#scale'), 'It stands still.'),
                'the scale comes to rest',
            );
            $this->one('#take-reading')->click();
            self::eventually(
                fn (): bool => $this->text('h1') === 'Stock' || str_contains($this->text('main'), 'The scale'),
                'it is answered',
            );
        }
        $this->see('Copper coil is weighed; the book has the line.');
        self::assertNotSame($held, $this->text('.story-lines tfoot'), 'it holds a little more or less than booked');
        $this->visit('/stock/book');
        self::assertMatchesRegularExpression('/Copper coil.*(more|less|shorter|longer|fewer)/is', $this->text('table'));
        self::assertSame(0, $this->bookMg());
        $this->assertQuietConsole();
    }

    public function test_a_table_is_looked_at_mended_and_taken_in(): void
    {
        $this->visit('/stock/import?of=movements');
        $this->one('#text')->sendKeys(
            "lot;amount;reason\nLong coil;-0,8 m;given to the class\nNo such coil;1 m;found\n",
        );
        $this->button('Look at it')->click();
        $this->see('1 line cannot be taken in.');
        $this->see('Line 3');
        self::assertSame('true', $this->one('button[value=take]')->getAttribute('disabled'));
        $this->button('Another file')->click();
        $this->one('#text')->sendKeys("lot;amount;reason\nLong coil;-0,8 m;given to the class\n");
        $this->button('Look at it')->click();
        $this->one('button[value=take]')->click();
        $this->visit('/stock/book');
        $this->see('given to the class');
        self::assertSame(0, $this->bookMg());
        $this->visit('/cutting/list');
        $this->choose('#wire', 'copper 22 AWG, dead soft');
        $this->one('#text')->sendKeys("label,length,count\nrungs,38.5 mm,12\nrails,210,2\n");
        $this->button('Look at it')->click();
        $this->button('Plan the cuts')->click();
        $this->see('12 × rungs');
        $this->assertQuietConsole();
    }

    public function test_supplies_are_taken_in_counted_and_offered_by_the_names_of_pieces(): void
    {
        $this->visit('/stock?as=rows#supplies');
        $this->one('#field-supply')->sendKeys('soldered ring, 7 mm');
        self::eventually(
            fn (): bool => (int) self::$browser->executeScript(
                'return document.querySelectorAll("#finding-names option").length',
            ) > 0,
            'what pieces call their findings is offered',
        );
        $this->choose('#supply_kind', 'jump rings');
        $this->one('#field-supply_amount')->sendKeys('24');
        $this->one('#field-supply_price')->sendKeys(['0.15', WebDriverKeys::ENTER]);
        $this->see('Soldered ring, 7 mm: 24 in stock.');
        $field = self::$browser->findElement(
            WebDriverBy::xpath("//li[contains(., 'Soldered ring, 7 mm')]//input[@name='held']"),
        );
        $field->sendKeys([WebDriverKeys::CONTROL, 'a', WebDriverKeys::NULL, '22', WebDriverKeys::ENTER]);
        $this->seeInside('.said', 'Soldered ring, 7 mm: counted.');
        $this->visit('/stock/book');
        $this->see('soldered ring, 7 mm: fewer than booked');
        // The handles of the months go by keys as well.
        $year = date('Y');
        $this->visit("/stock/book?metal=sterling&year={$year}");
        $this->one('.book-handles [name="from"]')->sendKeys(WebDriverKeys::ARROW_RIGHT);
        $this->see("Lines of sterling silver, February to December {$year}");
        $this->one('.book-handles [name="to"]')->sendKeys(WebDriverKeys::ARROW_LEFT);
        $this->see("Lines of sterling silver, February to November {$year}");
        $this->assertQuietConsole();
    }

    public function test_a_practice_by_keyboard_shows_in_its_plot_and_what_was_learned(): void
    {
        $this->visit('/practice');
        // A blank canvas of this size takes some two thousand characters.
        $drawn = fn (): int => (int) self::$browser->executeScript(
            'const canvas = document.querySelector(".plot canvas"); return canvas ? canvas.toDataURL().length : 0',
        );
        $rings = fn (): int => count(self::$browser->findElements(WebDriverBy::cssSelector('.drill-plot .ring-body')));
        self::eventually(fn (): bool => $rings() >= 30, 'the weeks are plotted');
        $before = count(self::$browser->findElements(WebDriverBy::cssSelector('tbody tr')));
        $this->one('#field-sizes')->sendKeys(['2.5, 2.52, 2.48, 2.5, 2.51', WebDriverKeys::ENTER]);
        $this->see('Kept: look how it compares.');
        self::assertSame($before + 1, count(self::$browser->findElements(WebDriverBy::cssSelector('tbody tr'))));
        $this->seeInside('#come-along', 'You are off by 0.01 mm');
        $this->one('#field-sizes')->sendKeys(['2.5, wide', WebDriverKeys::ENTER]);
        self::eventually(
            fn (): bool => str_contains($this->text('#problem-sizes'), 'wide'),
            'the sentence is at its field',
        );
        self::assertSame('2.5, wide', $this->one('#field-sizes')->getAttribute('value'));
        $this->visit('/hand/learned');
        $this->one('#all-logs > summary')->click();
        self::eventually(fn (): bool => $drawn() > 6000, 'each making is plotted');
        $this->button('follow the plain sums instead')->click();
        $this->see('Cuts follow the plain sums.');
        $this->button('Follow my hand')->click();
        $this->see('Cuts follow your hand.');
        $this->visit('/insight');
        self::eventually(fn (): bool => $drawn() > 6000, 'the error of the cuts is plotted');
        $this->seeInside('.fits', 'Breakwater');
        $this->assertQuietConsole();
    }

    public function test_a_photo_of_the_finished_piece(): void
    {
        $file = sys_get_temp_dir().'/hebra-photo-'.getmypid().'.png';
        $image = imagecreatetruecolor(300, 200);
        imagefill($image, 0, 0, (int) imagecolorallocate($image, 180, 120, 60));
        imagepng($image, $file);
        try {
            $this->visit('/');
            $this->one('.rail a[href$="/record"]')->click();
            $this->seeInside('h2', 'What is in it');
            $this->one('#photo')->setFileDetector(new LocalFileDetector)->sendKeys($file);
            $this->button('Keep it')->click();
            $this->see('The photo is kept');
            self::eventually(
                fn (): bool => self::$browser->executeScript(
                    'const image = document.querySelector(".photos img"); return image.complete && image.naturalWidth',
                ) === 300,
                'it is seen',
            );
            $this->button('take out photo 1')->click();
            $this->see('The photo is taken out.');
            $this->assertQuietConsole();
        } finally {
            unlink($file);
        }
    }
}
