@use('App\View\Market\PlanDesk')
<x-layout title="What fits" here="Bench">
    <p class="mt-3 no-print"><a href="/plan">← The plan</a></p>
    <h1>What fits in {{ PlanDesk::time((float) $desk->minutes) }}</h1>
    <form class="bar mt-1" method="get" action="/plan/fits" aria-label="Which day">
        <x-field name="day" label="On" type="date" id="fits-day" :value="$desk->date->format('Y-m-d')"
            :problem="$problem" />
        <x-field name="time" label="for, hours" id="fits-time" class="!w-28" :value="$time" :problem="$problem"
            :placeholder="PlanDesk::time((float) $desk->minutes)" autocomplete="off" />
        <button type="submit" class="may self-end">Look</button>
    </form>
    @if ($desk->fits === [])<p
        class="tell mt-3">Nothing of yours is made in that time. A longer day, or a smaller piece.</p>@else
    <p class="quiet mt-1">Each piece where it is done, at your pace; pale is what the stock does not reach for. What brings most goes first, by the {{ $desk->listName() }} list.</p>
    <div class="fits-ruler" aria-hidden="true"><span></span><x-marks :marks="$desk->hours()" /><span></span></div>
    <ol class="fits">@foreach ($desk->fits as $fit)
        <li>
            <span><a href="/pieces/{{ $fit['piece']->ulid }}/make"><strong>{{ $fit['piece']->name }}</strong></a>
                <span class="small quiet">{{ $desk->words($fit) }}</span></span>
            <svg class="fits-line" width="100%" height="68" role="img" aria-label="{{ $fit['many'] }} fit">
                <defs><g id="{{ $fit['key'] }}-one">
                    <image href="{{ $fit['hung']->address }}" width="{{ $fit['hung']->width }}"
                    height="{{ $fit['hung']->height }}"/></g></defs>
                @foreach ($desk->hours() as [$x])<line class="day-mark" x1="{{ $x }}%" x2="{{ $x }}%" y1="0" y2="68"/>
                    @endforeach
                <line class="fits-rail" x2="100%" y1="2" y2="2"/>
                @foreach ($fit['at'] as $at => $x)<svg x="{{ $x }}%" y="4" overflow="visible"
                    @class(['is-short' => $at >= $fit['stock']])><use href="#{{ $fit['key'] }}-one"
                    x="{{ -$fit['hung']->width }}"/></svg>@endforeach
            </svg>
            <span class="figure">{{ $desk->money($fit) }}</span>
        </li>
    @endforeach</ol>
    @endif
</x-layout>
