@use('Hebra\Core\Plan\Level')
@use('Hebra\Core\Quantity\Figures')
@use('Hebra\Core\Quantity\Ruler')
@php([$profile, $board, $figures] = [$desk->profile, $desk->cutBoard(), Figures::class])
@php($rows = $board->rows())
<div class="flex flex-wrap items-baseline gap-x-4 gap-y-1">
    <h2>{{ $figures::counted(array_sum(array_map(fn ($cut) => $cut->count, $desk->plan->cuts)), 'cut') }} of {{ $figures::counted(count($desk->plan->metal), 'wire') }}</h2>
    @if ($rows)
    <p class="quiet small">on one ruler, drawn {{ $rows[0]->strip->ratio }} : 1, rounded up to {{ $profile->ruler->value }} · <span aria-hidden="true">▼</span> a bend, from the left end</p>
    @if ($desk->isLearned())
    <form class="bar small ml-auto" method="post" action="/hand/learned">@csrf @method('put')<a href="/hand/learned">{{ $desk->workshop->hand_on ? 'Your hand is counted in' : 'By the sums alone' }}</a> <button type="submit" class="word" name="do" value="{{ $desk->workshop->hand_on ? 'off' : 'on' }}">{{ $desk->workshop->hand_on ? 'plain sums' : 'follow my hand' }}</button></form>
    @endif
    @endif
</div>
@if ($rows === [])
    <p class="mt-4">Nothing to cut yet: <a href="{{ $desk->url('lay-out') }}">lay the piece out</a>.</p>
@else
<div class="cut-table">
    <div class="cut-ruler"><svg width="{{ $board->roomPx() }}" height="30" viewBox="0 0 {{ $board->roomPx() }} 30" aria-hidden="true">
        @foreach ($board->ruler() as $tick)
            <path d="M{{ $tick['x'] }} 30V18"/><text x="{{ $tick['x'] }}" y="13">{{ $tick['words'] }}</text>
            <path class="fine" d="@foreach ($tick['parts'] as $at => $x)M{{ $x }} 30v-{{ $at === intdiv(count($tick['parts']), 2) ? 9 : 6 }}@endforeach"/>
        @endforeach
    </svg></div>
    @foreach ($rows as $row)
    @php([$strip, $cut] = [$row->strip, $row->cut()])
    <section class="cut-row" aria-labelledby="cut-{{ $cut->key() }}">
        <div class="cut-of">
            <h3 id="cut-{{ $cut->key() }}">{{ $cut->label }}</h3>
            <p class="quiet small">{{ $cut->isBoughtPin() ? 'bought '.$cut->pinKind->words().', ' : '' }}{{ $cut->wire->words() }}{{ $strip->ratio !== $rows[0]->strip->ratio ? ' · drawn '.$strip->ratio.' : 1' : '' }}</p>
            <p class="cut-count"><span class="figure">× {{ $cut->count }}</span>@foreach ($row->circles() as $isCut)<span @class(['circle', 'is-cut' => $isCut]) aria-hidden="true"></span>@endforeach<span @class(['small', 'quiet', 'sr-only' => $row->circles() !== []])>{{ $row->from->ticked }} cut</span></p>
        </div>
        <div class="cut-sheet">
            <svg class="cut-grid" width="{{ $board->roomPx() }}" height="100%" aria-hidden="true">@foreach ($board->ruler() as $tick)<path d="M{{ $tick['x'] }} 0v600"/>@endforeach</svg>
            <div class="strip-room" tabindex="0" role="group" aria-label="Strip of {{ $cut->label }}">
                @include('svg.strip', ['strip' => $strip])
            </div>
            <p class="cut-from small">
                @if ($row->from->lot !== null)
                    <span>@include('svg.coil', ['lot' => $row->from->lot, 'before' => $row->from->before, 'after' => $row->from->after()])<span><strong>{{ $row->from->lot->name }}</strong>,</span> <span class="figure">{{ $board->amount($row->from->lot, $row->from->before) }} → <strong class="does">{{ $board->amount($row->from->lot, $row->from->after()) }}</strong></span> {{ $row->from->lot->isPins() ? 'pins' : 'm' }}@unless ($row->from->isCovered()) <strong class="lacks">▲ {{ $row->from->lot->isPins() ? $board->amount($row->from->lot, -$row->from->after()).' short' : $profile->length(-$row->from->after()).' short' }}</strong>@endunless</span>
                @else
                    <span class="lacks">▲ none of it in stock: {{ $cut->isBoughtPin() ? $cut->count : $profile->length($row->from->takes) }} to buy</span>
                @endif
                @if ($cut->advice !== null)<span class="quiet">{{ ucfirst($cut->advice->words()) }}; the sum alone is {{ $profile->length($profile->ruler->upMm($cut->advice->plainMm)) }}</span>@endif
            </p>
        </div>
        <div class="cut-makes">
            <span class="cut-part" aria-hidden="true">@include('svg.piece', ['drawing' => $row->part, 'hangs' => '', 'across' => '', 'ring' => [], 'label' => '', 'small' => true])</span>
            <div class="cut-length">
                <strong>{{ $profile->ruler->figure($strip->cutMm()) }}</strong>
                <span class="quiet small whitespace-nowrap">{{ $profile->unit()->value }}, <span class="figure">{{ $profile->ruler->isMetric() ? Ruler::SixteenthInch->text($strip->cutMm()) : Ruler::HalfMillimetre->text($strip->cutMm()) }}</span></span>
            </div>
        </div>
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
    @endforeach
    <section class="cut-row cut-together" aria-labelledby="cut-together">
        <h3 id="cut-together" class="cut-of">Together</h3>
        <div class="cut-metals">
            @foreach ($desk->plan->metal as $metal)
                @php([$shown, [$stays, $goes]] = [$metal->shown(), $board->share($metal)])
                <p><svg class="metal-{{ $metal->wire->metal->value }}" width="320" height="16" viewBox="0 0 320 16" aria-hidden="true"><rect class="stays" x="0.5" y="1.5" width="{{ round(318 * $stays, 1) }}" height="13"/><rect class="goes" x="{{ round(0.5 + 318 * $stays, 1) }}" y="1.5" width="{{ round(318 * $goes, 1) }}" height="13"/></svg>
                <span class="small"><strong class="figure">{{ $shown['net'] }}</strong> stays in {{ $desk->document->makes->words() }}, <strong class="figure">{{ $shown['scrap'] }}</strong> trims to the @if ($loop->first)<x-term word="scrap">jar</x-term>@else jar @endif <span class="quiet">· {{ $metal->wire->words() }}, {{ $shown['gross'] }} in all</span></span></p>
            @endforeach
        </div>
        <div class="cut-length">
            <strong>{{ $profile->ruler->figure(array_sum(array_map(fn ($metal) => $metal->grossMm, $desk->plan->metal))) }}</strong>
            <span class="quiet small">{{ $profile->unit()->value }} of wire</span>
        </div>
    </section>
</div>
@if (($checks = [...$desk->pinChoice(), ...$desk->checks(Level::Stop, Level::Warn)]) !== [])
    <div class="mt-2 max-w-3xl">@include('stages.checks', ['checks' => $checks])</div>
@endif
<div class="cut-actions">
    <a class="may" href="/pieces/{{ $desk->piece->ulid }}/strips">Print strips 1 : 1</a>
    <span class="may is-pair">Cut sheet <a href="/pieces/{{ $desk->piece->ulid }}/cut-sheet.pdf?paper=a4">A4</a><a href="/pieces/{{ $desk->piece->ulid }}/cut-sheet.pdf?paper=letter">Letter</a></span>
    <a class="may" href="/cutting?pieces[]={{ $desk->piece->ulid }}">Tick off by coil</a>
    <a class="may" href="/pieces/{{ $desk->piece->ulid }}/bill">What it costs</a>
    <details class="small"><summary>other sheets and files</summary>
        <p class="flex flex-wrap gap-x-4 gap-y-1">
            <a href="/pieces/{{ $desk->piece->ulid }}/leaflet">leaflet with pictures</a>
            <span>bench sheet (PDF): <a href="/pieces/{{ $desk->piece->ulid }}/bench-sheet.pdf?paper=a4">A4</a> · <a href="/pieces/{{ $desk->piece->ulid }}/bench-sheet.pdf?paper=letter">Letter</a></span>
            <a href="/pieces/{{ $desk->piece->ulid }}/strips.svg">strips as a picture (SVG)</a>
            <a href="/pieces/{{ $desk->piece->ulid }}/bends.csv">bends, wire by wire (CSV)</a>
            <a href="/pieces/{{ $desk->piece->ulid }}/wires.dxf">wires as lines (DXF)</a>
            <a href="/pieces/{{ $desk->piece->ulid }}/scene.glb">in space (glTF)</a>
        </p>
    </details>
    <p class="ml-auto figure"><strong>{{ $board->cutAlready() }}</strong> of <strong>{{ $board->cutInAll() }}</strong> cut</p>
</div>
@endif
