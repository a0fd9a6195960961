{{-- The making at hand: kept as it is rendered here until it goes on. --}}
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
        <svg class="way-wire metal-{{ $making->cut()?->wire->metal->value ?? 'sterling' }}" width="100%" height="22" role="img" aria-label="{{ $making->progress->count() }} of {{ $making->total }} steps done in {{ $hero->piece->name }}"><line class="way-rest" x1="0" x2="100%" y1="11" y2="11"/><x-wire :long="$hero->share().'%'" :thick="8" :y="7" />@foreach ($hero->stretches() as $stretch)<line @class(['way-joint', 'is-done' => $stretch['isDone']]) x1="{{ $stretch['to'] }}%" x2="{{ $stretch['to'] }}%" y1="4" y2="18"/>@endforeach<circle class="way-here" cx="{{ $hero->share() }}%" cy="11" r="7"/></svg>
        <svg class="way-words" width="100%" height="20" aria-hidden="true">@foreach ($hero->stretches() as $stretch)<text x="{{ $stretch['from'] }}%" y="14" @class(['is-here' => $stretch['isHere'], 'is-short' => $stretch['to'] - $stretch['from'] < 9])>{{ $stretch['words'] }}{{ $stretch['isDone'] ? ' ✓' : '' }}</text>@endforeach</svg>
    </div>
</section>
