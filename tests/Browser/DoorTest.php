<?php

declare(strict_types=1);

namespace Tests\Browser;

/** Leaving leaves nothing behind in the browser; a workshop that is busy is asked again. */
final class DoorTest extends BrowserTestCase
{
    protected static function more(): array
    {
        return ['DB_BUSY_TIMEOUT' => '200', 'DB_PERSISTENT' => '0'];
    }

    public function test_back_after_signing_out_shows_nothing(): void
    {
        $this->window(1280, 800);
        $this->enterDemo();
        $this->visit('/stock');
        $this->see('Sterling silver');
        $this->button('Sign out')->click();
        $this->see('Enter the demo workshop');
        self::$browser->navigate()->back();
        self::eventually(
            fn (): bool => str_ends_with(
                (string) self::$browser->getCurrentURL(),
                '/sign-in',
            ) && str_contains($this->text(), 'Enter the demo workshop'),
            'back leads to the door',
        );
        self::assertStringNotContainsString('Long coil', $this->text());
        self::eventually(
            fn (): bool => self::$browser->executeAsyncScript(
                'const done = arguments[0]; caches.keys().then((names) => done(names.length))',
            ) === 0,
            'no page is kept to be opened without the workshop',
        );
    }

    public function test_a_password_is_shown_while_it_is_wanted(): void
    {
        $this->enterDemo();
        $this->visit('/account');
        $this->one('#sign-title ~ details summary')->click();
        $this->one('#field-current')->sendKeys('wire by the sea');
        self::assertSame('password', $this->one('#field-current')->getAttribute('type'));
        $this->button('show or hide password now')->click();
        self::eventually(fn (): bool => $this->one('#field-current')->getAttribute('type') === 'text', 'it is shown');
        $this->button('show or hide password now')->click();
        self::eventually(
            fn (): bool => $this->one('#field-current')->getAttribute('type') === 'password',
            'it is hidden again',
        );
        $this->assertNoAxeViolations('account');
    }

    /** Another writes while undo is pressed: it is asked again by itself, and done once the other is through. */
    public function test_what_meets_a_busy_workshop_is_asked_again(): void
    {
        $this->window(1280, 800);
        $this->enterDemo();
        $this->visit('/patterns');
        $this->startFrom('single-drop');
        self::eventually(
            fn (): bool => str_contains((string) self::$browser->getCurrentURL(), '/lay-out'),
            'a piece is begun',
        );
        $this->one('#run-more')->click();
        $book = self::$served->book();
        self::eventually(
            fn (): bool => (int) $book->query(
                'SELECT revision FROM pieces ORDER BY id DESC LIMIT 1',
            )?->fetchColumn() === 2,
            'one more bead is saved',
        );
        self::eventually(
            fn (): bool => self::$browser->executeScript(
                'return ! document.querySelector(".htmx-request") && document.querySelector("[name=revision]").value '
                    .'=== "2"',
            ),
            'the page has it',
        );
        $book->exec('BEGIN IMMEDIATE');
        $this->button('Undo')->click();
        usleep(700_000);
        $book->exec('ROLLBACK');
        self::eventually(
            fn (): bool => (int) $book->query(
                'SELECT revision FROM pieces ORDER BY id DESC LIMIT 1',
            )?->fetchColumn() === 1,
            'undo was done in the end',
        );
    }
}
