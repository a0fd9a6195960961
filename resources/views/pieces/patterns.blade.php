<x-layout title="Patterns" here="Pieces">
    @if ($deleted)
        <form class="said flex flex-wrap items-center gap-3" method="post" action="/pieces/{{ $deleted->ulid }}/restore">@csrf <span>{{ $deleted->name }} is no longer a pattern.</span><button type="submit" class="word">Take it back</button></form>
    @endif
    <h1 class="mt-4">Start from a pattern</h1>
    <p class="mt-1 max-w-2xl">Choose the nearest: it opens complete and computed, and everything in it can be changed.</p>
    <form method="post" action="/pieces" class="mt-3">
        @csrf
        <div class="w-64"><x-field name="name" class="is-text" label="Name (may wait)" value="" :problem="null" placeholder="New piece" autocomplete="off" /></div>
        <nav class="bar small mt-3" aria-label="Families">@foreach ($families as $family => $cards)<a class="tool" href="#{{ Str::slug($family) }}">{{ $family }}</a>@endforeach</nav>
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
        <div class="families">
            @foreach ($families as $family => $cards)
                <section aria-labelledby="{{ Str::slug($family) }}">
                    <h2 class="mt-5" id="{{ Str::slug($family) }}">{{ $family }}</h2>
                    <div class="pins mt-2">
                        @foreach ($cards as $card)
                            <button type="submit" class="pin pattern" id="pattern-{{ $card->name }}" name="pattern" value="{{ $card->name }}">
                                <span class="card-paper">@include('svg.piece', ['drawing' => $card->drawing, 'small' => true, 'label' => ''])</span>
                                <strong>{{ $card->pattern->words }}</strong>
                            </button>
                        @endforeach
                    </div>
                </section>
            @endforeach
        </div>
    </form>
    @foreach ($own as $card)<form id="forget-{{ $card->piece->ulid }}" method="post" action="/pieces/{{ $card->piece->ulid }}">@csrf @method('delete')</form>@endforeach
</x-layout>
