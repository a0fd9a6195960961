<x-layout title="Patterns" here="Pieces">
    @if ($deleted)
        <form class="said flex flex-wrap items-center gap-3" method="post" action="/pieces/{{ $deleted->ulid }}/restore">@csrf <span>{{ $deleted->name }} is no longer a pattern.</span><button type="submit" class="word">Take it back</button></form>
    @endif
    <h1 class="mt-4">Start from a pattern</h1>
    <p class="mt-1 max-w-2xl">Choose the nearest: it opens complete and computed, and everything in it can be changed.</p>
    <form class="bar mt-3" method="get" action="/patterns" hx-get="/patterns" hx-trigger="change, submit" hx-target="#gallery" hx-select="#gallery" hx-swap="outerHTML" hx-push-url="true" aria-label="Which patterns">
        <label class="sr-only" for="ask-words">What you look for</label>
        <input class="in is-text !w-56" type="search" id="ask-words" name="words" value="{{ $gallery->asks('words') }}" placeholder="hoop, chain, plum, 24 awg" autocomplete="off" maxlength="60" hx-get="/patterns" hx-include="closest form" hx-trigger="input changed delay:200ms, search" hx-target="#gallery" hx-select="#gallery" hx-swap="outerHTML" hx-push-url="true">
        <label class="quiet small" for="ask-family">show</label>
        <select class="in is-text !w-auto" id="ask-family" name="family"><option value="">every family</option>@foreach ($gallery::familiesInUse() as $value => $words)<option value="{{ $value }}" @selected($gallery->asks('family') === $value)>{{ $words }}</option>@endforeach</select>
        <label class="quiet small" for="ask-technique">with a</label>
        <select class="in is-text !w-auto" id="ask-technique" name="technique"><option value="">part of any kind</option>@foreach ($gallery::techniquesInUse() as $value => $words)<option value="{{ $value }}" @selected($gallery->asks('technique') === $value)>{{ $words }}</option>@endforeach</select>
        <label class="quiet small" for="ask-metal">in</label>
        <select class="in is-text !w-auto" id="ask-metal" name="metal"><option value="">any metal</option>@foreach ($gallery::metalsInUse() as $value => $words)<option value="{{ $value }}" @selected($gallery->asks('metal') === $value)>{{ $words }}</option>@endforeach</select>
        <label class="quiet small" for="ask-time">within</label>
        <select class="in is-text !w-auto" id="ask-time" name="time"><option value="">any time</option>@foreach ($gallery::TIMES as $value => $words)<option value="{{ $value }}" @selected($gallery->asks('time') === (string) $value)>{{ $words }}</option>@endforeach</select>
        <label class="flex items-center gap-2"><input type="checkbox" name="stock" value="1" @checked($gallery->asks('stock') !== '')> of gauges I have</label>
        <label class="flex items-center gap-2"><input type="checkbox" name="beads" value="1" @checked($gallery->asks('beads') !== '')> of beads I have</label>
        <button type="submit" class="tool no-js">show</button>
    </form>
    <form method="post" action="/pieces" class="mt-3">
        @csrf
        <div class="w-64"><x-field name="name" class="is-text" label="Name (may wait)" value="" :problem="null" placeholder="New piece" autocomplete="off" /></div>
        @if ($own !== [])
            <h2 class="mt-5">Your own</h2>
            <div class="pins mt-2">
                @foreach ($own as $card)
                    <div class="pin">
                        <button type="submit" class="pin pattern w-full" name="pattern" value="{{ $card->piece->ulid }}"><span class="card-paper">@include('svg.piece', ['drawing' => $card->drawing, 'small' => true, 'label' => ''])</span><strong>{{ $card->piece->name }}</strong></button>
                        <span class="bar mt-1 small"><a href="/pieces/{{ $card->piece->ulid }}/lay-out">change</a><button type="submit" class="word" form="forget-{{ $card->piece->ulid }}" aria-label="forget {{ $card->piece->name }}">forget</button></span>
                    </div>
                @endforeach
            </div>
        @endif
        <div class="families" id="gallery">
            <p class="quiet small mt-3" role="status">{{ $gallery->count === 0 ? 'No pattern answers that. Ask for less, or start from the nearest and change it.' : \Hebra\Core\Quantity\Figures::counted($gallery->count, 'pattern') }}</p>
            @foreach ($gallery->families as $family => $cards)
                <section aria-labelledby="{{ Str::slug($family) }}">
                    <h2 class="mt-5" id="{{ Str::slug($family) }}">{{ $family }}</h2>
                    <div class="pins mt-2">
                        @foreach ($cards as $card)
                            <button type="submit" class="pin pattern" id="pattern-{{ $card->name }}" name="pattern" value="{{ $card->name }}">
                                <span class="card-paper">@include('svg.piece', ['drawing' => $card->drawing, 'small' => true, 'label' => ''])</span>
                                <strong>{{ $card->pattern->words }}</strong>
                                <span class="quiet small">{{ $card->words() }}</span>
                            </button>
                        @endforeach
                    </div>
                </section>
            @endforeach
        </div>
    </form>
    @foreach ($own as $card)<form id="forget-{{ $card->piece->ulid }}" method="post" action="/pieces/{{ $card->piece->ulid }}">@csrf @method('delete')</form>@endforeach
</x-layout>
