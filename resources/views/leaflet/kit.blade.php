@use('App\View\Coins')
<x-layout :title="'Kits of '.$kit->plan->piece->name" here="Pieces">
    <div class="bar mt-3 no-print" x-data="leaf"><a class="grow"
        href="/pieces/{{ $kit->piece->ulid }}/leaflet?for={{ $kit->people }}">← The leaflet</a>
        <form class="bar" method="get" aria-label="For whom">
            <label for="for" class="quiet small">so many people</label><input
            class="in !w-16" id="for" name="for" value="{{ $kit->people }}" inputmode="numeric" autocomplete="off"><label
            for="more" class="quiet small">more wire for their hands, %</label><input class="in !w-16" id="more"
                name="more"
            value="{{ $kit->percent }}" inputmode="numeric" autocomplete="off"><button type="submit"
                class="tool">show</button></form>
        <button type="button" class="do" x-on:click="print">Print</button></div>
    <x-problem for="for" :problem="$problem" /><x-problem for="more" :problem="$problem" />
    <h1>{{ $kit->plan->piece->name }}: {{ $kit->people === 1 ? 'a kit' : $kit->people.' kits' }}</h1>
    <p class="quiet">A kit costs you <strong
        class="figure">{{ Coins::text($kit->costCents()) }}</strong> and is asked for
        <strong class="figure stays">{{ Coins::amount($kit->askedCents()) }}</strong> by the {{ $kit->list()->name }} list, without an hour of yours{{ $kit->unpriced() > 0 ? "; {$kit->unpriced()} things in it have no price" : '' }}.</p>
    <ul class="kits">@for ($bag = 1; $bag <= $kit->people; $bag++)<li class="kit">
        <p class="paper-head"><strong>{{ $kit->plan->piece->name }}</strong><span
        class="figure quiet">{{ $bag }} of {{ $kit->people }}</span></p>
        <ul>@foreach ($kit->bag() as $row)<li><span class="figure">{{ $row['many'] }}</span> {{ $row['words'] }}</li>
            @endforeach</ul></li>@endfor</ul>
    @php($rows = $kit->toBuy()->rows)
    <section class="mt-4"><h2>To buy for all of them</h2>
        @if ($rows === [])<p class="quiet">Nothing: all of it is in stock.</p>@else
        <table class="ledger stacks mt-1"><thead><tr><th scope="col">What</th>
            <th scope="col" class="!text-right">To buy</th>
            <th scope="col" class="!text-right">Wanted</th><th scope="col" class="!text-right">There</th></tr></thead>
                <tbody>
        @foreach ($rows as $row)<tr><td>{{ ucfirst($row['words']) }}</td>
            <td class="num" data-label="to buy"><strong>{{ $row['buy'] }}</strong></td>
            <td class="num" data-label="wanted">{{ $row['wanted'] }}</td>
                <td class="num" data-label="there">{{ $row['owned'] }}</td></tr>@endforeach</tbody></table>@endif
    </section>
    <section class="mt-4"><h2>On the table, at each place</h2>
        <p>{{ ucfirst(implode(', ', $kit->plan->tools())) }}; a bag, a leaflet, glasses, a cup for clippings.</p></section>
</x-layout>
