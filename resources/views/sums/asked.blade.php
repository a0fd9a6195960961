@use('App\View\DrawnSum')
{{-- What stands under the line before a sum is known: the refusal, what was asked last, every question. --}}
<section id="sum" class="mt-3">
    @if ($problem)<p class="refusal" role="alert">{{ $problem->getMessage() }}</p>
        @if (trim($ask ?? '') !== '')<p><a href="/find?line={{ urlencode($ask) }}">Look for “{{ Str::limit($ask, 40) }}” in the workshop</a></p>@endif
    @endif
    @include('sums.recent', ['recent' => $recent])
    <div class="questions">
    @foreach (DrawnSum::groups() as $group => $sums)
        <section><h2>{{ $group }}</h2>
        <ul>@foreach ($sums as $one)
            <li><a href="/sums/{{ $one->sum->name }}" title="{{ $one->sum->question }}"><span class="question-drawn"
                aria-hidden="true">@include('sums.drawn', ['figure' => $one->figure, 'small' => true, 'fills' => $one->figure->isLong() ? 'xMinYMid' : ''])</span>
                <strong>{{ $one->sum->words() }}</strong><span class="sr-only">: {{ $one->sum->question }}</span></a></li>
        @endforeach</ul></section>
    @endforeach
    </div>
</section>
