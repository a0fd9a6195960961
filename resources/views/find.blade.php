@use('Hebra\Core\Quantity\Figures')
<x-layout title="Find" here="Find">
    <h1 class="mt-3">Find</h1>
    <form class="find-line" method="get" action="/find" role="search" aria-label="Everything in the workshop">
        <label class="sr-only" for="find-line">A word, a number or a tag</label>
        <input class="in is-text" id="find-line" name="line" value="{{ $found->line }}" type="search"
            maxlength="{{ $found::MOST_LETTERS }}" placeholder="amber, #gift, no. 7, 22 sterling" autocomplete="off">
        <button type="submit" class="do">Find</button>
    </form>
    @if ($found->line === '')
        <p class="tell mt-3">One word finds all that has to do with it: pieces by what is in them, what was made of them, wire, beads,
            orders, lines of the book.</p>
    @elseif ($found->groups === [])
        <p class="tell mt-3" role="status">Nothing here is told by “{{ $found->line }}”. Fewer words find more.</p>
    @else
        <p class="quiet" role="status">{{ Figures::counted($found->count(), 'thing') }} found</p>
        <div class="found">
        @foreach ($found->groups as $name => $group)
            <section aria-labelledby="found-{{ Str::slug($name) }}">
                <h2 id="found-{{ Str::slug($name) }}">{{ $name }}</h2>
                <ul>@foreach ($group['rows'] as $row)<li><a href="{{ $row['url'] }}">{{ $row['words'] }}</a>
                    <span class="small quiet">{{ $row['says'] }}</span></li>@endforeach</ul>
                @if ($group['more'] > 0)<p class="small quiet">and {{ $group['more'] }} more: add a word</p>@endif
            </section>
        @endforeach
        </div>
    @endif
</x-layout>
