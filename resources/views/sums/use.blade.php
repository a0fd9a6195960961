<x-layout :title="'Use this: '.$desk->sum->words()" here="Sums">
<div class="max-w-3xl">
    <p class="mt-3"><a href="{{ $desk->address() }}">← {{ $desk->sum->words() }}</a></p>
    <h1 class="mt-2">Use this in a piece</h1>
    @if ($desk->problem)
        <p class="refusal" role="alert">{{ $desk->problem->getMessage() }}</p>
    @else
    <p class="mt-2">{{ $desk->line() }}</p>
    @forelse ($targets->rows as $row)
        <section class="leaf mt-4 flex flex-wrap items-center justify-between gap-3">
            <h2 class="!text-lg"><a href="/pieces/{{ $row['piece']->ulid }}">{{ $row['piece']->name }}</a></h2>
            <div class="bar">
            @foreach ($row['parts'] as $part)
                <form method="post" action="/sums/{{ $desk->sum->name }}/use">@csrf
                    @foreach ($desk->filled() as $key => $text)<input type="hidden" name="{{ $key }}" value="{{ $text }}">@endforeach
                    <input type="hidden" name="piece" value="{{ $row['piece']->ulid }}"><input type="hidden" name="part" value="{{ $part->id }}">
                    <button type="submit" class="tool">set it on the {{ $part->label() }}{{ count($row['parts']) > 1 ? ' ('.$part->id.')' : '' }}</button></form>
            @endforeach
                <form method="post" action="/sums/{{ $desk->sum->name }}/use">@csrf
                    @foreach ($desk->filled() as $key => $text)<input type="hidden" name="{{ $key }}" value="{{ $text }}">@endforeach
                    <input type="hidden" name="piece" value="{{ $row['piece']->ulid }}"><input type="hidden" name="part" value="">
                    <button type="submit" class="tool">write it in its notes</button></form>
            </div>
        </section>
    @empty
        <p class="mt-3">There is no piece yet. <a href="/pieces">Start one</a>, then come back to this sum.</p>
    @endforelse
    @endif
</div>
</x-layout>
