@php([$profile, $changes] = [$desk->profile, "/pieces/{$desk->piece->ulid}/changes"])
@php([$fit, $sheet] = [$desk->document->fit, $desk->fitSheet()])
<section class="rule-top mt-4" aria-labelledby="fit-title">
    <h2 id="fit-title">How it fits</h2>
    <form class="bar mt-1" method="post" action="{{ $changes }}" hx-post="{{ $changes }}" hx-trigger="change, submit">
        @csrf
        <input type="hidden" name="do" value="fit"><input type="hidden" name="was" value="{{ $fit->kind->value }}"><input type="hidden" name="role" value="{{ $open }}">
        @include('fragments.where', ['desk' => $desk, 'then' => []])
        @php($isWrong = $problem !== null && $problem->field() === 'fit')
        <label class="quiet small" for="fit-kind">for</label>
        <select class="in is-text !w-auto" id="fit-kind" name="kind">@foreach (\Hebra\Core\Piece\FitKind::cases() as $kind)<option value="{{ $kind->value }}" @selected($kind === $fit->kind)>{{ $kind->words() }}</option>@endforeach</select>
        <label class="quiet small" for="fit-size">{{ $fit->kind->asks() }}</label>
        <input class="in !w-32" id="fit-size" name="fit" value="{{ $isWrong && is_string(request('fit')) ? mb_substr(request('fit'), 0, 60) : $profile->size($fit->mm) }}" autocomplete="off" @if ($isWrong) aria-invalid="true" aria-describedby="problem-fit" @endif>
        <button type="submit" class="tool no-js">set</button>
    </form>
    @if ($problem)<x-problem for="fit" :problem="$problem" />@endif
    <ul class="mt-2">@foreach ($sheet->sentences as $sentence)<li class="py-0.5">{{ $sentence }}</li>@endforeach</ul>
    <details class="why"><summary>why?</summary>
        <div class="scrolls" tabindex="0" role="group" aria-label="The working"><table class="ledger small"><tbody>@foreach ($sheet->lines as $line)<tr><td>{{ $line->what }}</td><td>{{ $line->rule }}</td><td class="figure">{{ $line->numbers }}</td><td class="num">{{ number_format($line->result, 2) }} {{ $line->unit }}</td><td class="quiet">{{ $line->source }}</td></tr>@endforeach</tbody></table></div>
    </details>
</section>
