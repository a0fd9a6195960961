<?php

declare(strict_types=1);

namespace Tests;

use CurlHandle;
use RuntimeException;

/** One browser, as far as cookies go; several may ask at the same moment. */
final class Visitor
{
    /** @var array<string, string> */
    private array $cookies = [];

    public string $body = '';

    public int $status = 0;

    public string $peak = '';

    /** The piece that it was last sent to. */
    public string $piece = '';

    public float $seconds = 0.0;

    /** How long it waits for an answer before it goes away. */
    public int $patienceMs = 120_000;

    public function __construct(private readonly string $address)
    {
    }

    /** @param  array<string, mixed>|null  $form  `_method` where it is no post */
    public function ask(string $path, ?array $form = null, bool $isFragment = false): self
    {
        self::together([[$this, $path, $form, $isFragment]]);

        return $this;
    }

    /**
     * All are sent before any is answered.
     *
     * @param  list<array{0: self, 1: string, 2: array<string, mixed>|null, 3?: bool}>  $asked  each visitor once
     */
    public static function together(array $asked): void
    {
        $many = curl_multi_init();
        $handles = [];
        foreach ($asked as [$visitor, $path, $form, $isFragment]) {
            $handles[] = $handle = $visitor->handle($path, $form, $isFragment);
            curl_multi_add_handle($many, $handle);
        }
        do {
            curl_multi_exec($many, $running);
            curl_multi_select($many, 0.05);
        } while ($running > 0);
        foreach ($asked as $at => [$visitor]) {
            $visitor->body = (string) curl_multi_getcontent($handles[$at]);
            $visitor->status = (int) curl_getinfo($handles[$at], CURLINFO_RESPONSE_CODE);
            $visitor->seconds = (float) curl_getinfo($handles[$at], CURLINFO_TOTAL_TIME);
            curl_multi_remove_handle($many, $handles[$at]);
        }
        curl_multi_close($many);
    }

    /** @param  array<string, mixed>|null  $form */
    private function handle(string $path, ?array $form, bool $isFragment): CurlHandle
    {
        $handle = curl_init($this->address.$path);
        curl_setopt_array($handle, [
            CURLOPT_RETURNTRANSFER => true,
            CURLOPT_COOKIE => implode(
                '; ',
                array_map(
                    fn (string $name, string $value): string => "{$name}={$value}",
                    array_keys($this->cookies),
                    $this->cookies,
                ),
            ),
            CURLOPT_HTTPHEADER => $isFragment ? ['HX-Request: true'] : [], CURLOPT_TIMEOUT_MS => $this->patienceMs,
            CURLOPT_HEADERFUNCTION => function (CurlHandle $handle, string $line): int {
                if (preg_match('/^set-cookie:\s*([^=]+)=([^;\r\n]*)/i', $line, $match) === 1) {
                    $this->cookies[$match[1]] = $match[2];
                }
                if (preg_match('/^x-peak-memory:\s*(\d+)/i', $line, $match) === 1) {
                    $this->peak = $match[1];
                }

                if (preg_match('~^location:.*/pieces/([0-9a-z]{26})~i', $line, $match) === 1) {
                    $this->piece = $match[1];
                }

                return strlen($line);
            },
        ]);
        if ($form !== null) {
            $files = array_filter($form, fn (mixed $value): bool => $value instanceof \CURLFile);
            curl_setopt($handle, CURLOPT_POSTFIELDS, $files === [] ? http_build_query($form) : $form);
        }

        return $handle;
    }

    public function token(): string
    {
        return preg_match('/name="(?:_token|csrf-token)" (?:value|content)="([^"]+)"/', $this->body, $match) === 1
            ? $match[1]
            : throw new RuntimeException('No form on the page: '.mb_substr(strip_tags($this->body), 0, 300));
    }

    public function revision(): int
    {
        return preg_match('/name="revision" value="(\d+)"/', $this->body, $match) === 1
            ? (int) $match[1]
            : throw new RuntimeException(
                'No revision on the page: '.$this->status.' '.mb_substr(trim(strip_tags($this->body)), 0, 300),
            );
    }
}
