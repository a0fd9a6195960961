<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\View\Found;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;

/** Everything in the workshop that a line looks for. */
final class FindController extends Controller
{
    public function __invoke(Request $request): View
    {
        return view('find', ['found' => new Found($this->workshop($request), trim($this->text($request, 'line')))]);
    }
}
