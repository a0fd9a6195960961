@use('App\View\Bench\Rail')
@php($problem ??= null)
<x-layout title="Pieces" here="Pieces">
<div class="pieces">
    @if ($deleted)
        <form class="said flex flex-wrap items-center gap-3" method="post" action="/pieces/{{ $deleted->ulid }}/restore">@csrf <span>{{ $deleted->name }} is put away.</span><button type="submit" class="word">Take it back</button></form>
    @endif
    <div class="pieces-top">
        <h1>Pieces</h1>
        <form method="get" action="/pieces" role="search" aria-label="Find a piece"><label class="sr-only" for="find">Find</label><input class="in" type="search" id="find" name="line" value="{{ $wall->line }}" maxlength="80" placeholder="amber, under 80 mm" autocomplete="off" spellcheck="false" hx-get="/pieces" hx-trigger="input changed delay:200ms, search" hx-target="#pieces" hx-select="#pieces" hx-swap="outerHTML"></form>
        <a class="do" href="/patterns">Start a piece</a>
    </div>
    <details class="small" @if ($problem !== null) open @endif><summary class="quiet py-2">Start by name, bring in pieces that Hebra exported, or export all</summary>
        <form method="post" action="/pieces" class="flex flex-wrap items-end gap-4 mt-1">@csrf
            <div class="w-64"><x-field name="name" class="is-text" label="Name" :value="is_string(request('name')) ? mb_substr(request('name'), 0, 100) : ''" :problem="$problem" placeholder="New drops" autocomplete="off" /></div>
            <div class="field grow max-w-md"><label for="pattern">Start from</label>
                <select class="in is-text" id="pattern" name="pattern">
                    @foreach ($families as $family => $patterns)
                        <optgroup label="{{ $family }}">@foreach ($patterns as $name => $pattern)<option value="{{ $name }}" @selected($name === 'link-and-drop')>{{ $pattern->words }}</option>@endforeach</optgroup>
                    @endforeach
                </select><x-problem for="pattern" :problem="$problem" /></div>
            <button type="submit" class="may">Start it</button>
        </form>
        <form method="post" action="/pieces/import" enctype="multipart/form-data" class="bar mt-2">@csrf
            <label for="file" class="sr-only">File</label><input type="file" id="file" name="file" accept=".json,application/json"><button type="submit" class="may">Bring in</button> <a class="ml-4 py-2" href="/pieces/export">Export all pieces</a></form>
        @if ($problem !== null && ! in_array($problem->field(), ['name', 'pattern'], true))<p class="refusal" role="alert">{{ $problem->getMessage() }}</p>@endif
    </details>
    @if (($tags = $wall->tags()) !== [])<p class="tags small" aria-label="Tags">@foreach ($tags as $tag => $many)<a href="/pieces?line={{ urlencode($tag) }}">{{ $tag }} <span class="figure quiet">{{ $many }}</span></a>@endforeach</p>@endif
    <div id="pieces" @class(['gallery', 'is-searching' => $wall->isSearching()])>
    @if ($wall->count === 0)
        @include('svg.bare-rail', ['places' => 7])
        <p class="mt-2 max-w-xl text-lg">No piece yet. <a href="/patterns">Start one from a pattern</a>: it is complete and computed from the first second, and everything in it can be changed.</p>
    @else
        <p class="quiet small" role="status">{{ $wall->told() }}</p>
        @foreach ($wall->rails as $rail => $cards)
        <section class="shelf-row" aria-labelledby="{{ Str::slug($rail) }}"><h2 id="{{ Str::slug($rail) }}">{{ $rail }}<span class="figure small quiet">{{ count($cards) }}</span></h2>
            @php($hangers = $wall::hangers($cards))
            <ul class="places">@foreach (Rail::places($cards) as $at => ['card' => $card, 'hung' => $hung])
                @php($many = $hangers[$card->piece->family ?? ''] ?? 0)
                <li @class(['place', 'is-dim' => ! $wall->finds($card), 'shares' => $many > 1])>
                    @if ($many > 1 && $card->piece->family !== ($cards[$at - 1]->piece->family ?? null))<a
                        class="small place-variants" href="/pieces/{{ $card->piece->ulid }}/beside">{{ $many }} variants side by side</a>@endif
                    <a class="pattern" href="/pieces/{{ $card->piece->ulid }}"><span
                        class="place-piece">@include('svg.hung-picture')</span><strong>{{ $card->piece->name }}</strong><span class="small quiet">{{ $card->progress() }}@if ($card->piece->tags !== ''), {{ $card->piece->tags }}@endif</span>@if (in_array($card->worst()->value, ['stop', 'warn'], true))<span @class(['small', 'is-lacking'])>{{ $card->worst()->value === 'stop' ? '✕' : '▲' }} {{ Str::limit($card->seen->check(), 60) }}</span>@endif</a>
                    <details class="place-more"><summary aria-label="more for {{ $card->piece->name }}">…</summary><form class="bar small justify-center" method="post" action="/pieces/{{ $card->piece->ulid }}/tags">@csrf @method('put')<label class="sr-only" for="tags-{{ $card->piece->ulid }}">Tags of {{ $card->piece->name }}</label><input class="in is-text !w-32" id="tags-{{ $card->piece->ulid }}" name="tags" value="{{ str_replace('#', '', $card->piece->tags) }}" maxlength="240" placeholder="gift, blue" autocomplete="off"><button type="submit" class="word" aria-label="tag {{ $card->piece->name }}">tag</button></form><span class="bar small justify-center"><a href="/pieces/{{ $card->piece->ulid }}/export">export</a><form method="post" action="/pieces/{{ $card->piece->ulid }}/copy">@csrf<button type="submit" class="word">copy</button></form><form method="post" action="/pieces/{{ $card->piece->ulid }}">@csrf @method('delete')<button type="submit" class="word" aria-label="put away {{ $card->piece->name }}">put away</button></form></span></details></li>
            @endforeach</ul>
        </section>
        @endforeach
    @endif
    </div>
</div>
</x-layout>
