@php($mm = 96 / 25.4)
<x-layout :title="'Strips 1 : 1, '.$desk->document->name" here="Pieces" :is-paper="true">
<div x-data="leaf" class="print-page">
    <div class="no-print flex flex-wrap items-center justify-between gap-3 mb-4">
        <a href="{{ $desk->url('cut') }}">← {{ $desk->document->name }}</a>
        <span class="quiet small">Print at 100 %, not “fit to page”, then lay a ruler on the check line.</span>
        <button type="button" class="do" x-on:click="print">Print</button>
    </div>
    <h1 class="!text-xl">{{ $desk->document->name }}: strips 1 : 1 <span class="quiet small font-normal">{{ $desk->document->makes->words() }}, rounded up to {{ $desk->profile->ruler->value }}</span></h1>
    <div class="true-length" tabindex="0" role="group" aria-label="Check ruler">
    <svg id="check-ruler" class="strip mt-2" width="108mm" height="14mm" viewBox="0 0 {{ 108 * $mm }} {{ 14 * $mm }}" role="img" aria-label="Check ruler, 100 mm long">
        <line id="check-line" class="tick" x1="{{ 4 * $mm }}" x2="{{ 104 * $mm }}" y1="{{ 3 * $mm }}" y2="{{ 3 * $mm }}"/>
        @for ($tick = 0; $tick <= 100; $tick++)
            <line class="tick" stroke-width="{{ $tick % 10 === 0 ? 1 : 0.5 }}" x1="{{ round((4 + $tick) * $mm, 3) }}" x2="{{ round((4 + $tick) * $mm, 3) }}" y1="{{ 3 * $mm }}" y2="{{ ($tick % 10 === 0 ? 7 : ($tick % 5 === 0 ? 5.5 : 4.6)) * $mm }}"/>
            @if ($tick % 10 === 0)<text x="{{ round((4 + $tick) * $mm, 3) }}" y="{{ 11 * $mm }}">{{ $tick }}</text>@endif
        @endfor
    </svg>
    </div>
    <p class="small">Check: from 0 to 100 must measure 100 mm on your ruler. If it does not, print again at 100 %.</p>
    @foreach ($strips as $strip)
        <section class="print-strip">
            <h2 class="!text-base">{{ $strip->cut->label }}: {{ $strip->cut->isBoughtPin() ? 'bought pin' : 'cut' }} {{ $strip->cut->count }} × <span class="figure">{{ $desk->profile->length($strip->cutMm()) }}</span> <span class="quiet font-normal">{{ $strip->cut->wire->words() }}</span></h2>
            <div class="true-length" tabindex="0" role="group" aria-label="Strip of {{ $strip->cut->label }}">@include('svg.strip', ['strip' => $strip, 'true' => true])</div>
            <p class="small">@foreach ($strip->bends as $bend)<span class="figure">{{ $bend['text'] }}</span> {{ $bend['words'] }}@if (! $loop->last) · @endif @endforeach</p>
        </section>
    @endforeach
    @if ($strips === [])<p>Nothing to cut yet.</p>@endif
</div>
</x-layout>
