{{-- A ruler of lengths as wide as its page, over or under what lies along it. --}}
@props(['rule', 'isOver' => false])
@php($foot = fn (int $high): int => $isOver ? 24 - $high : 0)
<svg @class(['rule', 'is-over' => $isOver]) width="100%" height="26" aria-hidden="true">@foreach ($rule->ticks() as $x)<rect
    x="{{ $x }}%" y="{{ $foot(5) }}" width="1" height="5"/>@endforeach @foreach ($rule->marks() as [$x, $words])<rect
    x="{{ $x }}%" y="{{ $foot(9) }}" width="1.5" height="9"/><text x="{{ $x }}%" y="{{ $isOver ? 13 : 22 }}"
    dx="3">{{ $words }}</text>@endforeach</svg>
