<?php

declare(strict_types=1);

// ./hebra bench: from a key on the board to its painted consequence, in Chromium. Medians and 95ths of one run.

use Facebook\WebDriver\Chrome\ChromeOptions;
use Facebook\WebDriver\Remote\DesiredCapabilities;
use Facebook\WebDriver\Remote\RemoteWebDriver;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverDimension;
use Tests\Served;
use Tests\Visitor;

require __DIR__.'/../vendor/autoload.php';

const PRESSES = 30;

$served = Served::start(['HEBRA_DEMO' => '1', 'HEBRA_BENCH' => '1'], 1, 'tests/bench-server.php', true);
$visitor = new Visitor($served->address);
$visitor->ask('/enter-demo', ['_token' => $visitor->ask('/sign-in')->token()]);

/** @param  list<array<string, mixed>>  $changes */
$begun = function (string $pattern, array $changes) use ($visitor): string {
    $visitor->ask(
        '/pieces', ['_token' => $visitor->ask('/pieces')->token(), 'name' => $pattern, 'pattern' => $pattern],
    );
    $home = '/pieces/'.$visitor->piece;
    $form = ['_token' => $visitor->ask("{$home}/lay-out")->token(), 'stage' => 'lay-out', 'open' => 'p2', 'run' => 0];
    foreach ($changes as $change) {
        $visitor->ask("{$home}/changes", [...$form, 'revision' => $visitor->revision(), ...$change], true);
        $visitor->status === 200 || throw new RuntimeException("A change was answered with {$visitor->status}");
    }

    return $home;
};
$pages = [
    '30 parts' => [
        $begun('two-links', [
            ['do' => 'bead.add', 'part' => 'p2', 'bead' => '4mm round, sea'],
            ...array_fill(0, 26, ['do' => 'part.copy', 'part' => 'p2']),
        ]), 100.0,
    ],
    '120 links' => [
        $begun('linked-bracelet', [['do' => 'group.set', 'group' => 'g1', 'count' => 60]]), 150.0,
    ],
];

$socket = stream_socket_server('tcp://127.0.0.1:0') ?: throw new RuntimeException('There is no free port.');
$port = (int) explode(':', (string) stream_socket_get_name($socket, false))[1];
fclose($socket);
$driver = proc_open(
    ['chromedriver', "--port={$port}", '--log-level=OFF'],
    [['file', '/dev/null', 'r'], ['file', '/dev/null', 'w'], ['file', '/dev/null', 'w']], $pipes,
) ?: throw new RuntimeException('chromedriver cannot be started.');
for ($try = 0; $try < 200 && @fsockopen('127.0.0.1', $port) === false; $try++) {
    usleep(50_000);
}
$options = new ChromeOptions;
$options->addArguments([
    '--headless', '--no-sandbox', '--disable-gpu', '--disable-dev-shm-usage', '--force-device-scale-factor=1',
    '--user-data-dir='.sys_get_temp_dir().'/hebra-paint-'.getmypid(),
]);
$capabilities = DesiredCapabilities::chrome();
$capabilities->setCapability(ChromeOptions::CAPABILITY, $options);
$browser = RemoteWebDriver::create("http://127.0.0.1:{$port}", $capabilities, 30_000, 180_000);
$browser->manage()->window()->setSize(new WebDriverDimension(1280, 900));
$browser->manage()->timeouts()->setScriptTimeout(100);
$browser->get($served->address.'/sign-in');
$browser->findElement(WebDriverBy::cssSelector('form[action$="enter-demo"] button'))->click();
// What is asked for while that is on its way would be put aside for it.
$browser->wait(20, 50)->until(fn (): bool => $browser->executeScript('return location.pathname') === '/');

// A count is told at once. What changes the piece is painted when the workshop has answered with the desk anew.
$measure = <<<'JS'
    const [presses, done] = [arguments[0], arguments[1]];
    const painted = () => new Promise((go) => requestAnimationFrame(() => setTimeout(() => go(performance.now()), 0)));
    // A key that came while the page was still busy does nothing: it is not measured.
    const until = async (is) => {
        const end = performance.now() + 3000;
        while (!is() && performance.now() < end) {
            await new Promise((go) => setTimeout(go, 1));
        }

        return is();
    };
    const key = (what) => ['keydown', 'keyup'].forEach(
        (type) => document.body.dispatchEvent(new KeyboardEvent(type, { bubbles: true, ...what })),
    );
    const count = () => document.querySelector('[id^="run-"][aria-current] [data-count-of]')?.textContent;
    // The frame that shows what an answer brought is the next one after it is in its place.
    const shown = () => new Promise((go) => {
        document.addEventListener('htmx:afterSwap', () => go(painted()), { once: true });
        setTimeout(() => go(null), 3000);
    });
    const rest = () => new Promise((go) => setTimeout(go, 400));
    (async () => {
        const [seen, moved, shifted] = [[], [], []];
        for (let press = 0; press < presses; press++) {
            const was = count();
            const start = performance.now();
            key({ key: press % 2 === 0 ? '+' : '-' });
            (await until(() => count() !== was)) && seen.push(await painted() - start);
            await rest();
        }
        await rest();
        await rest();
        const drawn = () => document.querySelector('.canvas svg').innerHTML;
        // A key that changed nothing that is drawn is not measured.
        const after = async (what) => {
            const [was, start, then] = [drawn(), performance.now(), shown()];
            key(what);
            const end = await then;
            await rest();
            await rest();

            return end !== null && drawn() !== was ? [end - start] : [];
        };
        for (let press = 0; press < presses; press++) {
            const to = press % 2 === 0 ? 'ArrowDown' : 'ArrowUp';
            moved.push(...await after({ key: to, altKey: true }));
        }
        for (let press = 0; press < presses; press++) {
            shifted.push(...await after(press % 2 === 0 ? { key: 'Delete' } : { key: 'z', ctrlKey: true }));
        }
        done({ seen, moved, shifted });
    })().catch((fault) => done(String(fault)));
    JS;

/** @param  list<float|int>  $times */
$told = function (array $times): string {
    sort($times);
    $at = fn (float $share): float => (float) $times[(int) floor($share * (count($times) - 1))];

    return sprintf('%.0f, %.0f ms', $at(0.5), $at(0.95));
};
$late = fn (array $times): float => (function (array $times): float {
    sort($times);

    return (float) $times[(int) floor(0.95 * (count($times) - 1))];
})($times);

printf("\nFrom a key to paint, in Chromium, median and 95th of %d\n\n", PRESSES);
foreach ($pages as $words => [$home, $aim]) {
    $browser->get($served->address.$home.'/lay-out?open=p2&run=0');
    for (
        $try = 0; $try < 100
        && ! $browser->executeScript('return document.documentElement.classList.contains("js") && '
            .'document.querySelector(".leaders path") !== null'); $try++
    ) {
        usleep(100_000);
    }
    $times = $browser->executeAsyncScript($measure, [PRESSES]);
    printf("  %-58s %22s\n", "{$words}: the count", $told($times['seen']));
    foreach ([
        'another place for a bead' => $times['moved'],
        'a bead off, and on again: what follows moves' => $times['shifted'],
    ] as $change => $taken) {
        printf(
            "  %-58s %22s   aim ≤ %d ms %s\n", "{$words}: {$change}", $told($taken), $aim,
            $late($taken) <= $aim ? '✓' : '✕ missed',
        );
    }
}
$sizes = [];
foreach (json_decode((string) file_get_contents(__DIR__.'/../public/build/manifest.json'), true) as $name => $entry) {
    if (
        str_ends_with($entry['file'], '.js')
        && ! str_contains($entry['file'], 'space')
        && ! str_contains($entry['file'], 'chart')
    ) {
        $sizes[$name] = strlen(
            (string) gzencode((string) file_get_contents(__DIR__.'/../public/build/'.$entry['file']), 9)
        );
    }
}
$kilobytes = array_sum($sizes) / 1000;
printf(
    "  %-58s %19.1f kB   aim ≤ 90 kB %s\n", 'scripts of the board, compressed', $kilobytes,
    $kilobytes <= 90 ? '✓' : '✕ missed',
);
$browser->quit();
proc_terminate($driver);
