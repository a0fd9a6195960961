@use('App\View\Coins')
{{-- What is bought for the plan, as a list for a pocket. --}}
<x-layout title="To buy" here="Bench">
    <p class="mt-3 no-print"><a href="/plan">← The plan</a></p>
    <h1>To buy</h1>
    <p class="quiet">for {{ $desk->title() }} and all that is planned{{ $desk->toBuy->rows === [] ? '' : ', about '.$desk->toBuy->sum().' '.$desk->wanted->workshop->currency }}</p>
    @if ($desk->toBuy->rows === [])<p class="tell mt-3">Nothing: all that is planned is in stock.</p>@else
    @foreach (['wire' => 'Wire, in whole metres', 'bead' => 'Beads, with spares', 'finding' => 'Findings and what else there is'] as $kind => $title)
        @php($rows = array_filter($desk->toBuy->rows, fn (array $row): bool => $row['kind'] === $kind))
        @if ($rows !== [])
        <h2 class="mt-4">{{ $title }}</h2>
        <div class="scrolls"><table class="ledger stacks mt-1"><thead><tr><th scope="col">What</th>
            <th scope="col" class="!text-right">To buy</th><th scope="col" class="!text-right">Wanted</th>
            <th scope="col" class="!text-right">There</th>
            <th scope="col" class="!text-right">Left over</th>
            <th scope="col" class="!text-right">{{ $desk->wanted->workshop->currency }}</th></tr></thead><tbody>
        @foreach ($rows as $row)
            <tr><td>{{ ucfirst($row['words']) }}</td><td class="num"
                data-label="to buy"><strong>{{ $row['buy'] }}</strong></td>
                <td class="num" data-label="wanted">{{ $row['wanted'] }}</td>
                <td class="num" data-label="there">{{ $row['owned'] }}</td>
                <td class="num" data-label="left over">{{ $row['left'] }}</td>
                <td class="num"
                data-label="about">{{ $row['cents'] === null ? '–' : Coins::text($row['cents']) }}</td>
                </tr>
        @endforeach</tbody></table></div>
        @endif
    @endforeach
    <p class="bar mt-4 no-print"><button type="button" class="may" x-data="leaf" x-on:click="print">Print</button><a
        class="tool" href="/plan/to-buy.csv">As CSV</a>@if ($desk->cuttingUrl() !== '')<a class="tool"
        href="{{ $desk->cuttingUrl() }}">How it is cut</a>@endif</p>
    @endif
</x-layout>
