@use('Hebra\Core\Piece\BeadRun')
@use('App\View\Desk')
@use('Hebra\Core\Bead\Bead')
@use('Hebra\Core\Quantity\Figures')
{{-- The bead that is chosen: how many, where, its measures, another in its place. --}}
@php($chosen = $desk->document->beads[$part->beads[$run]->bead])
@php([$before, $after] = [$desk->neighbour(-1), $desk->neighbour(1)])
@php([$owned, $left] = $desk->board()->ownedAndLeft($chosen))
<section class="chosen" aria-label="{{ $chosen->words() }}">
    <div class="chosen-head" @if ($at !== null) data-at="{{ $at[0] }} {{ $at[1] }}" @endif>
        <p class="chosen-name">{{ ucfirst($chosen->words()) }}</p>
        @if ($owned > 0)<span class="quiet small">{{ $owned }} owned, <span @class(['is-short' => $left < 0])>{{ $left < 0 ? -$left.' short' : $left.' left' }}</span></span>@endif
    </div>
    <form class="bar" method="post" action="{{ $changes }}" hx-post="{{ $changes }}" aria-label="{{ $chosen->words() }}">
        @csrf
        <input type="hidden" name="part" value="{{ $part->id }}"><input type="hidden" name="at" value="{{ $run }}">
        @include('fragments.where', ['desk' => $desk, 'then' => []])
        <x-counter :of="$part->id.'/'.$run" :count="$part->beads[$run]->count" :change="['do' => 'bead.count', 'part' => $part->id, 'at' => (string) $run]" words="How many in a row" :most="BeadRun::MOST" fewer="run-fewer" more="run-more" fewer-key="-" more-key="+ | =" />
        <button type="submit" class="tool" id="run-up" name="do" value="bead.move -1" data-key="Alt+ArrowUp" aria-keyshortcuts="Alt+ArrowUp" aria-label="up" title="up">↑</button>
        <button type="submit" class="tool" id="run-down" name="do" value="bead.move +1" data-key="Alt+ArrowDown" aria-keyshortcuts="Alt+ArrowDown" aria-label="down" title="down">↓</button>
        <button type="submit" class="tool" id="run-mirror" name="do" value="bead.mirror" data-key="m" aria-keyshortcuts="m" @disabled(count($part->beads) < 2)>mirror</button>
        <button type="submit" class="tool" id="run-reverse" name="do" value="bead.reverse" data-key="v" aria-keyshortcuts="v" @disabled(count($part->beads) < 2)>turn round</button>
        <button type="submit" class="tool" id="run-off" name="do" value="bead.remove" data-key="Delete" aria-keyshortcuts="Delete">take off</button>
        @if ($before)<a class="sr-only" data-key="ArrowUp" href="{{ $desk->url('lay-out') }}?open={{ $before['part'] }}&amp;run={{ $before['run'] }}" hx-get="{{ $desk->url('lay-out') }}?open={{ $before['part'] }}&amp;run={{ $before['run'] }}">Bead above</a>@endif
        @if ($after)<a class="sr-only" data-key="ArrowDown" href="{{ $desk->url('lay-out') }}?open={{ $after['part'] }}&amp;run={{ $after['run'] }}" hx-get="{{ $desk->url('lay-out') }}?open={{ $after['part'] }}&amp;run={{ $after['run'] }}">Bead below</a>@endif
    </form>
    <form class="chosen-edit is-bead" method="post" action="{{ $changes }}" hx-post="{{ $changes }}" hx-trigger="change, submit">
        @csrf
        <input type="hidden" name="do" value="bead.edit"><input type="hidden" name="bead" value="{{ $part->beads[$run]->bead }}">
        @include('fragments.where', ['desk' => $desk, 'then' => []])
        <span class="pair"><label for="bead-size" class="quiet small">size</label><input class="in" id="bead-size" name="size" value="{{ $desk->sizeOf($chosen) }}" autocomplete="off"></span>
        <span class="pair"><label for="bead-hole" class="quiet small">{{ $chosen->holeWord() }}</label><input class="in" id="bead-hole" name="hole" value="{{ Figures::mm($chosen->holeMm) }}" autocomplete="off"></span>
        <span class="pair"><label for="bead-colour" class="quiet small">colour</label><select class="in is-text" id="bead-colour" name="colour">
            @foreach (Bead::COLOURS as $colour)<option @selected($colour === $chosen->colour)>{{ $colour }}</option>@endforeach
        </select></span>
        <button type="submit" class="tool no-js">set</button>
    </form>
    @php($alike = $desk->alike($part->beads[$run]->bead))
    <form class="chosen-edit" method="post" action="{{ $changes }}" hx-post="{{ $changes }}" hx-trigger="change from:find select, submit">
        @csrf
        <input type="hidden" name="do" value="bead.swap"><input type="hidden" name="part" value="{{ $part->id }}"><input type="hidden" name="at" value="{{ $run }}">
        @include('fragments.where', ['desk' => $desk, 'then' => []])
        <span class="pair"><label for="bead-swap" class="quiet small">swap</label><select class="in is-text" id="bead-swap" name="bead">
            <option value="{{ $part->beads[$run]->bead }}">{{ $chosen->words() }}</option>
            @foreach ($desk->tray() as $bead)<option value="{{ Desk::line($bead) }}">{{ $bead->words() }}</option>@endforeach
        </select></span>
        @if ($alike > 1)<label class="small quiet all-alike"><input type="checkbox" name="all" value="1"> in all {{ $alike }} places</label>@endif
        <button type="submit" class="tool no-js">swap</button>
    </form>
    @if ($problem)@foreach (['hole', 'size', 'size width', 'size length', 'size hole'] as $field)<x-problem :for="$field" :problem="$problem" />@endforeach @endif
</section>
