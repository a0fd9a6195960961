@php([$figures, $grams, $money] = [\Hebra\Core\Quantity\Figures::class, fn (int $mg): string => number_format($mg / 1000, 2), fn (int $cents): string => \App\View\Coins::text($cents)])
<x-layout title="Insight" here="Hand">
    <x-hand-nav at="/insight" />
    <h1 class="mt-2">Insight</h1>
    <section class="mt-4" aria-labelledby="wasted"><h2 id="wasted">What went to waste, and why</h2>
        @if ($desk->waste === [])<p class="quiet">Nothing so far: close a making, and it is told here.</p>
        @else
            <p><span class="figure">{{ $grams(array_sum(array_column($desk->waste, 'mg'))) }} g</span> gone, <span class="figure">{{ $grams($desk->usedMg) }} g</span> in pieces.</p>
            <div class="plot" x-data="plot" data-plot="{{ json_encode($desk->wastePlot()) }}"><canvas role="img" aria-label="Bars of what went to waste by its reason; the same as the table below"></canvas></div>
            <table class="ledger mt-1"><thead><tr><th scope="col">Why</th><th scope="col" class="!text-right">g</th><th scope="col" class="!text-right">of all that was used</th></tr></thead><tbody>
            @foreach ($desk->waste as $row)<tr><td>{{ ucfirst($row['why']) }}</td><td class="num">{{ $grams($row['mg']) }}</td><td class="num">{{ $figures::trim(100 * $row['mg'] / max(1, $desk->usedMg + array_sum(array_column($desk->waste, 'mg'))), 1) }} %</td></tr>@endforeach
            </tbody></table>
        @endif
    </section>
    <section class="mt-6" aria-labelledby="errors"><h2 id="errors">How accurate your cuts are</h2>
        @if (count($desk->errors) < 2)<p class="quiet">Two logs with what was left over are needed.</p>
        @else
            <p class="quiet">How far each cut was from what the logs before it foretold, of what is formed in it.</p>
            <div class="plot" x-data="plot" data-plot="{{ json_encode($desk->errorPlot()) }}"><canvas role="img" aria-label="The error of each cut, oldest first; the same as the table below"></canvas></div>
            <details class="mt-1"><summary>The table</summary><div class="scrolls" tabindex="0" role="group" aria-label="Table"><table class="ledger small"><thead><tr><th scope="col">When</th><th scope="col">What</th><th scope="col" class="!text-right">off by</th><th scope="col" class="!text-right">left over</th></tr></thead><tbody>
            @foreach ($desk->errors as $row)<tr><td>{{ $row['day'] }}</td><td>{{ $row['piece'] }}, {{ mb_strtolower($row['label']) }}</td><td class="num">{{ $figures::trim(100 * $row['error'], 1) }} %</td><td class="num">{{ $figures::trim(100 * $row['over'], 1) }} %</td></tr>@endforeach
            </tbody></table></div></details>
        @endif
    </section>
    <section class="mt-6" aria-labelledby="pays"><h2 id="pays">Which pieces pay</h2>
        @if ($desk->pays === [])<p class="quiet">Note the minutes of a making, and it is told here.</p>
        @else
            <p class="quiet">At the price of its bill, less metal, beads and findings, over the minutes you noted.</p>
            <div class="plot" x-data="plot" data-plot="{{ json_encode($desk->payPlot()) }}"><canvas role="img" aria-label="What an hour brings, piece by piece; the same as the table below"></canvas></div>
            <div class="scrolls" tabindex="0" role="group" aria-label="Table"><table class="ledger mt-1"><thead><tr><th scope="col">Piece</th><th scope="col" class="!text-right">minutes each</th><th scope="col" class="!text-right">price each, {{ $desk->workshop->currency }}</th><th scope="col" class="!text-right">an hour brings</th><th scope="col" class="!text-right">metal in the piece</th></tr></thead><tbody>
            @foreach ($desk->pays as $row)<tr><td><a href="{{ $row['address'] }}">{{ $row['name'] }}</a></td><td class="num">{{ $row['minutes'] }}</td><td class="num">{{ $money($row['priceCents']) }}</td><td class="num">{{ $money($row['hourCents']) }}</td><td class="num">{{ $figures::trim(100 * $row['yield'], 0) }} %</td></tr>@endforeach
            </tbody></table></div>
        @endif
    </section>
</x-layout>
