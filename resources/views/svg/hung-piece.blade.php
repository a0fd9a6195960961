{{-- A piece as it hangs: once, or twice where it is a pair, each drawn once. --}}
@php([$w, $h] = [$drawing->width, $drawing->height])
<svg width="{{ $w * $times }}" height="{{ $h }}" viewBox="0 0 {{ $w * $times }} {{ $h }}" aria-hidden="true"><g id="{{ $id }}">@include('svg.piece', ['drawing' => $drawing, 'small' => true, 'label' => ''])</g>@if ($times > 1)<use href="#{{ $id }}" x="{{ $w }}"/>@endif</svg>
