{{-- A straight wire as it lies, so long (`72%` too) and so thick; upright it hangs. Its metal is that of what it lies in. --}}
@props(['long', 'thick', 'x' => 0, 'y' => 0, 'isUpright' => false])
@php($parts = ['edge' => [0.0, 1.0], 'body' => [0.13, 0.74], 'shine' => [0.24, 0.2]])
@foreach ($parts as $part => [$from, $share])@if ($isUpright)<rect class="strip-{{ $part }}" x="{{ round($x + $from * $thick, 2) }}" y="{{ $y }}" width="{{ round($share * $thick, 2) }}" height="{{ $long }}"/>@else<rect class="strip-{{ $part }}" x="{{ $x }}" y="{{ round($y + $from * $thick, 2) }}" width="{{ $long }}" height="{{ round($share * $thick, 2) }}"/>@endif @endforeach
