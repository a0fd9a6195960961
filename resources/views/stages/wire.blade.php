@use('App\View\CutBoard')
@use('Hebra\Core\Plan\Level')
@use('Hebra\Core\Plan\WireTable')
@use('Hebra\Core\Quantity\Figures')
@use('Hebra\Core\Wire\Metal')
@use('Hebra\Core\Wire\SectionKind')
@php($profile = $desk->profile)
@php($changes = "/pieces/{$desk->piece->ulid}/changes")
@php($open = $desk->openRole())
@if ($desk->document->parts === [])
    <h2>Which wire, and how it fits</h2>
    <p class="mt-4">Nothing is laid out yet: <a href="{{ $desk->url('lay-out') }}">start from the ear down</a>.</p>
@elseif ($open === null)
    <h2>Which wire</h2>
    <p class="mt-4">All its parts are bought: no wire is chosen for them.</p>
    @include('stages.wire-bought')
    @include('stages.fit')
@else
@php([$wire, $choice, $board] = [$desk->document->wires[$open], $desk->wireChoice($open), $desk->wireBoard()])
@php([$chosen, $labels] = [$choice->chosenRow(), $choice->regions()])
@include('stages.fit')
<div class="wire-board">
<section class="wire-map" aria-labelledby="map-title">
    <div class="flex flex-wrap items-baseline justify-between gap-x-4 gap-y-1">
        <h2 id="map-title">Which wire for the {{ lcfirst($desk->roleWords($open)) }}</h2>
        <div class="bar small">
            <form class="bar" method="post" action="{{ $changes }}" hx-post="{{ $changes }}" hx-trigger="change, submit">
                @csrf
                <input type="hidden" name="do" value="wire"><input type="hidden" name="role" value="{{ $open }}">
                @include('fragments.where', ['desk' => $desk, 'then' => []])
                <label class="sr-only" for="metal-{{ $open }}">metal</label>
                <select class="said" id="metal-{{ $open }}" name="metal">
                    @foreach (Metal::cases() as $metal)<option value="{{ $metal->value }}" @selected($metal === $wire->metal)>{{ $metal->words() }}</option>@endforeach
                </select>
                <button type="submit" class="tool no-js">set</button>
            </form>
            <form class="bar" method="post" action="{{ $changes }}" hx-post="{{ $changes }}" hx-trigger="change, submit">
                @csrf
                <input type="hidden" name="do" value="wire"><input type="hidden" name="role" value="{{ $open }}">
                @include('fragments.where', ['desk' => $desk, 'then' => []])
                <label class="sr-only" for="section-{{ $open }}">drawn</label>
                <select class="said" id="section-{{ $open }}" name="size">
                    @foreach (SectionKind::cases() as $kind)<option value="{{ $kind === $wire->size->kind() ? $wire->size->code() : $wire->size->drawn($kind)->code() }}" @selected($kind === $wire->size->kind())>{{ $kind->words() }}</option>@endforeach
                </select>
                <button type="submit" class="tool no-js">set</button>
            </form>
        </div>
    </div>
    <form method="post" action="{{ $changes }}" hx-post="{{ $changes }}">
        @csrf
        <input type="hidden" name="do" value="wire"><input type="hidden" name="role" value="{{ $open }}">
        @include('fragments.where', ['desk' => $desk, 'then' => []])
        <table class="map metal-{{ $wire->metal->value }}">
            <caption class="sr-only">Every size and temper: a number is its rank, ✕ does not fit</caption>
            <thead><tr><td class="quiet small">mm</td>@foreach ($choice->tempers() as $temper => $words)<th scope="col" @class(['is-here' => $chosen?->wire->temper->value === $temper])>{{ $words }}</th>@endforeach</tr></thead>
            <tbody>
            @foreach ($choice->grid() as $size)
                <tr><th scope="row" @class(['is-here' => $chosen?->wire->size->text() === $size['size']])><svg width="26" height="22" viewBox="0 0 26 22" aria-hidden="true"><circle cx="13" cy="11" r="{{ round(min(10.5, 7.2 * $size['mm']), 2) }}"/></svg><strong>{{ $size['size'] }}</strong> <span class="figure quiet">{{ str_contains($size['size'], 'mm') ? '' : number_format($size['mm'], 2) }}</span></th>
                @foreach ($choice->tempers() as $temper => $words)
                    @php($row = $size['cells'][$temper])
                    @php($label = $labels[$choice->value($row)] ?? null)
                    <td @class(['is-out' => ! $row->fits, 'is-across' => $chosen?->wire->size->text() === $size['size'] || $chosen?->wire->temper->value === $temper])><button type="submit" name="choice" value="{{ $choice->value($row) }}" class="cell is-{{ $choice->grade($row) }}" aria-label="{{ $choice->name($row) }}: {{ $row->fits ? 'rank '.$row->rank : 'does not fit' }}. {{ $row->why }}" title="{{ $row->why }}" @if ($row->isChosen) aria-current="true" @elseif ($row->rank > 0 && $row->rank < 10) id="choose-{{ $row->rank }}" data-key="{{ $row->rank }}" aria-keyshortcuts="{{ $row->rank }}" @endif>@if ($row->fits)<span class="disc" aria-hidden="true">{{ $row->rank < 6 ? $row->rank : '' }}</span>@endif @if ($row->heldMm > 0)<span class="owned" aria-hidden="true"><svg width="22" height="22" viewBox="0 0 34 34"><circle class="turn-edge" cx="17" cy="17" r="9"/><circle class="turn" cx="17" cy="17" r="9"/><circle class="turn-edge" cx="17" cy="17" r="13"/><circle class="turn" cx="17" cy="17" r="13"/></svg></span>@endif</button>@if ($label !== null)<span @class(['out-words', 'is-upright' => $label['isUpright']]) aria-hidden="true">{{ $label['words'] }}</span>@endif</td>
                @endforeach
                </tr>
            @endforeach
            </tbody>
        </table>
    </form>
    <div class="flex flex-wrap items-center justify-between gap-x-4 gap-y-1 small">
        <span class="quiet">by size and <x-term word="temper">temper</x-term>: the larger, the better it suits; a coil: what you own</span>
        <form class="bar" method="post" action="{{ $changes }}" hx-post="{{ $changes }}">
            @csrf
            <input type="hidden" name="do" value="wire"><input type="hidden" name="role" value="{{ $open }}">
            @include('fragments.where', ['desk' => $desk, 'then' => []])
            @php($isHere = $problem !== null && $problem->field() === 'size')
            <label class="quiet" for="size-{{ $open }}">another size</label>
            <input class="in !w-28 !min-h-9 !py-0" id="size-{{ $open }}" name="size" value="{{ $isHere && is_string(request('size')) ? mb_substr(request('size'), 0, 60) : '' }}" placeholder="0.7 mm, 18 swg, 3 x 0.5 mm" autocomplete="off" @if ($isHere) aria-invalid="true" aria-describedby="problem-size" @endif>
            <button type="submit" class="tool">use it</button>
        </form>
    </div>
    @if ($problem)<x-problem for="size" :problem="$problem" />@endif
</section>
<section class="wire-claims" aria-labelledby="claims-title">
@if ($chosen !== null)
    <h2 id="claims-title">{{ $choice->name($chosen) }} <span class="mark-chosen">chosen</span></h2>
    @unless ($chosen->fits)<p class="lacks"><span aria-hidden="true">▲</span> {{ $chosen->why }}</p>@endunless
    @foreach ($board->claims($chosen, $choice->usual()) as $claim)
        <div class="claim metal-{{ $wire->metal->value }}">
            <p><strong>{{ $claim['words'] }}</strong> <span class="small quiet">{{ $claim['against'] }}</span></p>
            @php([$long, $mark] = [round($board::BAR_PX * min(1.0, $claim['share']), 1), round($board::BAR_PX * min(1.0, $claim['mark']), 1)])
            <svg width="{{ $board::BAR_PX }}" height="34" viewBox="0 0 {{ $board::BAR_PX }} 34" aria-hidden="true"><path class="rest" d="M0 9H{{ $board::BAR_PX }}"/><x-wire :long="$long" :thick="10" :y="4" /><path class="tick" d="M{{ $mark }} 1v17"/><text x="{{ max(14, $mark) }}" y="31">{{ $claim['at'] }}</text></svg>
        </div>
    @endforeach
    @if ($chosen->said->bead !== '' && $chosen->marginMm !== null && $chosen->marginMm >= -1e-6)<p class="small">{{ number_format(max(0.0, $chosen->marginMm), 2) }} mm to spare in the {{ $chosen->said->bead }}.</p>@endif
    <p class="claim-takes"><strong class="figure">{{ number_format($chosen->grams, 2) }} g</strong> for {{ $desk->document->makes->words() }}@if ($chosen->cents !== null), costs <strong class="figure">{{ $choice->price($chosen) }}</strong>@endif · {{ $chosen->heldMm > 0 ? $choice->stock($chosen).' in stock'.($chosen->said->isEnough ? ', enough in stock' : '') : 'none in stock' }}</p>
    @if (($others = $choice->others()) !== [])
    <form class="bar mt-1" method="post" action="{{ $changes }}" hx-post="{{ $changes }}" aria-label="The next best">
        @csrf
        <input type="hidden" name="do" value="wire"><input type="hidden" name="role" value="{{ $open }}">
        @include('fragments.where', ['desk' => $desk, 'then' => []])
        @foreach ($others as $row)
            <button type="submit" class="may is-next" name="choice" value="{{ $choice->value($row) }}" title="{{ $row->why }}"><span class="rank" aria-hidden="true">{{ $row->rank }}</span> {{ ucfirst($row->wire->size->equals($wire->size) ? $row->wire->temper->words() : $choice->name($row)) }}</button>
        @endforeach
    </form>
    @endif
@endif
</section>
<figure class="wire-piece">
    @include('svg.piece', ['drawing' => $board->drawing($open), 'hangs' => '', 'across' => '', 'ring' => [], 'label' => 'Drawing of '.$desk->document->name.': '.$desk->high()])
    <figcaption class="small quiet">{{ $desk->high() }} · {{ $desk->document->makes->count > 1 ? 'each ' : '' }}{{ Figures::grams($desk->plan->gramsEach) }}@foreach ($desk->board()->figures() as [$before, $now])@if ($loop->first && $before !== '')<br><strong role="status">{{ $before }} → {{ $now }}</strong>@endif @endforeach</figcaption>
</figure>
</div>
<section class="wire-uses" aria-labelledby="uses-title">
    <div class="wire-use is-head"><h2 id="uses-title">Every wire in {{ $desk->document->makes->count > 1 ? $desk->document->makes->words() : 'the piece' }}</h2><span class="quiet small">tightest hole</span><span class="quiet small">from the coil</span>
        @if (count($desk->document->wires) > 1)
        <form class="bar small" method="post" action="{{ $changes }}" hx-post="{{ $changes }}" hx-trigger="change, submit">
            @csrf
            <input type="hidden" name="do" value="metal">
            @include('fragments.where', ['desk' => $desk, 'then' => []])
            @php($metals = array_values(array_unique(array_map(fn ($one) => $one->metal->value, $desk->document->wires))))
            <label class="quiet" for="metal-all">all in</label>
            <select class="said" id="metal-all" name="metal">
                @if (count($metals) > 1)<option value="" disabled selected>more than one</option>@endif
                @foreach (Metal::cases() as $metal)<option value="{{ $metal->value }}" @selected($metals === [$metal->value])>{{ $metal->words() }}</option>@endforeach
            </select>
            <button type="submit" class="tool no-js">set</button>
        </form>
        @endif
    </div>
    @foreach ($board->uses() as $use)
        @php($its = $use->row->wire)
        <div @class(['wire-use', 'is-open' => $use->role === $open])>
            <a class="use-name" id="role-{{ $use->role }}" href="{{ $desk->url('wire') }}?role={{ $use->role }}" hx-get="{{ $desk->url('wire') }}?role={{ $use->role }}" @if ($use->role === $open) aria-current="true" @endif><strong>{{ $use->words }}</strong>
                <svg class="metal-{{ $its->metal->value }}" width="96" height="14" viewBox="0 0 96 14" aria-hidden="true">@php($thick = min(12.0, max(1.6, 7 * $its->diameterMm())))<x-wire :long="96" :thick="$thick" :y="7 - $thick / 2" /></svg>
                <span>{{ $its->size->text() }}, {{ $its->temper->words() }}@if (count($metals ?? []) > 1), {{ $its->metal->words() }}@endif</span></a>
            <div class="small">@if ($use->isTight())<span class="lacks"><span aria-hidden="true">▲</span> <strong>{{ $use->row->said->bead }}, {{ number_format(-$use->row->marginMm, 2) }} too tight</strong></span> @if ($use->passing !== null)<x-change :desk="$desk" do="wire" :with="['role' => $use->role, 'size' => $use->passing->code()]" class="tool">{{ $use->passing->text() }}</x-change>@endif
                @elseif ($use->row->marginMm !== null){{ $use->row->said->bead }}, {{ number_format($use->row->marginMm, 2) }} to spare
                @else<span class="quiet">no bead on it</span>@endif</div>
            <div class="small use-from">@if ($use->from?->lot !== null)@include('svg.coil', ['lot' => $use->from->lot, 'before' => $use->from->before, 'after' => $use->from->after()])<span><span class="figure">{{ $profile->length($use->takesMm) }}</span> <span @class(['quiet' => $use->from->isCovered(), 'lacks' => ! $use->from->isCovered()])>of {{ CutBoard::amount($use->from->lot, $use->from->before) }} m</span></span>@elseif ($use->takesMm > 0)<span class="figure">{{ $profile->length($use->takesMm) }}</span> <span class="lacks">▲ none in stock</span>@else<span class="quiet">nothing is cut of it</span>@endif</div>
            <div class="use-price figure">{{ $use->row->cents === null ? '' : $choice->price($use->row) }}</div>
        </div>
        @php($made = $desk->partsOf($use->role))
        @if ($use->role === $open && (count($made) > 1 || ($made !== [] && $made[0]->isOfOwnWire())))
        <ul class="bar small use-parts !gap-x-6" aria-label="Made of it">
            @foreach ($made as $part)
                <li class="bar"><span>{{ ucfirst($part->label()) }}{{ $part->repeat > 1 ? ' × '.$part->repeat : '' }} <span class="quiet">{{ $desk->plan->inShort()[$part->id->text] ?? '' }}</span></span>
                    <x-change :desk="$desk" do="part.wire" :with="['part' => $part->id, 'own' => $part->isOfOwnWire() ? '0' : '1', 'role' => $part->isOfOwnWire() ? $part->technique()->role() : $part->id]" class="word small">{{ $part->isOfOwnWire() ? 'back to the common wire' : 'a wire of its own' }}</x-change></li>
            @endforeach
        </ul>
        @endif
    @endforeach
    @include('stages.wire-bought')
</section>
    <details class="small mt-2"><summary class="text-verdigris underline">all {{ count($choice->rows) }} compared, with what rules them out</summary>
        <div class="scrolls" tabindex="0" role="group" aria-label="All compared">
        <table class="ledger compared">
            <thead><tr><th scope="col" class="!text-right">rank</th><th scope="col">wire</th><th scope="col" class="!text-right">springs</th><th scope="col" class="!text-right">holds</th><th scope="col" class="!text-right">effort</th><th scope="col" class="!text-right">opens at</th><th scope="col" class="!text-right">weight</th><th scope="col" class="!text-right">cost</th><th scope="col" class="!text-right">in stock</th><th scope="col">why</th></tr></thead>
            <tbody>
            @foreach ($choice->rows as $row)
                <tr @class(['is-chosen' => $row->isChosen, 'is-unfit' => ! $row->fits])><td class="num">{{ $row->fits ? $row->rank : '✕' }}</td><td class="whitespace-nowrap">{{ $choice->name($row) }}</td><td class="num">{{ number_format($row->springs, 2) }} ×</td><td class="num">{{ number_format($row->holds, 2) }} ×</td><td class="num">{{ number_format($row->effort, 2) }} ×</td><td class="num">{{ $row->opensN === null ? '–' : number_format($row->opensN, 1).' N' }}</td><td class="num">{{ number_format($row->grams, 2) }} g</td><td class="num">{{ $choice->price($row) }}</td><td class="num">{{ $choice->stock($row) }}</td><td class="min-w-72">{{ $row->why }}</td></tr>
            @endforeach
            </tbody>
        </table>
        </div>
        <p class="quiet">Springs: E·I. Holds: πr³Y/4 with the temper once it is made. Effort: (4/3)r³Y with the temper of the coil. Opens at: where the gap of its eye begins to open; {{ WireTable::TUG_N }} N is allowed for a tug.</p>
    </details>
@if (($wrong = $desk->checks(Level::Stop, Level::Warn, Level::Note)) !== [])
<div class="mt-3 max-w-3xl">@include('stages.checks', ['checks' => $wrong])</div>
@endif
@endif
