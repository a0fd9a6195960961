@use('App\View\Stock\CoilDrawing')
{{-- A coil where it hangs: what there is in metal, what is kept in the action colour, inside the ring of what was bought. --}}
@php($px ??= CoilDrawing::WIDE)
<svg @class(['hung', 'metal-'.$coil->metal, 'is-ghost' => $coil->isGhost]) width="{{ $px }}" height="{{ $px }}" viewBox="0 0 76 76" aria-hidden="true">
    <circle class="bought" cx="38" cy="38" r="{{ $coil->ring() }}"/>
    @if ($coil->turns() !== '')<g stroke-width="{{ round($coil->thickPx, 2) }}"><path class="turn-edge" d="{{ $coil->turns() }}"/><path class="turn" stroke-width="{{ round($coil->thickPx * 0.72, 2) }}" d="{{ $coil->turns() }}"/><path class="turn-shine" stroke-width="{{ round($coil->thickPx * 0.22, 2) }}" d="{{ $coil->turns() }}"/>
    @if ($coil->kept() !== '')<path class="turn-kept" stroke-width="{{ round($coil->thickPx * 0.8, 2) }}" d="{{ $coil->kept() }}"/>@endif</g>
    <path class="tie" d="M8 45l16 -6M52 27l14 -9"/>@endif
    <circle class="peg-hole" cx="38" cy="{{ $coil->pegY() }}" r="4.2"/>
</svg>
