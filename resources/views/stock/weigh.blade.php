<x-layout :title="'Weigh '.$lot->name" here="Stock">
    <p class="mt-3"><a href="/stock#lot-{{ $lot->ulid }}">← Stock</a></p>
    <h1>Weigh {{ $lot->name }}</h1>
    <p class="mt-1">{{ $lot->wireWords() }}. The book says <span class="figure">{{ number_format($lot->heldMg() / 1000, 2) }} g</span>{{ $lot->isPins() ? ', '.$lot->heldPins().' pins' : ', '.$profile->length($lot->heldMm()) }}.</p>
    <section class="leaf mt-3 max-w-xl" aria-label="Scale">
        @include('stock.scale', ['lot' => $lot, 'reading' => $reading])
        <x-problem for="scale" :problem="$problem" />
        <div class="bar mt-3">
            <form method="post" action="/lots/{{ $lot->ulid }}/scale/tare">@csrf<button type="submit" class="may" id="tare">Tare: take the bag off</button></form>
            <form method="post" action="/lots/{{ $lot->ulid }}/scale">@csrf @method('put')<button type="submit" class="do" id="take-reading">It holds what the scale shows</button></form>
            <a class="tool" href="/lots/{{ $lot->ulid }}/scale?now={{ time() }}">Read again</a>
        </div>
        <p class="quiet small mt-3">No scale is attached: this one is simulated, bag and all. Take the tare first, or the bag is weighed with the wire.</p>
    </section>
</x-layout>
