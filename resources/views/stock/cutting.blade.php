@use('Hebra\Core\Quantity\Figures')
@php([$profile, $figures] = [$desk->profile, Figures::class])
<x-layout title="Cutting plan" here="Stock">
    <div class="flex flex-wrap items-end justify-between gap-3 mt-4"><h1>Cutting plan</h1><span class="bar">@if ($desk->pieces->isNotEmpty())<a class="small" href="{{ str_replace('/cutting', '/cutting/plan.csv', $desk->address($desk->pins)) }}">The plan (CSV)</a>@endif<a class="small ml-2" href="/cutting/list">Cut a list of lengths</a>@if ($desk->pieces->isNotEmpty())<span x-data="leaf"><button type="button" class="tool ml-2 no-print" id="print-plan" x-on:click="print">Print</button></span>@endif</span></div>
    @if ($problem !== null)<p class="banner" role="alert">{{ $problem->getMessage() }}</p>@endif
    @if ($choice->isEmpty())@include('svg.bare-wire')<p class="tell mt-3">What is to be cut is laid out of your pieces, and there is none yet. <a
        href="/patterns">Start one</a>, or <a href="/cutting/list">cut a list of lengths</a>.</p>@else
    <details class="mt-2 no-print" @if ($desk->pieces->isEmpty() || $choice->line !== '') open @endif>
        <summary>{{ $desk->pieces->isEmpty() ? 'Choose what to cut for' : 'For '.$desk->pieces->pluck('name')->implode(', ') }}</summary>
        <form class="mt-2" method="get" action="/cutting">
            @if ($choice->more > 0 || $choice->line !== '')<p class="bar mb-2"><label class="sr-only" for="cutting-line">Find a piece</label><input
                class="in is-text !w-64" id="cutting-line" name="line" value="{{ $choice->line }}" maxlength="80"
                placeholder="amber, #market" autocomplete="off"><button type="submit" class="tool">find</button>
                <span class="quiet small">{{ $choice->more === 0 ? '' : number_format($choice->more).' more are found by their words' }}</span></p>@endif
            <ul class="cutting-choice">@foreach ($choice->rows as $one)
                <li><label><span class="cutting-drawn">@include('svg.hung-picture', ['hung' => $one['hung']])</span>
                    <input type="checkbox" name="pieces[]" value="{{ $one['piece']->ulid }}" @checked($one['isChosen'])>
                    <strong>{{ $one['piece']->name }}</strong>
                    <span class="quiet small">{{ $one['piece']->document()->makes->words() }}</span></label></li>
            @endforeach</ul>
            @if ($choice->rows === [])<p class="quiet">No piece has these words.</p>@endif
            <p class="mt-2"><button type="submit" class="do">Plan the cuts</button></p>
        </form>
    </details>
    @endif
    @if ($desk->pieces->isEmpty())
        <p class="quiet mt-3">Several pieces at once waste less: what one leaves over, another may use.</p>
    @elseif ($desk->isDone())
        <p class="said mt-3">Everything is cut. What was left over goes back to stock when each making is closed.</p>
    @endif
    @if ($desk->pieces->isNotEmpty() && ! $desk->isDone())
        <div class="bar mt-3 no-print">
            <form method="post" action="{{ str_replace('/cutting', '/cutting/reservations', $desk->address($desk->pins)) }}">@csrf<button type="submit" class="may">{{ $desk->isReserved() ? 'Keep it as it stands now' : 'Keep this wire for them' }}</button></form>
            @if ($desk->isReserved())<form method="post" action="{{ str_replace('/cutting', '/cutting/reservations', $desk->address([])) }}">@csrf @method('delete')<button type="submit" class="word">keep nothing back</button></form><span class="quiet small">Kept for these pieces: no other is planned on that wire.</span>@endif
        </div>
    @endif
    <div x-data="cutting" class="prints-plain">
    @foreach ($desk->wires as $at => $wire)
        <section class="mt-6" aria-labelledby="wire-{{ $at }}">
            <h2 id="wire-{{ $at }}">{{ ucfirst($wire['wire']->words()) }}</h2>
            @if ($wire['problem'] !== '')
                <p class="banner" role="alert">{{ $wire['problem'] }}</p>
            @elseif ($wire['bars'] === [])
                <p class="quiet">All cut.</p>
            @elseif ($wire['plan'] !== null)
                <p class="quiet small">{{ $wire['plan']->isOptimal ? 'No other way loses less.' : 'At most '.$figures::trim(100 * $wire['plan']->gap(), 1).' % from the least.' }} Scrap {{ $profile->length($wire['plan']->scrapMm()) }}.
                    @unless ($wire['plan']->isOptimal)<a id="longer-{{ $at }}" href="{{ $desk->address($desk->pins, '1') }}" hx-get="{{ $desk->address($desk->pins, '1') }}" @if ($wire['plan']->isFew() && ! $isLonger) hx-trigger="load, click" @endif hx-sync="main:drop" hx-target="main" hx-select="main" hx-swap="outerHTML" hx-indicator="#search-{{ $at }}">Search longer</a> <span id="search-{{ $at }}"><x-searching :id="'searching-'.$at" :of="'#longer-'.$at" /></span>@endunless</p>
            @endif
            @foreach ($wire['bars'] as $number => $bar)
                <div class="cut-bar mt-3" data-lot="{{ $bar['lot']?->ulid }}" x-on:dragover="over" x-on:dragleave="out" x-on:drop="drop">
                    <p class="flex flex-wrap justify-between gap-2"><strong>{{ ucfirst($bar['name']) }}</strong><span class="quiet small figure">{{ $desk->account($bar) }}</span></p>
                    <svg class="cut-wire metal-{{ $wire['wire']->metal->value }}" width="100%" height="26" viewBox="0 0 1000 26" preserveAspectRatio="none" role="img" aria-label="{{ ucfirst($bar['name']) }}: {{ implode(', ', array_map(fn ($cut) => $cut['count'].' × '.$cut['piece']->name.' '.$cut['cut']->label, $bar['cuts'])) }}, {{ $profile->length($bar['remainderMm']) }} left">
                        @php($scale = 1000 * min(1, max(0.12, $bar['lengthMm'] / $desk->longestMm)))
                        <rect class="rest" x="0" y="8" width="{{ round($scale, 1) }}" height="10"/>
                        @php($x = 0.0)
                        @foreach ($bar['cuts'] as $place => $cut)
                            @for ($one = 0; $one < $cut['count']; $one++)
                                @php($w = $scale * $cut['share'] / 100)
                                <rect class="piece-{{ $place % 5 }}" x="{{ round($x, 1) }}" y="3" width="{{ round(max(1, $w - 1.5), 1) }}" height="20"/>
                                @php($x += $w)
                            @endfor
                        @endforeach
                    </svg>
                    <ul class="cut-list">
                        @foreach ($bar['cuts'] as $place => $cut)
                            <li data-pin="pin-{{ $at }}-{{ $number }}-{{ $place }}" draggable="true" x-on:dragstart="lift">
                                <span class="swatch piece-{{ $place % 5 }}" aria-hidden="true"></span>
                                <span class="grow"><span class="figure">{{ $cut['count'] }} × {{ $profile->length($cut['lengthMm']) }}</span> {{ $cut['cut']->label }} <span class="quiet small">{{ $cut['piece']->name }}{{ $cut['isPinned'] ? ', kept on this lot' : '' }}</span></span>
                                @if ($bar['lot'] !== null)
                                    <form class="bar" method="post" action="{{ str_replace('/cutting', '/cutting/ticks', $desk->address($desk->pins)) }}">
                                        @csrf
                                        <input type="hidden" name="piece" value="{{ $cut['piece']->ulid }}"><input type="hidden" name="cut" value="{{ $cut['cut']->key() }}"><input type="hidden" name="lot" value="{{ $bar['lot']->ulid }}"><input type="hidden" name="count" value="{{ $cut['count'] }}">
                                        <button type="submit" class="tool" name="do" value="cut" aria-label="cut ✓: {{ $cut['count'] }} × {{ $cut['cut']->label }} for {{ $cut['piece']->name }}">cut ✓</button>
                                        <button type="submit" class="tool" name="do" value="spoiled" aria-label="spoiled one {{ $cut['cut']->label }} of {{ $bar['name'] }}">spoiled one</button>
                                    </form>
                                @endif
                                @if (($lots = $desk->lotsFor($wire['wire'])) !== [])<form class="bar" method="get" action="/cutting" hx-get="/cutting" hx-trigger="change" hx-target="main" hx-select="main" hx-swap="outerHTML" hx-push-url="true">
                                    @foreach ($desk->pieces as $piece)<input type="hidden" name="pieces[]" value="{{ $piece->ulid }}">@endforeach
                                    @foreach ($desk->pins as $key => $lot)@if ($key !== $cut['key'])<input type="hidden" name="pins[{{ $key }}]" value="{{ $lot }}">@endif @endforeach
                                    <label class="sr-only" for="pin-{{ $at }}-{{ $number }}-{{ $place }}">Take {{ $cut['cut']->label }} from</label>
                                    <select class="in is-text !w-auto !min-h-9" id="pin-{{ $at }}-{{ $number }}-{{ $place }}" name="pins[{{ $cut['key'] }}]">
                                        <option value="">from wherever is best</option>
                                        @foreach ($lots as $lot)<option value="{{ $lot->ulid }}" @selected(($desk->pins[$cut['key']] ?? '') === $lot->ulid)>from {{ $lot->name }}</option>@endforeach
                                    </select>
                                    <button type="submit" class="tool no-js">take it from there</button>
                                </form>@endif
                            </li>
                        @endforeach
                    </ul>
                </div>
            @endforeach
        </section>
    @endforeach
    </div>
    @if ($buying->rows !== [])
        <section class="mt-6" aria-labelledby="to-buy">
            <h2 id="to-buy">Still to buy for them</h2>
            <div class="scrolls"><table class="ledger stacks mt-1"><thead><tr><th scope="col">What</th><th scope="col" class="!text-right">wanted</th><th scope="col" class="!text-right">there</th><th scope="col" class="!text-right">short by</th></tr></thead><tbody>
                @foreach ($buying->rows as $row)<tr><td>{{ ucfirst($row['words']) }}</td><td class="num" data-label="wanted">{{ $row['wanted'] }}</td><td class="num" data-label="there">{{ $row['owned'] }}</td><td class="num" data-label="short by">{{ $row['buy'] }}</td></tr>@endforeach
            </tbody></table></div>
        </section>
    @endif
    @if ($desk->cutSoFar()->isNotEmpty())
        <section class="mt-6" aria-labelledby="so-far">
            <h2 id="so-far">Cut so far</h2>
            <ul class="cut-list">
                @foreach ($desk->cutSoFar() as $tick)
                    <li><span class="grow"><span class="figure">{{ $profile->length($tick->lengthMm()) }}</span> {{ $desk->labelOf($tick) }} <span class="quiet small">{{ $tick->piece->name }}, from {{ $tick->lot->name }}{{ $tick->is_spoiled ? ', spoiled' : '' }}</span></span>
                        <form method="post" action="{{ str_replace('/cutting', '/cutting/ticks/'.$tick->id, $desk->address($desk->pins)) }}">@csrf @method('delete')<button type="submit" class="word" aria-label="not cut after all: {{ $desk->labelOf($tick) }} for {{ $tick->piece->name }}">not cut after all</button></form></li>
                @endforeach
            </ul>
            <p class="quiet small mt-1">The metal book moves when a making is closed; until then these lengths count as gone. A coil that is shorter than the book says is corrected under <a href="/stock">Stock</a>.</p>
        </section>
    @endif
</x-layout>
