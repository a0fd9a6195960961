@use('App\Read\Period')
{{-- A year of one metal on a wire, month by month; two handles say of which months the lines below are. --}}
@php([$period, $asked] = [$months->period, fn (int $from, int $to): string => '/stock/book?'.http_build_query(['metal' => $flow->metal->value, 'year' => $months->period->year, 'from' => $from, 'to' => $to, 'words' => $words])])
<form class="book-months metal-{{ $flow->metal->value }} no-print" method="get" action="/stock/book"
    aria-label="Lines by month" hx-get="/stock/book" hx-trigger="change" hx-target="#main" hx-select="#main" hx-swap="outerHTML show:none" hx-push-url="true">
    <input type="hidden" name="metal" value="{{ $flow->metal->value }}">
        <input type="hidden" name="year" value="{{ $period->year }}">
        <input type="hidden" name="words" value="{{ $words }}">
    <ol>@foreach ($months->all() as $one)
        <li @class(['is-in' => $one['isIn'], 'is-first' => $one['month'] === $period->from, 'is-last' => $one['month'] === $period->to])><a
            href="{{ $asked($one['month'], $one['month']) }}">
            <svg width="100%" height="92" aria-hidden="true">
                @if ($one['coil'] > 0)<circle class="turn-edge" cx="24" cy="22" r="{{ $one['coil'] * 0.72 }}"
                stroke-width="{{ $one['coil'] * 0.56 }}"/><circle class="turn" cx="24" cy="22"
                r="{{ $one['coil'] * 0.72 }}" stroke-width="{{ $one['coil'] * 0.44 }}"/><text class="book-in" x="48"
                y="27">+{{ number_format($one['received'] / 1000, 1) }}</text>@endif
                <x-wire long="100%" :thick="5" :y="43" />
                @if ($one['high'] > 0)<x-wire :long="$one['high']" :thick="11" :x="18" :y="48" :is-upright="true" />
                    <text x="40" y="66">{{ number_format($one['pieces'] / 1000, 1) }}</text>@endif
                @if ($one['low'] > 0)<rect class="book-jar" x="30" y="48" width="6" height="{{ $one['low'] }}"/>
                    @endif</svg>
            <span>{{ substr($one['name'], 0, 3) }}@if ($one['month'] === 1)
                <small>{{ $period->year }}</small>@endif</span><span
                class="sr-only">came in {{ number_format($one['received'] / 1000, 2) }} g, into pieces {{ number_format($one['pieces'] / 1000, 2) }} g, to the jar {{ number_format($one['scrap'] / 1000, 2) }} g</span></a></li>
    @endforeach</ol>
    <div class="book-handles"><input type="range" name="from" min="1" max="12" value="{{ $period->from }}"
        aria-label="from month" aria-valuetext="{{ Period::monthName($period->from) }}"><input type="range"
        name="to" min="1" max="12" value="{{ $period->to }}" aria-label="to month" aria-valuetext="{{ Period::monthName($period->to) }}"></div>
    <button type="submit" class="tool no-js">show</button>
</form>
