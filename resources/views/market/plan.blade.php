@use('App\View\Coins')
@use('App\View\Market\PlanDesk')
@php($wanted = $desk->wanted)
@php($was = fn (string $key, string $is = ''): string => $problem !== null && is_string(request()->input($key)) ? mb_substr(request()->input($key), 0, 500) : $is)
<x-layout title="The plan" here="Bench">
<div class="market">
    <section class="market-plan" aria-labelledby="plan-title">
        <div class="market-head">
            <h1 id="plan-title">{{ $desk->title() }}</h1>
            @if ($wanted->occasions->isNotEmpty())
                <p class="quiet">{{ $desk->sum() }}</p>
                @if ($desk->short() !== '')<p class="market-short">▲ {{ $desk->short() }}</p>@endif
            @endif
        </div>
        @if ($wanted->occasions->isEmpty())
            <p class="tell mt-3">Say what you make for and by when: a market, an order, a gift. From your pieces and your own
                pace the days to it are planned, and what is to be bought first.</p>
        @else
            @include('market.days')
            @if ($desk->doubt() !== '')<p class="small quiet mt-1">{{ ucfirst($desk->doubt()) }}.</p>@endif
        @endif
        <x-refusals class="mt-2" :problem="$problem" />
        @if (($rail = $desk->rail())->hung !== [])
            @include('rail', ['title' => 'Made of what is wanted', 'rail' => $rail, 'more' => '', 'empty' => ''])
        @endif
        @include('market.occasions')
    </section>
    <aside class="day">
        <section aria-labelledby="now-title">
            <p class="flex items-baseline gap-3"><span class="grow"><span id="now-title" class="day-title"
                role="heading" aria-level="2">Today</span> <span
                class="quiet small">{{ PlanDesk::time($wanted->days->minutesOn(0)) }} at the bench</span></span><a
                class="small" href="/plan/fits">What fits?</a></p>
            @php([$today, $seen] = [$desk->today(), $desk->seen()])
            @if ($today === [])<p
                class="quiet mt-1">{{ $wanted->occasions->isEmpty() ? 'Nothing is planned.' : 'Nothing is planned for today.' }}</p>
                @endif
            <ol class="hours">@foreach ($today as $row)
                <li @class(['is-now' => $row->isNow()])><a href="{{ $row->url() }}"><span
                    class="figure small">{{ $row->isNow() ? 'now' : '' }}</span>
                    <span class="hour-drawing">@if (($hung = $row->hung($seen)) !== null)@include('svg.hung-picture')@endif</span>
                    <span class="hour-words"><strong>{{ $row->name() }}</strong><span
                        class="small">{{ $row->does() }}</span></span>
                    <span class="figure small">{{ $row->time() }}</span></a></li>
            @endforeach</ol>
        </section>
        @if (($ways = $desk->ways()) !== [])
        <section aria-labelledby="ways-title">
            <p id="ways-title" class="day-title" role="heading" aria-level="2">To be ready in time</p>
            <ul class="market-ways">@foreach ($ways as $way)
                <li><form method="post" action="{{ $way['action'] }}">@csrf @method($way['method'])
                    @foreach ($way['fields'] as $name => $value)<input type="hidden" name="{{ $name }}"
                        value="{{ $value }}">@endforeach
                    <button type="submit"><span>{{ $way['words'] }}</span><strong>{{ $way['then'] }}</strong></button></form>
                        </li>
            @endforeach</ul>
        </section>
        @endif
        @if ($wanted->occasions->isNotEmpty())
        <section aria-labelledby="buy-title">
            <p class="flex items-baseline gap-3"><span class="grow"><span id="buy-title" class="day-title"
                role="heading" aria-level="2">To buy</span> @if ($desk->toBuy->rows !== [])<span
                class="quiet small figure">{{ $desk->toBuy->sum() }}</span>@endif</span>@if ($desk->toBuy->rows !== [])<a
                class="small" href="/plan/to-buy">The list</a>@endif</p>
            @if ($desk->toBuy->rows === [])<p class="quiet mt-1">Nothing: all that is planned is in stock.</p>@endif
            <ul class="market-buy">@foreach (array_slice($desk->toBuy->rows, 0, 8) as $at => $row)
                <li>
                    <span class="market-drawn">@if ($row['coil'] !== null)@include('svg.hung', ['coil' => $row['coil'], 'px' => 52])@elseif ($row['heap'] !== null)@include('svg.heap', ['heap' => $row['heap'], 'at' => 'buy-'.$at])@endif</span>
                    <span class="grow">{{ ucfirst($row['words']) }}
                        <span class="small quiet">{{ $row['wanted'] }} wanted, {{ $row['owned'] }} there</span></span>
                    <strong class="figure">{{ $row['buy'] }}</strong>
                    <span class="figure small quiet market-price">{{ $row['cents'] === null ? '' : Coins::text($row['cents']) }}</span>
                </li>
            @endforeach</ul>
            @if (count($desk->toBuy->rows) > 8)<p class="mt-1"><a
                href="/plan/to-buy">and {{ count($desk->toBuy->rows) - 8 }} more</a></p>@endif
        </section>
        @endif
        <details class="market-hours" @if ($problem !== null && str_starts_with($problem->field(), 'week')) open @endif>
            <summary>Change your hours</summary>
            <form method="post" action="/plan/week" class="mt-2">@csrf @method('put')
                <div class="market-week">@foreach (['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'] as $at => $day)
                    <x-field :name="'week['.$at.']'" :label="$day" :id="'week-'.$at"
                        :value="$was('week.'.$at, $desk->typed($wanted->workshop->weekMinutes()[$at]))" :problem="$problem" :problem-for="'week.'.$at" autocomplete="off" />
                @endforeach</div>
                <p class="mt-2 bar"><button type="submit" class="may">Set the week</button>
                    <span class="small quiet">hours, such as 1.5 or 45 min</span></p>
            </form>
            <form method="post" action="/plan/day" class="mt-3 bar">@csrf @method('put')
                <x-field name="day" label="One day" type="date" id="one-day"
                    :value="$was('day', $wanted->today->addDay()->format('Y-m-d'))" :problem="$problem" />
                <x-field name="time" label="hours" id="one-time" class="!w-24" :value="$was('time')"
                    :problem="$problem" placeholder="2.5" autocomplete="off" />
                <button type="submit" class="may self-end">Set the day</button>
            </form>
        </details>
    </aside>
</div>
</x-layout>
