<x-layout title="The box" here="Bench">
    <div class="box-head">
        <h1>The box</h1>
        <form class="box-find" method="get" action="/box" role="search" aria-label="Finished pieces">
            <input type="hidden" name="where" value="{{ $desk->where }}">
            <label class="sr-only" for="box-words">A name or a number</label>
            <input class="in is-text" id="box-words" name="words" value="{{ $desk->words }}"
                placeholder="Breakwater, or no. 7" maxlength="80" autocomplete="off">
            <button type="submit" class="may">Find</button>
        </form>
    </div>
    @if ($desk->places === [])
        <div class="box" aria-hidden="true">@foreach (range(1, 5) as $place)<div class="compartment"><span
            class="compartment-piece"></span></div>@endforeach</div>
        <p class="tell mt-3">What is made and closed lies here, each piece by its number, with its metal and what it took.
            Close a making under <a href="/">Bench</a>, and it comes into the box.</p>
    @else
        <nav class="box-places" aria-label="Where they are">
            @foreach ($desk->choices() as $one)<a href="/box?where={{ $one['where'] }}" @if ($one['isHere'])
            aria-current="true" @endif>{{ $one['words'] }}
            <span class="figure">{{ $one['many'] }}</span></a>@endforeach</nav>
        <p class="quiet">{{ $desk->sum() }}@if ($desk->sold() !== '')<span
            class="box-sold"> {{ $desk->sold() }}</span>@endif</p>
        @if ($desk->compartments === [])<p
            class="tell mt-3">Nothing here{{ $desk->words === '' ? '' : ' is called “'.$desk->words.'”' }}.
            <a href="/box">All that is with you</a></p>@endif
        <ul class="box">@foreach ($desk->compartments as $one)
            <li class="compartment">
                <a class="compartment-piece" href="/box/{{ $one->last->ulid }}"
                    aria-label="{{ $one->last->name }}, {{ $one->words() }}">@include('svg.hung-picture', ['hung' => $one->hung])</a>
                <p><strong>{{ $one->last->name }}</strong></p>
                <p class="small quiet">{{ $one->words() }}@if ($one->price() !== '')
                    <span class="figure">{{ $one->price() }}</span>@endif</p>
                <p class="small compartment-numbers">@foreach ($one->numbers as $number)<a
                    href="/box/{{ $number->ulid }}">{{ $number->number }}</a>@endforeach @if ($one->many > $one->numbers->count())<span
                    class="quiet">and {{ $one->many - $one->numbers->count() }} more</span>@endif</p>
            </li>
        @endforeach</ul>
        @if ($desk->more > 0)<p class="quiet mt-2">{{ $desk->more }} more kinds: find them by a word.</p>@endif
        <p class="mt-4 no-print"><a class="tool" href="/box.csv">All of it as CSV</a></p>
    @endif
</x-layout>
