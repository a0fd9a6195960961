{{-- The scrap jar of one metal: clippings, more of them the more it holds, up to some forty. --}}
<svg class="jar metal-{{ $metal }}" width="62" height="90" viewBox="-31 -86 62 88" aria-hidden="true">
    <rect class="lid" x="-20" y="-66" width="40" height="8" rx="2"/>
    <path class="glass" d="M-18 -58H18C18 -54 24 -53 24 -47V-4C24 -1 22 0 19 0H-19C-22 0 -24 -1 -24 -4V-47C-24 -53 -18 -54 -18 -58Z"/>
    @for ($bit = 0, $bits = max(1, min(40, (int) ceil($mg / 40))); $bit < $bits; $bit++)@php([$x, $y, $turn] = [-15 + ($bit % 5) * 7.5, -4 - intdiv($bit, 5) * 5, ($bit * 67) % 70 - 35])<path class="clipping" d="M{{ $x - 4 }} {{ $y }}l8 1" transform="rotate({{ $turn }} {{ $x }} {{ $y }})"/>@endfor
    <path class="glass-light" d="M-19 -46V-8"/>
</svg>
