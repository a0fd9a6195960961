@use('App\View\LowLine')
@use('App\View\Tape')
@use('Hebra\Core\Piece\FitKind')
@php([$profile, $changes] = [$desk->profile, "/pieces/{$desk->piece->ulid}/changes"])
@php([$fit, $sheet, $tape] = [$desk->document->fit, $desk->fitSheet(), Tape::of($desk)])
<section class="fit-line" aria-labelledby="fit-title">
    <h2 id="fit-title">How it fits</h2>
    <form class="bar" method="post" action="{{ $changes }}" hx-post="{{ $changes }}" hx-trigger="change, submit">
        @csrf
        <input type="hidden" name="do" value="fit"><input type="hidden" name="was" value="{{ $fit->kind->value }}"><input type="hidden" name="role" value="{{ $open }}">
        @include('fragments.where', ['desk' => $desk, 'then' => []])
        @php($isWrong = $problem !== null && $problem->field() === 'fit')
        <label class="quiet small" for="fit-kind">for</label>
        <select class="said" id="fit-kind" name="kind">@foreach (FitKind::cases() as $kind)<option value="{{ $kind->value }}" @selected($kind === $fit->kind)>{{ $kind->words() }}</option>@endforeach</select>
        <label class="quiet small" for="fit-size">{{ $fit->kind->asks() }}</label>
        <input class="in !w-24 !min-h-9 !py-0" id="fit-size" name="fit" value="{{ $isWrong && is_string(request('fit')) ? mb_substr(request('fit'), 0, 60) : $profile->size($fit->mm) }}" autocomplete="off" @if ($isWrong) aria-invalid="true" aria-describedby="problem-fit" @endif>
        <button type="submit" class="tool no-js">set</button>
    </form>
    @if ($problem)<x-problem for="fit" :problem="$problem" />@endif
    @if ($tape !== null)@include('stages.tape')
    @elseif ($fit->kind === FitKind::Ear)@include('svg.low', ['low' => new LowLine($desk->plan->hangsMm(), $fit->mm, $profile)])@endif
    <div class="fit-said">@foreach (array_slice($sheet->sentences, $tape === null ? 0 : 1) as $sentence)<p>{{ $sentence }} </p>@endforeach
    <details class="why small"><summary>why?</summary>
        <div class="scrolls" tabindex="0" role="group" aria-label="The working"><table class="ledger small"><tbody>@foreach ($sheet->lines as $line)<tr><td>{{ $line->what }}</td><td>{{ $line->rule }}</td><td class="figure">{{ $line->numbers }}</td><td class="num">{{ number_format($line->result, 2) }} {{ $line->unit }}</td><td class="quiet">{{ $line->source }}</td></tr>@endforeach</tbody></table></div>
    </details></div>
</section>
