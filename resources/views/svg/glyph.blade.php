@php($scale = $size / max($bead->lengthMm, $bead->widthMm) * 0.94)
<svg class="glyph shrink-0" width="{{ $size }}" height="{{ $size }}" viewBox="0 0 {{ $size }} {{ $size }}" aria-hidden="true" focusable="false">@include('svg.bead', ['bead' => $bead, 'x' => $size / 2, 'y' => ($size - $bead->lengthMm * $scale) / 2, 'w' => $bead->widthMm * $scale, 'l' => $bead->lengthMm * $scale])</svg>
