@use('App\View\CourseField')
@use('App\View\Desk')
{{-- The way of a free wire: written, said on by a tap on what is offered, or pointed at in the drawing. --}}
@php($field = new CourseField($desk->document, $part, $isWrong && is_string(request('value')) ? request('value') : $part->choice($parameter->key)))
<div class="field" x-data="course" data-taps="{{ $field->taps() }}">
    <label for="{{ $id }}">{{ $parameter->words }}</label>
    <textarea class="in is-course" id="{{ $id }}" name="value" rows="{{ $field->rows() }}" spellcheck="false" autocomplete="off" x-ref="text" @if ($isWrong) aria-invalid="true" aria-describedby="problem-{{ Str::slug($parameter->words) }}" @endif>{{ $field->text }}</textarea>
    @if ($isWrong)<x-problem :for="$parameter->words" :problem="$problem" />@endif
    <div class="say-on" role="group" aria-label="Say on">
        @foreach ($field->beads() as ['letter' => $letter, 'bead' => $bead, 'move' => $move])
            <button type="button" class="tool" id="{{ $id }}-{{ $letter }}" data-move="{{ $move }}" x-on:click="put" title="{{ $move }}"><b>{{ $letter }}</b> <svg class="glyph shrink-0" width="22" height="22" aria-hidden="true" focusable="false"><use href="#{{ Desk::glyph($bead) }}"/></svg> {{ $bead->words() }}</button>
        @endforeach
        @foreach ($field->things() as $name => $move)
            <button type="button" class="tool" id="{{ $id }}-on-{{ Str::slug($name) }}" data-move="{{ $move }}" x-on:click="put" title="{{ $move }}">on {{ $name }}</button>
        @endforeach
        @foreach ($field->moves() as $word => $move)
            <button type="button" class="tool is-quiet" id="{{ $id }}-{{ $word }}" data-move="{{ $move }}" x-on:click="put" title="{{ $move }}">{{ $word }}</button>
        @endforeach
    </div>
    <p class="small quiet">Moves one after the other, parted by · or comma. Tap one above, or point at a bead or a named wire in the drawing.</p>
    <details class="small" id="{{ $id }}-all">
        <summary>All moves, and how wires meet</summary>
        <dl class="moves">
            @foreach (CourseField::all() as $example => $words)<dt class="figure">{{ $example }}</dt><dd>{{ $words }}</dd>@endforeach
            <dt class="figure">straight 8 as stem</dt><dd>a name for a stretch: others wrap on it, hang in it; what hangs it is its <b>top</b></dd>
            <dt class="figure">tie (26): from 4 0 heading up</dt><dd>another wire with its gauge, where it starts, and which way it heads: up, down, left, right, in, out or degrees</dd>
            <dt class="figure">… | …</dt><dd>what stands after the bar goes from the same start the other way</dd>
            <dt class="figure">at left, right, top, bottom, start, middle, end, 12, 40%</dt><dd>places on a wire</dd>
        </dl>
    </details>
</div>
