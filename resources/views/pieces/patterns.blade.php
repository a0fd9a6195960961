<x-layout title="Patterns" here="Pieces">
    <h1 class="mt-4">Start from a pattern</h1>
    <p class="mt-1 max-w-2xl">Choose the nearest: it opens complete and computed, and everything in it can be changed.</p>
    <form method="post" action="/pieces" class="mt-3">
        @csrf
        <div class="w-64"><x-field name="name" class="is-text" label="Name (may wait)" value="" :problem="null" placeholder="New piece" autocomplete="off" /></div>
        @foreach ($families as $family => $cards)
            <h2 class="mt-6">{{ $family }}</h2>
            <div class="pins mt-2">
                @foreach ($cards as $card)
                    <button type="submit" class="pin pattern" id="pattern-{{ $card->name }}" name="pattern" value="{{ $card->name }}">
                        <span class="card-paper">@include('svg.piece', ['drawing' => $card->drawing, 'small' => true, 'label' => ''])</span>
                        <strong>{{ $card->pattern->words }}</strong>
                    </button>
                @endforeach
            </div>
        @endforeach
    </form>
</x-layout>
