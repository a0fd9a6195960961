@php([$profile, $strips] = [$desk->profile, $desk->strips()])
@php($figures = \Hebra\Core\Quantity\Figures::class)
<div class="flex flex-wrap items-baseline justify-between gap-x-6">
    <h2>{{ $figures::counted(array_sum(array_map(fn ($cut) => $cut->count, $desk->plan->cuts)), 'cut') }} of {{ $figures::counted(count($desk->plan->metal), 'wire') }}</h2>
    <p class="quiet small">@if ($strips) drawn {{ $strips[0]->ratio }} : 1 · @endif rounded up to {{ $profile->ruler->value }}</p>
</div>
@forelse ($strips as $strip)
    @php($cut = $strip->cut)
    <section class="cut-row" aria-labelledby="cut-{{ $cut->key() }}">
        <h3 id="cut-{{ $cut->key() }}">{{ $cut->label }} <span class="quiet small font-normal">{{ $cut->isBoughtPin() ? 'bought '.$cut->pinKind->words().', ' : '' }}{{ $cut->wire->words() }} · {{ $cut->isBoughtPin() ? 'take' : 'cut' }} {{ $cut->count }}{{ $strip->ratio !== $strips[0]->ratio ? ' · drawn '.$strip->ratio.' : 1' : '' }}</span></h3>
        <div class="cut-length">
            <strong>{{ $profile->ruler->figure($strip->cutMm()) }}<span class="text-base font-normal"> {{ $profile->unit()->value }}</span></strong>
            <span class="quiet small figure">{{ $profile->ruler->isMetric() ? \Hebra\Core\Quantity\Ruler::SixteenthInch->text($strip->cutMm()) : \Hebra\Core\Quantity\Ruler::HalfMillimetre->text($strip->cutMm()) }}</span>
        </div>
        <div class="strip-room" tabindex="0" role="group" aria-label="Strip of {{ $cut->label }}">@include('svg.strip', ['strip' => $strip])</div>
        @if ($cut->advice !== null)<p class="cut-hand quiet small">{{ ucfirst($cut->advice->words()) }}; the sum alone is {{ $profile->length($profile->ruler->upMm($cut->advice->plainMm)) }}.</p>@endif
        <details class="why">
            <summary>why {{ $profile->ruler->figure($strip->cutMm()) }}?</summary>
            <div class="scrolls">
            <table class="ledger small">
                <thead><tr><th scope="col">Stretch</th><th scope="col">Rule</th><th scope="col">In numbers</th><th scope="col" class="!text-right">mm</th><th scope="col">Source</th></tr></thead>
                <tbody>
                @foreach ($cut->segments as $segment)
                    <tr><td><button type="button" class="stretch-name" data-mark="{{ $segment->mark }}">{{ $segment->words }}</button></td><td>{{ $segment->working->rule }}</td><td class="figure">{{ $segment->working->numbers }}</td><td class="num">{{ number_format($segment->lengthMm, 2) }}</td><td class="quiet">{{ $segment->working->source }}</td></tr>
                @endforeach
                <tr><td><strong>{{ $cut->isBoughtPin() ? 'the pin' : 'the cut' }}</strong></td><td>sum of the stretches</td><td></td><td class="num"><strong>{{ number_format($cut->lengthMm(), 2) }}</strong></td><td class="quiet">{{ $cut->isBoughtPin() ? 'your setting' : 'rounded up to your ruler, '.$profile->ruler->value }}</td></tr>
                </tbody>
            </table>
            </div>
            <p class="small quiet mt-1">Bends from the left end: @foreach ($strip->bends as $bend)<span class="figure">{{ $bend['text'] }}</span> {{ $bend['words'] }}@if (! $loop->last), @endif @endforeach. D is the loop’s inside, d the wire, s what it wraps round, N the wraps.</p>
        </details>
    </section>
@empty
    <p class="mt-4">Nothing to cut yet: <a href="{{ $desk->url('lay-out') }}">lay the piece out</a>.</p>
@endforelse
@if ($strips && $desk->isLearned())
<form class="bar small mt-2" method="post" action="/hand/learned">@csrf @method('put')<span class="quiet">{{ $desk->workshop->hand_on ? 'Cuts follow your hand, as far as it is learned.' : 'Cuts follow the plain sums.' }}</span> <button type="submit" class="word" name="do" value="{{ $desk->workshop->hand_on ? 'off' : 'on' }}">{{ $desk->workshop->hand_on ? 'plain sums' : 'follow my hand' }}</button> <a href="/hand/learned">What was learned</a></form>
@endif
@if ($strips)
<div class="grid gap-x-8 gap-y-3 mt-3 md:grid-cols-[minmax(0,1fr)_auto]">
    <div>@include('stages.checks', ['checks' => [...$desk->pinChoice(), ...array_slice($desk->plan->checks, 0, 6)]])</div>
    <div class="flex flex-col gap-2 items-stretch">
        <a class="may justify-center" href="/cutting?pieces[]={{ $desk->piece->ulid }}">Which coil for which cut</a>
        <a class="may justify-center" href="/pieces/{{ $desk->piece->ulid }}/bill">What it costs</a>
        <a class="may justify-center" href="/pieces/{{ $desk->piece->ulid }}/strips">Print strips 1 : 1</a>
        <span class="small text-center">cut sheet (PDF, 1 : 1): <a href="/pieces/{{ $desk->piece->ulid }}/cut-sheet.pdf?paper=a4">A4</a> · <a href="/pieces/{{ $desk->piece->ulid }}/cut-sheet.pdf?paper=letter">Letter</a></span>
        <span class="small text-center">bench sheet (PDF): <a href="/pieces/{{ $desk->piece->ulid }}/bench-sheet.pdf?paper=a4">A4</a> · <a href="/pieces/{{ $desk->piece->ulid }}/bench-sheet.pdf?paper=letter">Letter</a></span>
        <a class="small text-center" href="/pieces/{{ $desk->piece->ulid }}/strips.svg">strips as a picture (SVG)</a>
        <span class="small text-center"><a href="/pieces/{{ $desk->piece->ulid }}/bends.csv">bends, wire by wire (CSV)</a> · <a href="/pieces/{{ $desk->piece->ulid }}/wires.dxf">wires as lines (DXF)</a> · <a href="/pieces/{{ $desk->piece->ulid }}/scene.glb">in space (glTF)</a></span>
        <form method="post" action="/pieces/{{ $desk->piece->ulid }}/makings">@csrf<button type="submit" class="do w-full justify-center">{{ $desk->piece->openMaking ? 'Go on making' : 'Start making' }}</button></form>
    </div>
</div>
<div class="scrolls">
<table class="ledger mt-3 small">
    <caption class="sr-only">Metal in {{ $desk->document->makes->words() }}</caption>
    <thead><tr><th scope="col">Metal for {{ $desk->document->makes->words() }}</th><th scope="col" class="!text-right">gross</th><th scope="col" class="!text-right">in the piece</th><th scope="col" class="!text-right">trims</th></tr></thead>
    <tbody>
    @foreach ($desk->plan->metal as $metal)
        <tr><td>{{ $metal->wire->words() }}</td>@foreach ($metal->shown() as $shown)<td class="num">{{ $shown }}</td>@endforeach</tr>
    @endforeach
    </tbody>
</table>
</div>
@endif
