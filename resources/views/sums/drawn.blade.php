<svg @if ($small ?? false) class="is-small" @else width="{{ $figure->width }}mm" height="{{ $figure->height }}mm" role="img" aria-label="{{ $figure->words() }}" @endif viewBox="0 0 {{ $figure->width }} {{ $figure->height }}">
    @foreach ($figure->circles() as $one)<circle class="fig-{{ $one['kind'] }}" cx="{{ $one['x'] }}" cy="{{ $one['y'] }}" r="{{ $one['r'] }}"/>@endforeach
    @foreach ($figure->lines() as $line)
        <path class="fig-line fig-{{ $line['kind'] }} is-edge" stroke-width="{{ $line['mm'] }}" d="{{ $line['d'] }}"/><path class="fig-line fig-{{ $line['kind'] }} is-body" stroke-width="{{ round($line['mm'] * 0.74, 3) }}" d="{{ $line['d'] }}"/>
    @endforeach
</svg>
