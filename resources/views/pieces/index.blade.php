@php($problem ??= null)
<x-layout title="Pieces" here="Pieces">
    @if ($deleted)
        <form class="said flex flex-wrap items-center gap-3" method="post" action="/pieces/{{ $deleted->ulid }}/restore">@csrf <span>{{ $deleted->name }} is put away.</span><button type="submit" class="word">Take it back</button></form>
    @endif
    <h1 class="mt-4">Pieces</h1>
    <section class="leaf mt-4" aria-label="Start a piece">
        <form method="post" action="/pieces" class="flex flex-wrap items-end gap-4">
            @csrf
            <div class="w-64"><x-field name="name" class="is-text" label="Name" :value="is_string(request('name')) ? mb_substr(request('name'), 0, 100) : ''" :problem="$problem" placeholder="New drops" autocomplete="off" /></div>
            <div class="field grow max-w-md"><label for="pattern">Start from</label>
                <select class="in is-text" id="pattern" name="pattern">
                    @foreach ($families as $family => $patterns)
                        <optgroup label="{{ $family }}">@foreach ($patterns as $name => $pattern)<option value="{{ $name }}" @selected($name === 'link-and-drop')>{{ $pattern->words }}</option>@endforeach</optgroup>
                    @endforeach
                </select><x-problem for="pattern" :problem="$problem" /></div>
            <button type="submit" class="do">Start a piece</button>
            <a class="may" href="/patterns">Choose by picture</a>
        </form>
        <details class="mt-3 small"><summary class="quiet">Bring in pieces that Hebra exported, or export all</summary>
            <form method="post" action="/pieces/import" enctype="multipart/form-data" class="bar mt-2">@csrf
                <label for="file" class="sr-only">File</label><input type="file" id="file" name="file" accept=".json,application/json"><button type="submit" class="may">Bring in</button> <a class="ml-4" href="/pieces/export">Export all pieces</a></form>
        </details>
        @if ($problem !== null && ! in_array($problem->field(), ['name', 'pattern'], true))<p class="refusal" role="alert">{{ $problem->getMessage() }}</p>@endif
    </section>
    @if ($cards === [])
        <p class="mt-6 max-w-xl text-lg">No piece yet. Start one above: it is complete and computed from the first second, and everything in it can be changed.</p>
    @else
        <div class="pins mt-6">@foreach ($cards as $card)@include('pieces.card')@endforeach</div>
    @endif
</x-layout>
