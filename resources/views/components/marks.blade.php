{{-- The figures over a ruler that is as wide as its page, each [percent, words]. --}}
@props(['marks'])
<svg width="100%" height="20">@foreach ($marks as [$x, $words])<text x="{{ $x }}%" y="14">{{ $words }}</text>@endforeach</svg>
