@php($takes = $part->technique()->takesBeads())
<div class="part-body">
    @if ($takes && count($part->beads) > 1)
    <form class="bar small" method="post" action="{{ $changes }}" hx-post="{{ $changes }}" aria-label="Repeat the row of beads">
        @csrf
        <input type="hidden" name="do" value="bead.repeat"><input type="hidden" name="part" value="{{ $part->id }}">
        @include('fragments.where', ['desk' => $desk, 'then' => []])
        <label class="quiet" for="row-times">the whole row</label>
        <input class="in !w-16" id="row-times" name="count" value="2" inputmode="numeric" autocomplete="off">
        <button type="submit" class="tool" id="row-repeat">times in a row</button>
    </form>
    @endif
    <div class="settings">
        @foreach ($part->technique()->parameters() as $parameter)
            @continue(! $part->technique()->shows($parameter->key, $part) || $measures->of($part, $parameter) !== null)
            @include('stages.setting', ['at' => null])
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
                    <label class="quiet" for="close-{{ $part->id }}">its end also joins to</label>
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
            <button type="submit" class="tool" id="part-group" name="do" value="group.join">repeat as a group with the one above</button>
        @endif
        @if ($part->technique !== 'free-wire' && ! $part->technique()->isBought($part))<button type="submit" class="tool" id="part-open" name="do" value="part.open" title="As free wire, move by move, to be changed as you like">open its wires</button>@endif
        <button type="submit" class="tool" id="part-off" name="do" value="part.remove" data-key="Shift+Delete" aria-keyshortcuts="Shift+Delete">take off</button>
    </form>
    @if ($takes && $desk->workshop->shortcuts)<details class="small quiet"><summary>Keys</summary><p><kbd>+</kbd> <kbd>−</kbd> count · <kbd>↑</kbd> <kbd>↓</kbd> choose a bead · <kbd>Alt ↑</kbd> <kbd>Alt ↓</kbd> move it · <kbd>M</kbd> mirror · <kbd>V</kbd> turn round · <kbd>Del</kbd> take off · <kbd>[</kbd> <kbd>]</kbd> repeat the part</p></details>@endif
</div>
