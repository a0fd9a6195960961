@use('App\Models\Lot')
@use('App\View\Stock\CoilDrawing')
@use('App\View\Stock\Jar')
@use('App\View\Stock\OffcutRule')
@use('Hebra\Core\Wire\Metal')
@php([$offcuts, $moreOffcuts] = $wall->offcuts())
@php([$heaps, $moreHeaps] = $wall->heaps())
@php([$jars, $moreJars] = $wall->jars())
<div id="wall" @class(['wall', 'is-searching' => $wall->isSearching()])>
    <div class="wall-hung">
    <p id="line-hint" class="line-hint small" aria-live="polite">
        @if ($problem?->field() === 'line' || ($wall->wrong !== ''))<span class="refusal">{{ $wall->wrong ?: $problem->getMessage() }}</span>
        @elseif ($wall->hint() !== '')<span class="is-read">{{ $wall->hint() }}</span>
        @else<span class="quiet">Write what came in: <span class="figure">5 m 22 awg copper</span>, <span class="figure">40 8mm round, slate</span>, <span class="figure">20 ear backs</span>. Without an amount it finds: <span class="figure">22 sterling</span>.</span>@endif
    </p>
    @if ($wall->rows() === [])
        @include('svg.bare-wall')
        <p class="quiet">The wall is bare. Write a coil into the line above, by length or by weight, or <a href="/stock/import">bring a table</a>. Everything works without: a making may draw on wire not booked yet.</p>
    @else
    <table class="pegs">
        <caption class="sr-only">Wire by metal and size</caption>
        <thead><tr><td class="small quiet">{{ $wall->profile->sizes->value === 'mm' ? 'mm' : mb_strtoupper($wall->profile->sizes->value).', mm' }}</td>
            @foreach ($wall->sizes() as $size)<th scope="col"><svg width="20" height="20" viewBox="-10 -10 20 20" aria-hidden="true"><circle class="section" r="{{ round(min(9.5, max(1.6, $size->widthMm() * 7.5)), 1) }}"/></svg><strong>{{ str_replace([' AWG', ' SWG'], '', $size->text()) }}</strong>@if ($size->number() !== null)<span class="figure small quiet">{{ number_format($size->widthMm(), 2) }}</span>@endif</th>@endforeach
        </tr></thead>
        <tbody>
        @foreach ($wall->rows() as $row)
            <tr><th scope="row" @class(['is-said' => $row['isSaid']])>{{ ucfirst($row['metal']->words()) }}<span class="figure small">{{ $wall->run($row['mm']) }}</span><span class="figure small">{{ number_format($row['grams'], 1) }} g</span></th>
            @foreach ($row['cells'] as $at => $cell)
                <td @class(['is-bare' => $cell['pegs'] === [] && ! $cell['ghost']])>
                @if ($cell['pegs'] === [] && ! $cell['ghost'])<span class="peg-bare" aria-hidden="true"></span><span class="sr-only">none</span>@endif
                <span class="cell-coils">
                @foreach ($cell['pegs'] as $peg)
                    <a id="lot-{{ $peg->lot->ulid }}" @class(['coil-hung', 'is-low' => $peg->isLow, 'is-dim' => ! $peg->isFound]) href="/stock?lot={{ $peg->lot->ulid }}#story" title="{{ $peg->lot->name }}" @if ($peg->isOpen) aria-current="true" @endif><span class="sr-only">{{ $peg->label($wall->profile) }}</span>@include('svg.hung', ['coil' => $peg->drawing()])<span class="coil-words">@if ($peg->isLow)<span aria-hidden="true">▲</span>@endif<strong class="figure">{{ $wall->runFigure($peg->lot->heldMm()) }}</strong> <span class="phone-only figure">{{ $wall->sizes()[$at]->text() }}</span> {{ $peg->temper() }}</span></a>
                @endforeach
                @if ($cell['ghost'])<span class="coil-hung is-ghost">@include('svg.hung', ['coil' => CoilDrawing::ghost($wall->typed->ghost->widthMm(), $wall->typed->ghost->metal->value)])<span class="coil-words"><strong class="figure">+{{ $wall->runFigure($wall->typed->ghostMm()) }}</strong> <span class="phone-only figure">{{ $wall->sizes()[$at]->text() }}</span></span></span>@endif
                </span>
                @if ($cell['more'] > 0)<a class="small" href="/stock?as=rows&amp;line={{ urlencode($wall->sizes()[$at]->text().' '.$row['metal']->words()) }}">and {{ $cell['more'] }} more</a>@endif
                </td>
            @endforeach</tr>
        @endforeach
        </tbody>
    </table>
    @endif
    @if ($offcuts !== [])
    <section class="offcuts" aria-labelledby="offcuts">
        <h2 id="offcuts"><x-term word="offcut">Offcuts</x-term><span class="figure small quiet">{{ $wall->profile->length(array_sum(array_map(fn ($peg) => $peg->lot->heldMm(), $offcuts))) }}</span></h2>
        @php($longest = max(array_map(fn ($peg) => $peg->lot->heldMm(), $offcuts)))
        @php($rule = new OffcutRule($wall->profile, $longest))
        <ul>
            @foreach ($offcuts as $peg)<li @class(['metal-'.$peg->lot->metal, 'is-dim' => ! $peg->isFound])><a id="lot-{{ $peg->lot->ulid }}" href="/stock?lot={{ $peg->lot->ulid }}#story" @if ($peg->isOpen) aria-current="true" @endif><span class="sr-only">{{ $peg->lot->name }}:</span><svg class="wire-bar" width="{{ $rule->share($peg->lot->heldMm()) }}%" height="{{ $high = max(4, round($peg->lot->wire()->widthMm() * 8)) }}" aria-hidden="true"><x-wire long="100%" :thick="$high" /></svg><span class="small"><strong class="figure">{{ $wall->profile->ruler->figure($peg->lot->heldMm()) }}</strong> {{ $peg->lot->wire()->metal->words() }} {{ $peg->lot->wire()->size->text() }}</span></a></li>@endforeach
        </ul>
        <x-rule :rule="$rule" />
        @if ($moreOffcuts > 0)<p class="small"><a href="/stock?as=rows">and {{ $moreOffcuts }} shorter ones</a></p>@endif
    </section>
    @endif
    </div>
    <div class="shelf">
        <section id="beads" aria-labelledby="beads-title"><h2 id="beads-title">Beads</h2>
            @if ($heaps === [])<p class="quiet small">The tray is empty: write beads into the line above, such as <span class="figure">40 8mm round, slate</span>.</p>@endif
            <ul class="things">@foreach ($heaps as $at => [$bead, $heap, $isFound])<li @class(['is-low' => $bead->isLow(), 'is-dim' => ! $isFound])><a href="{{ $bead->owned > 0 ? '/beads/'.$bead->ulid.'/ideas' : '/stock?as=rows#beads' }}">@include('svg.heap', ['heap' => $heap, 'at' => $at])<span class="thing-name">{{ $bead->core()->words() }}</span><strong class="figure">@if ($bead->isLow())▲<span class="sr-only">running low:</span>@endif{{ $bead->owned }}</strong></a></li>@endforeach</ul>
            @if ($moreHeaps > 0)<p class="small"><a href="/stock?as=rows#beads">and {{ $moreHeaps }} more</a></p>@endif
        </section>
        <section id="jars" aria-labelledby="jars-title"><h2 id="jars-title">Findings, chain, packing</h2>
            @if ($jars === [])<p class="quiet small">None yet: write <span class="figure">40 ear backs, finding</span> into the line above.</p>@endif
            <ul class="things">@foreach ($jars as [$of, $isFound])
                @if ($of instanceof Lot)<li @class(['is-dim' => ! $isFound])><a id="lot-{{ $of->ulid }}" href="/stock?lot={{ $of->ulid }}#story">@include('svg.jar', ['jar' => new Jar($of)])<span class="thing-name">{{ $of->name }}</span><strong class="figure">{{ $of->heldPins() }}</strong> <span class="sr-only">{{ Lot::KINDS[$of->kind] }} of {{ $of->wireWords() }}, {{ $wall->profile->length($of->pinMm()) }} long</span></a></li>
                @else<li @class(['is-low' => $of->isLow(), 'is-dim' => ! $isFound])><a href="/stock?as=rows#supplies">@include('svg.jar', ['jar' => new Jar($of)])<span class="thing-name">{{ ucfirst($of->name) }}</span><strong class="figure">@if ($of->isLow())▲<span class="sr-only">running low:</span>@endif{{ $of->isByLength() ? $wall->run($of->held / 1000) : $of->held }}</strong></a></li>@endif
            @endforeach</ul>
            @if ($moreJars > 0)<p class="small"><a href="/stock?as=rows#supplies">and {{ $moreJars }} more</a></p>@endif
        </section>
        <section aria-labelledby="scrap-title"><h2 id="scrap-title"><x-term word="scrap">Scrap</x-term></h2>
            @if ($wall->scrap() === [])<p class="quiet small">The jar is empty.</p>@endif
            <ul class="things">@foreach ($wall->scrap() as $metal => $mg)@php($of = Metal::from($metal))<li><a href="/stock/book">@include('svg.clippings', ['metal' => $metal, 'mg' => $mg])<span class="thing-name">{{ ucfirst($of->words()) }}</span><strong class="figure">{{ number_format($mg / 1000, 2) }} g</strong>@if ($of->fineness() > 0)<span class="small quiet">{{ number_format($mg * $of->fineness() / 1000, 2) }} g fine</span>@endif</a></li>@endforeach</ul>
        </section>
    </div>
</div>
