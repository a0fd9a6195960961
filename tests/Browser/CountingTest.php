<?php

declare(strict_types=1);

namespace Tests\Browser;

use PHPUnit\Framework\Attributes\DataProvider;

/**
 * Forty presses are forty, at the speed of hands, by key, click and tap, however slow the workshop is, and while it is
 * gone.
 */
final class CountingTest extends BrowserTestCase
{
    private const PRESSES = 40;

    protected function tearDown(): void
    {
        $this->latency(0);
    }

    /** @return array<string, array{string, int}> */
    public static function hands(): array
    {
        return [
            'by key' => ['key', 0], 'by click' => ['click', 0], 'by tap' => ['tap', 0],
            'by key, 300 ms away' => ['key', 300], 'by click, 300 ms away' => ['click', 300],
            'by tap, 300 ms away' => ['tap', 300],
            'by key, 2 s away' => ['key', 2000], 'by click, 2 s away' => ['click', 2000],
        ];
    }

    #[DataProvider('hands')]
    public function test_forty_presses_on_the_line_of_parts_arrive(string $hand, int $milliseconds): void
    {
        $this->window($hand === 'tap' ? 390 : 1280, 844);
        $ulid = $this->piece('Counted '.$hand.' '.$milliseconds);
        $this->latency($milliseconds);
        $before = (int) $this->shown('#desk [data-count]');
        $this->press($hand, '#run-more', '+');
        self::assertSame(
            (string) ($before + self::PRESSES), $this->shown('#desk [data-count]'), 'the figure is right at once',
        );
        self::eventually(fn (): bool => $this->beads($ulid) === $before + self::PRESSES, 'all of them are saved');
        self::eventually(fn (): bool => str_contains($this->text('.figures'), '→'), 'the drawing follows');
        self::assertSame((string) ($before + self::PRESSES), $this->shown('#desk [data-count]'));
        self::assertSame($before + self::PRESSES, $this->beads($ulid), 'none twice');
    }

    #[DataProvider('hands')]
    public function test_forty_presses_at_the_bench_arrive(string $hand, int $milliseconds): void
    {
        $this->window($hand === 'tap' ? 390 : 1280, 844);
        $ulid = $this->piece('Bench '.$hand.' '.$milliseconds, 40);
        $this->visit("/pieces/{$ulid}/make");
        $this->one('#begin')->click();
        $this->seeInside('#step-title', 'Lay everything ready');
        // On to the beads of the first hoop, counted one by one.
        for ($step = 0; $step < 60 && ! str_contains($this->text('#step-title'), 'thread the beads'); $step++) {
            $this->one(self::$browser->executeScript(
                'return document.querySelector("#all-form").hidden'
            ) ? '#go-on' : '#all-done')->click();
        }
        $this->seeInside('#step-title', 'thread the beads');
        self::eventually(
            fn (): bool => (int) self::$browser->executeScript(
                'return JSON.parse(localStorage.getItem(Object.keys(localStorage).find((key) => '
                    .'key.startsWith("hebra.making")))).queue.length',
            ) === 0,
            'all steps are saved',
        );
        $this->latency($milliseconds);
        $this->press($hand, '#go-on', ' ');
        self::assertSame(
            (string) self::PRESSES, $this->shown('#step-count [data-count]'), 'the figure is right at once',
        );
        self::eventually(fn (): bool => $this->counted($ulid) === self::PRESSES, 'all of them are saved');
        self::assertSame((string) self::PRESSES, $this->shown('#step-count [data-count]'));
        self::assertStringContainsString('thread the beads', $this->text('#step-title'));
    }

    public function test_what_is_counted_while_the_workshop_is_gone_is_there_when_it_is_back(): void
    {
        $this->window(1280, 800);
        $ulid = $this->piece('Counted alone');
        $before = (int) $this->shown('#desk [data-count]');
        self::$served->kill();
        $this->press('key', '#run-more', '+');
        self::assertSame((string) ($before + self::PRESSES), $this->shown('#desk [data-count]'));
        self::assertSame($before, $this->beads($ulid));
        self::$served->again();
        self::eventually(
            fn (): bool => $this->beads($ulid) === $before + self::PRESSES, 'it is saved when the workshop is back',
        );
        self::$browser->manage()->getLog('browser');
    }

    /** A count, an undo and a link pressed behind it find the counts saved. */
    public function test_what_comes_after_waits_for_the_counts(): void
    {
        $this->window(1280, 800);
        $ulid = $this->piece('Counted first');
        $before = (int) $this->shown('#desk [data-count]');
        $this->latency(300);
        $this->press('key', '#run-more', '+');
        $this->button('Choose the wire')->click();
        $this->seeInside('h2', 'Which wire');
        self::assertSame($before + self::PRESSES, $this->beads($ulid));
    }

    public function test_a_count_is_typed_where_it_stands(): void
    {
        $this->window(1280, 800);
        $ulid = $this->piece('Typed');
        $figure = $this->one('#desk [data-count]');
        $figure->click();
        $figure->sendKeys("22\n");
        self::eventually(fn (): bool => $this->beads($ulid) === 22, 'as many as were typed');
        self::eventually(fn (): bool => $this->shown('#desk [data-count]') === '22', 'and they stand there');
    }

    private function piece(string $name, int $beads = 1): string
    {
        $this->enterDemo();
        $this->visit('/pieces');
        $token = self::$browser->executeScript('return document.querySelector("meta[name=csrf-token]").content');
        $make = 'const done = arguments[arguments.length - 1]; const [name, beads, token] = arguments; (async () => {
            const form = new URLSearchParams({ name, pattern: "hoop", _token: token });
            const answer = await fetch("/pieces", { method: "POST", body: form });
            const ulid = answer.url.split("/pieces/")[1].split("/")[0];
            const change = (what) => fetch(`/pieces/${ulid}/changes`, { method: "POST", headers: { "Content-Type": "application/json", Accept: "application/json", "X-CSRF-TOKEN": token }, body: JSON.stringify(what) });
            await change({ do: "part.set", part: "p1", key: "diameter", value: "120 mm", revision: 1 });
            await change({ do: "bead.count", part: "p1", at: "0", count: String(beads), revision: 2 });
            done(ulid);
        })();';
        $ulid = (string) self::$browser->executeAsyncScript($make, [$name, $beads, $token]);
        $this->visit("/pieces/{$ulid}/lay-out");
        $this->seeInside('h2', 'From the ear down');

        return $ulid;
    }

    private function press(string $hand, string $selector, string $key): void
    {
        if ($hand === 'key') {
            // Keys go to what has the focus: a button that has just been hidden is let go of first.
            self::$browser->executeScript(
                'document.activeElement?.checkVisibility() || document.activeElement?.blur()'
            );
            for ($press = 0; $press < self::PRESSES; $press++) {
                $this->type($key);
            }
        } elseif ($hand === 'click') {
            self::$browser->executeAsyncScript(
                'const [selector, times, done] = arguments; let left = times; const at = setInterval(() => '
                    .'{ document.querySelector(selector).click(); if (--left === 0) { clearInterval(at); done(); } }, 30);',
                [$selector, self::PRESSES],
            );
        } else {
            self::$browser->executeScript(
                'document.querySelector(arguments[0]).scrollIntoView({ block: "center" })', [$selector],
            );
            $box = self::$browser->executeScript(
                'const box = document.querySelector(arguments[0]).getBoundingClientRect(); return [box.left + '
                    .'box.width / 2, box.top + box.height / 2]',
                [$selector],
            );
            for ($press = 0; $press < self::PRESSES; $press++) {
                $this->devtools(
                    'Input.dispatchTouchEvent',
                    ['type' => 'touchStart', 'touchPoints' => [['x' => $box[0], 'y' => $box[1]]]],
                );
                $this->devtools('Input.dispatchTouchEvent', ['type' => 'touchEnd', 'touchPoints' => []]);
            }
        }
    }

    /** @param  array<string, mixed>  $parameters */
    private function devtools(string $command, array $parameters): void
    {
        self::$browser->executeCustomCommand(
            '/session/:sessionId/goog/cdp/execute', 'POST',
            ['cmd' => $command, 'params' => $parameters === [] ? (object) [] : $parameters],
        );
    }

    private function latency(int $milliseconds): void
    {
        $this->devtools('Network.enable', []);
        $this->devtools(
            'Network.emulateNetworkConditions',
            ['offline' => false, 'latency' => $milliseconds, 'downloadThroughput' => -1, 'uploadThroughput' => -1],
        );
    }

    private function shown(string $selector): string
    {
        return (string) self::$browser->executeScript(
            'return document.querySelector(arguments[0]).textContent', [$selector],
        );
    }

    private function beads(string $ulid): int
    {
        $document = $this->value(
            'SELECT piece_revisions.document FROM piece_revisions JOIN pieces ON pieces.id = piece_revisions.piece_id AND pieces.revision = piece_revisions.number WHERE pieces.ulid = ?',
            $ulid,
        );

        return (int) json_decode($document, true)['parts'][0]['beads'][0]['count'];
    }

    private function counted(string $ulid): int
    {
        return (int) $this->value(
            'SELECT makings.counted FROM makings JOIN pieces ON pieces.id = makings.piece_id WHERE pieces.ulid = ?',
            $ulid,
        );
    }

    private function value(string $query, string $ulid): string
    {
        $statement = self::$served->book()->prepare($query);
        $statement->execute([$ulid]);

        return (string) $statement->fetchColumn();
    }
}
