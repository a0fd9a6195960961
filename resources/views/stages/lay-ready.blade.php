@use('Hebra\Core\Handwork\Caution')
@use('Hebra\Core\Quantity\Figures')
@php([$profile, $count] = [$desk->profile, $ready->count])
@php($state = fn (float $owned, float $needed): string => $owned >= $needed ? 'owned' : ($owned > 0 ? 'short' : 'to buy'))
<x-layout :title="'Lay ready: '.$desk->document->name" here="Pieces">
<div x-data="leaf" class="max-w-4xl">
    <p class="no-print mt-2"><a href="{{ $desk->url('lay-out') }}">← {{ $desk->document->name }}</a></p>
    <div class="flex flex-wrap items-end justify-between gap-4 mt-2">
        <div><h1>Lay ready: {{ $desk->document->name }}</h1><p class="quiet">for {{ $count === 1 ? 'one' : ($count === 2 ? 'a pair' : $count.' of them') }} · hangs {{ $profile->length($desk->plan->hangsMm()) }}</p></div>
        <div class="bar no-print">
            @foreach ([1 => 'one', 2 => 'a pair'] as $n => $words)<a class="tool" href="?for={{ $n }}" @if ($count === $n) aria-current="true" @endif>{{ $words }}</a>@endforeach
            <form class="bar" method="get"><label for="for" class="quiet small">or</label><input class="in !w-16" id="for" name="for" value="{{ $count }}" inputmode="numeric"><button type="submit" class="tool">show</button></form>
            <button type="button" class="do" x-on:click="print">Print</button>
        </div>
    </div>
    <x-problem for="for" :problem="$problem" />
    <h2 class="mt-5">Wire</h2>
    <div class="scrolls"><table class="ledger stacks"><thead><tr><th scope="col">Wire</th><th scope="col">Cuts</th><th scope="col" class="!text-right">each</th><th scope="col" class="!text-right">all {{ $count }}</th><th scope="col" class="!text-right">owned</th><th scope="col"><span class="sr-only">So far</span></th></tr></thead><tbody>
    @foreach ($ready->wires as $row)
        @php($owned = $desk->onHand->ownedMm($row['wire'], max(array_column($row['cuts'], 'lengthMm'))))
        <tr><td><strong>{{ $row['wire']->words() }}</strong></td>
            <td>@foreach ($row['cuts'] as $cut)<div>{{ $cut['label'] }}: <span class="figure">{{ $cut['all'] }} × {{ $profile->length($cut['lengthMm']) }}</span></div>@endforeach</td>
            <td class="num" data-label="each">{{ $profile->length($row['allMm'] / $count) }}</td><td class="num" data-label="all">{{ $profile->length($row['allMm']) }}</td><td class="num" data-label="owned">{{ $profile->length($owned) }}</td>
            <td>{{ $state($owned, $row['allMm']) }}@if ($owned > 0 && $owned < $row['allMm']) by {{ $profile->length($row['allMm'] - $owned) }}@endif</td></tr>
    @endforeach
    </tbody></table></div>
    <h2 class="mt-5">Beads</h2>
    <div class="scrolls"><table class="ledger stacks"><thead><tr><th scope="col">Bead</th><th scope="col" class="!text-right">each</th><th scope="col" class="!text-right">all {{ $count }}</th><th scope="col" class="!text-right">and spare</th><th scope="col" class="!text-right">owned</th><th scope="col"><span class="sr-only">So far</span></th></tr></thead><tbody>
    @foreach ($ready->beads as $row)
        @php($owned = $desk->onHand->ownedBeads($row->bead))
        <tr><td><span class="flex items-center gap-2">@include('svg.glyph', ['bead' => $row->bead, 'size' => 26]) {{ $row->bead->words() }} <span class="quiet small">{{ $row->bead->name !== '' ? $row->bead->sizeWords().', ' : '' }}{{ $row->bead->holeWord() }} {{ Figures::mm($row->bead->holeMm) }}</span></span></td>
            <td class="num" data-label="each">{{ $row->each }}</td><td class="num" data-label="all">{{ $row->all }}</td><td class="num" data-label="and spare">{{ $row->spares }}</td><td class="num" data-label="owned">{{ $owned }}</td>
            <td>{{ $state($owned, $row->all) }}@if ($owned > 0 && $owned < $row->all) by {{ $row->all - $owned }}@endif</td></tr>
    @endforeach
    </tbody></table></div>
    @if ($ready->findings !== [])
        <h2 class="mt-5">Findings</h2>
        <table class="ledger stacks"><thead><tr><th scope="col">Finding</th><th scope="col" class="!text-right">each</th><th scope="col" class="!text-right">all {{ $count }}</th><th scope="col" class="!text-right">owned</th><th scope="col"><span class="sr-only">So far</span></th></tr></thead><tbody>
        @foreach ($ready->findings as $row)
            @php($owned = $desk->onHand->owned($row))
            <tr><td>{{ $row->words }}</td><td class="num" data-label="each">{{ $row->each }}</td><td class="num" data-label="all">{{ $row->all }}</td><td class="num" data-label="owned">{{ $owned === null ? '–' : ($row->isByLength() ? $profile->length($owned) : (int) $owned) }}</td><td>{{ $owned === null ? 'not kept in stock' : $state($owned, $row->taken()) }}</td></tr>
        @endforeach
        </tbody></table>
    @endif
    <h2 class="mt-5">On the bench</h2>
    <dl class="bench-places">@foreach ($ready->places($profile->schools) as $place => $words)<div><dt class="quiet">{{ $place }}</dt>
        <dd>{{ $words }}.</dd></div>@endforeach</dl>
    <p class="caution mt-3">{{ Caution::CutEnds->words() }} {{ Caution::SmallParts->words() }} Hebra plans; local rules and trained practice decide.</p>
</div>
</x-layout>
