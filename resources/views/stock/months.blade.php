@use('Hebra\Core\Wire\Metal')
@php($grams = fn (int $mg): string => number_format($mg / 1000, 2))
<x-layout title="The year" here="Stock">
    <p class="mt-3"><a href="/stock/book">← The metal book</a></p>
    <h1>The year {{ $desk->year }}</h1>
    <p class="bar small mt-1"><a class="tool"
        href="/stock/months?year={{ (int) $desk->year - 1 }}">{{ (int) $desk->year - 1 }}</a>@if ((int) $desk->year < (int) now()->year)<a
        class="tool" href="/stock/months?year={{ (int) $desk->year + 1 }}">{{ (int) $desk->year + 1 }}</a>@endif<a
        class="tool" href="/stock/statement?year={{ $desk->year }}">Statement to print</a></p>
    @include('market.year')
    @if ($desk->months === [])@include('svg.bare-flow')<p class="quiet mt-4">Nothing was booked in {{ $desk->year }}.</p>@endif
    @foreach ($desk->metals() as $metal)
        <section class="mt-6" aria-labelledby="metal-{{ $metal }}">
            <h2 id="metal-{{ $metal }}">{{ ucfirst(Metal::from($metal)->words()) }}</h2>
            <div class="plot" x-data="plot" data-plot="{{ json_encode($desk->plot($metal)) }}"><canvas role="img"
                aria-label="Bars of what came in, went into pieces, was sold and went into the scrap jar, month by month; the same as the table below"></canvas></div>
            <div class="scrolls" tabindex="0" role="group" aria-label="Table"><table class="ledger mt-2"><thead><tr>
                <th scope="col">Month</th><th scope="col" class="!text-right">Came in, g</th>
                <th scope="col" class="!text-right">Into pieces, g</th>
                <th scope="col" class="!text-right">Sold or given, g</th>
                <th scope="col" class="!text-right">Scrap jar, g</th>
                <th scope="col" class="!text-right">Found or not booked, g</th></tr></thead><tbody>
                @foreach ($desk->months as $month => $metals)
                    @continue(! isset($metals[$metal]))
                    <tr><td>{{ $month }}</td><td class="num">{{ $grams($metals[$metal]['received']) }}</td>
                        <td class="num">{{ $grams($metals[$metal]['pieces']) }}</td>
                        <td class="num">{{ $grams($metals[$metal]['sold']) }}</td>
                        <td class="num">{{ $grams($metals[$metal]['scrap']) }}</td>
                        <td class="num">{{ $grams($metals[$metal]['found']) }}</td></tr>
                @endforeach
            </tbody></table></div>
        </section>
    @endforeach
    @if (($years = $desk->years()) !== [])
        <section class="mt-6" aria-labelledby="by-year"><h2 id="by-year">Year against year</h2>
            <div class="scrolls" tabindex="0" role="group" aria-label="Table"><table class="ledger mt-2"><thead><tr>
                <th scope="col">Year</th><th scope="col">Metal</th><th scope="col" class="!text-right">Came in, g</th>
                <th scope="col" class="!text-right">Into pieces, g</th>
                <th scope="col" class="!text-right">Sold or given, g</th>
                <th scope="col" class="!text-right">Scrap jar, g</th></tr></thead><tbody>
                @foreach ($years as $row)<tr><td>{{ $row['year'] }}</td><td>{{ $row['metal'] }}</td>
                    <td class="num">{{ $grams($row['received']) }}</td>
                    <td class="num">{{ $grams($row['pieces']) }}</td><td class="num">{{ $grams($row['sold']) }}</td>
                    <td class="num">{{ $grams($row['scrap']) }}</td></tr>@endforeach
            </tbody></table></div></section>
    @endif
    @if (($pieces = $desk->pieces()) !== [])
        <section class="mt-6" aria-labelledby="by-piece"><h2 id="by-piece">By piece</h2>
            <div class="scrolls" tabindex="0" role="group" aria-label="Table"><table class="ledger mt-2"><thead><tr>
                <th scope="col">Piece</th><th scope="col">Metal</th><th scope="col" class="!text-right">In it, g</th>
                </tr></thead><tbody>
                @foreach ($pieces as $row)<tr><td>{{ $row['name'] }}</td><td>{{ $row['metal'] }}</td>
                    <td class="num">{{ $grams($row['mg']) }}</td></tr>@endforeach
            </tbody></table></div></section>
    @endif
</x-layout>
