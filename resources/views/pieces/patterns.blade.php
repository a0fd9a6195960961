@use('Hebra\Core\Quantity\Figures')
<x-layout title="Patterns" here="Pieces">
    @if ($deleted)
        <form class="said flex flex-wrap items-center gap-3" method="post" action="/pieces/{{ $deleted->ulid }}/restore">@csrf <span>{{ $deleted->name }} is no longer a pattern.</span><button type="submit" class="word">Take it back</button></form>
    @endif
<div @class(['patterns', 'has-open' => $opened !== null])>
    <form class="patterns-ask" method="get" action="/patterns" hx-get="/patterns" hx-trigger="change, submit" hx-target="#gallery" hx-select="#gallery" hx-swap="outerHTML" hx-push-url="true" aria-label="Which patterns">
        <h1>Patterns</h1>
        <p class="sentence">for <label class="sr-only" for="ask-family">for which place</label><select class="said" id="ask-family" name="family"><option value="">any place</option>@foreach ($gallery::familiesInUse() as $value => $words)<option value="{{ $value }}" @selected($gallery->asks('family') === $value)>{{ lcfirst($words) }}</option>@endforeach</select>,
        in <label class="sr-only" for="ask-metal">in which metal</label><select class="said" id="ask-metal" name="metal"><option value="">any metal</option>@foreach ($gallery::metalsInUse() as $value => $words)<option value="{{ $value }}" @selected($gallery->asks('metal') === $value)>{{ $words }}</option>@endforeach</select>,
        within <label class="sr-only" for="ask-time">within which time</label><select class="said" id="ask-time" name="time"><option value="">any time</option>@foreach ($gallery::TIMES as $value => $words)<option value="{{ $value }}" @selected($gallery->asks('time') === (string) $value)>{{ $words }}</option>@endforeach</select>,
        from <label class="sr-only" for="ask-from">from what</label><select class="said" id="ask-from" name="from"><option value="">anything</option>@foreach ($gallery::FROM as $value => $words)<option value="{{ $value }}" @selected($gallery->asks('from') === $value)>{{ $words }}</option>@endforeach</select>,
        with <label class="sr-only" for="ask-technique">with which part</label><select class="said" id="ask-technique" name="technique"><option value="">any part</option>@foreach ($gallery::techniquesInUse() as $value => $words)<option value="{{ $value }}" @selected($gallery->asks('technique') === $value)>{{ $words }}</option>@endforeach</select></p>
        <p><label class="sr-only" for="ask-words">What you look for</label>
        <input class="in is-text" type="search" id="ask-words" name="words" value="{{ $gallery->asks('words') }}" placeholder="hoop, chain, plum, 24 awg" autocomplete="off" maxlength="60" hx-get="/patterns" hx-include="closest form" hx-trigger="input changed delay:200ms, search" hx-target="#gallery" hx-select="#gallery" hx-swap="outerHTML" hx-push-url="true">
        <button type="submit" class="tool no-js">show</button></p>
    </form>
    <div id="gallery" class="gallery">
        <ul class="techniques" aria-label="Made how">@foreach ($gallery::SHOWN as $technique => [$words, $shows])
            <li><a href="{{ $gallery->address('technique', $gallery->asks('technique') === $technique ? '' : $technique) }}" @if ($gallery->asks('technique') === $technique) aria-current="true" @endif><img src="/patterns/{{ $shows }}.svg" alt="" loading="lazy" decoding="async">{{ $words }}</a></li>@endforeach
        </ul>
        @if ($own !== [])
        <section class="shelf-row" aria-labelledby="your-own"><h2 id="your-own">Your own</h2>
            <ul class="places">@foreach ($own as $card)
                <li class="place"><form method="post" action="/pieces">@csrf<input type="hidden" name="name" value=""><button type="submit" class="pattern" name="pattern" value="{{ $card->piece->ulid }}"><span class="place-piece">@include('svg.hung-picture', ['hung' => $card->seen->hung([150.0, 190.0, 2.0])])</span><strong>{{ $card->piece->name }}</strong></button></form>
                    <span class="bar small justify-center"><a href="/pieces/{{ $card->piece->ulid }}/lay-out">change</a><form method="post" action="/pieces/{{ $card->piece->ulid }}">@csrf @method('delete')<button type="submit" class="word" aria-label="forget {{ $card->piece->name }}">forget</button></form></span></li>
            @endforeach</ul></section>
        @endif
        <p class="quiet small" role="status">{{ $gallery->count === 0 ? 'No pattern answers that. Ask for less, or start from the nearest and change it.' : Figures::counted($gallery->count, 'pattern').', each complete and computed: everything in it can be changed' }}</p>
        @foreach ($gallery->families as $family => $cards)
        <section class="shelf-row" aria-labelledby="{{ Str::slug($family) }}"><h2 id="{{ Str::slug($family) }}">{{ $family }}</h2>
            <ul class="places">@foreach ($cards as $card)
                @php([$wide, $high] = $gallery::shown($card, $cards))
                <li class="place"><a class="pattern" id="pattern-{{ $card->name }}" href="{{ $gallery->address('open', $card->name) }}#opened" title="{{ $card->pattern->words }}" hx-get="{{ $gallery->address('open', $card->name) }}" hx-target="#opened" hx-select="#opened" hx-swap="outerHTML show:none" hx-push-url="true" @if ($opened?->card->name === $card->name) aria-current="true" @endif><span class="place-piece"><img src="{{ $card->picture() }}" width="{{ $wide }}" height="{{ $high }}" alt="" loading="lazy" decoding="async"></span><strong>{{ $card->title() }}</strong><span class="small quiet"><span class="figure">{{ $gallery->time($card) }}</span><br>@foreach ($card->wires as $wire)<span @class(['figure', 'is-lacking' => ! $gallery->isHeld($wire)])>{{ $gallery->isHeld($wire) ? '' : '▲' }}{{ str_replace([' AWG', ' SWG'], '', $wire->size->text()) }}</span> @endforeach</span></a></li>
            @endforeach</ul>
        </section>
        @endforeach
        @if ($gallery->hasLacking())<p class="small quiet">▲ a gauge that is not in your stock</p>@endif
    </div>
    <div id="opened" class="opened-place">@if ($opened !== null)@include('pieces.pattern-opened')@endif</div>
</div>
</x-layout>
