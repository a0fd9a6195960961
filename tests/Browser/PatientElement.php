<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Exception\ElementClickInterceptedException;
use Facebook\WebDriver\Exception\ElementNotInteractableException;
use Facebook\WebDriver\Exception\NoSuchElementException;
use Facebook\WebDriver\Exception\StaleElementReferenceException;
use Facebook\WebDriver\Remote\RemoteExecuteMethod;
use Facebook\WebDriver\Remote\RemoteWebDriver;
use Facebook\WebDriver\Remote\RemoteWebElement;
use Facebook\WebDriver\WebDriverBy;

/**
 * An element that is waited for: one that was just replaced is found again, one that is not there or not ready yet is
 * asked again.
 */
final class PatientElement extends RemoteWebElement
{
    /** However busy the machine: a state that does not come in this long does not come. */
    private const SECONDS = 60;

    /** Fewer while a test is being written: `HEBRA_PATIENCE=8`. */
    public static function seconds(): float
    {
        return (float) (getenv('HEBRA_PATIENCE') ?: self::SECONDS);
    }

    private WebDriverBy $by;

    private RemoteWebDriver $browser;

    public static function find(RemoteWebDriver $browser, WebDriverBy $by): self
    {
        $found = self::patiently(fn (): RemoteWebElement => $browser->findElement($by));
        $element = new self(new RemoteExecuteMethod($browser), $found->getID(), true);
        [$element->by, $element->browser] = [$by, $browser];

        return $element;
    }

    public function click(): static
    {
        $this->again(fn () => parent::click());

        return $this;
    }

    public function clear(): static
    {
        $this->again(fn () => parent::clear());

        return $this;
    }

    public function sendKeys($value): static
    {
        $this->again(fn () => parent::sendKeys($value));

        return $this;
    }

    public function getText(): string
    {
        return $this->again(fn (): string => parent::getText());
    }

    public function getAttribute($attribute_name): ?string
    {
        return $this->again(fn (): ?string => parent::getAttribute($attribute_name));
    }

    /**
     * @template T
     *
     * @param  callable(): T  $act
     * @return T
     */
    private function again(callable $act): mixed
    {
        return self::patiently(function () use ($act): mixed {
            try {
                return $act();
            } catch (StaleElementReferenceException $stale) {
                $this->id = $this->browser->findElement($this->by)->getID();

                throw $stale;
            }
        });
    }

    /**
     * @template T
     *
     * @param  callable(): T  $act
     * @return T
     */
    public static function patiently(callable $act): mixed
    {
        $until = microtime(true) + self::seconds();
        while (true) {
            try {
                return $act();
            } catch (StaleElementReferenceException|NoSuchElementException|ElementNotInteractableException|ElementClickInterceptedException $notYet) {
                if (microtime(true) > $until) {
                    throw $notYet;
                }
                usleep(25_000);
            }
        }
    }
}
