<x-layout title="Bench" here="Bench">
<div class="workday">
    @if ($hero === null)
    <section class="hero is-clear">
        <div class="hero-words"><h1>The bench is clear</h1>
            <p class="tell mt-2">{{ $onPaper->hung === [] ? 'A pattern is complete and computed from the first second, and everything in it can be changed.' : 'What is on paper below can be made, or another piece begun.' }}</p>
            <p class="bar mt-4"><a class="do big" href="/patterns">Start a piece</a></p></div>
    </section>
    @else
    {!! $hero !!}
    @endif
    <aside class="day">
        <section aria-labelledby="today-title"><p class="flex flex-wrap items-baseline gap-x-3"><span class="grow"><span id="today-title" class="day-title" role="heading" aria-level="2">Today</span> <span class="quiet small">{{ now()->format('l j F') }}</span></span><a class="small" href="/plan">The plan</a> <a class="small" href="/patterns">Start a piece</a></p>
            @if ($today === [])<p class="quiet mt-1">Nothing is under way.</p>@endif
            <ol class="hours">@foreach ($today as $row)<li @class(['is-now' => $row['isNow']])><a href="{{ $row['url'] }}"><span class="figure small">{{ $row['time'] }}</span><span class="hour-drawing">@if ($row['drawing'] !== null)@include('svg.hung-picture', ['hung' => $row['drawing']])@endif</span><span class="hour-words"><strong>{{ $row['name'] }}</strong><span class="small">{{ $row['does'] }}</span></span><span class="figure small">{{ $row['minutes'] }}</span></a></li>@endforeach</ol>
        </section>
        <section aria-labelledby="low-title"><p class="flex items-baseline gap-3"><span class="grow day-title" id="low-title" role="heading" aria-level="2">Running low</span><a class="small" href="/stock">Stock</a></p>
            @if ($low === [])<p class="quiet">Nothing: no wire is below {{ $profile->length($workshop->low_um / 1000) }}, no bead or finding below its mark.</p>@endif
            <ul class="lows">@foreach (array_slice($low, 0, 6) as $at => $one)<li>@if ($one['coil'] !== null)@include('svg.hung', ['coil' => $one['coil'], 'px' => 62])@elseif ($one['heap'] !== null)@include('svg.heap', ['heap' => $one['heap'], 'at' => 'low-'.$at])@else @include('svg.jar', ['jar' => $one['jar']])@endif<span>{{ ucfirst($one['words']) }}</span><strong class="figure">▲{{ $one['amount'] }}</strong></li>@endforeach</ul>
            @if (count($low) > 6)<p class="small"><a href="/stock">and {{ count($low) - 6 }} more</a></p>@endif
        </section>
    </aside>
    <div class="rails">
    @include('rail', ['title' => 'Finished', 'rail' => $finished, 'more' => '/box', 'moreWords' => 'The box', 'empty' => 'Closed makings hang here with what they took.'])
    @include('rail', ['title' => 'On paper', 'rail' => $onPaper, 'more' => '/pieces', 'empty' => 'No piece is being planned.'])
    </div>
</div>
</x-layout>
