<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys;

/** Every page: accessible, quiet, within its width on a laptop and a phone; the strips are true to scale. */
final class PagesTest extends BrowserTestCase
{
    /** @return array<string, string> name => address */
    private function pages(): array
    {
        $this->visit('/pieces');
        $piece = fn (string $name): string => (string) parse_url(
            (string) $this->button($name)->getAttribute('href'),
            PHP_URL_PATH,
        );
        [$plain, $broken, $begun, $made, $chain, $framed] = [
            $piece('Sandpiper drops'), $piece('Night tide'), $piece('Winter buoys'), $piece('Breakwater'),
            $piece('Shingle bracelet'), $piece('Harbour mouth'),
        ];
        [$tiers, $band, $finished] = [$piece('Ebb and flow'), $piece('Lobster-pot cuff'), $piece('Marsh lights')];
        $ulid = fn (string $path): string => basename($path);
        $this->visit("{$made}/log");
        $record = (string) parse_url((string) $this->button('the record')->getAttribute('href'), PHP_URL_PATH);
        $this->visit('/box');
        $boxed = (string) parse_url(
            (string) $this->one('.compartment-piece')->getAttribute('href'), PHP_URL_PATH,
        );
        $this->visit('/plan');
        $repair = (string) parse_url(
            (string) $this->one('.occasion a[href*="/repairs/"]')->getAttribute('href'), PHP_URL_PATH,
        );
        $this->visit('/stock?as=rows');
        $weigh = (string) parse_url((string) $this->button('weigh Window coil')->getAttribute('href'), PHP_URL_PATH);

        return [
            'the plan' => '/plan', 'what fits' => '/plan/fits', 'what to buy' => '/plan/to-buy', 'the box' => '/box',
            'what is sold' => '/box?where=sold',
            'nothing in the box' => '/box?words=nothing', 'a finished piece' => $boxed,
            'a sheet for a customer' => "{$boxed}/sheet", 'a quote' => "{$plain}/quote",
            'stock-taking' => '/stock/taking', 'the year on paper' => '/stock/statement', 'a repair' => $repair,
            'a repair on paper' => "{$repair}/sheet", 'finding' => '/find', 'what is found' => '/find?line=sea',
            'nothing found' => '/find?line=zeppelin', 'lines of the book' => '/stock/book?words=received',
            'pieces by a tag' => '/pieces?line=%23sea',
            'bench' => '/', 'pieces' => '/pieces', 'stock' => '/stock', 'stock as rows' => '/stock?as=rows',
            'a lot' => '/stock?lot='.basename(dirname($weigh)), 'stock searched' => '/stock?line=24+sterling',
            'what comes in' => '/stock?line=5+m+26+awg+brass', 'a line refused' => '/stock?line=5+m+22',
            'the metal book' => '/stock/book', 'the book of a metal' => '/stock/book?metal=copper&year=2026',
            'account' => '/account', 'sums' => '/sums', 'a sum' => '/sums/wrapped-link',
            'a sum with its figure' => '/sums/weave', 'a sum put to use' => '/sums/wrapped-loop/use',
            'tools and hand' => '/hand', 'a way of working' => '/hand?school=eye', 'a metal' => '/hand?metal=copper',
            'lay out' => "{$plain}/lay-out", 'lay out with a stop' => "{$broken}/lay-out",
            'wire' => "{$broken}/wire?role=link", 'cut' => "{$plain}/cut", 'make, not begun' => "{$plain}/make",
            'make, begun' => "{$begun}/make",
            'log, nothing made' => "{$plain}/log", 'log, under way' => "{$begun}/log", 'log, closed' => "{$made}/log",
            'kits of a class' => "{$plain}/kit?for=3", 'practice of spirals' => '/practice?kind=spiral',
            'lay ready' => "{$plain}/lay-ready", 'strips' => "{$plain}/strips", 'patterns' => '/patterns',
            'a weave' => '/weave?pattern=3%401-2+4%402-3&at=2', 'a basket weave' => '/weave?kind=basket',
            'a weave refused' => '/weave?pattern=4%409',
            'a band in sections' => '/weave?cores=4&section=2&pattern=3%401-4+x6+%7C+4%401-2+4%403-4+%7C+'
                .'cross+1-2+over+3-4',
            'lay out a chain' => "{$chain}/lay-out?open=p3", 'wire of a chain' => "{$chain}/wire",
            'cut a chain' => "{$chain}/cut", 'lay out a frame' => "{$framed}/lay-out?open=p3",
            'tiers of chain' => "{$tiers}/lay-out?open=p9", 'a band cut' => "{$band}/cut",
            'a bill' => "{$plain}/bill", 'variants' => "{$plain}/beside",
            'the cutting plan' => '/cutting?pieces[]='.$ulid($plain).'&pieces[]='.$ulid($chain),
            'wire kept for a piece' => '/cutting?pieces[]='.$ulid($framed).'&pieces[]='.$ulid($tiers),
            'nothing to cut for' => '/cutting', 'a list of lengths' => '/cutting/list',
            'movements from a table' => '/stock/import?of=movements',
            'metal by month' => '/stock/months', 'stock from a table' => '/stock/import', 'weighing' => $weigh,
            'what to make' => str_replace('/scale', '/ideas', $weigh),
            'patterns asked for' => '/patterns?family=ring&time=30', 'a pattern' => '/patterns?open=link-and-drop',
            'what was learned' => '/hand/learned',
            'insight' => '/insight', 'practice' => '/practice', 'practice of pairs' => '/practice?kind=pairs',
            'a bend let go' => '/practice?kind=bend', 'a record' => $record,
            'a finished piece looked over' => "{$finished}/make", 'a refusal' => '/pieces/none/cut',
        ];
    }

    public function test_no_page_has_an_accessibility_violation_a_console_error_or_overflows(): void
    {
        $this->window(1280, 800);
        $this->visit('/sign-in');
        $this->assertNoAxeViolations('sign in');
        $this->enterDemo();
        $pages = $this->pages();
        // The last is the first enlarged four times: it only has to fit.
        foreach ([[1280, 800], [390, 844], [320, 640]] as [$width, $height]) {
            $this->window($width, $height);
            foreach ($pages as $name => $address) {
                $this->visit($address);
                self::$browser->executeScript(
                    'for (const one of document.querySelectorAll("details")) { one.open = true; }',
                );
                $width === 320 || $this->assertNoAxeViolations("{$name} at {$width}");
                [$needs, $has] = self::$browser->executeScript(
                    'return [document.documentElement.scrollWidth, innerWidth]'
                );
                self::assertLessThanOrEqual($has, $needs, "{$name} fits {$width}");
                if ($name === 'a refusal') {
                    // The address does not exist: the browser notes the 404 itself.
                    self::$browser->manage()->getLog('browser');
                }
                $this->assertQuietConsole();
            }
        }
    }

    /** In the evening everything can be read as well as by day, and the choice stays. */
    public function test_evening_is_as_readable_as_day(): void
    {
        $this->window(1280, 800);
        $this->enterDemo();
        $pages = $this->pages();
        $this->visit('/account');
        $this->button('evening')->click();
        self::eventually(
            fn (): bool => (bool) self::$browser->executeScript(
                'return document.documentElement.classList.contains("is-evening")',
            ),
            'it is evening',
        );
        self::assertSame(
            'rgb(27, 23, 19)',
            self::$browser->executeScript('return getComputedStyle(document.documentElement).backgroundColor'),
        );
        foreach ([
            'bench', 'the plan', 'the box', 'a finished piece', 'a repair', 'what is found',
            'the year on paper', 'pieces', 'stock', 'the metal book', 'account', 'a sum', 'tools and hand',
            'lay out with a stop',
            'wire', 'a band cut', 'make, begun', 'log, under way', 'patterns', 'a weave', 'a bill', 'variants',
            'the cutting plan', 'what was learned', 'sums', 'strips', 'lay ready', 'insight', 'practice', 'a record',
        ] as $name) {
            $this->visit($pages[$name]);
            $this->assertNoAxeViolations("{$name} in the evening");
        }
        $this->visit('/account');
        $this->button('as this device has it')->click();
        self::eventually(
            fn (): bool => ! self::$browser->executeScript(
                'return document.documentElement.classList.contains("is-evening")',
            ),
            'and as the device has it again',
        );
        $this->assertQuietConsole();
    }

    /** In print a millimetre is 96/25.4 CSS pixels; the printer is told nothing else. */
    public function test_strips_measure_one_to_one(): void
    {
        $this->window(1280, 800);
        $this->enterDemo();
        // By the plain sums, which the exported piece is planned with below.
        $this->visit('/hand/learned');
        $this->button('follow the plain sums instead')->click();
        $this->see('Cuts follow the plain sums.');
        $this->visit('/pieces');
        $href = (string) parse_url((string) $this->button('Sandpiper drops')->getAttribute('href'), PHP_URL_PATH);
        $this->visit("{$href}/strips");
        $mm = fn (string $script): float => (float) self::$browser->executeScript("return {$script}") * 25.4 / 96;
        self::assertEqualsWithDelta(
            100.0,
            $mm('document.querySelector("#check-line").getBoundingClientRect().width'),
            0.3,
        );
        $drawn = self::$browser->executeScript(
            'return [...document.querySelectorAll(".print-strip .strip")].map((strip) => '
                .'{ const ticks = [...strip.querySelectorAll(".tick")].map((tick) => tick.getBoundingClientRect().left); return Math.max(...ticks) - Math.min(...ticks); })',
        );
        $this->visit("{$href}/export");
        $plan = \Hebra\Core\Plan\Planner::plan(
            \Hebra\Core\Piece\PieceJson::read($this->exported($href)),
            new \Hebra\Core\Plan\Profile,
        );
        self::assertCount(3, $drawn);
        foreach ($plan->cuts as $index => $cut) {
            self::assertEqualsWithDelta($cut->lengthMm(), $drawn[$index] * 25.4 / 96, 0.1, $cut->label);
        }
    }

    private function exported(string $href): string
    {
        $cookies = implode(
            '; ',
            array_map(
                fn ($cookie): string => $cookie->getName().'='.$cookie->getValue(),
                self::$browser->manage()->getCookies(),
            ),
        );

        return (string) file_get_contents(
            self::$address.$href.'/export',
            false,
            stream_context_create(['http' => ['header' => "Cookie: {$cookies}"]]),
        );
    }

    /**
     * The question in the middle of something else, from the front page: one line, and the system asked for with one
     * tap.
     */
    public function test_a_question_is_answered_from_the_front_page(): void
    {
        $this->window(1280, 800);
        $this->enterDemo();
        $start = microtime(true);
        $this->one('body')->sendKeys('/');
        self::assertSame('top-ask', self::$browser->executeScript('return document.activeElement.id'));
        $this->one('#top-ask')->sendKeys(
            ['how much 28 do I need to bind 17 beads of 3 mm on my 18 gauge frame', WebDriverKeys::ENTER],
        );
        $this->see('28awg, 28swg or 28mm');
        $this->button('28 AWG')->click();
        $this->seeInside('.results', '232.12 mm');
        self::assertLessThan(10, microtime(true) - $start);
        // Live in the fields, then in one line, and the address follows what is kept.
        $field = $this->one('#field-beads');
        $field->clear();
        $field->sendKeys('20');
        self::eventually(
            fn (): bool => str_contains($this->text('.results'), '274.58 mm'),
            'the answer follows the field',
        );
        $ask = $this->one('#ask');
        $ask->clear();
        $ask->sendKeys('coil 24ga on 2.5mm, 3cm');
        self::eventually(
            fn (): bool => str_contains($this->text('#sum h2'), 'coil') && str_contains(
                $this->text('.results'),
                '58.759',
            ),
            'the sum follows the line',
        );
        $ask->sendKeys(WebDriverKeys::ENTER);
        self::eventually(
            fn (): bool => str_contains(self::$browser->getCurrentURL(), '/sums/coil?'),
            'what is kept has its address',
        );
        // It is noted beside the answer, in a request of its own.
        self::eventually(function (): bool {
            $this->visit('/sums');

            return str_contains($this->text(), 'coil 24 awg, 2.5mm, 3cm');
        }, 'what was asked last is remembered');
        $this->assertQuietConsole();
    }

    public function test_tools_and_schools_change_what_the_plan_says(): void
    {
        $this->window(1280, 800);
        $this->enterDemo();
        $this->visit('/pieces');
        $piece = (string) parse_url((string) $this->button('Winter buoys')->getAttribute('href'), PHP_URL_PATH).'/make';
        $this->visit($piece);
        $before = $this->text('.drawing');
        $this->visit('/hand');
        $this->one('#say-hand')->click();
        $this->one('#hand-left')->click();
        $this->seeInside('#schools-form', 'Saved: new plans follow it.');
        self::assertTrue($this->one('#hand-left')->isSelected());
        $this->visit($piece);
        self::assertSame($before, $this->text('.drawing'));
        self::assertLessThan(
            0,
            (float) self::$browser->executeScript(
                'const arch = document.querySelector(\'.drawing [data-mark="p1:back"] path\').getBBox(), eye = '
                    .'document.querySelector(\'.drawing [data-mark="p1:eye"] path\').getBBox(); return arch.x - eye.x;',
            ),
            'mirrored at the bench',
        );
        $this->assertQuietConsole();
    }

    public function test_pages_work_as_plain_forms_without_scripts(): void
    {
        $this->window(1280, 800);
        $this->enterDemo();
        $this->visit('/pieces');
        $this->button('Mooring line')->click();
        $this->seeInside('.strung', 'Lay out');
        // What a browser without scripts does: the form is sent as it stands.
        self::$browser->executeScript(
            'const field = document.querySelector("#set-p2-top_wraps"); field.value = "5"; '
                .'HTMLFormElement.prototype.submit.call(field.form)',
        );
        self::eventually(
            fn (): bool => str_contains(
                self::$browser->getCurrentURL(),
                'lay-out?open=p2',
            ) && $this->one('#set-p2-top_wraps')->getAttribute('value') === '5',
            'the page comes back with the change',
        );
        $this->assertQuietConsole();
    }
}
