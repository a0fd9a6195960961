@php($grams = fn (int $mg): string => number_format($mg / 1000, 3).' g')
<x-layout :title="'Statement of '.$statement->year" here="Stock">
    <p class="bar mt-3 no-print" x-data="leaf"><a class="grow"
        href="/stock/months?year={{ $statement->year }}">← The year</a>
        <a class="tool" href="/stock/statement.csv?year={{ $statement->year }}">CSV</a><a class="tool"
        href="/stock/statement.json?year={{ $statement->year }}">JSON</a><button type="button" class="do"
        x-on:click="print">Print it</button></p>
    <article class="statement" aria-label="Statement of the year">
    <p class="paper-head"><span class="day-title">{{ $statement->workshop->name }}</span><span
        class="quiet">{{ $statement->time() }}</span></p>
    <h1>Statement of {{ $statement->year }}</h1>
    @if ($statement->metals === [] && $statement->money->months === [])<p
        class="quiet mt-2">Nothing was booked in it.</p>@endif
    @foreach ($statement->metals as $metal => $one)
    <section aria-labelledby="held-{{ $loop->index }}"><h2 id="held-{{ $loop->index }}">{{ ucfirst($metal) }}</h2>
        <table class="ledger stacks mt-1"><thead><tr><th scope="col">Held</th>
            <th scope="col" class="!text-right">at the beginning</th>
                <th scope="col" class="!text-right">at the end</th></tr></thead><tbody>
        @foreach ($one->held as $place => $mg)<tr><td>{{ ucfirst($place) }}</td>
            <td class="num" data-label="at the beginning">{{ $grams($mg['before']) }}</td>
            <td class="num" data-label="at the end">{{ $grams($mg['now']) }}</td></tr>@endforeach
        <tr><td><strong>In all</strong></td><td class="num"
            data-label="at the beginning"><strong>{{ $grams($one->beforeMg()) }}</strong></td>
            <td class="num" data-label="at the end"><strong>{{ $grams($one->nowMg()) }}</strong></td></tr></tbody>
                </table>
        <p class="statement-sum">{{ $grams($one->beforeMg()) }}@foreach ($one->came as $words => $mg) +
            <span>{{ $grams($mg) }} <span
            class="quiet">{{ $words }}</span></span>@endforeach @foreach ($one->went as $words => $mg) −
            <span>{{ $grams($mg) }} <span class="quiet">{{ $words }}</span></span>@endforeach =
            <strong>{{ $grams($one->nowMg()) }}</strong></p>
    </section>
    @endforeach
    @php([$money, $year] = [$statement->money, $statement->year])
    @include('market.money')
    </article>
</x-layout>
