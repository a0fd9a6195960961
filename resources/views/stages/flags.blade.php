@use('Hebra\Core\Plan\Level')
{{-- What is wrong stands where it is wrong, with its ways out; what is fine is folded away. --}}
@php($flags = $desk->board()->flags())
@if ($flags !== [])
<ul class="flags" aria-label="What is wrong">
    @foreach ($flags as [$check, $at])
        <li class="flag is-{{ $check->level->value }}" @if ($at !== null) data-at="{{ $at[0] }} {{ $at[1] }}" @endif>
            <details @if ($loop->first) open @endif>
                <summary><span aria-hidden="true">{{ $check->level === Level::Stop ? '✕' : '▲' }}</span> <span class="sr-only">{{ $check->level === Level::Stop ? 'Stop:' : 'Caution:' }}</span> {{ ucfirst($check->rule) }}</summary>
                <p>{{ $check->text }}</p>
                @include('stages.ways')
            </details>
        </li>
    @endforeach
</ul>
@endif
