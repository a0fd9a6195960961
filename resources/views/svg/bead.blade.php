@use('Hebra\Core\Bead\Drilling')
{{-- A bead on the middle line x, its upper end at y, w wide, l long; light from the upper left. --}}
@php
    [$h, $c] = [$w / 2, $bead->colour];
    $bore = min($h * 0.7, $bead->holeMm / $bead->widthMm * $w / 2 + 0.4);
    $r = fn (float $v): float => round($v, 2);
    $isAlong = $bead->drilling !== Drilling::Top;
@endphp
<g class="bead bead-{{ $c }} shape-{{ $bead->shape->value }}{{ ($wound ?? '') === '' ? '' : ' is-wound metal-'.$wound }}" @isset($mark) data-mark="{{ $mark }}" @endisset @if ($x || $y) transform="translate({!! $r($x) !!} {!! $r($y) !!})" @endif>
@switch($bead->shape->value)
    @case('bicone')
        @php($a = $w * 0.14)
        <path class="hull" fill="url(#fill-{{ $c }})" d="M{!! $r(-$a) !!} 0H{!! $r($a) !!}L{!! $r($h) !!} {!! $r($l / 2) !!}L{!! $r($a) !!} {!! $r($l) !!}H{!! $r(-$a) !!}L{!! $r(-$h) !!} {!! $r($l / 2) !!}Z"/>
        <path class="facet" d="M{!! $r($a) !!} 0L{!! $r($h) !!} {!! $r($l / 2) !!}L{!! $r($a) !!} {!! $r($l) !!}L{!! $r($h * 0.36) !!} {!! $r($l / 2) !!}Z"/>
        <path class="facet-light" d="M{!! $r(-$a) !!} 0L{!! $r($h * 0.36) !!} {!! $r($l / 2) !!}L{!! $r(-$h * 0.4) !!} {!! $r($l / 2) !!}Z"/>
        <path class="edge-line" d="M{!! $r(-$h) !!} {!! $r($l / 2) !!}H{!! $r($h) !!}M{!! $r(-$a) !!} 0L{!! $r(-$h * 0.4) !!} {!! $r($l / 2) !!}L{!! $r(-$a) !!} {!! $r($l) !!}M{!! $r($a) !!} 0L{!! $r($h * 0.36) !!} {!! $r($l / 2) !!}L{!! $r($a) !!} {!! $r($l) !!}"/>
        @break
    @case('tube')
        <rect class="hull" fill="url(#tube-{{ $c }})" x="{!! $r(-$h) !!}" y="0" width="{!! $r($w) !!}" height="{!! $r($l) !!}" rx="{!! $r($w * 0.12) !!}"/>
        @if ($isAlong)<ellipse class="bore" cx="0" cy="{!! $r(min(1.2, $l * 0.03) + 0.4) !!}" rx="{!! $r($bore) !!}" ry="{!! $r(max(0.6, $bore * 0.22)) !!}"/>@endif
        @break
    @case('drop')
        <path class="hull" fill="url(#fill-{{ $c }})" d="M0 0C{!! $r($h * 0.22) !!} {!! $r($l * 0.16) !!} {!! $r($h) !!} {!! $r($l * 0.42) !!} {!! $r($h) !!} {!! $r($l * 0.68) !!}C{!! $r($h) !!} {!! $r($l * 0.88) !!} {!! $r($h * 0.55) !!} {!! $r($l) !!} 0 {!! $r($l) !!}C{!! $r(-$h * 0.55) !!} {!! $r($l) !!} {!! $r(-$h) !!} {!! $r($l * 0.88) !!} {!! $r(-$h) !!} {!! $r($l * 0.68) !!}C{!! $r(-$h) !!} {!! $r($l * 0.42) !!} {!! $r(-$h * 0.22) !!} {!! $r($l * 0.16) !!} 0 0Z"/>
        <ellipse class="glow" cx="{!! $r(-$h * 0.36) !!}" cy="{!! $r($l * 0.56) !!}" rx="{!! $r($h * 0.16) !!}" ry="{!! $r($l * 0.13) !!}" transform="rotate(14 {!! $r(-$h * 0.36) !!} {!! $r($l * 0.56) !!})"/>
        @break
    @case('rondelle')
        <rect class="hull" fill="url(#fill-{{ $c }})" x="{!! $r(-$h) !!}" y="0" width="{!! $r($w) !!}" height="{!! $r($l) !!}" rx="{!! $r($l * 0.5) !!}"/>
        <ellipse class="glow" cx="{!! $r(-$h * 0.36) !!}" cy="{!! $r($l * 0.3) !!}" rx="{!! $r($h * 0.26) !!}" ry="{!! $r($l * 0.12) !!}"/>
        @if ($isAlong)<ellipse class="bore" cx="0" cy="0.6" rx="{!! $r($bore) !!}" ry="{!! $r(max(0.5, $bore * 0.2)) !!}"/>@endif
        @break
    @case('coin')
        <ellipse class="hull" fill="url(#fill-{{ $c }})" cx="0" cy="{!! $r($l / 2) !!}" rx="{!! $r($h) !!}" ry="{!! $r($l / 2) !!}"/>
        <ellipse class="edge-line" cx="0" cy="{!! $r($l / 2) !!}" rx="{!! $r($h * 0.84) !!}" ry="{!! $r($l * 0.42) !!}"/>
        <path class="glow" d="M{!! $r(-$h * 0.55) !!} {!! $r($l * 0.42) !!}A{!! $r($h * 0.62) !!} {!! $r($l * 0.31) !!} 0 0 1 {!! $r(-$h * 0.05) !!} {!! $r($l * 0.17) !!}A{!! $r($h * 0.8) !!} {!! $r($l * 0.4) !!} 0 0 0 {!! $r(-$h * 0.55) !!} {!! $r($l * 0.42) !!}Z"/>
        @break
    @case('chip')
        <path class="hull" fill="url(#fill-{{ $c }})" d="M{!! $r(-$h * 0.4) !!} 0L{!! $r($h * 0.5) !!} {!! $r($l * 0.06) !!}L{!! $r($h) !!} {!! $r($l * 0.42) !!}L{!! $r($h * 0.62) !!} {!! $r($l * 0.9) !!}L{!! $r(-$h * 0.25) !!} {!! $r($l) !!}L{!! $r(-$h) !!} {!! $r($l * 0.62) !!}Z"/>
        <path class="edge-line" d="M{!! $r(-$h * 0.4) !!} 0L{!! $r($h * 0.12) !!} {!! $r($l * 0.46) !!}L{!! $r($h) !!} {!! $r($l * 0.42) !!}M{!! $r($h * 0.12) !!} {!! $r($l * 0.46) !!}L{!! $r(-$h * 0.25) !!} {!! $r($l) !!}"/>
        @break
    @case('tile')
        <rect class="hull" fill="url(#fill-{{ $c }})" x="{!! $r(-$h) !!}" y="0" width="{!! $r($w) !!}" height="{!! $r($l) !!}" rx="{!! $r($w * 0.1) !!}"/>
        <rect class="edge-line" x="{!! $r(-$h * 0.84) !!}" y="{!! $r($l * 0.08) !!}" width="{!! $r($w * 0.84) !!}" height="{!! $r($l * 0.84) !!}" rx="{!! $r($w * 0.07) !!}"/>
        <ellipse class="bore" cx="{!! $r(-$h * 0.45) !!}" cy="0.6" rx="{!! $r($bore * 0.7) !!}" ry="{!! $r(max(0.5, $bore * 0.22)) !!}"/><ellipse class="bore" cx="{!! $r($h * 0.45) !!}" cy="0.6" rx="{!! $r($bore * 0.7) !!}" ry="{!! $r(max(0.5, $bore * 0.22)) !!}"/>
        @break
    @case('cap')
        <path class="hull" fill="url(#tube-{{ $c }})" d="M{!! $r(-$h) !!} {!! $r($l) !!}C{!! $r(-$h * 0.95) !!} {!! $r($l * 0.3) !!} {!! $r(-$h * 0.5) !!} 0 0 0C{!! $r($h * 0.5) !!} 0 {!! $r($h * 0.95) !!} {!! $r($l * 0.3) !!} {!! $r($h) !!} {!! $r($l) !!}Q0 {!! $r($l * 1.12) !!} {!! $r(-$h) !!} {!! $r($l) !!}Z"/>
        <path class="edge-line" d="M{!! $r(-$h * 0.5) !!} {!! $r($l * 1.02) !!}Q{!! $r(-$h * 0.42) !!} {!! $r($l * 0.4) !!} 0 {!! $r($l * 0.12) !!}M{!! $r($h * 0.5) !!} {!! $r($l * 1.02) !!}Q{!! $r($h * 0.42) !!} {!! $r($l * 0.4) !!} 0 {!! $r($l * 0.12) !!}"/>
        @break
    @case('cone')
        @php($n = max($bore + 0.6, $h * 0.2))
        <path class="hull" fill="url(#tube-{{ $c }})" d="M{!! $r(-$n) !!} 0H{!! $r($n) !!}C{!! $r($n) !!} {!! $r($l * 0.5) !!} {!! $r($h * 0.86) !!} {!! $r($l * 0.6) !!} {!! $r($h) !!} {!! $r($l) !!}Q0 {!! $r($l * 1.05) !!} {!! $r(-$h) !!} {!! $r($l) !!}C{!! $r(-$h * 0.86) !!} {!! $r($l * 0.6) !!} {!! $r(-$n) !!} {!! $r($l * 0.5) !!} {!! $r(-$n) !!} 0Z"/>
        <path class="edge-line" d="M{!! $r(-$h * 0.9) !!} {!! $r($l * 0.9) !!}Q0 {!! $r($l * 0.95) !!} {!! $r($h * 0.9) !!} {!! $r($l * 0.9) !!}"/>
        @break
    @case('cup')
        @php([$m, $t] = [$l / 2, $h * 0.55])
        <ellipse class="setting" cx="0" cy="{!! $r($m) !!}" rx="{!! $r($h) !!}" ry="{!! $r($w / 2) !!}"/>
        <ellipse class="hull" fill="url(#fill-{{ $c }})" cx="0" cy="{!! $r($m) !!}" rx="{!! $r($h * 0.82) !!}" ry="{!! $r($w * 0.41) !!}"/>
        <path class="facet-light" d="M{!! $r(-$t) !!} {!! $r($m) !!}L{!! $r(-$t * 0.7) !!} {!! $r($m - $t * 0.7) !!}L0 {!! $r($m - $t) !!}L{!! $r($t * 0.7) !!} {!! $r($m - $t * 0.7) !!}L{!! $r($t) !!} {!! $r($m) !!}L0 {!! $r($m) !!}Z"/>
        <path class="edge-line" d="M{!! $r(-$t) !!} {!! $r($m) !!}L{!! $r(-$t * 0.7) !!} {!! $r($m - $t * 0.7) !!}L0 {!! $r($m - $t) !!}L{!! $r($t * 0.7) !!} {!! $r($m - $t * 0.7) !!}L{!! $r($t) !!} {!! $r($m) !!}L{!! $r($t * 0.7) !!} {!! $r($m + $t * 0.7) !!}L0 {!! $r($m + $t) !!}L{!! $r(-$t * 0.7) !!} {!! $r($m + $t * 0.7) !!}Z"/>
        @break
    @case('coil')
        @php($turns = max(2, (int) round($l / max(1.2, $h - $bore))))
        <rect class="hull" fill="url(#tube-{{ $c }})" x="{!! $r(-$h) !!}" y="0" width="{!! $r($w) !!}" height="{!! $r($l) !!}" rx="{!! $r($l / $turns / 2) !!}"/>
        <path class="coil-shine" d="M{!! $r(-$h * 0.4) !!} {!! $r($l * 0.04) !!}V{!! $r($l * 0.96) !!}" stroke-width="{!! $r($h * 0.28) !!}"/>
        <path class="edge-line" d="@for ($turn = 1; $turn < $turns; $turn++)M{!! $r(-$h) !!} {!! $r(($turn - 0.25) * $l / $turns) !!}L{!! $r($h) !!} {!! $r(($turn + 0.25) * $l / $turns) !!}@endfor"/>
        @break
    @case('seed')
        <rect class="hull" fill="url(#fill-{{ $c }})" x="{!! $r(-$h) !!}" y="0" width="{!! $r($w) !!}" height="{!! $r($l) !!}" rx="{!! $r($l * 0.42) !!}"/>
        <ellipse class="glow" cx="{!! $r(-$h * 0.45) !!}" cy="{!! $r($l * 0.36) !!}" rx="{!! $r($h * 0.2) !!}" ry="{!! $r($l * 0.13) !!}"/>
        @if ($isAlong)<ellipse class="bore" cx="0" cy="{!! $r($l * 0.06) !!}" rx="{!! $r($bore) !!}" ry="{!! $r(max(0.4, $bore * 0.25)) !!}"/>@endif
        @break
    @default
        <ellipse class="hull" fill="url(#fill-{{ $c }})" cx="0" cy="{!! $r($l / 2) !!}" rx="{!! $r($h) !!}" ry="{!! $r($l / 2) !!}"/>
        <ellipse class="glow" cx="{!! $r(-$h * 0.34) !!}" cy="{!! $r($l * 0.29) !!}" rx="{!! $r($h * 0.24) !!}" ry="{!! $r($l * 0.085) !!}" transform="rotate(-34 {!! $r(-$h * 0.34) !!} {!! $r($l * 0.29) !!})"/>
        @if ($isAlong)<ellipse class="bore" cx="0" cy="{!! $r($l * 0.022) !!}" rx="{!! $r($bore * 0.9) !!}" ry="{!! $r(max(0.5, $bore * 0.24)) !!}"/>@endif
@endswitch
</g>
