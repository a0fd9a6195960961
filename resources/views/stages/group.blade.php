<li class="group-head">
    <form class="bar small" method="post" action="/pieces/{{ $desk->piece->ulid }}/changes" hx-post="/pieces/{{ $desk->piece->ulid }}/changes" aria-label="The next parts, together">
        @csrf
        <input type="hidden" name="group" value="{{ $name }}">
        @include('fragments.where', ['desk' => $desk, 'then' => []])
        <span class="quiet">Together</span>
        <x-counter :of="'group '.$name" :count="$group->repeat" :change="['do' => 'group.set', 'group' => $name]" words="How often they repeat" :most="500" before="× " fewer-words="Once less" more-words="Once more" :stops="true" :fewer="'group-'.$name.'-fewer'" :more="'group-'.$name.'-more'" />
    </form>
    <form class="bar small" method="post" action="/pieces/{{ $desk->piece->ulid }}/changes" hx-post="/pieces/{{ $desk->piece->ulid }}/changes">
        @csrf
        <input type="hidden" name="do" value="group.set"><input type="hidden" name="group" value="{{ $name }}"><input type="hidden" name="mirrored" value="{{ $group->isMirrored ? '0' : '1' }}">
        @include('fragments.where', ['desk' => $desk, 'then' => []])
        <button type="submit" class="tool" id="group-{{ $name }}-mirror" aria-pressed="{{ $group->isMirrored ? 'true' : 'false' }}">{{ $group->isMirrored ? 'mirrored halves' : 'mirror it' }}</button>
    </form>
    @if ($group->times() > 1 && $group->times() <= 60)
        <details class="small">
            <summary class="quiet">graduate</summary>
            <form class="bar small mt-1" method="post" action="/pieces/{{ $desk->piece->ulid }}/changes" hx-post="/pieces/{{ $desk->piece->ulid }}/changes">
                @csrf
                <input type="hidden" name="do" value="group.grade"><input type="hidden" name="group" value="{{ $name }}">
                @include('fragments.where', ['desk' => $desk, 'then' => []])
                <label class="quiet" for="grade-{{ $name }}">each repeat’s beads larger by</label>
                <input class="in !w-20" id="grade-{{ $name }}" name="step" value="0.5 mm" autocomplete="off">
                <button type="submit" class="tool" name="way" value="rising">rising</button>
                <button type="submit" class="tool" name="way" value="falling">falling</button>
            </form>
        </details>
    @endif
</li>
