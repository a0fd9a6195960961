@php($isSmall = $small ?? false)
@php($cm = $drawing->centimetre())
@php($id = $isSmall ? 'none' : 'paper')
<svg width="{{ $drawing->width }}" height="{{ $drawing->height }}" viewBox="0 0 {{ $drawing->width }} {{ $drawing->height }}" role="img" aria-label="{{ $label }}">
    @foreach ($drawing->layers() as $layer => $strokes)
        @foreach ($strokes as $stroke)
            @include('svg.wire', ['stroke' => $stroke])
        @endforeach
        @if ($layer === 1)
            @foreach ($drawing->beads() as $one)
                @include('svg.bead', $one)
            @endforeach
        @endif
    @endforeach
    @unless ($isSmall)
        @php([$x, $top, $bottom] = [$drawing->dimensionX(), $drawing->y(0), $drawing->y($drawing->bottomMm())])
        <path class="dimension" d="M{{ $x }} {{ $top }}V{{ $bottom }}M{{ $x - 9 }} {{ $top }}h18M{{ $x - 9 }} {{ $bottom }}h18"/>
        <text class="dimension-text" text-anchor="middle" transform="translate({{ $x - 8 }} {{ ($top + $bottom) / 2 }}) rotate(-90)">{{ $hangs }}</text>
    @endunless
</svg>
