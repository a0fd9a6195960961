@use('App\View\Bench\Clock')
@use('Hebra\Core\Hand\Consistency')
@use('Hebra\Core\Quantity\Figures')
{{-- Four claims, each with the drawing that proves it. --}}
@php($figures = Figures::class)
<div class="claims">
    <section aria-labelledby="claim-pairs">
    @php($pairs = $claims->pairs())
    @if ($pairs === [])<h2 id="claim-pairs">How alike your loops are is not known yet.</h2><p class="quiet">Measure a few in a <a href="/practice">practice</a>, or when you look a piece over.</p>
    @else
        <h2 id="claim-pairs"><em>{{ $claims::alike($pairs) }} of your last {{ count($pairs) === 1 ? 'pair' : count($pairs).' pairs' }}</em> match to the eye.</h2>
        <p class="quiet">Each pair of loops hangs as made, one lower by what they differ.</p>
        @php([$perMm, $band] = [260, Consistency::TO_THE_EYE_MM * 260])
        <svg class="claim-drawing" viewBox="0 0 584 200" role="img" aria-label="Pairs of loops and by how much they differ: {{ implode(', ', array_map(fn ($pair) => $figures::trim($pair['differMm'], 2), $pairs)) }} mm">
            <rect class="claim-band" x="0" y="40" width="584" height="{{ $band }}"/><text class="claim-words" x="584" y="{{ 40 + $band + 17 }}" text-anchor="end">inside the band: too little to see</text>
            <rect class="claim-rail" x="0" y="0" width="584" height="7"/>
            @foreach ($pairs as $at => $pair)@php($x = 16 + $at * 36)@php($low = round(min(150, $pair['differMm'] * $perMm), 1))
                @foreach ([[$x, 0], [$x + 15, $low]] as [$lx, $drop])<path class="wire-edge" d="M{{ $lx }} 7V{{ 33 + $drop }}"/><path class="wire-body" d="M{{ $lx }} 7V{{ 33 + $drop }}"/><circle class="wire-edge" cx="{{ $lx }}" cy="{{ 40 + $drop }}" r="6.4"/><circle class="wire-body" cx="{{ $lx }}" cy="{{ 40 + $drop }}" r="6.4"/>@endforeach
                @if ($pair['isSeen'])<text class="claim-wrong" x="{{ $x + 15 }}" y="{{ 64 + $low }}" text-anchor="middle">▲</text>@endif
            @endforeach
        </svg>
    @endif
    </section>
    <section aria-labelledby="claim-wire">
    @php($wires = $claims->wires())
    @if ($wires === [])<h2 id="claim-wire">How much wire you use is not known yet.</h2><p class="quiet">Three makings closed with what was left over will tell.</p>
    @else
        @php($more = $claims->morePercent())
        <h2 id="claim-wire">You use <em>{{ $figures::trim(abs($more), 1) }} % {{ $more >= 0 ? 'more' : 'less' }} wire</em> than <x-term word="the sum">the sum</x-term>.</h2>
        <p class="quiet">A tick is one making. The dashed end is enough in eight of ten.</p>
        @php($least = min(0, ...array_map(fn ($one) => min([0, ...$one['ticks']]), $wires)))
        @php($most = max(array_map(fn ($one) => max([$one['enough'], ...$one['ticks']]), $wires)))
        @php($x = fn (float $percent): float => round(300 + ($percent - $least) / max(2, $most - $least) * 194, 1))
        <svg class="claim-drawing metal-sterling" viewBox="0 0 584 {{ 34 + 62 * count($wires) }}" role="img" aria-label="{{ implode('; ', array_map(fn ($one) => $one['words'].': '.$figures::trim($one['percent'], 1).' % on the sum, enough at '.$figures::trim($one['enough'], 1).' %', $wires)) }}">
            <text class="claim-words" x="{{ $x(0) }}" y="14" text-anchor="middle">the sum</text>
            @foreach ($wires as $at => $one)@php($y = 54 + 62 * $at)
                <text class="claim-name" x="0" y="{{ $y - 15 }}">{{ $one['words'] }}</text>
                <x-wire :long="$x(0)" :thick="12" :x="0" :y="$y - 6" />
                <rect class="claim-more" x="{{ min($x(0), $x($one['percent'])) }}" y="{{ $y - 6 }}" width="{{ abs($x($one['percent']) - $x(0)) }}" height="12"/>
                <path class="claim-enough" d="M{{ $x($one['percent']) }} {{ $y }}H{{ $x($one['enough']) }}"/><path class="claim-end" d="M{{ $x($one['enough']) }} {{ $y - 11 }}v22"/>
                @foreach ($one['ticks'] as $tick)<path class="claim-tick" d="M{{ $x($tick) }} {{ $y + 12 }}v8"/>@endforeach
                <text class="claim-figure" x="584" y="{{ $y + 5 }}" text-anchor="end">{{ $one['percent'] >= 0 ? '+' : '−' }}{{ $figures::trim(abs($one['percent']), 1) }} %</text>
            @endforeach
            <path class="claim-sum" d="M{{ $x(0) }} 20V{{ 22 + 62 * count($wires) }}"/>
        </svg>
    @endif
    </section>
    <section aria-labelledby="claim-bends">
    @php($opening = $claims->opening())
    @if ($opening === null)<h2 id="claim-bends">What your bends open to is not known yet.</h2><p class="quiet">Measure inside three ear wires or rings as they come off the rod.</p>
    @else
        <h2 id="claim-bends">{{ $opening['wire'] }} <em>{{ $opening['byMm'] >= 0 ? 'opens' : 'closes' }} {{ $figures::mm(round(abs($opening['byMm']), 2)) }} {{ $opening['byMm'] >= 0 ? 'wider' : 'tighter' }}.</em></h2>
        <p class="quiet">{{ ucfirst($figures::counted($opening['count'], 'bend')) }} measured inside{{ $claims->isPlannedSo() ? '. It is now planned so.' : '.' }}</p>
        @php($k = 116 / max($opening['measuredMm'], $opening['foretoldMm']))
        @php([$half, $half0] = [round($opening['measuredMm'] * $k / 2, 1), round($opening['foretoldMm'] * $k / 2, 1)])
        @php($gap = max(-60, min(60, ($opening['measuredMm'] - $opening['foretoldMm']) / 2 * 120)))
        <svg class="claim-drawing metal-sterling" viewBox="0 0 584 200" role="img" aria-label="Foretold {{ $figures::mm($opening['foretoldMm']) }}, came out {{ $figures::mm(round($opening['measuredMm'], 2)) }} inside">
            @foreach (['edge' => 11, 'body' => 8, 'shine' => 2] as $of => $thick)<path class="wire-{{ $of }} is-thick" stroke-width="{{ $thick }}" d="M{{ 110 - $half - 5 }} 188V{{ 20 + $half }}A{{ $half + 5 }} {{ $half + 5 }} 0 0 1 {{ 110 + $half + 5 }} {{ 20 + $half }}V188"/>@endforeach
            <path class="claim-foretold" d="M{{ 110 - $half0 }} 188V{{ 20 + $half }}A{{ $half0 }} {{ $half0 }} 0 0 1 {{ 110 + $half0 }} {{ 20 + $half }}V188"/>
            <text class="claim-words" x="190" y="20">foretold</text><text class="claim-figure is-start" x="280" y="20">{{ $figures::trim($opening['foretoldMm'], 2) }}</text>
            <text class="claim-words" x="190" y="43">came out</text><text class="claim-figure is-start is-own" x="280" y="43">{{ $figures::trim($opening['measuredMm'], 2) }}</text>
            <x-lens name="bend-glass" :place="[110 + $half, 150, 17]" :glass="[440, 100, 97]"><x-wire :long="200" :thick="70" :x="440 + $gap / 2" :is-upright="true" /><path class="claim-foretold" d="M{{ 440 - $gap / 2 }} 0V200"/>
            <path class="claim-gap" d="M{{ 440 - $gap / 2 }} 140H{{ 440 + $gap / 2 }}"/><text class="claim-wrong is-over" x="440" y="164" text-anchor="middle">{{ $figures::trim(abs($opening['byMm']) / 2, 2) }} a side</text></x-lens>
        </svg>
    @endif
    </section>
    <section aria-labelledby="claim-time">
    @php($piece = $claims->piece())
    @if ($piece === null)<h2 id="claim-time">How long a piece takes you is not known yet.</h2><p class="quiet">Steps are timed as you make.</p>
    @else
        @php($stretches = $claims->stretches($piece))
        @php([$guess, $own] = [array_sum(array_column($stretches, 'guess')), array_sum(array_column($stretches, 'own'))])
        @php($k = 584 / max($guess, $own))
        <h2 id="claim-time">{{ $piece->name }} takes you <em>{{ Clock::words($own) }}.</em></h2>
        <p class="quiet">Bills and plans follow your pace, step by step.</p>
        <svg class="claim-drawing" viewBox="0 0 584 170" role="img" aria-label="{{ implode('; ', array_map(fn ($one) => $one['kind'].': '.round($one['own']).' min, guessed '.round($one['guess']), $stretches)) }}">
            <text class="claim-words" x="0" y="16">the guess, {{ Clock::words($guess) }}</text><text class="claim-figure" x="584" y="16" text-anchor="end">you, {{ Clock::words($own) }}</text>
            @php([$x, $gx] = [0.0, 0.0])
            @foreach ($stretches as $at => $one)@php([$w, $gw] = [round($one['own'] * $k, 1), round($one['guess'] * $k, 1)])
                <rect class="time-guess" x="{{ $gx }}" y="28" width="{{ max(0, $gw - 1) }}" height="14"/><path class="loupe-way" d="M{{ $gx + $gw }} 42L{{ $x + $w }} 74"/>
                <rect class="time-own is-{{ $at % 4 }}" x="{{ $x }}" y="74" width="{{ max(0, $w - 1.5) }}" height="30"/>
                @if ($w > 46)<text class="claim-figure is-start" x="{{ $x + $w / 2 }}" y="94" text-anchor="middle">{{ round($one['own']) }}</text><text class="claim-words" x="{{ max(62, $x + $w / 2) }}" y="{{ $at % 2 === 0 ? 124 : 146 }}" text-anchor="middle">{{ lcfirst($one['kind']) }}</text>@endif
                @php([$x, $gx] = [$x + $w, $gx + $gw])
            @endforeach
        </svg>
    @endif
    </section>
</div>
