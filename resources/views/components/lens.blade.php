{{-- A place looked at through a glass, each [x, y, radius]: its ring, the rays, the glass and what is seen in it. --}}
@props(['name', 'place', 'glass'])
@php([$x, $y, $r] = $glass)
<clipPath id="{{ $name }}"><circle cx="{{ $x }}" cy="{{ $y }}" r="{{ $r }}"/></clipPath>
@if ($place !== null)@php([$px, $py, $pr] = $place)
<path class="loupe-way" d="M{{ $px + $pr * 0.5 }} {{ $py - $pr * 0.87 }}L{{ $x - $r * 0.5 }} {{ $y - $r * 0.87 }}M{{ $px + $pr * 0.5 }} {{ $py + $pr * 0.87 }}L{{ $x - $r * 0.5 }} {{ $y + $r * 0.87 }}"/><circle class="loupe-ring" cx="{{ $px }}" cy="{{ $py }}" r="{{ $pr }}"/>
@endif
<circle class="loupe-glass" cx="{{ $x }}" cy="{{ $y }}" r="{{ $r }}"/><g clip-path="url(#{{ $name }})">{{ $slot }}</g>
<circle class="loupe-ring is-glass" cx="{{ $x }}" cy="{{ $y }}" r="{{ $r }}"/>
