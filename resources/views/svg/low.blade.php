{{-- How low it hangs, beside how low it may: the piece as a wire on a ruler. --}}
<svg class="low metal-{{ $desk->document->wires[$open ?? '']?->metal->value ?? 'sterling' }}" width="{{ $low::WIDE }}" height="46" viewBox="-8 0 {{ $low::WIDE + 16 }} 46" aria-hidden="true">
    <rect class="low-room" x="0" y="0" width="{{ $low->x($low->mostMm) }}" height="28"/>
    <rect class="strip-edge" x="0" y="9" width="{{ $low->x($low->hangsMm) }}" height="8"/><rect class="strip-body" x="0" y="10" width="{{ $low->x($low->hangsMm) }}" height="6"/><rect class="strip-shine" x="0" y="11" width="{{ $low->x($low->hangsMm) }}" height="1.6"/>
    <path class="low-most" d="M{{ $low->x($low->mostMm) }} 0v28"/><path class="tick" d="M0 2v26H{{ $low::WIDE }}"/>
    @foreach ($low->ticks() as [$x, $words])<path class="tick" d="M{{ $x }} 28v5"/><text x="{{ $x }}" y="45">{{ $words }}</text>@endforeach
</svg>
