{{-- What follows from a change, in fixed places: what it was, and is. --}}
<div class="follows">
<dl class="figures">
    @foreach ($desk->board()->figures() as $words => [$before, $now])
        <div><dt>{{ $words }}</dt><dd><span @if ($before !== '') role="status" @endif>@if ($before !== '')<s>{{ $before }}</s> → @endif<strong class="figure">{{ $now }}</strong></span></dd></div>
    @endforeach
    @if (($bill ?? null) === null)
        <div hx-get="/pieces/{{ $desk->piece->ulid }}/cost" hx-trigger="load delay:400ms" hx-swap="innerHTML" hx-target="this"><dt>price</dt><dd><a href="/pieces/{{ $desk->piece->ulid }}/bill">what it costs</a></dd></div>
    @else
        <div>@include('stages.cost', ['desk' => $bill])</div>
    @endif
</dl>
@php($tape = $desk->board()->tape())
@if ($tape !== null)@include('stages.tape')@endif
</div>
