<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use PHPUnit\Framework\Attributes\DataProvider;

/** What makers bring, family by family: a part is opened and changed by pointer, taken back, and changed by keys. */
final class PointsTest extends BrowserTestCase
{
    /**
     * @return array<string, array{string, string, string, string, string}> pattern, part, setting, its value, where it
     *     shows and what
     */
    public static function points(): array
    {
        return [
            'a bought part' => ['lever-drop', 'p3', 'length', '40', '.figures: → 88 mm'],
            'what is done to it' => [
                'connector-drop', 'p3', 'prepared', 'shank', '#set-p3-prepared option[selected]: shank',
            ],
            'which bought length' => ['bought-pins', 'p3', 'pin_length', '20', '.flags: 20'],
            'a ring through a hole' => ['connector-drop', 'p2', 'inside', '1.2', '.flags: hole'],
            'ends' => ['pierced-paddle', 'p2', 'pierced', '2.5', '.figures: → 58 mm'],
            'rings' => ['tendril-ring-four', 'p1', 'inside', '19', '.figures: → 98 mm'],
            'bangles' => ['curled-bangle', 'p1', 'inside', '66', '.figures: → 274 mm'],
            'memory wire' => ['oval-memory', 'p1', 'loops', '3', '.figures: → 660 mm'],
            'winder work' => ['coiled-drop', 'p2', 'length', '20', '.figures: → 1676 mm'],
            'bands' => ['crossing-band', 'p2', 'curls', '3', '.figures: → 5.55 g'],
            'closed loops and tails' => ['loop-and-tail', 'p2', 'links', '150', '.figures: → 531 mm'],
            'chains by length' => ['charm-bracelet', 'p2', 'links', '5 1/2 in', '.line: 40 links'],
            'bracelets that mix' => ['mixed-bracelet', 'p2', 'crimps', 'bare', '.figures: → 6.18 g'],
            'set work' => ['bound-disc', 'p2', 'bail', '8', '.figures: → 562 mm'],
        ];
    }

    protected function setUp(): void
    {
        parent::setUp();
        $this->window(1280, 900);
        $this->enterDemo();
        $this->visit('/patterns');
    }

    #[DataProvider('points')]
    public function test_a_part_is_changed_by_pointer_and_by_keys(
        string $pattern, string $part, string $setting, string $value, string $shows,
    ): void {
        [$where, $what] = explode(': ', $shows, 2);
        $this->startFrom($pattern);
        $this->one("#part-{$part}")->click();
        $this->one("#part-{$part}[aria-current]");
        self::assertStringNotContainsString($what, $this->text($where));
        $this->setByPointer("#set-{$part}-{$setting}", $value);
        $this->seeInside($where, $what);

        $this->letGo();
        $this->type(WebDriverKeys::CONTROL, 'z', WebDriverKeys::NULL);
        self::eventually(fn (): bool => ! str_contains($this->text($where), $what), 'it is taken back by its key');

        $this->one("#part-{$part}")->sendKeys(WebDriverKeys::ENTER);
        $this->one("#part-{$part}[aria-current]");
        $this->setByKeys("#set-{$part}-{$setting}", $value);
        $this->seeInside($where, $what);
        $this->assertQuietConsole();
    }

    /** Chosen in the list, or written over and left by a click beside it. */
    private function setByPointer(string $field, string $value): void
    {
        $this->untilStill();
        if ($this->isSelect($field)) {
            $this->one("{$field} option[value='{$value}']")->click();

            return;
        }
        $this->one($field)->click();
        $this->type(WebDriverKeys::CONTROL, 'a', WebDriverKeys::NULL, $value);
        $this->one('.figures')->click();
    }

    private function setByKeys(string $field, string $value): void
    {
        $this->untilStill();
        if ($this->isSelect($field)) {
            $this->one($field)->sendKeys($this->text("{$field} option[value='{$value}']").WebDriverKeys::TAB);

            return;
        }
        $this->one($field)->sendKeys([WebDriverKeys::CONTROL, 'a', WebDriverKeys::NULL, $value, WebDriverKeys::ENTER]);
    }

    private function isSelect(string $field): bool
    {
        return self::$browser->findElements(WebDriverBy::cssSelector("select{$field}")) !== [];
    }

    public function test_a_section_of_wire_is_chosen_by_pointer_and_by_keys(): void
    {
        $this->startFrom('open-ring');
        $this->button('Wire & fit')->click();
        $this->seeInside('[id^=section] option[selected]', 'round');
        $this->untilStill();
        $field = '#'.$this->one('[id^=section]')->getAttribute('id');
        $this->one("{$field} option:nth-child(2)")->click();
        $this->seeInside("{$field} option[selected]", 'half-round');
        $this->untilStill();
        $this->one($field)->sendKeys('twisted'.WebDriverKeys::TAB);
        $this->seeInside("{$field} option[selected]", 'twisted pair');
        $this->assertQuietConsole();
    }

    /** So many take so much, and they are not alike: said in one line, put on, and counted. */
    public function test_irregular_beads_are_said_as_they_were_measured(): void
    {
        $this->startFrom('linked-bracelet');
        $this->one('#part-p2')->click();
        $this->one('#part-p2[aria-current]');
        $this->untilStill();
        $this->one('.tray-line input[name=bead]')->click();
        $this->type('15 take 38 mm chip, hole 1, plum', WebDriverKeys::ENTER);
        $this->seeInside('.line', '15 × plum');
        $this->untilStill();
        $this->one('#part-p1')->click();
        $this->one('#part-p1[aria-current]');
        $this->untilStill();
        $this->one('#part-p2')->sendKeys(WebDriverKeys::ENTER);
        $this->one('#part-p2[aria-current]');
        $this->assertQuietConsole();
    }

    public function test_what_lies_ready_is_counted_for_as_many_as_are_made(): void
    {
        $this->startFrom('linked-bracelet');
        $this->button('Lay ready')->click();
        // Six links of two; three bracelets of them, by pointer, then four by keys.
        $this->seeInside('main', 'all 1');
        $count = '#'.$this->one('main form input[inputmode=numeric]')->getAttribute('id');
        foreach ([3 => 36, 4 => 48] as $copies => $beads) {
            $this->one($count)->click();
            $this->type(WebDriverKeys::CONTROL, 'a', WebDriverKeys::NULL, (string) $copies);
            $copies === 3 ? $this->button('show')->click() : $this->type(WebDriverKeys::ENTER);
            $this->seeInside('main', "all {$copies}");
            self::assertMatchesRegularExpression("/\b{$beads}\b/", $this->text('main'));
        }
        $this->assertQuietConsole();
    }
}
