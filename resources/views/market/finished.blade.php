@use('App\View\Coins')
@use('Hebra\Core\Market\Place')
@php($one = $desk->finished)
@php($was = fn (string $key, string $is): string => $problem !== null && is_string(request($key)) ? mb_substr(request($key), 0, 500) : $is)
<x-layout :title="'No. '.$one->number.', '.$one->name" here="Bench">
    <p class="mt-3 no-print"><a href="/box">← The box</a></p>
    <div class="finished">
        <div class="finished-drawing">
            @include('svg.hung-piece', ['drawing' => $desk->sheet->hung->drawing, 'times' => $desk->sheet->hung->times, 'id' => 'finished-piece'])
            @if (($photo = $desk->photo()) !== null)<img src="/photos/{{ $photo->ulid }}.jpg"
                width="{{ $photo->width }}"
                height="{{ $photo->height }}" alt="Photo of it" loading="lazy">@endif</div>
        <div>
            <p class="quiet figure">No. {{ $one->number }}</p>
            <h1>{{ $one->name }}</h1>
            <p class="finished-where"><strong>{{ ucfirst($one->place->words()) }}</strong>
                <span class="quiet">since {{ $one->moved_at->format('j F Y') }}</span></p>
            <dl class="facts">@foreach ($desk->facts() as [$name, $says])<div><dt>{{ $name }}</dt>
                <dd class="figure">{{ $says }}</dd></div>@endforeach</dl>
            <x-refusals :problem="$problem" />
            @if ($one->place->next() !== [])
            <form class="finished-move no-print" method="post" action="/box/{{ $one->ulid }}">@csrf @method('put')
                <p class="bar">@foreach ($one->place->next() as $place)<button type="submit"
                    @class(['do' => $place === Place::Sold, 'may' => $place !== Place::Sold]) name="place" value="{{ $place->value }}">{{ ucfirst($place->words()) }}@if ($place === Place::Melted) or taken apart @endif @if ($place === Place::Sold && $one->sold_at !== null) as before @elseif ($place === Place::Sold && $one->price_cents !== null) for {{ Coins::text($one->price_cents) }}@endif</button>@endforeach</p>
                <details @if ($problem !== null) open @endif>
                    <summary>with a word{{ in_array(Place::Sold, $one->place->next(), true) ? ', or for another price' : '' }}</summary>
                    <div class="market-form">
                    <div class="field"><label for="move-words">A word about it</label><input class="in is-text"
                        id="move-words" name="words" value="{{ $was('words', '') }}" maxlength="500" autocomplete="off"></div>
                    @if (in_array(Place::Sold, $one->place->next(), true))<div class="field">
                        <label for="move-cents">Sold for</label><input class="in !w-32" id="move-cents" name="cents"
                        value="{{ $was('cents', '') }}" placeholder="{{ $one->price_cents === null ? '38.00' : Coins::text($one->price_cents) }}" autocomplete="off"></div>
                        @endif
                    </div></details>
            </form>
            @endif
            @if ($desk->wants()->isNotEmpty())
            <form class="bar mt-3 no-print" method="post" action="/box/{{ $one->ulid }}/for">@csrf @method('put')
                <label for="kept-for">Kept for</label><select class="in is-text !w-auto" id="kept-for" name="for">
                    <option value="">nobody</option>@foreach ($desk->wants() as $want)<option
                    value="{{ $want->ulid }}" @selected($one->want_id === $want->id)>{{ $want->occasion->name }}, {{ $want->occasion->due_on->format('j M') }}</option>
                    @endforeach</select>
                <button type="submit" class="may">Keep it</button>
            </form>
            @endif
            <details class="no-print mt-3"><summary>Its label</summary>
                <form class="market-form" method="post" action="/box/{{ $one->ulid }}/label">@csrf @method('put')
                    <x-field name="price" label="Price" class="!w-32"
                        :value="$was('price', $one->price_cents === null ? '' : Coins::text($one->price_cents))" :problem="$problem" autocomplete="off" />
                    <x-field name="note" label="Note" :value="$was('note', $one->note)" :problem="$problem"
                        maxlength="500" autocomplete="off" />
                    <button type="submit" class="may self-end">Write it</button>
                </form>
            </details>
            @if ($one->note !== '')<p class="mt-2">{{ $one->note }}</p>@endif
            <p class="bar mt-3 no-print"><a class="tool" href="/box/{{ $one->ulid }}/label.pdf">Label</a><a
                class="tool" href="/box/{{ $one->ulid }}/sheet">Sheet for the customer</a><a class="tool"
                href="/makings/{{ $one->making->ulid }}/record">Record of its making</a>@if ($one->place !== Place::Melted)<a
                class="tool" href="/plan?number={{ $one->number }}#take-in">Plan a repair</a>@endif</p>
            @foreach ($desk->repairs() as $repair)<p class="small"><a
                href="/repairs/{{ $repair->ulid }}">{{ ucfirst($repair->words) }}</a>
                <span class="quiet">{{ $repair->done_at === null ? 'to be done' : 'done '.$repair->done_at->format('j F Y') }}</span></p>
                    @endforeach
        </div>
        <section aria-labelledby="moves-title"><h2 id="moves-title">Where it was</h2>
            <ol class="finished-moves">@foreach ($desk->moves() as $move)<li><span
                class="figure small quiet">{{ $move->created_at->format('j M Y') }}</span>
                <strong>{{ ucfirst($move->place->words()) }}</strong>@if ($move->cents !== null && $move->place === Place::Sold)
                <span class="figure">{{ $desk->money($move->cents) }}</span>@endif @if ($move->words !== '')<span
                class="quiet">{{ $move->words }}</span>@endif</li>@endforeach</ol>
            @if (($editions = $desk->editions()) !== [])<h2 class="mt-4">Editions</h2>
            <ol class="finished-moves">@foreach ($editions as $edition)<li @if ($edition['isThis'])
                aria-current="true" @endif><strong>{{ $edition['words'] }}</strong>
                @if ($edition['isThis'])<span class="stays">this one</span>@endif
                <span class="quiet">{{ $edition['says'] }}</span>
                @if ($edition['changes'] !== [])<ul class="small">
                    @foreach ($edition['changes'] as $change)<li>{{ ucfirst($change) }}</li>@endforeach</ul>
                    @endif</li>@endforeach</ol>
            @endif</section>
    </div>
</x-layout>
