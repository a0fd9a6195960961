@use('App\View\Coins')
@php($one = $desk->repair)
@php($was = fn (string $key, string $is = ''): string => $problem !== null && is_string(request($key)) ? mb_substr(request($key), 0, 60) : $is)
<x-layout :title="'Repair: '.$one->name" here="Bench">
    <p class="mt-3 no-print"><a href="/plan">← The plan</a></p>
    <div class="finished">
        <div class="finished-drawing">
            @if ($desk->sheet->hung !== null)
                @include('svg.hung-piece', ['drawing' => $desk->sheet->hung->drawing, 'times' => $desk->sheet->hung->times, 'id' => 'repaired-piece'])
            @else<p class="quiet">A piece from elsewhere</p>@endif</div>
        <div>
            <p class="quiet">{{ $one->done_at === null ? 'To be repaired' : 'Repaired' }}</p>
            <h1>{{ $one->name }}</h1>
            <p class="finished-where">{{ ucfirst($one->words) }}</p>
            <dl class="facts">@foreach ($desk->facts() as [$name, $says])<div><dt>{{ $name }}</dt>
                <dd class="figure">{{ $says }}</dd></div>@endforeach</dl>
            <x-refusals :problem="$problem" />
            @if ($one->done_at === null)
            <form method="post" action="/repairs/{{ $one->ulid }}" class="no-print">@csrf @method('put')
                <div class="market-form">
                    <x-field name="took" label="Took, minutes" class="!w-28"
                        :value="$was('took', (string) $one->minutes)"
                        :problem="$problem" inputmode="numeric" autocomplete="off" />
                    <x-field name="got" label="Paid" class="!w-28"
                        :value="$was('got', $one->price_cents === null ? '' : Coins::text($one->price_cents))"
                        :problem="$problem" autocomplete="off" />
                    <button type="submit" class="do self-end">It is done</button>
                </div>
                <details class="mt-2" @if ($was('amount') !== '') open @endif><summary>Wire went into it</summary>
                    <div class="market-form">
                        <div class="field"><label for="repair-lot">From</label><select class="in is-text"
                            id="repair-lot" name="lot">@foreach ($desk->lots() as $lot)<option
                            value="{{ $lot->ulid }}" @selected($was('lot') === $lot->ulid)>{{ $lot->name }}, {{ $lot->wireWords() }}</option>
                            @endforeach</select></div>
                        <x-field name="amount" label="So much" class="!w-32" :value="$was('amount')"
                            :problem="$problem" placeholder="60 mm" autocomplete="off" />
                    </div></details>
            </form>
            @endif
            <p class="bar mt-3 no-print"><a class="tool"
                href="/repairs/{{ $one->ulid }}/sheet">Sheet for the customer</a>
                @if ($one->finished !== null)<a class="tool"
                    href="/box/{{ $one->finished->ulid }}">No. {{ $one->finished->number }} in the box</a>@endif</p>
            @if ($one->done_at === null || $one->occasion !== null)
            <form class="mt-2 no-print" method="post" action="/repairs/{{ $one->ulid }}">@csrf @method('delete')
                <button type="submit"
                class="word small">{{ $one->done_at === null ? 'take it out of the plan' : 'forget who it was for' }}</button></form>
            @endif
        </div>
    </div>
</x-layout>
