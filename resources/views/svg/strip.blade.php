{{-- A cut, straight and to scale. Hatched: trimmed off in the end. Flags: where it bends, from the left end. --}}
@php
    [$top, $h, $y] = [$strip->wireY - $strip->wireW / 2, $strip->wireW, $strip->wireY];
    $labelY = $top + $h + 17 + $strip->beadRoom();
    $isTrue = $true ?? false;
    $mm = 96 / 25.4;
@endphp
<svg class="strip metal-{{ $strip->cut->wire->metal->value }}" width="{!! $isTrue ? round($strip->width / $mm, 3).'mm' : $strip->width !!}" height="{!! $isTrue ? round($strip->height / $mm, 3).'mm' : $strip->height !!}" viewBox="0 0 {{ $strip->width }} {{ $strip->height }}" role="img" aria-label="{{ $strip->sentence() }}">
    @foreach ($strip->segments as $segment)
        <g class="stretch" data-mark="{!! $segment['mark'] !!}">
            <rect class="strip-edge" x="{!! $segment['x'] !!}" y="{!! $top !!}" width="{!! $segment['w'] !!}" height="{!! $h !!}"/>
            <rect class="strip-body" x="{!! $segment['x'] !!}" y="{!! $top + $h * 0.13 !!}" width="{!! $segment['w'] !!}" height="{!! $h * 0.74 !!}"/>
            <rect class="strip-shine" x="{!! $segment['x'] !!}" y="{!! $top + $h * 0.22 !!}" width="{!! $segment['w'] !!}" height="{!! $h * 0.2 !!}"/>
            @unless ($segment['stays'])
                @for ($hatch = $segment['x'] + 3; $hatch < $segment['x'] + $segment['w'] - 1; $hatch += 5)
                    <line class="hatch" x1="{!! $hatch !!}" y1="{!! $top + $h !!}" x2="{!! min($hatch + 4, $segment['x'] + $segment['w']) !!}" y2="{!! $top !!}"/>
                @endfor
            @endunless
            @if (in_array($segment['kind'], ['loop', 'eye', 'foot'], true))
                <circle class="sign" cx="{!! $segment['mid'] !!}" cy="{!! $top - 6 !!}" r="4"/>
            @elseif ($segment['kind'] === 'wraps')
                <path class="sign" d="M{{ $segment['mid'] - 8 }} {{ $top - 2 }}l3 -8m2 8l3 -8m2 8l3 -8"/>
            @elseif ($segment['kind'] === 'seat' && $segment['w'] > 14)
                <path class="sign" d="M{{ $segment['x'] + 2 }} {{ $top - 2 }}Q{{ $segment['mid'] }} {{ $top - 14 }} {{ $segment['x'] + $segment['w'] - 2 }} {{ $top - 2 }}"/>
            @elseif ($segment['kind'] === 'arch')
                <path class="sign" d="M{{ $segment['mid'] - 11 }} {{ $top - 2 }}a11 9 0 0 1 22 0"/>
            @endif
            <line class="tick" x1="{!! $segment['x'] !!}" x2="{!! $segment['x'] !!}" y1="{!! $top - 2 !!}" y2="{!! $top + $h + 4 !!}"/>
            @if ($segment['row'] > 0 || abs($segment['labelX'] - $segment['mid']) > 4)
                <line class="lead" x1="{!! $segment['mid'] !!}" y1="{!! $top + $h + 1 + $strip->beadRoom() !!}" x2="{!! $segment['labelX'] !!}" y2="{!! $labelY + 18 * $segment['row'] - 11 !!}"/>
            @endif
            <text @class(['is-trimmed' => ! $segment['stays']]) x="{!! $segment['labelX'] !!}" y="{!! $labelY + 18 * $segment['row'] !!}">{{ $segment['words'] }}</text>
            <rect class="under" x="{!! $segment['x'] - 1 !!}" y="{!! $top - 3 !!}" width="{!! $segment['w'] + 2 !!}" height="{!! $h + 6 !!}"/>
            <rect class="hit" x="{!! $segment['x'] !!}" y="{!! $top - 8 !!}" width="{!! $segment['w'] !!}" height="{!! $h + 16 !!}"/>
        </g>
    @endforeach
    @foreach ($strip->beads as $bead)
        <g class="bead-{{ $bead['colour'] }}"><rect class="bead-bar" x="{!! $bead['x'] !!}" y="{!! $top + $h + 4 !!}" width="{!! $bead['w'] !!}" height="5" rx="2.5"/></g>
    @endforeach
    <line class="tick" x1="{!! $strip->endX !!}" x2="{!! $strip->endX !!}" y1="{!! $top - 2 !!}" y2="{!! $top + $h + 4 !!}"/>
    @foreach ($strip->bends as $bend)
        @php($flagY = 13 + 17 * $bend['row'])
        <line class="bend-line" x1="{!! $bend['x'] !!}" x2="{!! $bend['x'] !!}" y1="{!! $flagY + 3 !!}" y2="{!! $top + $h !!}"/>
        <path class="bend-flag" d="M{{ $bend['x'] - 4 }} {{ $flagY + 2 }}h8l-4 6z"/>
        <text class="bend-text" x="{!! $bend['labelX'] !!}" y="{!! $flagY !!}">{{ $bend['text'] }}</text>
    @endforeach
</svg>
