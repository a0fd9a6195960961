{{-- What stands under the line before a sum is known: the refusal, what was asked last, every question. --}}
<section id="sum" class="mt-3">
    @if ($problem)<p class="refusal" role="alert">{{ $problem->getMessage() }}</p>
        @if (trim($ask ?? '') !== '')<p><a href="/find?line={{ urlencode($ask) }}">Look for “{{ Str::limit($ask, 40) }}” in the workshop</a></p>@endif
    @endif
    @include('sums.recent', ['recent' => $recent])
    <div class="questions">
    @foreach (\App\View\SumDesk::groups() as $group => $sums)
        <section><h2>{{ $group }}</h2>
        <ul>@foreach ($sums as $one)<li><a href="/sums/{{ $one->name }}">{{ $one->question }}</a></li>@endforeach</ul></section>
    @endforeach
    </div>
</section>
