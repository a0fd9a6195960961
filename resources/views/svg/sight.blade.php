{{-- Right or not so, drawn: of the piece's own metal and one of its beads. --}}
@php($metal = 'wire metal-'.$of['metal'])
@php($wire = fn (string $d, float $w = 7): string => "<g class=\"{$metal}\"><path stroke-width=\"{$w}\" d=\"{$d}\"/><path class=\"body\" stroke-width=\"".round($w * 0.72, 1)."\" d=\"{$d}\"/><path class=\"shine\" stroke-width=\"".round($w * 0.2, 1)."\" d=\"{$d}\"/></g>")
@php($arrow = fn (string $d): string => "<path class=\"sight-arrow\" d=\"{$d}\"/>")
<svg class="sight" viewBox="0 0 120 92" aria-hidden="true">
@switch($sight->value)
    @case('count')
        {!! $wire('M6 46H114', 4) !!}
        @foreach ([22, 41, 60, 79, 98] as $at => $x)@if ($right || $at !== 2)@include('svg.bead', ['bead' => $of['bead'], 'x' => $x, 'y' => 37, 'w' => 18, 'l' => 18])@else<circle class="sight-lack" cx="{{ $x }}" cy="46" r="9"/>@endif @endforeach
        @break
    @case('alike')
        <path class="sight-rail" d="M14 8H106"/>
        @foreach ([[40, 0], [80, $right ? 0 : 14]] as [$x, $down]){!! $wire("M{$x} 10V".(38 + $down), 4) !!}@include('svg.bead', ['bead' => $of['bead'], 'x' => $x, 'y' => 38 + $down, 'w' => 22, 'l' => 24])@endforeach
        <path class="{{ $right ? 'sight-level' : 'sight-off' }}" d="M20 66H100"/>@unless ($right){!! $arrow('M102 66v14m-4 0h8m-8 -14h8') !!}@endunless
        @break
    @case('wraps')
        @include('svg.bead', ['bead' => $of['bead'], 'x' => 60, 'y' => 68, 'w' => 52, 'l' => 48])
        {!! $wire('M60 4V72', 7) !!}
        @foreach ($right ? [28, 36, 44, 52] : [22, 38, 51] as $y){!! $wire('M51 '.($y + 6)."L69 {$y}", 8) !!}@endforeach
        @unless ($right){!! $wire('M69 51L91 43', 8) !!}{!! $arrow('M110 32L98 40m5 -7l-5 7l8 2') !!}@endunless
        @break
    @case('gap')
        {!! $wire($right ? 'M60 4V30M60 30C34 32 30 78 60 80C92 78 86 32 60 30' : 'M60 4V30C88 32 90 78 60 80C36 79 32 52 42 40', 8) !!}
        @unless ($right){!! $arrow('M26 18L38 34m-8 -2l8 2l0 -8') !!}@endunless
        @break
    @case('end')
        {!! $wire('M48 4L60 62', 12) !!}
        @if ($right)<path class="sight-level" d="M50 70q12 6 22 -4"/>@else<path class="sight-burr" d="M54 62l3 16l4 -10l5 12l1 -20Z"/>{!! $arrow('M96 52L76 64m8 -9l-8 9l11 1') !!}@endif
        @break
    @case('facing')
        @include('svg.bead', ['bead' => $of['bead'], 'x' => 60, 'y' => 8, 'w' => 34, 'l' => 38])
        @if ($right)<g class="{{ $metal }}"><circle stroke-width="7" fill="none" cx="60" cy="66" r="16"/><circle class="body" stroke-width="5" fill="none" cx="60" cy="66" r="16"/></g>@else<g class="{{ $metal }}"><ellipse stroke-width="7" fill="none" cx="60" cy="66" rx="4.5" ry="17"/><ellipse class="body" stroke-width="5" fill="none" cx="60" cy="66" rx="4.5" ry="17"/></g>@endif
        @break
    @case('level')
        @php($tilt = $right ? 0 : 14)
        <g transform="rotate({{ $tilt }} 60 40)">{!! $wire('M16 26Q60 74 104 26', 5) !!}@include('svg.bead', ['bead' => $of['bead'], 'x' => 60, 'y' => 42, 'w' => 20, 'l' => 20])</g><path class="{{ $right ? 'sight-level' : 'sight-off' }}" d="M8 26H112"/>
        @break
    @case('lock')
        {!! $wire('M4 46H34C60 46 62 20 44 20', 7) !!}<g class="{{ $metal }}"><circle stroke-width="7" fill="none" cx="{{ $right ? 66 : 88 }}" cy="{{ $right ? 36 : 56 }}" r="17"/><circle class="body" stroke-width="5" fill="none" cx="{{ $right ? 66 : 88 }}" cy="{{ $right ? 36 : 56 }}" r="17"/></g>
        @unless ($right){!! $arrow('M58 36L74 46m-4 -8l4 8l-9 1') !!}@endunless
        @break
    @case('even')
        {!! $wire('M6 58H114', 5) !!}
        @foreach ([20, 40, 60, 80, 100] as $at => $x)@include('svg.bead', ['bead' => $of['bead'], 'x' => $x + ($right ? 0 : [0, 4, -3, 5, -2][$at]), 'y' => 36 + ($right ? 0 : [0, -7, 5, -4, 6][$at]), 'w' => 18, 'l' => 18])@endforeach
        @break
    @default
        <path class="sight-rule" d="M12 66H108M12 66v10M36 66v6M60 66v10M84 66v6M108 66v10"/>{!! $wire($right ? 'M12 44H84' : 'M12 44H100', 9) !!}<path class="{{ $right ? 'sight-level' : 'sight-off' }}" d="M84 26V64"/>@unless ($right){!! $arrow('M84 30H100m-5 -4l5 4l-5 4') !!}@endunless
@endswitch
</svg>
