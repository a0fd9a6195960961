<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use PHPUnit\Framework\Attributes\DataProvider;

/** At the bench: a pair of hoops by one key, by thumb, and with the workshop gone in the middle. */
final class BenchTest extends BrowserTestCase
{
    private function press(string ...$keys): void
    {
        $this->type(...$keys);
    }

    private function begin(string $name): string
    {
        $this->enterDemo();
        $this->visit('/pieces');
        $path = (string) parse_url((string) $this->button($name)->getAttribute('href'), PHP_URL_PATH);
        $this->visit($path.'/make');
        $this->seeInside('h2', 'Ready to make');
        $this->press(' ');
        $this->seeInside('#step-title', 'Lay everything ready');

        return $path;
    }

    /** @return array{int, int, int} steps done, counted, moves, as they stand in the database */
    private function kept(string $name): array
    {
        $pdo = self::$served->book();
        $row = $pdo->query(
            'SELECT makings.step, makings.counted, makings.moves FROM makings JOIN pieces ON pieces.id = makings.piece_id WHERE pieces.name = '
                .$pdo->quote($name).' ORDER BY makings.id DESC LIMIT 1',
        )?->fetch(\PDO::FETCH_NUM);
        self::assertIsArray($row);

        return [(int) $row[0], (int) $row[1], (int) $row[2]];
    }

    private function isAway(): bool
    {
        return (bool) self::$browser->executeScript(
            'const away = document.querySelector("#away"); return away !== null && ! away.hidden',
        );
    }

    /** Installed or open: without the workshop the bench is as it was last seen, and any other page says why not. */
    public function test_the_bench_opens_without_the_workshop_and_the_rest_says_so(): void
    {
        $this->window(390, 844);
        $this->enterDemo();
        self::assertSame('/manifest.webmanifest', parse_url(
            (string) $this->one('link[rel=manifest]')->getAttribute('href'), PHP_URL_PATH,
        ));
        self::eventually(fn (): bool => (bool) self::$browser->executeAsyncScript(
            'const done = arguments[0]; Promise.all(["/", "/away.html"].map((one) => caches.match(one, '
                .'{ ignoreVary: true }))).then((all) => done(all.every(Boolean)), () => done(false));',
        ), 'the bench is kept on the device');
        self::$served->kill();
        $this->visit('/');
        $this->seeInside('.hero', 'Winter buoys');
        self::eventually(fn (): bool => $this->one('#offline')->isDisplayed(), 'it says that it is away');
        $this->visit('/stock');
        $this->seeInside('h1', 'cannot be reached just now');
        self::$served->again();
        $this->visit('/stock');
        $this->seeInside('h1', 'Stock');
        // What could not be reached was noted by the browser.
        self::$browser->manage()->getLog('browser');
    }

    public function test_a_pair_of_hoops_by_space_alone_with_the_server_gone_in_the_middle(): void
    {
        $this->window(1280, 800);
        $path = $this->begin('Groyne hoops');
        for ($press = 0; $press < 12; $press++) {
            $seen = $this->text('.stage-panel');
            $this->press(' ');
            $this->stepIsNew($seen, 'space goes on');
        }
        $before = $this->kept('Groyne hoops');
        // A busy device keeps the page a while after it was begun: until then what it shows is the page before.
        self::eventually(fn (): bool => (bool) self::$browser->executeAsyncScript(
            'const done = arguments[0]; caches.match(location.pathname, { ignoreVary: true })'
                .'.then((page) => page?.text() ?? "").then((html) => done(html.includes("step-title")));',
        ), 'the page of the making is kept on the device');
        self::$served->kill();
        for ($press = 0; $press < 9; $press++) {
            $seen = $this->text('.stage-panel');
            $this->press(' ');
            $this->stepIsNew($seen, 'space goes on alone');
        }
        self::assertTrue($this->isAway());
        // Counts of one step are kept as one: the last.
        $this->seeInside('#away', 'are kept on this device');
        $place = $this->text('#step-place').$this->text('#step-count');
        // Loaded again while the workshop is gone: the page comes from the device, with what was done on it.
        self::$browser->navigate()->refresh();
        self::eventually(
            fn (): bool => $this->isAway() && $this->text('#step-place').$this->text('#step-count') === $place,
            'the page of the device knows where it was',
        );
        $this->press(WebDriverKeys::SHIFT, ' ', WebDriverKeys::NULL);
        self::eventually(
            fn (): bool => $this->text('#step-place').$this->text('#step-count') !== $place,
            'shift and space go back',
        );
        $this->press(' ');
        $this->press(' ');
        self::eventually(
            fn (): bool => str_contains(
                $this->text('#step-count'),
                '2 of ',
            ) || ! str_contains($this->text('#step-count'), ' of '),
            'two more are counted',
        );
        [$place, $count] = [$this->text('#step-place'), $this->text('#step-count')];
        self::$served->again();
        self::eventually(
            fn (): bool => ! $this->isAway() && $this->text('#step-title') !== '',
            'what was kept is sent',
        );
        $after = $this->kept('Groyne hoops');
        self::assertGreaterThan($before[2], $after[2], 'it went on');
        self::assertStringContainsString('step '.($after[0] + 1).' of', $place, 'not a step was lost or doubled');
        self::assertSame($count === '' ? '0' : explode(' ', $count)[0], (string) $after[1], 'nor a count');
        self::assertStringContainsString($place, $this->text('#here'));
        self::$browser->manage()->getLog('browser');
        for ($press = 0; $press < 400 && ! str_contains($this->text('.stage-panel h2'), 'steps are done'); $press++) {
            $seen = $this->text('.stage-panel');
            $this->press(' ');
            $this->stepIsNew($seen, 'space goes on');
        }
        $this->seeInside('.stage-panel h2', 'steps are done');
        self::assertSame(
            0,
            count(self::$browser->findElements(WebDriverBy::cssSelector('.points input:checked'))),
            'nothing is ticked by default',
        );
        $this->visit($path.'/log');
        $this->seeInside('h2', 'What was left?');
        $jar = $this->text('[data-sum="jar"]');
        self::$browser->action()->moveToElement($this->one('.log-bar'))->click()->perform();
        self::eventually(
            fn (): bool => (float) $this->one('#left-p1')->getAttribute('value') > 2.0
                && (float) $this->text('[data-sum="jar"]') > (float) $jar,
            'where the end is laid on the ruler, so much is left',
        );
        $needle = $this->one('[data-needle]')->getAttribute('transform');
        $this->one('#field-weight')->sendKeys('0.01');
        self::eventually(
            fn (): bool => $this->one('[data-needle]')->getAttribute('transform') !== $needle, 'the needle follows',
        );
        $this->one('#field-weight')->clear();
        $this->one('#left-p1')->clear();
        $this->one('#left-p1')->sendKeys((string) $this->one('#left-p1')->getAttribute('placeholder'));
        self::eventually(fn (): bool => $this->text('[data-sum="jar"]') === $jar, 'as foretold');
        $this->one('#close-making')->click();
        $this->see('in the piece');
        $this->assertQuietConsole();
    }

    public function test_by_thumb_on_a_phone(): void
    {
        $this->window(390, 844);
        $this->enterDemo();
        $this->visit('/pieces');
        $path = (string) parse_url((string) $this->button('Groyne hoops')->getAttribute('href'), PHP_URL_PATH);
        $this->visit($path.'/make');
        $this->one('#begin')->click();
        $this->seeInside('#step-title', 'Lay everything ready');
        for ($tap = 0; $tap < 300 && ! str_contains($this->text('.stage-panel h2'), 'steps are done'); $tap++) {
            // What the thumb reaches for lies on the screen, whatever the step says.
            $box = self::$browser->executeScript(
                'const box = document.querySelector("#go-on").getBoundingClientRect(); return [box.top, box.bottom, '
                    .'innerHeight, box.width, box.height]',
            );
            self::assertGreaterThanOrEqual(0, $box[0]);
            self::assertLessThanOrEqual($box[2], $box[1]);
            self::assertGreaterThan(44, min($box[3], $box[4]));
            $seen = $this->text('.stage-panel');
            $this->one('#go-on')->click();
            $this->stepIsNew($seen, 'a tap goes on');
        }
        $this->seeInside('.stage-panel h2', 'steps are done');
        $this->one('.points li:first-child input[value=mend]')->click();
        $this->one('#keep-inspection')->click();
        $this->seeInside('.points', 'Mend it at');
        $this->one('.points .tool')->click();
        $this->seeInside('#here', 'Once more');
        $this->assertQuietConsole();
    }

    public function test_time_stops_with_idle_hands_and_a_count_ticks(): void
    {
        $this->window(1280, 800);
        $this->begin('Rope-walk bangle');
        self::eventually(fn (): bool => preg_match('/0:0[1-9]/', $this->text('#step-clock')) === 1, 'the clock runs');
        $this->press('a');
        $this->one('#tick-sound')->click();
        self::assertSame('true', $this->one('#tick-sound')->getAttribute('aria-pressed'));
        $this->press(WebDriverKeys::PAGE_DOWN);
        $pdo = self::$served->book();
        self::eventually(
            fn (): bool => (int) $pdo->query(
                "SELECT COUNT(*) FROM step_times JOIN makings ON makings.id = step_times.making_id JOIN pieces ON pieces.id = makings.piece_id WHERE pieces.name = 'Rope-walk bangle' AND taken_ms > 500",
            )?->fetchColumn() >= 1,
            'what it took is kept',
        );
        $this->assertQuietConsole();
    }

    /** @return array<string, array{int, int}> */
    public static function small(): array
    {
        return ['a phone on its side' => [844, 390], 'enlarged four times' => [320, 256], 'twice' => [640, 400]];
    }

    /** However small: title, picture, count and the one button are seen together, none of them covered. */
    #[DataProvider('small')]
    public function test_a_small_window_shows_all_that_the_hands_need(int $wide, int $high): void
    {
        $this->window(1280, 800);
        $this->enterDemo();
        $this->visit('/pieces');
        $path = (string) parse_url((string) $this->button('Winter buoys')->getAttribute('href'), PHP_URL_PATH);
        $this->window($wide, $high);
        $this->visit($path.'/make');
        $this->seeInside('#step-title', 'wrap');
        self::eventually(fn (): bool => (bool) self::$browser->executeScript(<<<'JS'
            return ["#step-title", "#step-picture", "#step-count", "#go-on"].every((selector) => {
                const one = document.querySelector(selector);
                const { left, right, top, bottom } = one.getBoundingClientRect();
                const isWithin = top >= -1 && bottom <= innerHeight + 1 && left >= 0 && right <= innerWidth;
                const there = document.elementFromPoint((left + right) / 2, (top + bottom) / 2);
                return isWithin && (one === there || one.contains(there));
            });
            JS), 'all of it is seen at once');
        $this->assertQuietConsole();
    }

    /** One key says what went wrong, and what it means now is seen. */
    public function test_what_went_wrong_is_a_key_away(): void
    {
        $this->window(1280, 800);
        $this->enterDemo();
        $this->visit('/pieces');
        $path = (string) parse_url((string) $this->button('Winter buoys')->getAttribute('href'), PHP_URL_PATH);
        $this->visit($path.'/make');
        $this->seeInside('#step-title', 'wrap');
        self::$browser->executeScript('document.activeElement?.blur()');
        $this->type('c');
        self::eventually(fn (): bool => (bool) self::$browser->executeScript(<<<'JS'
            const said = [...document.querySelectorAll('.troubles-list p')].find((one) => one.textContent.includes('a crack does not mend'));
            const { top, bottom, height } = said.getBoundingClientRect();
            return height > 0 && top >= 0 && bottom <= innerHeight;
            JS), 'what a crack means is seen');
        $this->assertNoAxeViolations('what went wrong');
        $this->assertQuietConsole();
    }

    /** What the ear would hear, through the browser’s own recognition, whose start is held back. */
    private function hear(string $words): void
    {
        self::$browser->executeScript(
            'window.heldEar.onresult({ results: [[{ transcript: arguments[0] }]] })', [$words],
        );
    }

    /** The time it takes is told while it runs, by the steps that are left; and the steps follow spoken words. */
    public function test_until_when_it_takes_and_what_the_maker_says(): void
    {
        $this->window(1280, 800);
        $this->begin('Slipway');
        self::assertMatchesRegularExpression(
            '/^· until about \d{1,2}:\d\d$/', trim($this->text('#step-until')),
        );
        self::assertStringContainsString('in four of five', $this->text('#step-range'));
        self::$browser->executeScript(<<<'JS'
            webkitSpeechRecognition.prototype.start = function () { window.heldEar = this; };
            window.spoken = [];
            speechSynthesis.speak = (one) => window.spoken.push(one.text);
            JS);
        $this->one('#listen')->click();
        $pressed = fn (string $is): bool => $this->one('#listen')->getAttribute('aria-pressed') === $is;
        self::eventually(fn (): bool => $pressed('true'), 'it listens');
        $title = $this->text('#step-title');
        $this->hear('all right, and next');
        self::eventually(fn (): bool => $this->text('#step-title') !== $title, 'next is the next step');
        $this->hear('go back');
        self::eventually(fn (): bool => $this->text('#step-title') === $title, 'back is the one before');
        $this->hear('How long');
        self::eventually(fn (): bool => str_contains(
            (string) self::$browser->executeScript('return window.spoken.join()'), 'until about',
        ), 'it says until when');
        $this->hear('lovely weather');
        $this->seeInside('[x-data=ear]', 'is none of them');
        self::assertSame($title, $this->text('#step-title'));
        $this->one('#listen')->click();
        self::eventually(fn (): bool => $pressed('false'), 'it listens no more');
        $this->assertNoAxeViolations('listening');
        $this->assertQuietConsole();
    }
}
