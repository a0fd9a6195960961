<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Exceptions\Refused;
use App\Http\Problems;
use App\Models\User;
use App\Models\Workshop;
use Hebra\Core\Problem;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

abstract class Controller
{
    protected function maker(Request $request): User
    {
        $user = $request->user();

        return $user instanceof User ? $user : abort(403);
    }

    protected function workshop(Request $request): Workshop
    {
        return $this->maker($request)->workshop;
    }

    /** The same page once more, with the sentence at its field. */
    protected function again(View $view, Problem $problem): Response
    {
        return response($view->with('problem', $problem)->render(), Problems::status($problem));
    }

    /** A table that is kept as a file. */
    protected function table(string $name, string $text): Response
    {
        return response(
            $text,
            200,
            [
                'Content-Type' => 'text/csv; charset=utf-8',
                'Content-Disposition' => "attachment; filename=\"{$name}.csv\"",
            ],
        );
    }

    /** A field as text; a list where one value belongs is refused by name. */
    protected function text(Request $request, string $field): string
    {
        $value = $request->input($field) ?? '';
        if (! is_scalar($value)) {
            throw Refused::notText($field);
        }

        return (string) $value;
    }

    /** @return array<string, string> */
    protected function texts(Request $request, string ...$fields): array
    {
        $texts = [];
        foreach ($fields as $field) {
            $texts[$field] = $this->text($request, $field);
        }

        return $texts;
    }
}
