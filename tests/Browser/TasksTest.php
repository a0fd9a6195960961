<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use Facebook\WebDriver\WebDriverSelect;
use PHPUnit\Framework\Attributes\DataProvider;

/**
 * Twelve things that a new maker wants, each from the bench and to its end, in less than a minute by the
 * keystroke-level model (Card, Moran, Newell: Communications of the ACM 23, 1980): every pointing with thought before
 * it, every key of one who does not type for a living.
 */
final class TasksTest extends BrowserTestCase
{
    private const THINKS = 1.35;

    private const POINTS = 1.1;

    private const PRESSES = 0.2;

    private const KEY = 0.28;

    private float $seconds = self::THINKS;

    protected function setUp(): void
    {
        $this->window(1280, 900);
        $this->enterDemo();
    }

    private function find(string $what): PatientElement
    {
        return PatientElement::find(self::$browser, WebDriverBy::xpath($what));
    }

    private function tap(string $what): void
    {
        $this->seconds += self::THINKS + self::POINTS + self::PRESSES;
        $this->find($what)->click();
        $this->untilStill();
    }

    private function go(string $words): void
    {
        $this->tap("//nav//a[normalize-space()='{$words}']");
    }

    /** Into a field, over what stands there; keys end with Enter. */
    private function write(string $field, string $text): void
    {
        $this->seconds += self::THINKS + self::POINTS + self::PRESSES + self::KEY * (mb_strlen($text) + 3);
        $element = $this->one($field);
        $element->click();
        $element->sendKeys([WebDriverKeys::CONTROL, 'a', WebDriverKeys::NULL, $text, WebDriverKeys::ENTER]);
        $this->untilStill();
    }

    private function choose(string $field, string $words): void
    {
        $this->seconds += 2 * (self::THINKS + self::POINTS + self::PRESSES);
        (new WebDriverSelect($this->one($field)))->selectByVisiblePartialText($words);
        $this->untilStill();
    }

    /** What a link would bring, as the browser gets it. */
    private function bringsFile(string $link): string
    {
        $this->seconds += self::THINKS + self::POINTS + self::PRESSES;

        return (string) self::$browser->executeAsyncScript(
            'fetch(arguments[0]).then((answer) => '
                .'arguments[1](answer.status + " " + answer.headers.get("content-type")))',
            [$this->find($link)->getAttribute('href')],
        );
    }

    /** The page has it from the workshop, not from the hand that just wrote it. */
    private function answers(string $selector): void
    {
        self::eventually(
            fn (): bool => self::$browser->findElements(WebDriverBy::cssSelector($selector)) !== [], $selector,
        );
    }

    private function openPiece(string $name): void
    {
        $this->go('Pieces');
        $this->tap("//main//a[contains(., '{$name}')]");
    }

    /** @return array<string, array{callable(self): void}> */
    public static function tasks(): array
    {
        return [
            'take in a coil by weight' => [function (self $maker): void {
                $maker->go('Stock');
                $maker->write('#line', '31 g 22 sterling soft 40');
                $maker->see('31.00 g');
            }],
            'find 22 sterling' => [function (self $maker): void {
                $maker->go('Stock');
                $maker->write('#line', '22 sterling');
                $maker->see('22 AWG');
            }],
            'what can I make of this offcut' => [function (self $maker): void {
                $maker->go('Stock');
                $maker->tap("//main//a[contains(@href, 'lot=')]");
                $maker->tap("//main//a[contains(@href, '/ideas')]");
                $maker->seeInside('h1', 'make');
            }],
            'fit a bracelet' => [function (self $maker): void {
                $maker->openPiece('Shingle bracelet');
                $maker->tap("//a[.='Wire & fit']");
                $maker->write('#fit-size', '172 mm');
                $maker->answers('#fit-size[value^="172"]');
            }],
            'change all to copper' => [function (self $maker): void {
                $maker->openPiece('Breakwater');
                $maker->tap("//a[.='Wire & fit']");
                $maker->choose('#metal-all', 'copper');
                $maker->answers('#metal-all option[value=copper][selected]');
            }],
            'spoil a cut' => [function (self $maker): void {
                $maker->tap("//main//a[contains(@href, '/make')]");
                $maker->tap("//summary[contains(., 'Something went wrong')]");
                $maker->tap("//summary[@data-key='c']");
                $maker->tap("//details[@name='trouble'][@open]//button[contains(., 'A new cut')]");
                $maker->see('Once more');
            }],
            'price for a customer' => [function (self $maker): void {
                $maker->openPiece('Breakwater');
                $maker->tap("//ol//a[.='Cut']");
                $maker->tap("//main//a[contains(@href, '/bill')]");
                $maker->tap("//main//a[contains(@href, '/quote')]");
                $maker->seeInside('main', 'Quote');
            }],
            'weave five and two' => [function (self $maker): void {
                $maker->go('Weave');
                $maker->write('#field-pattern', '5@1-2 5@2-3 2@1-3');
                $maker->see('5 turns round');
            }],
            'label a lot' => [function (self $maker): void {
                $maker->go('Stock');
                $maker->tap("//main//a[contains(@href, 'lot=')]");
                self::assertSame('200 application/pdf', $maker->bringsFile("//a[contains(@href, 'label.pdf')]"));
            }],
            'import beads' => [function (self $maker): void {
                $maker->go('Stock');
                $maker->tap("//a[contains(@href, '/stock/import')]");
                $table = "name,size,count\nCove,6mm round hole 1,24";
                $maker->seconds += self::THINKS + self::POINTS + self::PRESSES + self::KEY * mb_strlen($table);
                $maker->one('textarea')->sendKeys($table);
                $maker->tap("//button[contains(., 'Look')]");
                $maker->tap("//button[contains(., 'Take')]");
                $maker->see('Cove');
            }],
            'back up' => [function (self $maker): void {
                $maker->tap("//header//a[contains(@href, '/account')]");
                self::assertSame('200 application/zip', $maker->bringsFile("//a[contains(@href, 'workshop.zip')]"));
            }],
            'find last month’s piece' => [function (self $maker): void {
                $maker->write('#top-ask', 'Kelp light');
                $maker->seeInside('main', 'Kelp light');
            }],
        ];
    }

    /** @param  callable(self): void  $task */
    #[DataProvider('tasks')]
    public function test_it_is_done_in_less_than_a_minute(callable $task): void
    {
        $task($this);
        self::assertLessThan(60.0, $this->seconds);
        $this->assertQuietConsole();
    }
}
