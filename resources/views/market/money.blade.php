@use('App\View\Market\PlanDesk')
{{-- Money of a year, month by month and piece by piece. --}}
@if ($money->months !== [])
<section class="mt-4" aria-labelledby="money-title"><h2 id="money-title">Money
    <span class="quiet small font-normal">{{ $money->currency() }}: for pieces, and paid for wire</span></h2>
    <div class="scrolls" tabindex="0" role="group" aria-label="Money by month"><table class="ledger mt-1"><thead><tr>
        <th scope="col">Month</th><th scope="col">got, paid</th><th scope="col" class="!text-right">Sold</th>
        <th scope="col" class="!text-right">Got</th><th scope="col" class="!text-right">Paid</th></tr></thead><tbody>
    @foreach ($money->months as $month => $row)
        <tr><td class="whitespace-nowrap">{{ $month }}</td><td><svg class="money-bars" width="100%" height="18" aria-hidden="true">
            <rect class="money-in" width="{{ round(100 * $row['in'] / $money->mostCents(), 1) }}%" y="1" height="7"/>
            <rect class="money-out" width="{{ round(100 * $row['out'] / $money->mostCents(), 1) }}%" y="10"
            height="7"/></svg></td><td class="num">{{ $row['many'] }}</td>
            <td class="num">{{ $money->money($row['in']) }}</td><td class="num">{{ $money->money($row['out']) }}</td>
            </tr>
    @endforeach
        <tr><td><strong>All</strong></td><td></td><td
            class="num">{{ array_sum(array_column($money->months, 'many')) }}</td>
            <td class="num"><strong>{{ $money->money(array_sum(array_column($money->months, 'in'))) }}</strong></td>
            <td class="num"><strong>{{ $money->money(array_sum(array_column($money->months, 'out'))) }}</strong></td>
            </tr>
    </tbody></table></div>
</section>
@endif
@if ($money->pieces !== [])
<section class="mt-4" aria-labelledby="brought-title"><h2 id="brought-title">What each piece brought</h2>
    <table class="ledger stacks mt-1"><thead><tr><th scope="col">Piece</th>
        <th scope="col" class="!text-right">Made</th><th scope="col" class="!text-right">Sold</th>
        <th scope="col" class="!text-right">Got</th><th scope="col" class="!text-right">They cost</th>
        <th scope="col" class="!text-right">Over cost, an hour</th></tr></thead><tbody>
    @foreach ($money->pieces as $row)
        <tr><td>{{ $row['name'] }}</td><td class="num" data-label="made">{{ $row['made'] }}</td>
            <td class="num" data-label="sold">{{ $row['sold'] }}</td>
            <td class="num" data-label="got">{{ $money->money($row['in']) }}</td>
            <td class="num"
            data-label="they cost">{{ $row['cost'] === null || $row['sold'] === 0 ? '–' : $money->money($row['cost']) }}</td>
            <td class="num"
            data-label="over cost, an hour">{{ $row['minutes'] > 0 && $row['cost'] !== null ? $money->money((int) round(60 * ($row['in'] - $row['cost']) / $row['minutes'])) : '–' }}</td>
            </tr>
    @endforeach</tbody></table>
</section>
@endif
@if ($money->repairs['many'] > 0)<p class="mt-2">Repairs and changes:
    <span class="figure">{{ $money->repairs['many'] }}</span> done in
    <span class="figure">{{ PlanDesk::time((float) $money->repairs['minutes']) }}</span>, for
    <span class="figure">{{ $money->money($money->repairs['in']) }}</span>.</p>@endif
