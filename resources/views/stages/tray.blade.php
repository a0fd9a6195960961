@use('App\View\Desk')
@use('Hebra\Core\Quantity\Figures')
{{-- The tray at the foot: beads on one scale, how many are owned and left after this piece, parts, and one typed line. --}}
@php($part = $open !== null && $open->technique()->takesBeads() ? $open : null)
<section class="tray-foot" aria-label="Tray">
    <div class="tray-head">
        <h2>Tray</h2>
        @if ($part !== null)
            <span class="quiet small">a tap puts it on the {{ $part->label() }}</span>
            <form class="tray-line" method="post" action="{{ $changes }}" hx-post="{{ $changes }}">
                @csrf
                <input type="hidden" name="do" value="bead.add"><input type="hidden" name="part" value="{{ $part->id }}">
                @include('fragments.where', ['desk' => $desk, 'then' => ['run' => count($part->beads)]])
                <x-field name="bead" label="A bead of your own, in one line" :value="$problem !== null && $problem->field() === 'bead' ? (is_string(request('bead')) ? mb_substr(request('bead'), 0, 200) : '') : ''" :problem="$problem" placeholder="12 × 6mm round, hole 1, amber" autocomplete="off" />
                <button type="submit" class="may">Add it</button>
            </form>
        @endif
    </div>
    @if ($part !== null)
        @if ($problem)@foreach (['bead hole', 'bead width', 'bead length', 'bead colour', 'bead name'] as $field)<x-problem :for="$field" :problem="$problem" />@endforeach @endif
        <form class="wells" method="post" action="{{ $changes }}" hx-post="{{ $changes }}" aria-label="Tray: puts a bead on this {{ $part->label() }}">
            @csrf
            <input type="hidden" name="do" value="bead.add"><input type="hidden" name="part" value="{{ $part->id }}">
            @include('fragments.where', ['desk' => $desk, 'then' => ['run' => count($part->beads)]])
            @foreach ($desk->board()->wells($part) as $place => $well)
                <button type="submit" @class(['well', 'is-unfit' => $well->why !== '']) id="tray-{{ $place }}" name="bead" value="{{ Desk::line($well->bead) }}" data-bead="{{ Desk::line($well->bead) }}" title="{{ $well->bead->words() }}, {{ $well->bead->holeWord() }} {{ Figures::mm($well->bead->holeMm) }}">
                    <svg class="well-bead" width="{{ $well->wide }}" height="46" viewBox="{{ -$well->wide / 2 }} {{ $well->top }} {{ $well->wide }} 46" aria-hidden="true" focusable="false">@include('svg.bead', ['bead' => $well->bead, 'x' => 0, 'y' => 0, 'w' => $well->w, 'l' => $well->l])</svg>
                    <span class="well-name">{{ $well->words() }}</span><span class="sr-only">, add it.</span>
                    <span class="well-count figure">@if ($well->why !== ''){{ $well->why }}@elseif ($well->owned > 0){{ $well->owned }}<span class="sr-only"> owned</span>@if ($well->left !== $well->owned) → <b>{{ $well->left }}</b><span class="sr-only"> left after this piece</span>@endif @endif</span>
                </button>
            @endforeach
        </form>
    @endif
    <div class="tray-parts">
        <form class="bar" method="post" action="{{ $changes }}" hx-post="{{ $changes }}" aria-label="Add a part">
            @csrf
            <input type="hidden" name="do" value="part.add"><input type="hidden" name="at" value="{{ $desk->placeForNew() }}">
            @include('fragments.where', ['desk' => $desk, 'then' => ['open' => $desk->document->nextPartId(), 'run' => 0]])
            <span class="quiet small">Add</span>
            @foreach ($desk->quickTechniques() as $technique)
                @php($letter = mb_substr($technique->label(), 0, 1))
                <button type="submit" class="tool" id="add-{{ $technique->name() }}" name="technique" value="{{ $technique->name() }}" data-key="{{ $letter }}" aria-keyshortcuts="{{ $letter }}">{{ $technique->label() }} <kbd>{{ mb_strtoupper($letter) }}</kbd></button>
            @endforeach
        </form>
        <form class="bar" method="post" action="{{ $changes }}" hx-post="{{ $changes }}" aria-label="Add another kind of part">
            @csrf
            <input type="hidden" name="do" value="part.add"><input type="hidden" name="at" value="{{ $desk->placeForNew() }}">
            @include('fragments.where', ['desk' => $desk, 'then' => ['open' => $desk->document->nextPartId(), 'run' => 0]])
            <label class="quiet small" for="add-technique">or</label>
            <select class="in is-text !w-auto" id="add-technique" name="technique">
                @foreach ($desk->techniquesByFamily() as $family => $techniques)
                    <optgroup label="{{ $family }}">@foreach ($techniques as $technique)<option value="{{ $technique->name() }}">{{ $technique->label() }}</option>@endforeach</optgroup>
                @endforeach
            </select>
            <button type="submit" class="tool" id="add-other">Add it</button>
        </form>
    </div>
</section>
