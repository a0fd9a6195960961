@use('Hebra\Core\Bead\Bead')
<svg class="defs" aria-hidden="true" focusable="false">
    <defs>
        @foreach (Bead::COLOURS as $colour)
            <radialGradient id="fill-{{ $colour }}" class="bead-{{ $colour }}" cx="36%" cy="30%" r="78%"><stop offset="0" class="stop-light"/><stop offset="0.42" class="stop-body"/><stop offset="1" class="stop-deep"/></radialGradient>
            <linearGradient id="tube-{{ $colour }}" class="bead-{{ $colour }}"><stop offset="0" class="stop-deep"/><stop offset="0.3" class="stop-light"/><stop offset="0.55" class="stop-body"/><stop offset="1" class="stop-deep"/></linearGradient>
        @endforeach
        <linearGradient id="gloss" x1="0.1" y1="0" x2="0.9" y2="1"><stop offset="0" stop-color="#fff" stop-opacity="0.5"/><stop offset="0.28" stop-color="#fff" stop-opacity="0.32"/><stop offset="0.46" stop-color="#fff" stop-opacity="0"/><stop offset="0.62" stop-color="#000" stop-opacity="0"/><stop offset="1" stop-color="#000" stop-opacity="0.2"/></linearGradient>
    </defs>
</svg>
