{{-- How low it hangs, beside how low it may: the piece as a wire on a ruler. --}}
<svg class="low metal-{{ $desk->document->wires[$open ?? '']?->metal->value ?? 'sterling' }}" width="{{ $low::WIDE }}" height="46" viewBox="-8 0 {{ $low::WIDE + 16 }} 46" aria-hidden="true">
    <rect class="low-room" x="0" y="0" width="{{ $low->x($low->mostMm) }}" height="28"/>
    <x-wire :long="$low->x($low->hangsMm)" :thick="8" :y="9" />
    <path class="low-most" d="M{{ $low->x($low->mostMm) }} 0v28"/><path class="tick" d="M0 2v26H{{ $low::WIDE }}"/>
    @foreach ($low->ticks() as [$x, $words])<path class="tick" d="M{{ $x }} 28v5"/><text x="{{ $x }}" y="45">{{ $words }}</text>@endforeach
</svg>
