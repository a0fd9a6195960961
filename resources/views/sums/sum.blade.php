@php($sum = $desk->sum)
<section id="sum" class="mt-3">
<div class="sum">
    <h2 class="sum-question">{{ $sum->question }}</h2>
    <form method="get" action="/sums/{{ $sum->name }}" hx-get="/sums/{{ $sum->name }}" hx-target="#answer" hx-swap="outerHTML" hx-trigger="input changed delay:250ms, change, submit" class="sum-sentence">
        @php([$said, $other] = collect($sum->inputs)->partition(fn ($input): bool => $desk->isSaid($input)))
        @foreach ($said as $input)@include('sums.input', ['input' => $input])@endforeach
        @if ($other->isNotEmpty())<details class="sum-others" @if ($other->contains(fn ($input): bool => $desk->isAskedFor($input))) open @endif><summary>say more, or something else instead</summary>
            @foreach ($other as $input)@include('sums.input', ['input' => $input])@endforeach</details>@endif
        @if ($desk->missing !== [])<p class="quiet" id="unsaid">Not said, so taken for now: {{ $desk->unsaid() }}. Yours?</p>@endif
        <p class="no-js"><button type="submit" class="do" name="keep" value="1">Work it out</button></p>
    </form>
    @include('sums.answer')
</div>
    @php($questions = $desk->neighbours()->questions())
    @if ($questions !== [])<nav class="sum-beside" aria-label="Questions beside it">@foreach ($questions as $one)
        <a href="/sums/{{ $one->sum->name }}"><span class="sum-beside-drawn"
            aria-hidden="true">@include('sums.drawn', ['figure' => $one->figure, 'small' => true])</span>
            <span>{{ $one->sum->question }}</span></a>
    @endforeach</nav>@endif
    @include('sums.recent', ['recent' => $desk->recent()])
</section>
