@use('App\View\Desk')
{{-- Small pictures of beads, each once, to be used wherever the bead is named. --}}
<svg class="defs" aria-hidden="true" focusable="false"><defs>
@foreach ($beads as $bead)
    @php($scale = 22 / max($bead->lengthMm, $bead->widthMm) * 0.94)
    <g id="{{ Desk::glyph($bead) }}">@include('svg.bead', ['bead' => $bead, 'x' => 11, 'y' => (22 - $bead->lengthMm * $scale) / 2, 'w' => $bead->widthMm * $scale, 'l' => $bead->lengthMm * $scale])</g>
@endforeach
</defs></svg>
