@use('Hebra\Core\Quantity\Figures')
@php([$making, $profile, $figures] = [$desk->making, $desk->profile, Figures::class])
@php([$piece, $name] = [$making->piece()->withTrashed()->first(), $making->document()->name])
@php($ticks = $desk->ruler())
<x-layout :title="'Record of '.$name" here="Pieces">
    <p class="mt-3 no-print"><a href="/pieces/{{ $piece->ulid }}/log">← {{ $name }}</a></p>
    <div class="record mt-2">
        <div class="record-seen">
            @if ($desk->photos->isNotEmpty())<p class="record-which no-print" role="radiogroup" aria-label="Seen as">
                <label><input type="radio" name="seen" value="photo" checked>photo</label>
                <label><input type="radio" name="seen" value="drawing">drawing</label></p>
            <img class="record-photo" src="/photos/{{ $desk->photos->first()->ulid }}.jpg"
                width="{{ $desk->photos->first()->width }}" height="{{ $desk->photos->first()->height }}" alt="Photo of {{ $name }}">@endif
            <figure class="record-drawn">
                <div class="record-hung" role="img" aria-label="Drawing of {{ $name }}">
                    @include('svg.hung-piece', ['drawing' => $desk->hung->drawing, 'times' => $desk->hung->times, 'id' => 'record-piece'])</div>
                <svg class="record-rule" width="100%" height="34" aria-hidden="true">
                    <path d="@foreach ($ticks as [$x, $isLong])M{{ $x }} 0v{{ $isLong ? 12 : 7 }}@endforeach"/>
                    @foreach ($ticks as [$x, , $words])@if ($words !== '')<text x="{{ $x + 3 }}"
                    y="26">{{ $words }}</text>@endif @endforeach</svg>
                <figcaption class="sr-only">Over a ruler at the same scale, in millimetres</figcaption>
            </figure>
        </div>
        <div class="record-says">
            <h1>{{ $name }}</h1>
            <p class="record-sentence">{{ ucfirst($desk->sentence()) }}@if ($making->closed_at === null), under way @endif</p>
            <ol class="life" aria-label="Its life">@foreach ($desk->life() as $one)<li @if ($one['isNow'])
                aria-current="step" @endif @class(['is-open' => $one['day'] === null])><strong>{{ $one['words'] }}</strong> @if ($one['day'] !== null)<span
                class="figure">{{ $one['day']->format('j M Y') }}</span>@endif</li>@endforeach</ol>
            @include('pieces.record-in')
            @include('pieces.record-time')
            @if ($making->note !== '')<p class="mt-2">{{ $making->note }}</p>@endif
            @if (($finished = $desk->finished) !== null)<p class="bar mt-3 no-print"><a class="may"
                href="/box/{{ $finished->ulid }}">{{ $finished->place->isAtHand() ? 'Sell it, lend it, give it' : 'Where it is' }}</a><a
                class="tool" href="/box/{{ $finished->ulid }}/label.pdf">Label</a><a class="tool"
                href="/box/{{ $finished->ulid }}/sheet">Sheet for the customer</a></p>@endif
            @if ($desk->sizes->isNotEmpty())
                <h2 class="mt-4">As measured</h2>
                <table class="ledger small mt-1"><tbody>@foreach ($desk->sizes as $size)<tr>
                    <td>{{ ['loop' => 'Loop, inside', 'inside' => 'Bend, inside', 'fit' => 'The piece'][$size->what] ?? $size->what }}</td>
                    <td class="num">{{ $figures::trim($size->measuredMm(), 2) }} mm</td>
                    <td class="quiet num">meant {{ $figures::trim($size->wantedMm(), 2) }} mm</td></tr>
                    @endforeach</tbody></table>
            @endif
            @if ($desk->inspected() !== [])
                <h2 class="mt-4">Looked over</h2>
                <ul class="mt-1">
                    @foreach ($desk->inspected() as $row)<li>{{ $row['isFine'] ? '✓' : '✕' }} {{ $row['look'] }}
                    <span class="quiet small">{{ $row['expect'] }}{{ $row['isFine'] ? '' : ': to be mended' }}</span></li>
                    @endforeach</ul>
            @endif
        </div>
    </div>
    <section class="mt-6 no-print" aria-labelledby="photos"><h2 id="photos">Photos</h2>
        <div class="photos mt-2">
        @foreach ($desk->photos as $number => $photo)
            <figure><img src="/photos/{{ $photo->ulid }}.jpg" width="{{ $photo->width }}"
                height="{{ $photo->height }}" alt="Photo {{ $number + 1 }} of {{ $name }}" loading="lazy"><form
                method="post" action="/photos/{{ $photo->ulid }}">@csrf @method('delete')<button type="submit"
                class="word small" aria-label="take out photo {{ $number + 1 }}">take out</button></form></figure>
        @endforeach
        </div>
        <form class="flex flex-wrap items-end gap-3 mt-2" method="post" action="/makings/{{ $making->ulid }}/photos"
            enctype="multipart/form-data">@csrf
            <div class="field"><label for="photo">A photo, JPEG, PNG or WebP</label><input class="in is-text"
                type="file" id="photo" name="photo" accept="image/jpeg,image/png,image/webp" capture="environment"><x-problem
                for="photo" :problem="$problem" /></div>
            <button type="submit" class="may">Keep it</button>
                <span class="quiet small">Made small; place and time of where it was taken are removed.</span></form>
    </section>
</x-layout>
