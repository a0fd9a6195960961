{{-- $checks: each with its sign, its sentence and its ways out --}}
@if ($checks !== [])
<ul aria-label="Checks">
@foreach ($checks as $index => $check)
    <li class="check is-{{ $check->level->value }}">
        <span class="sign" aria-hidden="true">{{ ['ok' => '✓', 'note' => '◦', 'warn' => '▲', 'stop' => '✕'][$check->level->value] }}</span>
        <div>
            <span class="sr-only">{{ ['ok' => 'Good:', 'note' => 'Note:', 'warn' => 'Caution:', 'stop' => 'Stop:'][$check->level->value] }}</span>
            {{ $check->text }}
            @if ($check->ways !== [])
                <div class="ways">
                    @foreach ($check->ways as $way)
                        @php($fields = \Hebra\Core\Piece\ChangeWriter::fields($way->change))
                        <x-change :desk="$desk" :do="$fields['do']" :with="array_diff_key($fields, ['do' => 0])">{{ $way->words }}</x-change>
                    @endforeach
                </div>
            @endif
        </div>
    </li>
@endforeach
</ul>
@endif
