@php($takes = $part->technique()->takesBeads())
@php($changes = '/pieces/'.$desk->piece->ulid.'/changes')
<div class="part-body">
    @if ($takes && isset($part->beads[$run]))
        @php($chosen = $desk->document->beads[$part->beads[$run]->bead])
        @php([$before, $after] = [$desk->neighbour(-1), $desk->neighbour(1)])
        <form class="bar" method="post" action="{{ $changes }}" hx-post="{{ $changes }}" aria-label="{{ $chosen->words() }}">
            @csrf
            <input type="hidden" name="part" value="{{ $part->id }}"><input type="hidden" name="at" value="{{ $run }}">
            @include('fragments.where', ['desk' => $desk, 'then' => []])
            <x-counter :of="$part->id.'/'.$run" :count="$part->beads[$run]->count" :change="['do' => 'bead.count', 'part' => $part->id, 'at' => (string) $run]" words="How many in a row" :most="\Hebra\Core\Piece\BeadRun::MOST" fewer="run-fewer" more="run-more" fewer-key="-" more-key="+ | =" />
            <button type="submit" class="tool" id="run-up" name="do" value="bead.move -1" data-key="Alt+ArrowUp" aria-keyshortcuts="Alt+ArrowUp">up</button>
            <button type="submit" class="tool" id="run-down" name="do" value="bead.move +1" data-key="Alt+ArrowDown" aria-keyshortcuts="Alt+ArrowDown">down</button>
            <button type="submit" class="tool" id="run-mirror" name="do" value="bead.mirror" data-key="m" aria-keyshortcuts="m" @disabled(count($part->beads) < 2)>mirror</button>
            <button type="submit" class="tool" id="run-reverse" name="do" value="bead.reverse" data-key="v" aria-keyshortcuts="v" @disabled(count($part->beads) < 2)>turn round</button>
            <button type="submit" class="tool" id="run-off" name="do" value="bead.remove" data-key="Delete" aria-keyshortcuts="Delete">take off</button>
            @if ($before)<a class="sr-only" data-key="ArrowUp" href="{{ $desk->url('lay-out') }}?open={{ $before['part'] }}&amp;run={{ $before['run'] }}" hx-get="{{ $desk->url('lay-out') }}?open={{ $before['part'] }}&amp;run={{ $before['run'] }}">Bead above</a>@endif
            @if ($after)<a class="sr-only" data-key="ArrowDown" href="{{ $desk->url('lay-out') }}?open={{ $after['part'] }}&amp;run={{ $after['run'] }}" hx-get="{{ $desk->url('lay-out') }}?open={{ $after['part'] }}&amp;run={{ $after['run'] }}">Bead below</a>@endif
        </form>
        <div class="bar">
            <form class="bar" method="post" action="{{ $changes }}" hx-post="{{ $changes }}" hx-trigger="change, submit">
                @csrf
                <input type="hidden" name="do" value="bead.edit"><input type="hidden" name="bead" value="{{ $part->beads[$run]->bead }}">
                @include('fragments.where', ['desk' => $desk, 'then' => []])
                <label for="bead-size" class="quiet small">size</label>
                <input class="in !w-36" id="bead-size" name="size" value="{{ $desk->sizeOf($chosen) }}" autocomplete="off">
                <label for="bead-hole" class="quiet small">{{ $chosen->holeWord() }}</label>
                <input class="in !w-24" id="bead-hole" name="hole" value="{{ \Hebra\Core\Quantity\Figures::mm($chosen->holeMm) }}" autocomplete="off">
                <label for="bead-colour" class="quiet small">colour</label>
                <select class="in is-text !w-auto " id="bead-colour" name="colour">
                    @foreach (\Hebra\Core\Bead\Bead::COLOURS as $colour)<option @selected($colour === $chosen->colour)>{{ $colour }}</option>@endforeach
                </select>
                <button type="submit" class="tool no-js">set</button>
            </form>
            <form class="bar" method="post" action="{{ $changes }}" hx-post="{{ $changes }}" hx-trigger="change, submit">
                @csrf
                <input type="hidden" name="do" value="bead.swap"><input type="hidden" name="part" value="{{ $part->id }}"><input type="hidden" name="at" value="{{ $run }}">
                @include('fragments.where', ['desk' => $desk, 'then' => []])
                <label for="bead-swap" class="quiet small">swap for</label>
                <select class="in is-text !w-40 " id="bead-swap" name="bead">
                    <option value="{{ $part->beads[$run]->bead }}">{{ $chosen->words() }}</option>
                    @foreach ($desk->tray() as $bead)<option value="{{ \App\View\Desk::line($bead) }}">{{ $bead->words() }}</option>@endforeach
                </select>
                <button type="submit" class="tool no-js">swap</button>
            </form>
        </div>
        @if ($problem)@foreach (['hole', 'size', 'size width', 'size length', 'size hole'] as $field)<x-problem :for="$field" :problem="$problem" />@endforeach @endif
        @if (count($part->beads) > 1)
        <form class="bar small" method="post" action="{{ $changes }}" hx-post="{{ $changes }}" aria-label="Repeat the row of beads">
            @csrf
            <input type="hidden" name="do" value="bead.repeat"><input type="hidden" name="part" value="{{ $part->id }}">
            @include('fragments.where', ['desk' => $desk, 'then' => []])
            <label class="quiet" for="row-times">the whole row</label>
            <input class="in !w-16" id="row-times" name="count" value="2" inputmode="numeric" autocomplete="off">
            <button type="submit" class="tool" id="row-repeat">times in a row</button>
        </form>
        @endif
    @endif
    @if ($takes)
        <form class="tray" method="post" action="{{ $changes }}" hx-post="{{ $changes }}" aria-label="Tray: puts a bead on this {{ $part->label() }}">
            @csrf
            <input type="hidden" name="do" value="bead.add"><input type="hidden" name="part" value="{{ $part->id }}">
            @include('fragments.where', ['desk' => $desk, 'then' => ['run' => count($part->beads)]])
            @foreach ($desk->tray() as $place => $bead)
                @php($shown = $bead->name !== '' ? $bead->name : $bead->sizeWords())
                <button type="submit" class="tool" id="tray-{{ $place }}" name="bead" value="{{ \App\View\Desk::line($bead) }}" aria-label="{{ $shown }}, add it" title="{{ $bead->words() }}, {{ $bead->holeWord() }} {{ \Hebra\Core\Quantity\Figures::mm($bead->holeMm) }}"><svg class="glyph shrink-0" width="22" height="22" aria-hidden="true" focusable="false"><use href="#{{ \App\View\Desk::glyph($bead) }}"/></svg> {{ $shown }}</button>
            @endforeach
        </form>
        <form class="flex flex-wrap items-end gap-2" method="post" action="{{ $changes }}" hx-post="{{ $changes }}">
            @csrf
            <input type="hidden" name="do" value="bead.add"><input type="hidden" name="part" value="{{ $part->id }}">
            @include('fragments.where', ['desk' => $desk, 'then' => ['run' => count($part->beads)]])
            <div class="grow max-w-96"><x-field name="bead" label="A bead of your own, in one line" :value="$problem !== null && $problem->field() === 'bead' ? (is_string(request('bead')) ? mb_substr(request('bead'), 0, 200) : '') : ''" :problem="$problem" placeholder="12 × 6mm round, hole 1, amber" autocomplete="off" /></div>
            <button type="submit" class="may">Add it</button>
        </form>
        @if ($problem)@foreach (['bead hole', 'bead width', 'bead length', 'bead colour', 'bead name'] as $field)<x-problem :for="$field" :problem="$problem" />@endforeach @endif
    @endif
    <div class="settings">
        @foreach ($part->technique()->parameters() as $parameter)
            @continue(! $part->technique()->shows($parameter->key, $part))
            <form method="post" action="{{ $changes }}" hx-post="{{ $changes }}" hx-trigger="change, submit">
                @csrf
                <input type="hidden" name="do" value="part.set"><input type="hidden" name="part" value="{{ $part->id }}"><input type="hidden" name="key" value="{{ $parameter->key }}">
                @include('fragments.where', ['desk' => $desk, 'then' => []])
                @php($id = 'set-'.$part->id.'-'.$parameter->key)
                @if ($parameter->kind->value === 'course')
                    @include('stages.course')
                @elseif (in_array($parameter->kind->value, ['length', 'count', 'number', 'weave', 'text'], true))
                    @php($isWrong = $problem !== null && $problem->field() === $parameter->words)
                    <div class="field">
                        <label for="{{ $id }}">{{ $parameter->words }}</label>
                        <input class="in{{ in_array($parameter->kind->value, ['weave', 'text'], true) ? ' is-weave' : '' }}" id="{{ $id }}" name="value" autocomplete="off" inputmode="{{ $parameter->kind->value === 'count' && $parameter->per === '' ? 'numeric' : 'text' }}" value="{{ $isWrong ? (is_string(request('value')) ? mb_substr(request('value'), 0, 100) : '') : match ($parameter->kind->value) { 'length' => $profile->size($part->mm($parameter->key)), 'count' => $part->count($parameter->key), 'number' => \Hebra\Core\Quantity\Figures::trim((float) $part->settings[$parameter->key]), default => $part->choice($parameter->key) } }}" @if ($isWrong) aria-invalid="true" aria-describedby="problem-{{ Str::slug($parameter->words) }}" @endif>
                        @if ($parameter->kind->value === 'weave')<p class="small quiet">Figures 6@1-2, basket f1 b2, or cross 1-2; sections parted by |, x12 for repeats.</p>@endif
                        @if ($parameter->per !== '')<p class="small quiet">or a length, such as 3 1/2 in</p>@endif
                        @if ($parameter->key === 'holes')<p class="small quiet">top 1.5 mm · bottom 1.5 mm; ring top 2 mm for a soldered ring, across where it stands edgewise; elsewhere at so far right and down from the middle.</p>@endif
                        @if ($isWrong)<x-problem :for="$parameter->words" :problem="$problem" />@endif
                    </div>
                @else
                    <div class="field">
                        <label for="{{ $id }}">{{ $parameter->words }}</label>
                        <select class="in is-text" id="{{ $id }}" name="value">
                            @foreach ($parameter->kind->value === 'flag' ? ['0' => 'no', '1' => 'yes'] : $parameter->choices as $value => $words)
                                <option value="{{ $value }}" @selected($parameter->kind->value === 'flag' ? $part->is($parameter->key) === ((string) $value === '1') : $part->choice($parameter->key) === (string) $value)>{{ $words }}</option>
                            @endforeach
                        </select>
                    </div>
                @endif
                <button type="submit" class="word no-js">set</button>
            </form>
            @if ($parameter->key === 'path')@include('stages.trace')@endif
        @endforeach
    </div>
    @php([$eyes, $ends] = [$desk->plan->eyesAbove($part->id), $desk->plan->eyesElsewhere($part->id)])
    @if (count($eyes) > 1 || ($ends !== [] && $index > 0))
        <div class="bar small">
            @if (count($eyes) > 1)
                <form class="bar" method="post" action="{{ $changes }}" hx-post="{{ $changes }}" hx-trigger="change, submit">
                    @csrf
                    <input type="hidden" name="do" value="part.hang"><input type="hidden" name="part" value="{{ $part->id }}">
                    @include('fragments.where', ['desk' => $desk, 'then' => []])
                    <label class="quiet" for="hang-{{ $part->id }}">hangs in</label>
                    <select class="in is-text !w-auto" id="hang-{{ $part->id }}" name="on">
                        <option value="">the part before it</option>
                        @foreach ($eyes as $value => $words)<option value="{{ $value }}" @selected($part->on?->text() === $value)>{{ $words }}</option>@endforeach
                    </select>
                    <button type="submit" class="word no-js">set</button>
                </form>
            @endif
            @if ($ends !== [] && $index > 0)
                <form class="bar" method="post" action="{{ $changes }}" hx-post="{{ $changes }}" hx-trigger="change, submit">
                    @csrf
                    <input type="hidden" name="do" value="part.close"><input type="hidden" name="part" value="{{ $part->id }}">
                    @include('fragments.where', ['desk' => $desk, 'then' => []])
                    <label class="quiet" for="close-{{ $part->id }}">its end also closes in</label>
                    <select class="in is-text !w-auto" id="close-{{ $part->id }}" name="to">
                        <option value="">nothing</option>
                        @foreach ($ends as $value => $words)<option value="{{ $value }}" @selected($part->to?->text() === $value)>{{ $words }}</option>@endforeach
                    </select>
                    <button type="submit" class="word no-js">set</button>
                </form>
            @endif
        </div>
    @endif
    <form class="bar small" method="post" action="{{ $changes }}" hx-post="{{ $changes }}" aria-label="The whole {{ $part->label() }}">
        @csrf
        <input type="hidden" name="part" value="{{ $part->id }}">
        @include('fragments.where', ['desk' => $desk, 'then' => []])
        <span class="quiet">This {{ $part->label() }}</span>
        <x-counter :of="'part '.$part->id" :count="$part->repeat" :change="['do' => 'part.repeat', 'part' => $part->id]" words="How often it repeats" before="× " fewer="part-fewer" more="part-more" fewer-key="[" more-key="]" fewer-words="Repeat once less" more-words="Repeat once more" :stops="true" />
        <button type="submit" class="tool" id="part-up" name="do" value="part.move -1" data-key="Alt+Shift+ArrowUp" aria-keyshortcuts="Alt+Shift+ArrowUp" @disabled($index === 0)>up</button>
        <button type="submit" class="tool" id="part-down" name="do" value="part.move +1" data-key="Alt+Shift+ArrowDown" aria-keyshortcuts="Alt+Shift+ArrowDown" @disabled($index === count($desk->document->parts) - 1)>down</button>
        <button type="submit" class="tool" id="part-copy" name="do" value="part.copy" data-key="c" aria-keyshortcuts="c">copy</button>
        @if ($part->group !== '')
            <button type="submit" class="tool" id="part-ungroup" name="do" value="group.leave">on its own</button>
        @elseif ($index > 0)
            <button type="submit" class="tool" id="part-group" name="do" value="group.join">repeat with the one above</button>
        @endif
        @if ($part->technique !== 'free-wire' && ! $part->technique()->isBought($part))<button type="submit" class="tool" id="part-open" name="do" value="part.open" title="As free wire, move by move, to be changed as you like">open its wires</button>@endif
        <button type="submit" class="tool" id="part-off" name="do" value="part.remove" data-key="Shift+Delete" aria-keyshortcuts="Shift+Delete">take off</button>
    </form>
    @if ($takes && $desk->workshop->shortcuts)<p class="small quiet">Keys: <kbd>+</kbd> <kbd>−</kbd> count · <kbd>↑</kbd> <kbd>↓</kbd> choose a bead · <kbd>Alt ↑</kbd> <kbd>Alt ↓</kbd> move it · <kbd>M</kbd> mirror · <kbd>V</kbd> turn round · <kbd>Del</kbd> take off · <kbd>[</kbd> <kbd>]</kbd> repeat the part</p>@endif
</div>
