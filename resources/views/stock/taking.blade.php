@use('Hebra\Core\Quantity\Figures')
{{-- Stock is taken: wire weighed, beads counted; what is left empty stays as it is. --}}
@php($fields = fn (string $of): array => is_array(request($of)) ? request($of) : [])
@php($typed = fn (string $of, string $ulid): string => is_string($fields($of)[$ulid] ?? null) ? mb_substr($fields($of)[$ulid], 0, 20) : '')
<x-layout title="Stock-taking" here="Stock">
    <p class="mt-3"><a href="/stock">← Stock</a></p>
    <h1>Stock-taking</h1>
    <p class="tell">Weigh each coil, count each heap, and write down what you find: what is left empty stays as it is. What differs is booked as found, all at once.</p>
    @if ($underWay->isNotEmpty())<p class="mt-2"><strong
        class="market-short">▲</strong> {{ Figures::listed($underWay->all()) }} {{ $underWay->count() === 1 ? 'is' : 'are' }} under way: what is cut for {{ $underWay->count() === 1 ? 'it' : 'them' }} has left the coil, and not the book. Lay those cuts on the scale too.</p>
        @endif
    <x-problem for="taking" :problem="$problem" />
    <form method="post" action="/stock/taking">@csrf
        <table class="ledger stacks mt-3"><thead><tr><th scope="col">Wire</th>
            <th scope="col" class="!text-right">In the book, g</th><th scope="col">Weighs, g</th></tr></thead><tbody>
        @foreach ($lots as $lot)
            <tr><td>{{ $lot->name }} <span class="quiet small">{{ $lot->wireWords() }}</span></td>
                <td class="num" data-label="in the book">{{ number_format($lot->heldMg() / 1000, 2) }}</td>
                <td data-label="weighs"><input class="in !w-28" name="weight[{{ $lot->ulid }}]"
                value="{{ $typed('weight', $lot->ulid) }}" aria-label="{{ $lot->name }} weighs, grams"
                inputmode="decimal" autocomplete="off"><x-problem :for="'weight.'.$lot->ulid" :problem="$problem" /></td></tr>
        @endforeach</tbody></table>
        <table class="ledger stacks mt-4"><thead><tr><th scope="col">Beads</th>
            <th scope="col" class="!text-right">In the book</th><th scope="col">Counted</th></tr></thead><tbody>
        @foreach ($beads as $bead)
            <tr><td>{{ ucfirst($bead->core()->words()) }}</td>
                <td class="num" data-label="in the book">{{ $bead->owned }}</td><td data-label="counted">
                <input class="in !w-28" name="count[{{ $bead->ulid }}]"
                value="{{ $typed('count', $bead->ulid) }}" aria-label="{{ $bead->core()->words() }}, counted"
                inputmode="numeric" autocomplete="off"><x-problem :for="'count.'.$bead->ulid" :problem="$problem" /></td></tr>
        @endforeach</tbody></table>
        <p class="mt-4"><button type="submit" class="do">Book what differs</button></p>
    </form>
</x-layout>
