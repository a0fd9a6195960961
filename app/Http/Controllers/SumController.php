<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Problems;
use Hebra\Core\Problem;
use Hebra\Core\Sum\Answer;
use Hebra\Core\Sum\Given;
use Hebra\Core\Sum\Input;
use Hebra\Core\Sum\Sum;
use Hebra\Core\Sum\Sums;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** Each rule on its own, for a question in the middle of something else. */
final class SumController extends Controller
{
    public function show(Request $request, string $name = 'wrapped-loop'): Response
    {
        $sum = Sums::all()[$name] ?? abort(404);
        $given = $this->given($request, $sum);
        [$answer, $problem] = $this->answered($request, $sum, $given);
        $view = view('sums.show', ['sums' => Sums::all(), 'sum' => $sum, 'given' => $given, 'answer' => $answer, 'problem' => $problem, 'profile' => $this->workshop($request)->profile()]);

        return response($request->hasHeader('HX-Request') ? $view->fragment('answer') : $view->render(), $problem === null ? 200 : Problems::status($problem));
    }

    /** @return array{Answer|null, Problem|null} */
    private function answered(Request $request, Sum $sum, mixed $given): array
    {
        try {
            /** @var array<string, string> $given */
            $texts = array_filter($given, fn (string $text): bool => trim($text) !== '');

            return [$sum->work(Given::read($sum, $texts, $this->workshop($request)->profile()->unit())), null];
        } catch (Problem $problem) {
            return [null, $problem];
        }
    }

    /** @return array<string, string> what was asked, or the example */
    private function given(Request $request, Sum $sum): array
    {
        $given = [];
        foreach ($sum->inputs() as $input) {
            /** @var Input $input */
            $given[$input->key] = $request->has($input->key) ? $this->text($request, $input->key) : ($input->default === null || str_starts_with($input->default, '=') ? $input->example : $this->withUnit($input));
        }

        return $given;
    }

    private function withUnit(Input $input): string
    {
        return ($input->kind === 'length' || $input->kind === 'size') && is_numeric($input->default) ? $input->default.' mm' : (string) $input->default;
    }
}
