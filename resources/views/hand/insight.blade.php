@use('App\View\Coins')
@use('Hebra\Core\Quantity\Figures')
@php([$figures, $grams, $money] = [Figures::class, fn (int $mg): string => number_format($mg / 1000, 2), fn (int $cents): string => Coins::text($cents)])
<x-layout title="Insight" here="Hand">
    <x-hand-nav at="/insight" />
    <section class="mt-4" aria-labelledby="wasted"><h2 id="wasted">What went to waste, and why</h2>
        @if ($desk->waste === [])@include('svg.bare-wire')<p class="quiet">Nothing so far: close a making, and it is told here.</p>
        @else
            <p><span class="figure">{{ $grams($desk->wastedMg()) }} g</span> gone, <span class="figure">{{ $grams($desk->usedMg) }} g</span> in pieces.</p>
            <svg class="waste-wire metal-sterling" width="100%" height="118" role="img"
                aria-label="Of all metal used {{ $figures::trim($desk->usedShare(), 1) }} % is in pieces; the rest by its reason, as in the table below">
                <x-wire :long="$desk->usedShare().'%'" :thick="14" :y="9" />
                <rect class="waste-gone" x="{{ $desk->usedShare() }}%" width="{{ 100 - $desk->usedShare() }}%" y="9.5" height="13"/>
                <line class="waste-lens" x1="{{ $desk->usedShare() }}%" y1="25" y2="58"/>
                <line class="waste-lens" x1="100%" x2="100%" y1="25" y2="58"/>
                @foreach ($desk->wasteWire() as $stretch)<rect class="waste-gone" x="{{ $stretch['from'] }}%"
                    width="{{ $stretch['to'] - $stretch['from'] }}%" y="60" height="20"/><line class="waste-end"
                    x1="{{ $stretch['to'] }}%" x2="{{ $stretch['to'] }}%" y1="56" y2="84"/>@if ($stretch['to'] - $stretch['from'] > 16)<text
                    x="{{ $stretch['from'] }}%" dx="2" y="102">{{ $stretch['words'] }}</text>@endif
                @endforeach
            </svg>
            <table class="ledger mt-1"><thead><tr><th scope="col">Why</th><th scope="col" class="!text-right">g</th><th scope="col" class="!text-right">of all that was used</th></tr></thead><tbody>
            @foreach ($desk->waste as $row)<tr><td>{{ ucfirst($row['why']) }}</td><td class="num">{{ $grams($row['mg']) }}</td><td class="num">{{ $figures::trim(100 * $row['mg'] / max(1, $desk->usedMg + $desk->wastedMg()), 1) }} %</td></tr>@endforeach
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
        <p class="quiet">At the price of its bill, less metal, beads and findings, over the minutes you noted.</p>
        @if (! $isPriced)<p><a id="price-all" href="/insight?pays=1#pays" hx-get="/insight?pays=1" hx-trigger="load, click"
            hx-target="closest section" hx-select="[aria-labelledby=pays]" hx-swap="outerHTML"
            hx-indicator="#pricing">Price every piece that was made</a> <span id="pricing"
            class="htmx-indicator quiet">pricing …</span></p>
        @elseif (($pays = $desk->paying()) === [])<p class="quiet">Note the minutes of a making, and it is told here.</p>
        @else
            @php($most = (int) ceil(max(array_map(fn ($one) => $one->hourCents, $pays)) / 500) * 500)
            <div class="fits-ruler" aria-hidden="true"><span></span><x-marks :marks="array_map(fn (int $x): array => [$x, $money((int) round($most * $x / 100))], [0, 25, 50, 75])" /><span class="small quiet">{{ $desk->workshop->currency }} an hour</span></div>
            <ol class="fits">@foreach ($pays as $one)<li>
                <span><a href="/pieces/{{ $one->piece->ulid }}/bill"><strong>{{ $one->piece->name }}</strong></a><span
                    class="small quiet">{{ $one->minutes }} min and {{ $money($one->priceCents) }} {{ $desk->workshop->currency }} each, {{ $figures::trim(100 * $one->yield, 0) }} % of its metal in it</span></span>
                <svg class="fits-line" width="100%" height="68" role="img"
                    aria-label="an hour brings {{ $money($one->hourCents) }} {{ $desk->workshop->currency }}">@foreach ([25, 50, 75, 100] as $x)<line
                    class="day-mark" x1="{{ $x }}%" x2="{{ $x }}%" y1="0" y2="68"/>@endforeach<line class="fits-rail" x2="100%" y1="2"
                    y2="2"/><svg x="{{ $one->share($most) }}%" y="4" overflow="visible"><image href="{{ $one->hung->address }}"
                    x="{{ round(-$one->hung->width * $one->share($most) / 100, 1) }}" width="{{ $one->hung->width }}"
                    height="{{ $one->hung->height }}"/></svg></svg>
                <span class="figure"><span class="sr-only">an hour brings </span>{{ $money($one->hourCents) }}</span></li>
            @endforeach</ol>
        @endif
    </section>
</x-layout>
