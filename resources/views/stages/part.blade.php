@php($takes = $part->technique()->takesBeads())
<div class="part-body">
    @if ($takes && isset($part->beads[$run]))
        @php($chosen = $desk->document->beads[$part->beads[$run]->bead])
        @php([$before, $after] = [$desk->neighbour(-1), $desk->neighbour(1)])
        <div class="bar" role="group" aria-label="{{ $chosen->words() }}">
            <x-change :desk="$desk" do="bead.count" :with="['part' => $part->id, 'at' => $run, 'by' => -1]" key="-" aria-label="One fewer">−</x-change>
            <span class="figure px-1" aria-live="polite">{{ $part->beads[$run]->count }}</span>
            <x-change :desk="$desk" do="bead.count" :with="['part' => $part->id, 'at' => $run, 'by' => 1]" key="+ | =" aria-label="One more">+</x-change>
            <x-change :desk="$desk" do="bead.move" :with="['part' => $part->id, 'at' => $run, 'by' => -1]" :then="['run' => max(0, $run - 1)]" key="Alt+ArrowUp">up</x-change>
            <x-change :desk="$desk" do="bead.move" :with="['part' => $part->id, 'at' => $run, 'by' => 1]" :then="['run' => min(count($part->beads) - 1, $run + 1)]" key="Alt+ArrowDown">down</x-change>
            <x-change :desk="$desk" do="bead.mirror" :with="['part' => $part->id]" key="m" :off="count($part->beads) < 2">mirror</x-change>
            <x-change :desk="$desk" do="bead.remove" :with="['part' => $part->id, 'at' => $run]" :then="['run' => max(0, $run - 1)]" key="Delete">take off</x-change>
            @if ($before)<a class="sr-only" data-key="ArrowUp" href="{{ $desk->url('lay-out') }}?open={{ $before['part'] }}&amp;run={{ $before['run'] }}" hx-get="{{ $desk->url('lay-out') }}?open={{ $before['part'] }}&amp;run={{ $before['run'] }}">Bead above</a>@endif
            @if ($after)<a class="sr-only" data-key="ArrowDown" href="{{ $desk->url('lay-out') }}?open={{ $after['part'] }}&amp;run={{ $after['run'] }}" hx-get="{{ $desk->url('lay-out') }}?open={{ $after['part'] }}&amp;run={{ $after['run'] }}">Bead below</a>@endif
        </div>
        <div class="bar">
            <form class="bar" method="post" action="/pieces/{{ $desk->piece->ulid }}/changes" hx-post="/pieces/{{ $desk->piece->ulid }}/changes" hx-trigger="change, submit">
                @csrf
                <input type="hidden" name="do" value="bead.edit"><input type="hidden" name="bead" value="{{ $part->beads[$run]->bead }}">
                @include('fragments.where', ['desk' => $desk, 'then' => []])
                <label for="bead-hole" class="quiet small">hole</label>
                <input class="in !w-24" id="bead-hole" name="hole" value="{{ \Hebra\Core\Quantity\Figures::mm($chosen->holeMm) }}" autocomplete="off">
                <label for="bead-colour" class="quiet small">colour</label>
                <select class="in is-text !w-auto " id="bead-colour" name="colour">
                    @foreach (\Hebra\Core\Bead\Bead::COLOURS as $colour)<option @selected($colour === $chosen->colour)>{{ $colour }}</option>@endforeach
                </select>
                <noscript><button type="submit" class="tool">set</button></noscript>
            </form>
            <form class="bar" method="post" action="/pieces/{{ $desk->piece->ulid }}/changes" hx-post="/pieces/{{ $desk->piece->ulid }}/changes" hx-trigger="change, submit">
                @csrf
                <input type="hidden" name="do" value="bead.swap"><input type="hidden" name="part" value="{{ $part->id }}"><input type="hidden" name="at" value="{{ $run }}">
                @include('fragments.where', ['desk' => $desk, 'then' => []])
                <label for="bead-swap" class="quiet small">swap for</label>
                <select class="in is-text !w-40 " id="bead-swap" name="bead">
                    <option value="{{ $part->beads[$run]->bead }}">{{ $chosen->words() }}</option>
                    @foreach ($desk->tray() as $bead)<option value="{{ \App\View\Desk::line($bead) }}">{{ $bead->words() }}</option>@endforeach
                </select>
                <noscript><button type="submit" class="tool">swap</button></noscript>
            </form>
        </div>
        <x-problem for="hole" :problem="$problem" /><x-problem for="bead hole" :problem="$problem" />
    @endif
    @if ($takes)
        <div class="tray" role="group" aria-label="Tray: puts a bead on this {{ $part->technique()->label() }}">
            @foreach ($desk->tray() as $bead)
                <x-change :desk="$desk" do="bead.add" :with="['part' => $part->id, 'bead' => \App\View\Desk::line($bead)]" :then="['run' => count($part->beads)]" aria-label="Add {{ $bead->words() }}" title="{{ $bead->words() }}, hole {{ \Hebra\Core\Quantity\Figures::mm($bead->holeMm) }}">@include('svg.glyph', ['bead' => $bead, 'size' => 22]) {{ $bead->name !== '' ? $bead->name : $bead->sizeWords() }}</x-change>
            @endforeach
        </div>
        <form class="flex flex-wrap items-end gap-2" method="post" action="/pieces/{{ $desk->piece->ulid }}/changes" hx-post="/pieces/{{ $desk->piece->ulid }}/changes">
            @csrf
            <input type="hidden" name="do" value="bead.add"><input type="hidden" name="part" value="{{ $part->id }}">
            @include('fragments.where', ['desk' => $desk, 'then' => ['run' => count($part->beads)]])
            <div class="grow max-w-96"><x-field name="bead" label="A bead of your own, in one line" :value="$problem !== null && $problem->field() === 'bead' ? (is_string(request('bead')) ? mb_substr(request('bead'), 0, 200) : '') : ''" :problem="$problem" placeholder="6mm round, hole 1, amber" autocomplete="off" /></div>
            <button type="submit" class="may">Add it</button>
        </form>
        @foreach (['bead width', 'bead length', 'bead colour', 'bead name'] as $field)<x-problem :for="$field" :problem="$problem" />@endforeach
    @endif
    <div class="settings">
        @foreach ($part->technique()->parameters() as $parameter)
            @continue(! $part->technique()->shows($parameter->key, $part))
            <form method="post" action="/pieces/{{ $desk->piece->ulid }}/changes" hx-post="/pieces/{{ $desk->piece->ulid }}/changes" hx-trigger="change, submit">
                @csrf
                <input type="hidden" name="do" value="part.set"><input type="hidden" name="part" value="{{ $part->id }}"><input type="hidden" name="key" value="{{ $parameter->key }}">
                @include('fragments.where', ['desk' => $desk, 'then' => []])
                @php($id = 'set-'.$part->id.'-'.$parameter->key)
                @if ($parameter->kind->value === 'length' || $parameter->kind->value === 'count')
                    <x-field name="value" :id="$id" :label="$parameter->words" :value="$problem !== null && $problem->field() === $parameter->words ? (is_string(request('value')) ? mb_substr(request('value'), 0, 100) : '') : ($parameter->kind->value === 'length' ? $profile->size($part->mm($parameter->key)) : $part->count($parameter->key))" :problem="$problem" :problem-for="$parameter->words" autocomplete="off" inputmode="{{ $parameter->kind->value === 'count' ? 'numeric' : 'text' }}" />
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
                <noscript><button type="submit" class="word">set</button></noscript>
            </form>
        @endforeach
    </div>
    <div class="bar small" role="group" aria-label="The whole {{ $part->technique()->label() }}">
        <span class="quiet">This {{ $part->technique()->label() }}</span>
        <x-change :desk="$desk" do="part.repeat" :with="['part' => $part->id, 'by' => -1]" key="[" :off="$part->repeat < 2" aria-label="Repeat once less">−</x-change>
        <span class="figure">× {{ $part->repeat }}</span>
        <x-change :desk="$desk" do="part.repeat" :with="['part' => $part->id, 'by' => 1]" key="]" aria-label="Repeat once more">+</x-change>
        <x-change :desk="$desk" do="part.move" :with="['part' => $part->id, 'by' => -1]" key="Alt+Shift+ArrowUp" :off="$index === 0">up</x-change>
        <x-change :desk="$desk" do="part.move" :with="['part' => $part->id, 'by' => 1]" key="Alt+Shift+ArrowDown" :off="$index === count($desk->document->parts) - 1">down</x-change>
        <x-change :desk="$desk" do="part.copy" :with="['part' => $part->id]" key="c">copy</x-change>
        <x-change :desk="$desk" do="part.remove" :with="['part' => $part->id]" key="Shift+Delete">take off</x-change>
    </div>
    @if ($takes && $desk->workshop->shortcuts)<p class="small quiet">Keys: <kbd>+</kbd> <kbd>−</kbd> count · <kbd>↑</kbd> <kbd>↓</kbd> choose a bead · <kbd>Alt ↑</kbd> <kbd>Alt ↓</kbd> move it · <kbd>M</kbd> mirror · <kbd>Del</kbd> take off · <kbd>[</kbd> <kbd>]</kbd> repeat the part</p>@endif
</div>
