{{-- A kept picture of a piece as it hangs: once, or twice where it is a pair. What is in it was escaped when it was drawn. --}}
<svg width="{{ $hung->width }}" height="{{ $hung->height }}"
    viewBox="0 0 {{ $hung->drawnWide * $hung->times }} {{ $hung->drawnHigh }}" aria-hidden="true"><g
    id="{{ $id }}">{!! $hung->lines !!}</g>@if ($hung->times > 1)<use href="#{{ $id }}"
    x="{{ $hung->drawnWide }}"/>@endif</svg>
