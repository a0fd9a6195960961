{{-- What stands on the shelf, its foot at 0: a jar, a cup of pins, a fall of chain, a spool, boxes. --}}
<svg class="jar metal-{{ $jar->metal() }}" width="62" height="90" viewBox="-31 -86 62 88" aria-hidden="true">
@switch($jar->form())
    @case('pins')
        @for ($pin = 0, $pins = $jar->pins(); $pin < $pins; $pin++)@php($lean = ($pin - ($pins - 1) / 2) * 2.2)<path class="turn-edge" stroke-width="2.4" d="M{{ round($lean * 0.35, 1) }} -22L{{ round($lean, 1) }} -64"/><path class="turn" stroke-width="1.5" d="M{{ round($lean * 0.35, 1) }} -22L{{ round($lean, 1) }} -64"/><circle class="pin-head" cx="{{ round($lean, 1) }}" cy="-64" r="1.9"/>@endfor
        <path class="cup" d="M-17 -33H17L13 -1H-13Z"/>
        @break
    @case('fall')
        <path class="beam" d="M-29 -82H29V-77H-29Z"/>
        @foreach ($jar->falls() as $at => $share)@php($x = -24.5 + 7 * $at)<path class="chain-wire" d="M{{ $x }} -77v{{ round(70 * $share, 1) }}"/><path class="chain-links" d="M{{ $x }} -77v{{ round(70 * $share, 1) }}"/>@endforeach
        @break
    @case('spool')
        @unless ($jar->isEmpty())<rect class="thread" x="-17" y="-48" width="34" height="42"/><path class="thread-line" d="@for ($y = -45; $y < -6; $y += 4)M-17 {{ $y }}L17 {{ $y + 2 }}@endfor"/>@endunless
        <path class="beam" d="M-22 -56H22V-48H-22ZM-22 -7H22V0H-22Z"/>
        @break
    @case('boxes')
        @for ($box = 0; $box < $jar->boxes(); $box++)<rect class="box" x="-24" y="{{ -11 - 11 * $box }}" width="48" height="10.4"/><rect class="box-band" x="-4" y="{{ -11 - 11 * $box }}" width="8" height="10.4"/>@endfor
        @break
    @default
        <rect class="lid" x="-20" y="-66" width="40" height="8" rx="2"/>
        <path class="glass" d="M-18 -58H18C18 -54 24 -53 24 -47V-4C24 -1 22 0 19 0H-19C-22 0 -24 -1 -24 -4V-47C-24 -53 -18 -54 -18 -58Z"/>
        @foreach ($jar->inside() as [$x, $y, $turn])
            @if ($jar->holds() === 'rings')<circle class="turn-edge" stroke-width="1.7" cx="{{ $x }}" cy="{{ $y }}" r="3.4"/><circle class="turn" stroke-width="1" cx="{{ $x }}" cy="{{ $y }}" r="3.4"/>
            @elseif ($jar->holds() === 'crimps')<rect class="bit" x="{{ $x - 1.8 }}" y="{{ $y - 2.2 }}" width="3.6" height="4.4" rx="0.8" transform="rotate({{ $turn }} {{ $x }} {{ $y }})"/>
            @else<path class="bit-line" d="M{{ $x - 3 }} {{ $y }}c1.5 -3.4 4.5 -3.4 6 0c-1.5 3.4 -4.5 3.4 -6 0" transform="rotate({{ $turn }} {{ $x }} {{ $y }})"/>@endif
        @endforeach
        <path class="glass-light" d="M-19 -46V-8"/>
@endswitch
</svg>
