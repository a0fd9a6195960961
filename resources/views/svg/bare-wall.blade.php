{{-- A wall that no wire hangs on yet: a peg for each size, and the ring of a coil about it. --}}
<svg class="bare-wall" viewBox="0 0 660 130" role="img" aria-label="Bare pegs, one for each size of wire">@foreach ([18, 20, 22, 24, 26, 28] as $at => $awg)<g
    transform="translate({{ 55 + 110 * $at }} 0)"><text y="16">{{ $awg }} AWG</text><circle class="bare-coil" cy="70"
    r="{{ 34 - 2 * $at }}"/><circle class="peg-hole" cy="44" r="5"/></g>@endforeach</svg>
