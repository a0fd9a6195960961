<x-layout title="Bench" here="Bench">
<div class="workday">
    @if ($hero === null)
    <section class="hero is-clear">
        <div class="hero-words"><h1>The bench is clear</h1>
            <p class="tell mt-2">{{ $onPaper->hung === [] ? 'A pattern is complete and computed from the first second, and everything in it can be changed.' : 'What is on paper below can be made, or another piece begun.' }}</p>
            <p class="bar mt-4"><a class="do big" href="/patterns">Start a piece</a></p></div>
    </section>
    @else
    @php([$making, $step] = [$hero->desk, $hero->desk->step])
    <section class="hero" aria-labelledby="hero-title">
        <div class="hero-top">
            @include('svg.loupe', ['hero' => $hero])
            <div class="hero-title">
                <p class="quiet">{{ $hero->piece->name }}{{ $making->isDone() ? '' : ', '.lcfirst($making->whose()) }}</p>
                <h1 id="hero-title">{{ $making->isDone() ? 'All its steps are done' : $step->title }}</h1>
            </div>
            <div class="hero-words">
                @if (! $making->isDone() && $step->count > 0)<p class="hero-count"><strong class="figure">{{ $making->expected() }}</strong> {{ $step->counted }}</p>@if ($hero->counted() !== '')<p>{{ $hero->counted() }}</p>@endif @endif
                @if ($making->isDone())<p class="mt-2">Look it over, weigh what was left, and close it.</p>
                @elseif ($hero->making->isWaiting())<p class="mt-2"><strong>Rests until {{ $hero->making->waits_until->format($hero->making->waits_until->isToday() ? 'H:i' : 'j M, H:i') }}.</strong></p>
                @else<p class="quiet">@if ($making->cut() !== null){{ $making->cut()->wire->size->text() }}, {{ $making->cut()->wire->temper->words() }}<br>@endif{{ $step->tool }}</p>@endif
                <p class="mt-auto"><a class="do big" id="go-on" href="{{ $hero->url() }}">{{ $making->isDone() ? 'Look it over' : 'Go on' }}</a></p>
            </div>
        </div>
        <div class="hero-way">
            <p><strong>{{ $making->isDone() ? 'All '.$making->total.' steps' : 'Step '.($making->progress->count() + 1).' of '.$making->total }}</strong> <span class="quiet">{{ $making->isDone() ? '' : 'about '.$hero->minutesLeft().' left' }}</span></p>
            <svg class="way-wire metal-{{ $making->cut()?->wire->metal->value ?? 'sterling' }}" width="100%" height="22" role="img" aria-label="{{ $making->progress->count() }} of {{ $making->total }} steps done in {{ $hero->piece->name }}"><line class="way-rest" x1="0" x2="100%" y1="11" y2="11"/><rect class="strip-edge" y="7" width="{{ $hero->share() }}%" height="8"/><rect class="strip-body" y="8" width="{{ $hero->share() }}%" height="6"/><rect class="strip-shine" y="9" width="{{ $hero->share() }}%" height="2"/>@foreach ($hero->stretches() as $stretch)<line @class(['way-joint', 'is-done' => $stretch['isDone']]) x1="{{ $stretch['to'] }}%" x2="{{ $stretch['to'] }}%" y1="4" y2="18"/>@endforeach<circle class="way-here" cx="{{ $hero->share() }}%" cy="11" r="7"/></svg>
            <svg class="way-words" width="100%" height="20" aria-hidden="true">@foreach ($hero->stretches() as $stretch)<text x="{{ $stretch['from'] }}%" y="14" @class(['is-here' => $stretch['isHere'], 'is-short' => $stretch['to'] - $stretch['from'] < 9])>{{ $stretch['words'] }}{{ $stretch['isDone'] ? ' ✓' : '' }}</text>@endforeach</svg>
        </div>
    </section>
    @endif
    <aside class="day">
        <section aria-labelledby="today-title"><p class="flex items-baseline gap-3"><span class="grow"><span id="today-title" class="day-title" role="heading" aria-level="2">Today</span> <span class="quiet small">{{ now()->format('l j F') }}</span></span><a class="small" href="/plan">The plan</a> <a class="small" href="/patterns">Start a piece</a></p>
            @if ($today === [])<p class="quiet mt-1">Nothing is under way.</p>@endif
            <ol class="hours">@foreach ($today as $row)<li @class(['is-now' => $row['isNow']])><a href="{{ $row['url'] }}"><span class="figure small">{{ $row['time'] }}</span><span class="hour-drawing">@if ($row['drawing'] !== null)@include('svg.hung-picture', ['hung' => $row['drawing'], 'id' => 'today-piece-'.$loop->index])@endif</span><span class="hour-words"><strong>{{ $row['name'] }}</strong><span class="small">{{ $row['does'] }}</span></span><span class="figure small">{{ $row['minutes'] }}</span></a></li>@endforeach</ol>
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
