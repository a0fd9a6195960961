<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Piece;
use DOMDocument;
use DOMElement;
use DOMXPath;
use Hebra\Core\Piece\Parameter;
use Hebra\Core\Piece\Part;
use Hebra\Core\Piece\Patterns;
use Illuminate\Support\Str;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\Attributes\TestWith;
use Tests\TestCase;

/**
 * Every setting of every technique is a field with its words, in a form of its own that a keyboard and a browser
 * without
 * scripts can send; and what a field shows, sent as it stands, changes nothing.
 */
final class SettingsTest extends TestCase
{
    /** Forms that tell what is, beside the settings. */
    private const TELL = ['part.hang', 'part.close', 'wire', 'metal', 'fit', 'note', 'name', 'bead.edit'];

    /**
     * Half of the twentieth of a millimetre that sizes are shown to; what is worked out from a fit has more figures.
     */
    private const SHOWN_MM = 0.025;

    private const SENT = './/input[@name and (@checked or not(@type="radio" or @type="checkbox"))] | .//select[@name] '
        .'| .//textarea[@name]';

    /** @return iterable<string, array{Piece, Part}> every technique once with each set of settings that it shows */
    private function parts(): iterable
    {
        $seen = [];
        foreach (array_keys(Patterns::all()) as $pattern) {
            $piece = $this->piece($pattern);
            foreach ($piece->document()->parts as $part) {
                $shown = $part->technique.': '.implode(' ', $this->shown($part));
                if (! isset($seen[$shown])) {
                    $seen[$shown] = true;
                    yield "{$pattern}, {$part->id}" => [$piece, $part];
                }
            }
        }
    }

    /** @return list<string> */
    private function shown(Part $part): array
    {
        $keys = array_map(fn ($parameter): string => $parameter->key, $part->technique()->parameters());

        return array_values(array_filter($keys, fn (string $key): bool => $part->technique()->shows($key, $part)));
    }

    private function page(Piece $piece, string $at): DOMXPath
    {
        $answer = $this->actingAs($this->maker)->get("/pieces/{$piece->ulid}/{$at}")->assertOk();
        $page = new DOMDocument;
        @$page->loadHTML('<?xml encoding="utf-8"?>'.$answer->getContent());

        return new DOMXPath($page);
    }

    /** @return list<DOMElement> the forms that tell what is; one that stands on no choice tells nothing */
    private function telling(DOMXPath $page): array
    {
        $forms = $page->query(
            '//form[contains(@hx-trigger, "change") and .//input[@name="do"]][not(.//option[@selected and @disabled])]'
        );

        return array_values(array_filter(
            iterator_to_array($forms ?: []),
            fn (\DOMNode $form): bool => $form instanceof DOMElement
                && in_array($this->sent($page, $form)['do'], self::TELL, true),
        ));
    }

    private function one(DOMXPath $page, string $path, ?DOMElement $in, string $what): DOMElement
    {
        $found = $page->query($path, $in);
        self::assertNotFalse($found, $what);
        self::assertCount(1, $found, $what);
        self::assertInstanceOf(DOMElement::class, $found[0], $what);

        return $found[0];
    }

    /** @return array<string, string> what a form sends when nothing in it was touched */
    private function sent(DOMXPath $page, DOMElement $form): array
    {
        $sent = [];
        foreach ($page->query(self::SENT, $form) ?: [] as $field) {
            assert($field instanceof DOMElement);
            $sent[$field->getAttribute('name')] = match ($field->tagName) {
                'select' => $this->chosen($page, $field),
                'textarea' => $field->textContent,
                default => $field->getAttribute('value'),
            };
        }

        return $sent;
    }

    private function chosen(DOMXPath $page, DOMElement $select): string
    {
        $chosen = $page->query('(.//option[@selected] | .//option[1])[last()]', $select)->item(0);
        self::assertInstanceOf(DOMElement::class, $chosen, $select->getAttribute('id').' has choices');

        return $chosen->hasAttribute('value') ? $chosen->getAttribute('value') : $chosen->textContent;
    }

    private function assertNothingChanges(Piece $piece, DOMXPath $page, DOMElement $form, string $name): void
    {
        $was = $piece->refresh()->document();
        $answer = $this->change($piece, [...$this->sent($page, $form), 'revision' => $piece->revision]);
        self::assertSame(200, $answer->status(), $name);
        self::assertEqualsWithDelta($was, $piece->refresh()->document(), self::SHOWN_MM, $name);
    }

    #[TestWith(['0.5 mm'])]
    #[TestWith(['1/16 in'])]
    #[Group('wide')]
    public function test_every_setting_can_be_reached_and_sent_as_it_stands(string $ruler): void
    {
        $this->workshop()->update(['ruler' => $ruler]);
        $settings = [];
        foreach ($this->parts() as $name => [$piece, $part]) {
            $page = $this->page($piece, "lay-out?open={$part->id}");
            foreach ($this->shown($part) as $key) {
                $where = "{$name}: {$key}";
                $field = $this->one($page, "//*[@id='set-{$part->id}-{$key}']", null, $where);
                self::assertContains($field->tagName, ['input', 'select', 'textarea'], $where);
                self::assertNotSame('-1', $field->getAttribute('tabindex'), $where);
                $label = $this->one($page, "//label[@for='set-{$part->id}-{$key}']", null, $where);
                self::assertNotSame('', trim($label->textContent), $where);
                $form = $this->one($page, 'ancestor::form', $field, $where);
                $this->one(
                    $page, ".//button[@type='submit' and not(@name)]", $form, "{$where} is sent without scripts",
                );
                $this->assertNothingChanges($piece, $page, $form, $where);
                $settings["{$part->technique} {$key}"] = true;
            }
        }
        self::assertGreaterThan(150, count($settings));
    }

    /** Where it hangs, of which wire, how it fits, what it is called: each sent as the page shows it. */
    #[Group('wide')]
    public function test_what_else_the_page_tells_can_be_sent_as_it_stands(): void
    {
        $sent = [];
        foreach ($this->parts() as $name => [$piece, $part]) {
            foreach (["lay-out?open={$part->id}", "wire?role={$part->wire}"] as $at) {
                foreach ($this->telling($page = $this->page($piece, $at)) as $form) {
                    $do = $this->sent($page, $form)['do'];
                    $this->assertNothingChanges($piece, $page, $form, "{$name}: {$do}");
                    $sent[$do] = true;
                }
            }
        }
        self::assertEqualsCanonicalizing(self::TELL, array_keys($sent));
    }

    /** An emptied field is empty where it may be, and else told of beside it by its name; nothing saved is lost. */
    #[Group('wide')]
    public function test_an_emptied_field_is_emptied_or_told_of_by_its_name(): void
    {
        [$emptied, $told] = [0, 0];
        foreach ($this->parts() as $name => [$piece, $part]) {
            foreach ($part->technique()->parameters() as $parameter) {
                if (! $part->technique()->shows($parameter->key, $part)) {
                    continue;
                }
                [$was, $where] = [$piece->refresh()->document(), "{$name}: {$parameter->key}"];
                $answer = $this->change($piece, [
                    'do' => 'part.set', 'part' => $part->id->text, 'key' => $parameter->key, 'value' => '',
                    'open' => $part->id->text,
                ]);
                $now = $piece->refresh()->document();
                if ($answer->status() === 200) {
                    self::assertSame('', $now->part($part->id)->settings[$parameter->key], $where);
                    $emptied++;

                    continue;
                }
                self::assertSame(422, $answer->status(), $where);
                self::assertEquals($was, $now, $where);
                $this->assertTold($parameter, (string) $answer->getContent(), $where);
                $told++;
            }
        }
        self::assertTrue($emptied > 3 && $told > 150, "{$emptied} emptied, {$told} told of");
    }

    private function assertTold(Parameter $parameter, string $page, string $where): void
    {
        self::assertSame(1, preg_match('/role="alert"[^>]*>([^<]*)</', $page, $alert), $where);
        self::assertMatchesRegularExpression(
            '/^'.preg_quote($parameter->words, '/').' (is empty:|“” )/iu',
            html_entity_decode($alert[1], ENT_QUOTES), $where,
        );
        $beside = 'problem-'.Str::slug($parameter->words);
        self::assertStringContainsString("aria-describedby=\"{$beside}\"", $page, "{$where} is told of beside it");
        self::assertStringContainsString("id=\"{$beside}\"", $page, "{$where} is told of beside it");
    }
}
