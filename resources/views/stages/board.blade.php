{{-- Lay out: the piece large on its paper, its measures beside it, the line of parts, the tray at the foot. --}}
@php([$open, $run, $profile] = [$desk->open(), $desk->run(), $desk->profile])
@php($changes = '/pieces/'.$desk->piece->ulid.'/changes')
@php($measures = $desk->board()->measures())
<div class="board" x-data="board" data-gaps="{{ json_encode($desk->board()->gaps(), JSON_THROW_ON_ERROR) }}">
    <div class="drawing-place" x-data="turning">
    <figure class="drawing" x-data="zoom">
        <div class="canvas">@include('svg.piece', ['drawing' => $desk->drawing, 'hangs' => $desk->hangs(), 'across' => $desk->across(), 'ring' => $desk->board()->ringed(), 'label' => 'Drawing of '.$desk->document->name.($desk->side === \Hebra\Core\Figure\View::Front ? '' : ' from the '.$desk->side->value).': '.$desk->high()])</div>
        <div class="space" tabindex="0" role="application" aria-label="The piece in space: turn it with the arrow keys" data-scene="/pieces/{{ $desk->piece->ulid }}/scene.glb" hidden></div>
        @if ($open !== null)
        <div class="beside" aria-label="Measures of the {{ $open->label() }}" role="group">
            @foreach ($desk->board()->beside($open) as [$parameter, $at])
                @if ($parameter === null)
                    @include('stages.chosen', ['part' => $open])
                @else
                    @include('stages.setting', ['part' => $open])
                @endif
            @endforeach
        </div>
        <svg class="leaders" aria-hidden="true" focusable="false"></svg>
        @endif
        <figcaption>
            @include('stages.sides')
            <span class="zoom" hidden>
                <button type="button" id="zoom-out" class="tool" x-on:click="farther" aria-label="Drawing smaller">−</button>
                <span class="ratio figure">{{ $desk->drawing->ratio }} : 1</span>
                <button type="button" id="zoom-in" class="tool" x-on:click="nearer" aria-label="Drawing larger">+</button>
                <button type="button" id="zoom-fit" class="tool zoom-fit" x-on:click="fit">fit</button>
            </span>
        </figcaption>
        <dl class="figures">
            @foreach ($desk->board()->figures() as $words => [$before, $now])
                <div><dt>{{ $words }}</dt><dd @if ($before !== '') role="status" @endif>@if ($before !== '')<s>{{ $before }}</s> → @endif<strong class="figure">{{ $now }}</strong></dd></div>
            @endforeach
        </dl>
    </figure>
    </div>
    @include('stages.tray')
    <section class="stage-panel" aria-label="{{ \App\Models\Piece::STAGES[$desk->stage] }}">
        @include('stages.lay-out')
    </section>
</div>
