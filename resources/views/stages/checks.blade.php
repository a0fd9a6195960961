{{-- $checks: each with its sign, its sentence and its ways out --}}
@if ($checks !== [])
<ul aria-label="Checks">
@foreach ($checks as $index => $check)
    <li class="check is-{{ $check->level->value }}">
        <span class="sign" aria-hidden="true">{{ ['ok' => '✓', 'note' => '◦', 'warn' => '▲', 'stop' => '✕'][$check->level->value] }}</span>
        <div>
            <span class="sr-only">{{ ['ok' => 'Good:', 'note' => 'Note:', 'warn' => 'Caution:', 'stop' => 'Stop:'][$check->level->value] }}</span>
            {{ $check->text }}
            @include('stages.ways')
        </div>
    </li>
@endforeach
</ul>
@endif
