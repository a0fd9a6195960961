@use('App\Models\Piece')
@use('App\View\Pulls')
{{-- Lay out: the piece large on its paper, its measures beside it, the line of parts, the tray at the foot. --}}
@php([$open, $run, $profile] = [$desk->open(), $desk->run(), $desk->profile])
@php($changes = '/pieces/'.$desk->piece->ulid.'/changes')
@php($measures = $desk->board()->measures())
<div class="board" x-data="board" data-hangs="{{ json_encode($desk->board()->hangs(), JSON_THROW_ON_ERROR) }}" data-gaps="{{ json_encode($desk->board()->gaps(), JSON_THROW_ON_ERROR) }}" data-tried="/pieces/{{ $desk->piece->ulid }}/tried?{{ http_build_query(['revision' => $desk->piece->revision, 'view' => $desk->side->value, 'open' => $open?->id->text, 'run' => $run, 'hung' => $desk->shown()]) }}">
    <div class="drawing-place" x-data="turning">
    <figure class="drawing" x-data="zoom">
        <div class="canvas" x-ignore>@include('stages.picture')</div>
        <div class="space" tabindex="0" role="application" aria-label="The piece in space: turn it with the arrow keys" data-scene="/pieces/{{ $desk->piece->ulid }}/scene.glb" hidden></div>
        @include('stages.flags')
        @if ($open !== null)
        <div class="beside" aria-label="Measures of the {{ $open->label() }}" role="group">
            @foreach ($desk->board()->beside($open) as [$parameter, $at])
                @if ($parameter === null)
                    @include('stages.chosen', ['part' => $open])
                @else
                    @include('stages.setting', ['part' => $open, 'steps' => Pulls::of($parameter, $open, $profile)])
                @endif
            @endforeach
        </div>
        <svg class="leaders" aria-hidden="true" focusable="false"></svg>
        @endif
        <dialog class="true-size" x-ref="measure" aria-labelledby="true-size-heading">
            <h2 id="true-size-heading">As large as it is</h2>
            <p>Lay a bank card on the screen and move the slider until the frame is as wide as the card, 85.6 mm; or hold a ruler to it. Once for this screen.</p>
            <div class="card-frame" x-ref="card" aria-hidden="true"></div>
            <label for="true-size-width">How wide the card is on this screen</label>
            <input type="range" id="true-size-width" min="150" max="900" step="1" x-on:input="sized">
            <p class="bar"><button type="button" class="do" id="true-size-keep" x-on:click="keep">It is as wide</button> <button type="button" class="word" x-on:click="leave">Not now</button></p>
        </dialog>
        <figcaption>
            @include('stages.sides')
            <span class="zoom" hidden>
                <button type="button" id="zoom-out" class="tool" x-on:click="farther" aria-label="Drawing smaller">−</button>
                <span class="ratio figure">{{ $desk->drawing->ratio }} : 1</span>
                <button type="button" id="zoom-in" class="tool" x-on:click="nearer" aria-label="Drawing larger">+</button>
                <button type="button" id="zoom-fit" class="tool zoom-fit" x-on:click="fit">fit</button>
                <button type="button" id="zoom-true" class="tool zoom-true" x-on:click="truly" aria-pressed="false" title="As large as it is, on this screen">true size</button>
            </span>
        </figcaption>
        @include('stages.figures')
    </figure>
    </div>
    @include('stages.tray')
    <section class="stage-panel" aria-label="{{ Piece::STAGES[$desk->stage] }}">
        @include('stages.lay-out')
    </section>
</div>
