<?php

declare(strict_types=1);

namespace Tests\Feature;

use PHPUnit\Framework\TestCase;
use Tests\Served;

/** Files of the pages as they are sent: short, kept by the browser, and the same however they are sent. */
final class FilesTest extends TestCase
{
    private const FIRST_VISIT = 400_000;

    private Served $served;

    protected function setUp(): void
    {
        $this->served = Served::start([]);
    }

    protected function tearDown(): void
    {
        $this->served->end();
    }

    /** @return array{string, string} head and body, as they came */
    private function sent(string $path, string $encoding = 'gzip'): array
    {
        $curl = curl_init($this->served->address.$path);
        curl_setopt_array($curl, [
            CURLOPT_RETURNTRANSFER => true, CURLOPT_HEADER => true,
            CURLOPT_HTTPHEADER => ["Accept-Encoding: {$encoding}"],
        ]);
        $answer = (string) curl_exec($curl);
        self::assertSame(200, curl_getinfo($curl, CURLINFO_RESPONSE_CODE), $path);
        $head = curl_getinfo($curl, CURLINFO_HEADER_SIZE);

        return [strtolower(substr($answer, 0, $head)), substr($answer, $head)];
    }

    public function test_a_first_visit_is_short(): void
    {
        [, $page] = $this->sent('/sign-up', 'identity');
        preg_match_all('~(?:href|src)="[^"]*(/build/assets/[^"]+)"~', $page, $named);
        $files = array_unique($named[1]);
        foreach ($files as $file) {
            if (str_ends_with($file, '.css')) {
                $css = $this->sent($file, 'identity')[1];
                preg_match_all('~url\(["\']?(/build/assets/[^)"\']+-latin-wght-normal[^)"\']+woff2)~', $css, $fonts);
                $files = array_unique([...$files, ...$fonts[1]]);
            }
        }
        self::assertGreaterThan(4, count($files), 'styles, scripts and letters');
        $bytes = strlen($page);
        foreach ($files as $file) {
            [$head, $body] = $this->sent($file);
            $bytes += strlen($body);
            self::assertStringContainsString('immutable', $head, $file);
            $isText = preg_match('~\.(css|js)$~', $file) === 1;
            self::assertSame($isText, str_contains($head, 'content-encoding: gzip'), $file);
            [, $plain] = $this->sent($file, 'identity');
            self::assertSame($plain, $isText ? gzdecode($body) : $body, $file);
        }
        self::assertLessThan(self::FIRST_VISIT, $bytes);
    }
}
