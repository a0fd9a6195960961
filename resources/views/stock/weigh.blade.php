<x-layout :title="'Weigh '.$lot->name" here="Stock">
    <p class="mt-3"><a href="/stock#lot-{{ $lot->ulid }}">← Stock</a></p>
    <h1>Weigh {{ $lot->name }}</h1>
    <p class="mt-1">{{ $lot->wireWords() }}. The book says
        <span class="figure">{{ number_format($lot->heldMg() / 1000, 2) }} g</span>{{ $lot->isPins() ? ', '.$lot->heldPins().' pins' : ', '.$profile->length($lot->heldMm()) }}.</p>
    <section class="leaf mt-3 max-w-xl" aria-label="Scale" x-data="cable">
        @include('stock.scale', ['lot' => $lot, 'reading' => $reading])
        <x-problem for="scale" :problem="$problem" />
        <div class="bar mt-3">
            @if ($onCable)<button type="button" class="may" id="connect" x-on:click="connect"
                x-show="isOff">Connect the scale</button>
            @else<form method="post" action="/lots/{{ $lot->ulid }}/scale/tare">
                @csrf<button type="submit" class="may" id="tare">Tare: take the bag off</button></form>@endif
            <form method="post" action="/lots/{{ $lot->ulid }}/scale">
                @csrf @method('put')<input type="hidden" id="scale-line" name="line" value="" x-ref="line"><button
                type="submit" class="do" id="take-reading">It holds what the scale shows</button></form>
            @unless ($onCable)<a class="tool"
                href="/lots/{{ $lot->ulid }}/scale?now={{ time() }}">Read again</a>@endunless
        </div>
        <p class="problem" role="alert" x-show="said" x-text="said" x-cloak></p>
        @if ($onCable)<p
            class="quiet small mt-3">The scale of this bench is on its cable. Take the tare on the scale itself.</p>
        @else<p class="quiet small mt-3">No scale is attached: this one is simulated, bag and all. Take the tare first, or the bag is weighed with the wire. One on a cable is switched on under
            <a href="/account">Account</a>.</p>@endif
    </section>
</x-layout>
