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
@php([$wire, $choice] = [$desk->document->wires[$open], $desk->wireChoice($open)])
<div class="flex flex-wrap items-baseline justify-between gap-x-6">
    <h2>Which wire</h2>
    <p class="quiet small">(×) compares with {{ $choice->usual() }} · {{ $profile->clearanceMm }} mm to move in a hole</p>
</div>
<nav class="roles" aria-label="Wires of the piece">
    @foreach ($desk->document->rolesToChoose() as $role)
        @php($its = $desk->document->wires[$role])
        <a id="role-{{ $role }}" href="{{ $desk->url('wire') }}?role={{ $role }}" hx-get="{{ $desk->url('wire') }}?role={{ $role }}" @if ($role === $open) aria-current="true" @endif><strong>{{ $desk->roleWords($role) }}</strong> <span>{{ $its->size->text() }}, {{ $its->temper->words() }}</span></a>
    @endforeach
</nav>
<section aria-labelledby="role-{{ $open }}">
    <div class="flex flex-wrap items-end justify-between gap-x-6 gap-y-2 mt-2">
        <form class="bar small" method="post" action="{{ $changes }}" hx-post="{{ $changes }}" hx-trigger="change, submit">
            @csrf
            <input type="hidden" name="do" value="wire"><input type="hidden" name="role" value="{{ $open }}">
            @include('fragments.where', ['desk' => $desk, 'then' => []])
            <label class="quiet" for="metal-{{ $open }}">metal</label>
            <select class="in is-text !w-auto !min-h-9 !py-0" id="metal-{{ $open }}" name="metal">
                @foreach (\Hebra\Core\Wire\Metal::cases() as $metal)<option value="{{ $metal->value }}" @selected($metal === $wire->metal)>{{ $metal->words() }}</option>@endforeach
            </select>
            <button type="submit" class="tool no-js">set</button>
        </form>
        @if (count($desk->document->wires) > 1)
        <form class="bar small" method="post" action="{{ $changes }}" hx-post="{{ $changes }}" hx-trigger="change, submit">
            @csrf
            <input type="hidden" name="do" value="metal">
            @include('fragments.where', ['desk' => $desk, 'then' => []])
            @php($metals = array_values(array_unique(array_map(fn ($one) => $one->metal->value, $desk->document->wires))))
            <label class="quiet" for="metal-all">all of the piece in</label>
            <select class="in is-text !w-auto !min-h-9 !py-0" id="metal-all" name="metal">
                @if (count($metals) > 1)<option value="" disabled selected>more than one</option>@endif
                @foreach (\Hebra\Core\Wire\Metal::cases() as $metal)<option value="{{ $metal->value }}" @selected($metals === [$metal->value])>{{ $metal->words() }}</option>@endforeach
            </select>
            <button type="submit" class="tool no-js">set</button>
        </form>
        @endif
        <form class="bar small" method="post" action="{{ $changes }}" hx-post="{{ $changes }}" hx-trigger="change, submit">
            @csrf
            <input type="hidden" name="do" value="wire"><input type="hidden" name="role" value="{{ $open }}">
            @include('fragments.where', ['desk' => $desk, 'then' => []])
            <label class="quiet" for="section-{{ $open }}">drawn</label>
            <select class="in is-text !w-auto !min-h-9 !py-0" id="section-{{ $open }}" name="size">
                @foreach (\Hebra\Core\Wire\SectionKind::cases() as $kind)<option value="{{ $kind === $wire->size->kind() ? $wire->size->code() : $wire->size->drawn($kind)->code() }}" @selected($kind === $wire->size->kind())>{{ $kind->words() }}</option>@endforeach
            </select>
            <button type="submit" class="tool no-js">set</button>
        </form>
        <form class="bar small" method="post" action="{{ $changes }}" hx-post="{{ $changes }}">
            @csrf
            <input type="hidden" name="do" value="wire"><input type="hidden" name="role" value="{{ $open }}">
            @include('fragments.where', ['desk' => $desk, 'then' => []])
            @php($isHere = $problem !== null && $problem->field() === 'size')
            <label class="quiet" for="size-{{ $open }}">another size</label>
            <input class="in !w-32 !min-h-9 !py-0" id="size-{{ $open }}" name="size" value="{{ $isHere && is_string(request('size')) ? mb_substr(request('size'), 0, 60) : '' }}" placeholder="0.7 mm, 18 swg, 3 x 0.5 mm" autocomplete="off" @if ($isHere) aria-invalid="true" aria-describedby="problem-size" @endif>
            <button type="submit" class="tool">use it</button>
        </form>
    </div>
    @if ($problem)<x-problem for="size" :problem="$problem" />@endif
    @php($made = $desk->partsOf($open))
    @if (count($made) > 1 || ($made !== [] && $made[0]->isOfOwnWire()))
        <ul class="bar small mt-1 !gap-x-6" aria-label="Made of it">
            @foreach ($made as $part)
                <li class="bar"><span>{{ ucfirst($part->label()) }}{{ $part->repeat > 1 ? ' × '.$part->repeat : '' }} <span class="quiet">{{ $desk->plan->inShort()[$part->id->text] ?? '' }}</span></span>
                    <x-change :desk="$desk" do="part.wire" :with="['part' => $part->id, 'own' => $part->isOfOwnWire() ? '0' : '1', 'role' => $part->isOfOwnWire() ? $part->technique()->role() : $part->id]" class="word small">{{ $part->isOfOwnWire() ? 'back to the common wire' : 'a wire of its own' }}</x-change></li>
            @endforeach
        </ul>
    @endif
    <form class="chooser" method="post" action="{{ $changes }}" hx-post="{{ $changes }}">
        @csrf
        <input type="hidden" name="do" value="wire"><input type="hidden" name="role" value="{{ $open }}">
        @include('fragments.where', ['desk' => $desk, 'then' => []])
        <ol class="ranked" aria-label="Best first">
        @foreach ($choice->best() as $row)
            <li @class(['is-chosen' => $row->isChosen, 'is-unfit' => ! $row->fits])>
                <span class="rank figure" aria-hidden="true">{{ $row->fits ? $row->rank : '✕' }}</span>
                <div>
                    <strong>{{ $choice->name($row) }}</strong>
                    @if ($row->isChosen) <span class="mark-chosen">chosen</span> @endif
                    <p class="small">@unless ($row->fits)<span class="sr-only">Does not fit:</span> @endunless{{ $row->why }}</p>
                    <p class="small quiet">{{ number_format($row->grams, 2) }} g for {{ $desk->document->makes->words() }}@if ($row->cents !== null), costs {{ $choice->price($row) }}@endif · {{ $row->heldMm > 0 ? $choice->stock($row).' in stock' : 'none in stock' }}</p>
                </div>
                @if (! $row->isChosen)
                    <button type="submit" class="tool" id="choose-{{ $row->rank }}" name="choice" value="{{ $choice->value($row) }}" @if ($row->rank > 0 && $row->rank < 10) data-key="{{ $row->rank }}" aria-keyshortcuts="{{ $row->rank }}" @endif>choose <span class="sr-only">{{ $choice->name($row) }}</span> @if ($row->rank > 0 && $row->rank < 10)<kbd>{{ $row->rank }}</kbd>@endif</button>
                @endif
            </li>
        @endforeach
        @foreach ($choice->ruledOut() as $out)
            <li class="is-unfit"><span class="rank figure" aria-hidden="true">✕</span><p class="small">@if ($out['what'] !== '')<strong>{{ $out['what'] }}:</strong>@endif <span class="sr-only">ruled out,</span> {{ $out['why'] }}</p></li>
        @endforeach
        </ol>
        <table class="grid-choice">
            <caption>Every size and temper: a number is its rank, ✕ does not fit</caption>
            <thead><tr><td></td>@foreach ($choice->tempers() as $words)<th scope="col">{{ $words }}</th>@endforeach</tr></thead>
            <tbody>
            @foreach ($choice->grid() as $size)
                <tr><th scope="row">{{ $size['size'] }}</th>
                @foreach ($choice->tempers() as $temper => $words)
                    @php($row = $size['cells'][$temper])
                    <td><button type="submit" name="choice" value="{{ $choice->value($row) }}" class="cell is-{{ $choice->grade($row) }}" aria-label="{{ $choice->name($row) }}: {{ $row->fits ? 'rank '.$row->rank : 'does not fit' }}. {{ $row->why }}" title="{{ $row->why }}" @if ($row->isChosen) aria-current="true" @endif>{{ $row->fits ? $row->rank : '✕' }}</button></td>
                @endforeach
                </tr>
            @endforeach
            </tbody>
        </table>
    </form>
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
        <p class="quiet">Springs: E·I. Holds: πr³Y/4 with the temper once it is made. Effort: (4/3)r³Y with the temper of the coil. Opens at: where the gap of its eye begins to open; {{ \Hebra\Core\Plan\WireTable::TUG_N }} N is allowed for a tug.</p>
    </details>
</section>
@include('stages.wire-bought')
@include('stages.fit')
<div class="rule-top mt-5">
    @include('stages.checks', ['checks' => $desk->plan->checks])
    <p class="text-right"><a class="do" href="{{ $desk->url('cut') }}">See the cuts</a></p>
</div>
@endif
