<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Chrome\ChromeOptions;
use Facebook\WebDriver\Exception\StaleElementReferenceException;
use Facebook\WebDriver\Remote\DesiredCapabilities;
use Facebook\WebDriver\Remote\RemoteWebDriver;
use Facebook\WebDriver\Remote\RemoteWebElement;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverDimension;
use Facebook\WebDriver\WebDriverKeys;
use PHPUnit\Framework\TestCase;
use Tests\Served;

/** A server with its own database, a real browser, and a fresh demo workshop for every class. */
abstract class BrowserTestCase extends TestCase
{
    protected static RemoteWebDriver $browser;

    protected static Served $served;

    protected static string $address;

    /** @var resource */
    private static $driver;

    public static function setUpBeforeClass(): void
    {
        self::$served = Served::start(['HEBRA_DEMO' => '1', 'DB_PERSISTENT' => '0', ...static::more()], workers: 1);
        self::$address = self::$served->address;
        $port = Served::freePort();
        $nothing = ['file', '/dev/null', 'w'];
        $driver = proc_open(
            ['chromedriver', "--port={$port}", '--log-level=OFF'],
            [['file', '/dev/null', 'r'], $nothing, $nothing],
            $pipes,
        );
        self::assertIsResource($driver);
        self::$driver = $driver;
        self::eventually(fn (): bool => @fsockopen('127.0.0.1', $port) !== false, "port {$port} answers");
        self::$browser = RemoteWebDriver::create("http://127.0.0.1:{$port}", self::capabilities(), 30_000, 60_000);
    }

    /** @return array<string, string> more of the server's environment */
    protected static function more(): array
    {
        return [];
    }

    private static function capabilities(): DesiredCapabilities
    {
        $options = new ChromeOptions;
        $options->addArguments([
            '--headless', '--no-sandbox', '--disable-gpu', '--disable-dev-shm-usage', '--disable-quic',
            // Space is drawn without a graphics card.
            '--enable-unsafe-swiftshader',
            '--no-first-run', '--disable-background-networking', '--disable-component-update',
            '--disable-sync', '--hide-scrollbars', '--force-device-scale-factor=1', '--lang=en-US',
            '--user-data-dir='.sys_get_temp_dir().'/hebra-profile-'.getmypid().'-'.random_int(1000, 9999),
        ]);
        $capabilities = DesiredCapabilities::chrome();
        $capabilities->setCapability(ChromeOptions::CAPABILITY, $options);
        $capabilities->setCapability('goog:loggingPrefs', ['browser' => 'ALL']);

        return $capabilities;
    }

    public static function tearDownAfterClass(): void
    {
        self::$browser->quit();
        self::$served->end();
        proc_terminate(self::$driver);
        proc_close(self::$driver);
    }

    /** Waits for what must come true, a minute at most, however busy the machine. */
    protected static function eventually(callable $isTrue, string $what): void
    {
        $until = microtime(true) + PatientElement::seconds();
        do {
            try {
                if ($isTrue()) {
                    self::assertNotSame('', $what);

                    return;
                }
            } catch (StaleElementReferenceException) {
                // The page was just replaced: ask again.
            }
            usleep(25_000);
        } while (microtime(true) < $until);
        self::fail(
            "Never came true: {$what}. The page says: ".mb_substr(
                self::$browser->findElement(WebDriverBy::tagName('body'))->getText(),
                0,
                1500,
            ),
        );
    }

    protected function window(int $width, int $height): void
    {
        $window = self::$browser->manage()->window();
        $window->setSize(new WebDriverDimension($width, $height));
        [$innerWidth, $innerHeight] = self::$browser->executeScript('return [innerWidth, innerHeight]');
        $window->setSize(new WebDriverDimension(2 * $width - $innerWidth, 2 * $height - $innerHeight));
    }

    protected function visit(string $path): void
    {
        self::$browser->get(self::$address.$path);
    }

    protected function enterDemo(): void
    {
        // A bare page first: what the last one still asks for would bring its session back.
        $this->visit('/mark.svg');
        self::$browser->manage()->deleteAllCookies();
        $this->visit('/sign-in');
        $this->button('Enter the demo workshop')->click();
        $this->seeInside('.day', 'Today');
    }

    /** On the page of patterns: takes one down from its rail and starts it. */
    protected function startFrom(string $pattern): void
    {
        $this->one("#pattern-{$pattern}")->click();
        $this->one("form.opened input[name=pattern][value={$pattern}]");
        $this->one('#start-pattern')->click();
    }

    protected function button(string $words): RemoteWebElement
    {
        return PatientElement::find(
            self::$browser,
            WebDriverBy::xpath(
                "//*[self::button or self::a or self::summary][contains(normalize-space(.), '{$words}') or "
                    ."@aria-label='{$words}']",
            ),
        );
    }

    protected function one(string $selector): RemoteWebElement
    {
        return PatientElement::find(self::$browser, WebDriverBy::cssSelector($selector));
    }

    protected function text(string $selector = 'body'): string
    {
        // innerText is what is rendered, in one call.
        return (string) self::$browser->executeScript(
            'return [...document.querySelectorAll(arguments[0])].map((one) => one.innerText).join(" ")',
            [$selector],
        );
    }

    protected function see(string $words): void
    {
        $this->seeInside('body', $words);
    }

    protected function seeInside(string $selector, string $words): void
    {
        self::eventually(fn (): bool => str_contains($this->text($selector), $words), "“{$words}” in {$selector}");
    }

    /** The next step stands there to be done, or all are done and the page says so. */
    protected function stepIsNew(string $seen, string $why): void
    {
        self::eventually(function () use ($seen): bool {
            $now = $this->text('.stage-panel');

            return $now !== $seen
                && (str_contains($now, 'steps are done') || self::$browser->executeScript(
                    'return (document.querySelector("#go-on")?.getBoundingClientRect().height ?? 0) > 0'
                ));
        }, $why);
    }

    /** No script error, no refused resource, nothing the policy had to block. */
    protected function assertQuietConsole(): void
    {
        $loud = [];
        foreach (self::$browser->manage()->getLog('browser') as $line) {
            // A refusal is a 4xx by design; the browser notes each, and that is no error of the page. Nor is what a
            // graphics card that is none says of its pace.
            if (
                in_array($line['level'], ['SEVERE', 'WARNING'], true)
                && preg_match('/status of 4(09|22)|GL Driver Message \(OpenGL, Performance/', $line['message']) !== 1
            ) {
                $loud[] = $line['message'];
            }
        }
        self::assertSame([], $loud);
    }

    protected function assertNoAxeViolations(string $page): void
    {
        self::$browser->executeScript(
            (string) file_get_contents(dirname(__DIR__, 2).'/node_modules/axe-core/axe.min.js'),
        );
        $violations = self::$browser->executeAsyncScript(
            'const done = arguments[0]; axe.run(document, '
                .'{resultTypes: ["violations"], '
                .'runOnly: ["wcag2a", "wcag2aa", "wcag21a", "wcag21aa", "wcag22aa", "best-practice"]}).then((r) => '
                .'done(r.violations.map((v) => v.id + ": " + v.help + " — " + v.nodes.map((n) => n.target.join(" ") '
                .'+ " " + n.html.slice(0, 160)).slice(0, 4).join(" | "))));',
        );
        self::assertSame([], $violations, $page);
    }

    /** Keys go to what is there to stay: not to what an answer is about to replace. */
    protected function untilStill(): void
    {
        self::eventually(fn (): bool => (bool) self::$browser->executeScript(
            'return document.readyState === "complete" '
                .'&& document.querySelector(".htmx-request, .htmx-swapping, .htmx-settling") === null',
        ), 'no answer is under way');
    }

    /** Nothing has the focus: keys go to the page. */
    protected function letGo(): void
    {
        self::$browser->executeScript('document.activeElement?.blur()');
    }

    /**
     * Keys as hands press them: to whatever has the focus, even where that is just being hidden. What is held stays
     * held
     * until `NULL`, or the end.
     */
    protected function type(string ...$keys): void
    {
        $held = $moves = [];
        $move = fn (string $type, string $key): array => ['type' => $type, 'value' => $key];
        foreach (mb_str_split(implode('', $keys)) as $key) {
            if ($key === WebDriverKeys::NULL) {
                array_push($moves, ...array_map(fn (string $one): array => $move('keyUp', $one), $held));
                $held = [];

                continue;
            }
            $moves[] = $move('keyDown', $key);
            in_array($key, [WebDriverKeys::CONTROL, WebDriverKeys::SHIFT, WebDriverKeys::ALT], true)
                ? $held[] = $key
                : $moves[] = $move('keyUp', $key);
        }
        array_push($moves, ...array_map(fn (string $one): array => $move('keyUp', $one), $held));
        self::$browser->execute('actions', ['actions' => [['type' => 'key', 'id' => 'keyboard', 'actions' => $moves]]]);
    }
}
