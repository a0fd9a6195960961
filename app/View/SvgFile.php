<?php

declare(strict_types=1);

namespace App\View;

use Hebra\Core\Figure\Assembly;
use Hebra\Core\Figure\View;
use Hebra\Core\Plan\Cut;

/** A drawing or the strips as a file of their own: true size in millimetres, every colour inside, nothing to fetch. */
final class SvgFile
{
    private const PX_PER_MM = Drawing::PX_PER_MM;

    private const GAP_PX = 12.0;

    public static function drawing(Desk $desk): string
    {
        $drawing = new Drawing(
            $desk->plan->seen($desk->side),
            dimension: $desk->plan->isLaidRound() ? 0 : 64,
            ratioGiven: 1.0,
            byReference: false,
        );
        $label = 'Drawing of '.$desk->document->name
            .($desk->side === View::Front ? '' : ' from the '.$desk->side->value)
            .': '.$desk->high();

        return self::document($drawing->width, $drawing->height, $desk->document->name, view('svg.defs')->render()
            .view(
                'svg.piece',
                ['drawing' => $drawing, 'hangs' => $desk->hangs(), 'across' => $desk->across(), 'label' => $label],
            )->render());
    }

    public static function strips(Desk $desk): string
    {
        $y = 0.0;
        $width = 10.0;
        $inner = '';
        foreach (array_map(
            fn (Cut $cut): Strip => new Strip($cut, $desk->profile, 1.0), $desk->plan->strips(),
        ) as $strip) {
            $title = e(
                "{$strip->cut->label}: {$strip->cut->count} × {$desk->profile->length($strip->cutMm())}, "
                    ."{$strip->cut->wire->words()}",
            );
            $inner .= '<text class="dimension-text" x="4" y="'.round($y + 16, 2).'">'.$title
                .'</text><g transform="translate(0 '.round($y + 22, 2).')">'
                .view('svg.strip', ['strip' => $strip])->render().'</g>';
            $y += 22 + $strip->height + self::GAP_PX;
            $width = max($width, $strip->width, 4 + 8.2 * mb_strlen($title));
        }

        return self::document($width, max($y, 10.0), $desk->document->name, $inner);
    }

    /** Any figure as a file, at true size. */
    public static function figure(Assembly $assembly, string $name, string $label): string
    {
        $drawing = new Drawing($assembly, dimension: 0, room: 8, ratioGiven: 1.0, byReference: false);

        return self::document(
            $drawing->width, $drawing->height, $name, view('svg.defs')->render()
                .view(
                    'svg.piece', ['drawing' => $drawing, 'hangs' => '', 'label' => $label, 'small' => true],
                )->render(),
        );
    }

    public static function document(
        float $width, float $height, string $title, string $inner, string $style = '',
    ): string {
        $inner = self::coloured(self::withoutUnused($inner));

        return '<?xml version="1.0" encoding="UTF-8"?>'."\n".'<svg xmlns="http://www.w3.org/2000/svg" width="'
            .round($width / self::PX_PER_MM, 3).'mm" height="'.round($height / self::PX_PER_MM, 3).'mm" viewBox="0 0 '
            .round($width, 2).' '.round($height, 2).'">'
            .($title === '' ? '' : '<title>'.e($title).'</title>')
            .'<style>'.self::style($inner).$style.'</style>'.$inner."</svg>\n";
    }

    /** What is drawn once and used bears its own metal or colour: in a file that of its user does not reach it. */
    private static function coloured(string $inner): string
    {
        $classes = [];
        preg_match_all('~<g class="([^"]+)" data-mark="[^>]*>((?:(?!</g>).)*)</g>~s', $inner, $users, PREG_SET_ORDER);
        foreach ($users as [, $class, $uses]) {
            preg_match_all('~<use href="#(part[^"]+)"~', $uses, $used);
            $classes += array_fill_keys($used[1], str_replace(' runs-on', '', $class));
        }

        return (string) preg_replace_callback(
            '~<g id="(part[^"]+)" class="wire~',
            fn (array $one): string => '<g id="'.$one[1].'" class="'.($classes[$one[1]] ?? 'wire'), $inner,
        );
    }

    /** Colours that no bead of it has are left out. */
    private static function withoutUnused(string $inner): string
    {
        return (string) preg_replace_callback(
            '~<(?:radial|linear)Gradient id="((?:fill|tube)-[a-z]+|gloss)".*?</(?:radial|linear)Gradient>\s*~s',
            fn (array $found): string => str_contains($inner, "url(#{$found[1]})") ? $found[0] : '', $inner,
        );
    }

    private static function isUsed(string $selector, string $inner): bool
    {
        return preg_match('/\.((?:bead|metal)-[a-z0-9-]+)/', $selector, $found) !== 1
            || preg_match('/[" ]'.preg_quote($found[1], '/').'[" ]/', $inner) === 1;
    }

    /**
     * Cord, and what is bought in a colour: drawn as wire and plates are, in the colours of a bead.
     *
     * @param  array<string, array<string, string>>  $sets  variables by their selector
     * @return array<string, array<string, string>>
     */
    private static function ofBeads(array $sets): array
    {
        $of = [];
        foreach (array_filter($sets, fn (array $values): bool => isset($values['--b-body'])) as $bead => $values) {
            $of[".plate-of{$bead}"] = [
                '--w-edge' => $values['--b-deep'], '--w-body' => $values['--b-body'],
                '--w-shine' => $values['--b-light'],
            ];
        }

        return $of;
    }

    /** The style sheet of wire and beads with every variable put in: not all that read SVG know variables. */
    private static function style(string $inner): string
    {
        $css = (string) preg_replace('~/\*.*?\*/~s', '', (string) file_get_contents(resource_path('css/wire.css')));
        preg_match_all(
            '/(--color-[a-z-]+):\s*(?:light-dark\()?(#[0-9a-f]{3,8})/i',
            (string) file_get_contents(resource_path('css/app.css')),
            $found,
            PREG_SET_ORDER,
        );
        $colours = array_column($found, 2, 1);
        $sets = $rules = [];
        preg_match_all('/([^{}]+)\{([^{}]*)\}/', $css, $all, PREG_SET_ORDER);
        foreach ($all as [, $selectors, $body]) {
            if (preg_match('/lit|defs|hit|under|plate-of/', $selectors) === 1) {
                continue;
            }
            if (preg_match_all('/(--[wb]-[a-z]+):\s*(#[0-9a-f]+)/', $body, $values, PREG_SET_ORDER) > 0) {
                foreach (array_filter(
                    explode(',', $selectors), fn (string $one): bool => self::isUsed($one, $inner),
                ) as $selector) {
                    $sets[trim($selector)] = array_column($values, 2, 1);
                }
            } else {
                $rules[] = [
                    trim($selectors),
                    strtr(
                        trim($body),
                        $colours === []
                            ? []
                            : array_combine(
                                array_map(fn (string $name): string => "var({$name})", array_keys($colours)),
                                $colours,
                            ) + ['var(--font-text)' => 'sans-serif', 'var(--font-figure)' => 'monospace'],
                    ),
                ];
            }
        }
        $sets += str_contains($inner, 'plate-of') ? self::ofBeads($sets) : [];
        $style = '.hit,.under{fill:none}';
        foreach ($rules as [$selector, $body]) {
            if (preg_match('/var\(--([wb])-/', $body, $kind) !== 1) {
                $style .= "{$selector}{{$body}}";

                continue;
            }
            foreach ($sets as $owner => $values) {
                if (! isset($values["--{$kind[1]}-body"])) {
                    continue;
                }
                $of = array_combine(
                    array_map(fn (string $name): string => "var({$name})", array_keys($values)),
                    $values,
                );
                [$first, $rest] = explode(' ', $selector, 2) + [1 => ''];
                // What is told of by itself lies in what bears the metal or the colour, but for a wire, which bears it.
                $style .= ($rest === '' && $first !== '.wire' ? "{$owner} {$first}" : rtrim("{$first}{$owner} {$rest}"))
                    .'{'.strtr($body, $of).'}';
            }
        }

        return $style;
    }
}
