@use('App\Models\Piece')
@use('Hebra\Core\Figure\View')
@use('Hebra\Core\Quantity\Figures')
<div id="desk" x-data="desk" data-piece="{{ $desk->piece->ulid }}" data-waits="{{ in_array($desk->stage, ['make', 'log'], true) ? 'off' : 'on' }}" x-on:pointerover="pointed" x-on:pointerleave="left" x-on:focusin="pointed" x-on:keydown.document="key" hx-target="#desk" hx-swap="outerHTML show:none" data-shortcuts="{{ $desk->workshop->shortcuts ? 'on' : 'off' }}">
    <div class="piece-head">
        <div>
            <form method="post" action="/pieces/{{ $desk->piece->ulid }}/changes" hx-post="/pieces/{{ $desk->piece->ulid }}/changes" hx-trigger="change, submit">
                @csrf
                <input type="hidden" name="do" value="name">
                @include('fragments.where', ['desk' => $desk, 'then' => []])
                <h1 class="contents"><label class="sr-only" for="piece-name">Name of the piece</label><input class="piece-name" id="piece-name" name="name" value="{{ $desk->document->name }}" autocomplete="off" @readonly($desk->isOlderDesign())></h1>
            </form>
            @if ($problem)<x-problem for="name" :problem="$problem" />@endif
            <div class="bar small">
                @if ($desk->making() === null)@include('stages.makes')@else<span class="quiet">{{ $desk->document->makes->words() }}</span>@endif
                @if (in_array($desk->stage, ['lay-out', 'wire', 'cut'], true))
                    <span class="quiet pl-2" aria-hidden="true">|</span>
                    @php([$canUndo, $canRedo] = $desk->piece->canMove())
                    <x-change :desk="$desk" :off="! $canUndo" do="undo" at="undo" key="Ctrl+z" class="word" title="Ctrl Z">Undo</x-change>
                    <x-change :desk="$desk" :off="! $canRedo" do="redo" at="redo" key="Ctrl+Shift+z | Ctrl+y" class="word" title="Ctrl Shift Z">Redo</x-change>
                @endif
            </div>
        </div>
        <ol class="strung" aria-label="Stages of the piece">
            @php($isPast = true)
            @foreach (Piece::STAGES as $stage => $words)
                @php($isPast = $isPast && $stage !== $desk->stage)
                <li><a href="{{ $desk->url($stage) }}" @if ($stage === $desk->stage) aria-current="step" @endif @class(['is-past' => $isPast])>{{ $words }}</a></li>
            @endforeach
        </ol>
        @if ($desk->stage === 'lay-out')<a class="do" href="{{ $desk->url('wire') }}">Choose the wire</a>@endif
        @if ($desk->stage === 'wire')<a class="do" href="{{ $desk->url('cut') }}">See the cuts</a>@endif
        @if ($desk->stage === 'cut' && $desk->plan->cuts !== [])<form method="post" action="/pieces/{{ $desk->piece->ulid }}/makings">@csrf<button type="submit" class="do">{{ $desk->piece->openMaking ? 'Go on making' : 'Start making' }}</button></form>@endif
    </div>
    @if ($problem !== null && ! $desk->places($problem))
        <p class="banner" role="alert">{{ $problem->getMessage() }}</p>
    @endif
    @if ($desk->isOlderDesign())
        <p class="banner is-note">This making began with an earlier version of the design and goes on with it. What you changed since is for the next one.</p>
    @endif
    @if ($desk->stage === 'lay-out')
    @include('stages.board')
    @elseif (in_array($desk->stage, ['wire', 'cut'], true) || ($desk->stage === 'log' && $desk->making() !== null))
    <section class="stage-panel" aria-label="{{ Piece::STAGES[$desk->stage] }}">@include('stages.'.$desk->stage)</section>
    @else
    <div @class(['desk', 'is-making' => $desk->stage === 'make' && $desk->making() !== null && ! $desk->making()->isDone()])>
        <div class="drawing-place" x-data="turning">
        <figure class="drawing" x-data="zoom">
            <div class="canvas" x-ignore>@include('svg.piece', ['drawing' => $desk->drawing, 'hangs' => $desk->hangs(), 'across' => $desk->across(), 'label' => 'Drawing of '.$desk->document->name.($desk->side === View::Front ? '' : ' from the '.$desk->side->value).': '.$desk->high()])</div>
            <div class="space" tabindex="0" role="application" aria-label="The piece in space: turn it with the arrow keys" data-scene="/pieces/{{ $desk->piece->ulid }}/scene.glb" hidden></div>
            <figcaption>
                @include('stages.sides')
                <span class="zoom" hidden>
                    <button type="button" id="zoom-out" class="tool" x-on:click="farther" aria-label="Drawing smaller">−</button>
                    <button type="button" id="zoom-in" class="tool" x-on:click="nearer" aria-label="Drawing larger">+</button>
                    <button type="button" id="zoom-fit" class="tool zoom-fit" x-on:click="fit">fit</button>
                </span>
                <span><span class="ratio">drawn {{ $desk->drawing->ratio }} : 1 · </span>{{ $desk->high() }} · {{ $desk->document->makes->count > 1 ? 'each ' : '' }}{{ Figures::grams($desk->plan->gramsEach) }}</span>
                @foreach ($desk->board()->figures() as [$before, $now])
                    @if ($loop->first && $before !== '')<span role="status"><strong>{{ $before }} → {{ $now }}</strong></span>@endif
                @endforeach
            </figcaption>
        </figure>
        </div>
        <section class="stage-panel" aria-label="{{ Piece::STAGES[$desk->stage] }}">
            @include('stages.'.$desk->stage)
        </section>
    </div>
    @endif
</div>
