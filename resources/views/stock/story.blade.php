@use('App\View\Stock\Jar')
@php([$lot, $profile, $shares] = [$story->peg->lot, $story->profile, $story->shares()])
<aside id="story" class="story metal-{{ $lot->metal }}" aria-labelledby="story-title" tabindex="-1">
    <a class="story-close" href="/stock#lot-{{ $lot->ulid }}" aria-label="close {{ $lot->name }}">✕</a>
    <div class="story-head">
        @if ($lot->isPins())@include('svg.jar', ['jar' => new Jar($lot)])@else @include('svg.hung', ['coil' => $story->peg->drawing(), 'px' => 108])@endif
        <div><h2 id="story-title">{{ $lot->name }}</h2>
            <p>{{ ucfirst($lot->wireWords()) }}{{ $lot->isPins() ? ', '.$profile->length($lot->pinMm()).' long' : '' }}</p>
            <p><strong
                class="figure story-holds">{{ $lot->isPins() ? $lot->heldPins().' pins' : $profile->length($lot->heldMm()) }}</strong>
                <span class="figure quiet">{{ number_format($lot->heldMg() / 1000, 2) }} g</span></p></div>
    </div>
    <svg class="story-bar" width="100%" height="13" role="img"
        aria-label="{{ $profile->length($story->freeMm()) }} free{{ $story->peg->keptMm > 0 ? ', '.$profile->length($story->peg->keptMm).' kept' : '' }}; {{ $shares['used'] }} in a hundred of what was bought is used"><rect
        class="is-used" x="{{ $shares['free'] + $shares['kept'] }}%" y="0.5" width="{{ $shares['used'] }}%" height="12"/><x-wire :long="$shares['free'].'%'" :thick="13" />@if ($shares['kept'] > 0)<rect class="is-kept" x="{{ $shares['free'] }}%"
        width="{{ max(1, $shares['kept']) }}%" height="13"/>@endif</svg>
    <p class="story-legend small" aria-hidden="true"><span><strong
        class="figure">{{ $lot->isPins() ? $lot->heldPins() : $profile->ruler->figure($story->freeMm()) }}</strong> free</span>@if ($shares['kept'] > 0)<span
        class="is-kept">kept</span>@endif<span class="quiet">used</span></p>
    <table class="story-lines"><caption
        class="sr-only">What came of it, the latest first; in {{ $lot->isPins() ? 'pins' : $profile->unit()->value }}</caption><tbody>
        @if ($story->spoken !== null)<tr class="is-kept"><td class="figure small">now</td>
            <td>kept for {{ implode(', ', $story->spoken['for']) }}</td>
            <td class="figure">{{ $profile->ruler->figure($story->spoken['mm']) }}</td></tr>@endif
        @foreach ($story->lines as $line)<tr><td class="figure small quiet">{{ $line['when'] }}</td>
            <td>{{ $line['words'] }}</td><td class="figure">{{ $story->change($line['mm'], $line['pins']) }}</td></tr>
            @endforeach
    </tbody><tfoot><tr><td></td><td>is there</td><td
        class="figure">{{ $lot->isPins() ? $lot->heldPins() : $profile->ruler->figure($lot->heldMm()) }}</td>
        </tr></tfoot></table>
    <div class="story-ways">
        <a class="may" href="/lots/{{ $lot->ulid }}/scale" aria-label="weigh {{ $lot->name }}">Weigh</a>
        <details @if ($problem?->field() === 'holds.'.$lot->ulid) open @endif><summary class="may">Correct</summary>
            <form method="post" action="/lots/{{ $lot->ulid }}" class="bar mt-2">
                @csrf @method('put')<label class="small" for="holds-{{ $lot->ulid }}">It holds</label><input
                class="in !w-28" id="holds-{{ $lot->ulid }}" name="holds" placeholder="{{ $lot->isPins() ? 'pins' : 'mm or g' }}" autocomplete="off"><button
                type="submit" class="tool" aria-label="correct {{ $lot->name }}">correct</button></form></details>
        <a class="may" href="/lots/{{ $lot->ulid }}/label.pdf" aria-label="label for {{ $lot->name }}, PDF">Label</a>
    </div>
    <x-problem :for="'holds.'.$lot->ulid" :problem="$problem" />
    <details class="mt-2" @if ($problem?->field() === 'tags.'.$lot->ulid) open @endif>
        <summary class="small">{{ $lot->tags === '' ? 'tags' : $lot->tags }}</summary>
        <form method="post" action="/lots/{{ $lot->ulid }}/tags" class="bar mt-1">
            @csrf @method('put')<label class="small"
            for="tags-{{ $lot->ulid }}">Tags</label><input class="in is-text !w-40" id="tags-{{ $lot->ulid }}"
                name="tags"
            value="{{ str_replace('#', '', $lot->tags) }}" maxlength="240" placeholder="market, blue" autocomplete="off"><button
            type="submit" class="tool">keep</button></form><x-problem :for="'tags.'.$lot->ulid"
                :problem="$problem" /></details>
    <p class="mt-2"><a href="/lots/{{ $lot->ulid }}/ideas">What can I make from it?</a></p>
</aside>
