<svg class="defs" aria-hidden="true" focusable="false">
    <defs>
        @foreach (\Hebra\Core\Bead\Bead::COLOURS as $colour)
            <radialGradient id="fill-{{ $colour }}" class="bead-{{ $colour }}" cx="36%" cy="30%" r="78%"><stop offset="0" class="stop-light"/><stop offset="0.42" class="stop-body"/><stop offset="1" class="stop-deep"/></radialGradient>
            <linearGradient id="tube-{{ $colour }}" class="bead-{{ $colour }}"><stop offset="0" class="stop-deep"/><stop offset="0.3" class="stop-light"/><stop offset="0.55" class="stop-body"/><stop offset="1" class="stop-deep"/></linearGradient>
        @endforeach
    </defs>
</svg>
