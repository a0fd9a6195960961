@use('Hebra\Core\Piece\ChangeWriter')
{{-- $check: its ways out, each a tap. --}}
@if (($check->ways ?? []) !== [])
    <div class="ways">
        @foreach ($check->ways as $way)
            @php($fields = ChangeWriter::fields($way->change))
            <x-change :desk="$desk" :do="$fields['do']" :with="array_diff_key($fields, ['do' => 0])">{{ $way->words }}</x-change>
        @endforeach
    </div>
@endif
