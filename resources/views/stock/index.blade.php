<x-layout title="Stock" here="Stock">
<div @class(['stock', 'has-open' => $wall->openLot() !== null])>
    <form id="stock-line" class="stock-line" method="post" action="/stock/line" aria-label="Take in or find">
        @csrf
        <h1><label for="line">Stock</label></h1>
        <input class="in" id="line" name="line" value="{{ $wall->line }}" maxlength="80" autocomplete="off" spellcheck="false" placeholder="5 m 22 awg copper soft 6.20" aria-describedby="line-hint" hx-get="/stock" hx-trigger="input changed delay:250ms" hx-target="#wall" hx-select="#wall" hx-swap="outerHTML" @if ($problem?->field() === 'line') aria-invalid="true" @endif>
        <button type="submit" class="do">Take in or find</button>
        <p class="stock-ways small"><a href="/stock?as=rows">As rows</a><a href="/cutting">Cutting plan</a><a href="/stock/book">Metal book</a><a href="/stock/import?of=beads">From a table</a></p>
    </form>
    @include('stock.wall')
    @if ($wall->story() !== null)@include('stock.story', ['story' => $wall->story()])@endif
</div>
</x-layout>
