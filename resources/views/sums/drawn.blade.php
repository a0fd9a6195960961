{{-- A technical drawing; in a list $small, where $fills says which end of a long one is seen. --}}
<svg @if ($small ?? false) class="is-small" @else width="{{ $figure->width }}mm" height="{{ $figure->height }}mm"
    role="img" aria-label="{{ $figure->words() }}" @endif @if ($fills ?? false) preserveAspectRatio="{{ $fills }} slice" @endif viewBox="0 0 {{ $figure->width }} {{ $figure->height }}">
@foreach ($figure->circles() as $one)
<circle class="fig-{{ $one['kind'] }}" cx="{{ $one['x'] }}" cy="{{ $one['y'] }}" r="{{ $one['r'] }}"@if ($one['kind'] === 'bead') fill="url(#fill-sea)"@endif/>
@endforeach
@foreach ($figure->strokes() as $line)
<path class="fig-line fig-{{ $line['kind'] }} is-edge" stroke-width="{{ $line['mm'] }}" d="{{ $line['d'] }}"/>
<path class="fig-line fig-{{ $line['kind'] }} is-body" stroke-width="{{ round($line['mm'] * 0.74, 3) }}" d="{{ $line['d'] }}"/>
@if ($line['mm'] > 0.8 && $line['kind'] !== 'wanted')
<path class="fig-line fig-{{ $line['kind'] }} is-light" stroke-width="{{ round($line['mm'] * 0.2, 3) }}" transform="translate({{ $line['kind'] === 'core' ? 0 : round($line['mm'] * -0.13, 3) }} {{ round($line['mm'] * -0.13, 3) }})" d="{{ $line['d'] }}"/>
@endif
@endforeach
@foreach ($figure->labels() as $label)
<text class="fig-label is-{{ $label['kind'] }}" x="{{ $label['x'] }}" y="{{ $label['y'] }}">{{ $label['text'] }}</text>
@endforeach
</svg>
