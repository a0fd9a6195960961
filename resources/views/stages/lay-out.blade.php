@use('App\View\Desk')
@use('Hebra\Core\Plan\Level')
@use('Hebra\Core\Quantity\Figures')
<div class="flex flex-wrap items-baseline justify-between gap-x-6 gap-y-1">
    <h2>{{ $desk->document->fit->kind->begins() }}</h2>
    <div class="bar small">
        <a class="tool" href="/pieces/{{ $desk->piece->ulid }}/lay-ready">Lay ready</a>
        <a class="tool" href="/pieces/{{ $desk->piece->ulid }}/drawing.svg" target="_blank" rel="noopener">Large drawing</a>
        @if (! $desk->piece->is_pattern)@if ($desk->piece->family !== null)<a class="tool" id="see-beside" href="/pieces/{{ $desk->piece->ulid }}/beside">Variants</a>@else<form method="post" action="/pieces/{{ $desk->piece->ulid }}/beside">@csrf<button type="submit" class="tool" id="keep-beside" title="Kept as it is now, to be changed and compared">Keep beside</button></form>@endif<form method="post" action="/pieces/{{ $desk->piece->ulid }}/keep">@csrf<button type="submit" class="tool" id="keep-pattern">Keep as a pattern</button></form>@endif
    </div>
</div>
@include('svg.glyphs', ['beads' => $desk->document->beads])
@php($inShort = $desk->plan->inShort())
@include('stages.several')
<ol class="line mt-2">
@forelse ($desk->document->parts as $index => $part)
    @php($isOpen = $open !== null && $open->id === $part->id)
    @if ($part->group !== '' && ($index === 0 || $desk->document->parts[$index - 1]->group !== $part->group))
        @include('stages.group', ['name' => $part->group, 'group' => $desk->document->groups[$part->group]])
    @endif
    <li @class(['part', 'is-open' => $isOpen, 'is-grouped' => $part->group !== '']) data-mark="">
        <div class="part-row">
            <a class="part-name" id="part-{{ $part->id }}" href="{{ $desk->url('lay-out') }}?open={{ $part->id }}" hx-get="{{ $desk->url('lay-out') }}?open={{ $part->id }}" @if ($isOpen) aria-current="true" @endif>{{ ucfirst($part->label()) }}@if ($part->repeat > 1) <span class="figure">× <span data-count-of="part {{ $part->id }}">{{ $part->repeat }}</span></span>@endif</a>
            @if ($inShort[$part->id->text] !== '')<span class="quiet small figure">{{ $inShort[$part->id->text] }}</span>@endif
            @foreach ($part->beads as $place => $beads)
                @php($bead = $desk->document->beads[$beads->bead])
                <span class="run-place"><a class="run" id="run-{{ $part->id }}-{{ $place }}" data-mark="{{ $part->id }}:bead-{{ $place }}" href="{{ $desk->url('lay-out') }}?open={{ $part->id }}&amp;run={{ $place }}" hx-get="{{ $desk->url('lay-out') }}?open={{ $part->id }}&amp;run={{ $place }}" @if ($isOpen && $run === $place) aria-current="true" @endif>
                    <svg class="glyph shrink-0" width="22" height="22" aria-hidden="true" focusable="false"><use href="#{{ Desk::glyph($bead) }}"/></svg>
                    <span><span data-count-of="{{ $part->id }}/{{ $place }}">{{ $beads->count }}</span> × {{ $bead->words() }}</span>
                </a><label class="choose-box"><input type="checkbox" class="choose" form="several" name="chosen[]" value="{{ $part->id }}/{{ $place }}" data-mark="{{ $part->id }}:bead-{{ $place }}" data-bead="{{ $beads->bead }}"><span class="sr-only">{{ $beads->count }} × {{ $bead->words() }}, together with others</span></label></span>
            @endforeach
            @if ($part->on !== null)<span class="quiet small">in {{ $desk->plan->eyesAbove($part->id)[$part->on->text()] ?? $part->on->text() }}</span>@endif
            @if ($part->to !== null)<span class="quiet small">closes in {{ $desk->plan->eyesElsewhere($part->id)[$part->to->text()] ?? $part->to->text() }}</span>@endif
            <span class="part-wire figure"><span class="quiet">{{ isset($part->settings['made_of']) ? strtr($part->choice('made_of'), '-', ' ') : $desk->document->wires[$part->wire]->size->text() }}</span> <b>{{ $desk->board()->cutOf($part) }}</b></span>
        </div>
        @if ($isOpen)
            @include('stages.part', ['part' => $part, 'index' => $index])
        @endif
    </li>
@empty
    <li class="part"><p class="quiet">Nothing is laid out yet. Add a part below, then hang the next in it.</p></li>
@endforelse
</ol>
<form class="mt-4" method="post" action="/pieces/{{ $desk->piece->ulid }}/changes" hx-post="/pieces/{{ $desk->piece->ulid }}/changes" hx-trigger="change, submit">
    @csrf
    <input type="hidden" name="do" value="note">
    @include('fragments.where', ['desk' => $desk, 'then' => []])
    <div class="field"><label for="piece-note">Notes</label><textarea class="in is-text" id="piece-note" name="note" rows="{{ min(6, 1 + substr_count($desk->document->note, "\n")) }}" maxlength="2000">{{ $desk->document->note }}</textarea></div>
    @if ($problem)<x-problem for="note" :problem="$problem" />@endif
    <button type="submit" class="word no-js">set</button>
</form>
<div class="rule-top mt-4">
    @include('stages.checks', ['checks' => array_values(array_filter($desk->checks(Level::Note), fn ($check) => $check->rule !== 'length'))])
    @php($fine = $desk->checks(Level::Ok))
    @if ($fine !== [])<details class="mt-2"><summary class="quiet small">{{ Figures::counted(count($fine), 'check') }} fine</summary>@include('stages.checks', ['checks' => $fine])</details>@endif
</div>
