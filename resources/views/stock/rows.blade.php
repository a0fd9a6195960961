@use('App\Models\Lot')
@use('App\Models\Supply')
@use('App\View\Coins')
@use('Hebra\Core\Quantity\Figures')
@use('Hebra\Core\Wire\Metal')
@use('Hebra\Core\Wire\Temper')
<x-layout title="Stock" here="Stock">
    <div class="flex flex-wrap items-end justify-between gap-4 mt-4"><h1>Stock</h1><span class="bar"><a class="may" href="/stock">The wall</a><a class="may" href="/cutting">Cutting plan</a><a class="may" href="/stock/book">The metal book</a></span></div>
    <p class="mt-1 small flex flex-wrap gap-x-4 leading-8"><a href="/stock/import">Import wire (CSV)</a><a href="/stock/import?of=movements">Import book lines (CSV)</a><a href="/stock/import?of=beads">Import beads (CSV)</a><a href="/stock/lots.csv">Lots (CSV)</a><a href="/stock/beads.csv">Beads (CSV)</a><a href="/stock/book.csv">Book (CSV)</a></p>
    <form class="bar mt-3" method="get" action="/stock" role="search" aria-label="Find in the rows"><input type="hidden" name="as" value="rows"><label class="sr-only" for="find-rows">Find</label><input class="in !w-72" type="search" id="find-rows" name="line" value="{{ $line }}" maxlength="80" placeholder="22 sterling, slate round" autocomplete="off"><button type="submit" class="tool">find</button></form>
    @if ($line !== '')<p class="mt-2">Only what is <strong class="figure">{{ $line }}</strong>. <a href="/stock?as=rows">All rows</a></p>@endif
    @if ($low !== [])<p class="banner is-note mt-3">Running low: {{ implode('; ', $low) }}. <span class="quiet small">Wire below {{ $profile->length($workshop->low_um / 1000) }}, set under <a href="/account">Account</a>; beads and findings below the mark you give them.</span></p>@endif
    <div class="scrolls mt-3">
    <table class="ledger stacks">
        <thead><tr><th scope="col">Lot</th><th scope="col">Wire</th><th scope="col" class="!text-right">Left</th><th scope="col" class="!text-right">Weight</th><th scope="col" class="!text-right">Paid</th><th scope="col">Correct the amount</th></tr></thead>
        <tbody>
        @forelse ($lots as $lot)
            <tr id="lot-{{ $lot->ulid }}" @class(['is-unfit' => $lot->heldMg() === 0])>
                <td><strong>{{ $lot->name }}</strong> <span class="quiet small">{{ Lot::KINDS[$lot->kind] }}</span><span class="small flex flex-wrap gap-x-3 leading-7"><a href="/lots/{{ $lot->ulid }}/label.pdf" aria-label="label for {{ $lot->name }}, PDF">label</a> <a href="/lots/{{ $lot->ulid }}/scale" aria-label="weigh {{ $lot->name }}">weigh</a><a href="/lots/{{ $lot->ulid }}/ideas" aria-label="what to make of {{ $lot->name }}">what to make</a></span></td>
                <td>{{ $lot->wireWords() }}{{ $lot->isPins() ? ', '.$profile->length($lot->pinMm()).' long' : '' }}</td>
                <td class="num" data-label="left">{{ $lot->isPins() ? $lot->heldPins().' pins' : $profile->length($lot->heldMm()) }}@if (isset($spoken[$lot->id]))<span class="quiet small block">{{ $profile->length($spoken[$lot->id]['mm']) }} for {{ implode(', ', $spoken[$lot->id]['for']) }}</span>@endif</td>
                <td class="num" data-label="weight">{{ number_format($lot->heldMg() / 1000, 2) }} g</td>
                <td class="num" data-label="paid">{{ $lot->price_cents === null ? '–' : Coins::text($lot->price_cents) }}</td>
                <td data-label="it holds"><form class="bar !flex-nowrap" method="post" action="/lots/{{ $lot->ulid }}">@csrf @method('put')<label class="sr-only" for="holds-{{ $lot->ulid }}">{{ $lot->name }} holds</label><input class="in !w-28 !min-h-9" id="holds-{{ $lot->ulid }}" name="holds" placeholder="{{ $lot->isPins() ? 'pins' : 'mm or g' }}" autocomplete="off"><button type="submit" class="tool" aria-label="correct {{ $lot->name }}">correct</button></form><x-problem :for="'holds.'.$lot->ulid" :problem="$problem" /></td>
            </tr>
        @empty
            <tr><td colspan="6" class="quiet">Nothing is booked yet. Everything works without: a making may draw on wire not booked yet.</td></tr>
        @endforelse
        </tbody>
    </table>
    </div>
    @if ($moreLots > 0)<p class="mt-1 quiet small">and {{ $moreLots }} more lots: find them by a line above.</p>@endif
    <p class="mt-2 quiet">Scrap jar: @forelse ($scrap as $metal => $mg){{ Metal::from($metal)->words() }} <span class="figure">{{ number_format($mg / 1000, 2) }} g</span>@if (($fine = Metal::from($metal)->fineness()) > 0) ({{ number_format($mg * $fine / 1000, 2) }} g fine)@endif{{ $loop->last ? '' : ', ' }} @empty empty @endforelse</p>
    <section class="leaf mt-6" aria-labelledby="receive">
        <h2 id="receive">Add wire</h2>
        <form method="post" action="/stock" class="grid gap-x-4 gap-y-3 mt-2 grid-cols-2 md:grid-cols-4 items-start">
            @csrf
            @php($was = fn (string $key, string $default = ''): string => $problem !== null && is_string(request($key)) ? mb_substr(request($key), 0, 120) : $default)
            <div class="field"><label for="kind">What</label><select class="in is-text" id="kind" name="kind">@foreach (Lot::KINDS as $kind => $words)<option value="{{ $kind }}" @selected($was('kind', 'coil') === $kind)>{{ $words }}</option>@endforeach</select><x-problem for="kind" :problem="$problem" /></div>
            <div class="field"><label for="metal">Metal</label><select class="in is-text" id="metal" name="metal">@foreach (Metal::cases() as $metal)<option value="{{ $metal->value }}" @selected($was('metal', 'sterling') === $metal->value)>{{ $metal->words() }}</option>@endforeach</select><x-problem for="metal" :problem="$problem" /></div>
            <x-field name="size" label="Size" :value="$was('size')" :problem="$problem" placeholder="22 awg" autocomplete="off" />
            <x-field name="measured" label="Measures, if not what it says" :value="$was('measured')" :problem="$problem" placeholder="0.79 mm" autocomplete="off" />
            <div class="field"><label for="temper">Temper</label><select class="in is-text" id="temper" name="temper">@foreach (Temper::cases() as $temper)<option value="{{ $temper->value }}" @selected($was('temper', 'dead-soft') === $temper->value)>{{ $temper->words() }}</option>@endforeach</select><x-problem for="temper" :problem="$problem" /></div>
            <x-field name="amount" label="Length or weight" :value="$was('amount')" :problem="$problem" placeholder="5 m, or 30 g" autocomplete="off" />
            <x-field name="price" label="Price paid" :value="$was('price')" :problem="$problem" placeholder="18.50" autocomplete="off" />
            <x-field name="name" class="is-text" label="Name, if you like" :value="$was('name')" :problem="$problem" autocomplete="off" />
            <details class="field col-span-2 md:col-span-4" @if (in_array($was('kind'), Lot::PINS, true)) open @endif><summary class="small quiet">For pins: how many, how long</summary><div class="grid grid-cols-2 gap-4 max-w-md mt-1"><x-field name="pins" label="Pins" :value="$was('pins')" :problem="$problem" inputmode="numeric" autocomplete="off" /><x-field name="pin_length" problem-for="pin length" label="Each long" :value="$was('pin_length')" :problem="$problem" placeholder="50 mm" autocomplete="off" /></div></details>
            <p class="col-span-2 md:col-span-4"><button type="submit" class="do">Take it into stock</button></p>
        </form>
    </section>
    <section class="mt-8" id="supplies" aria-labelledby="supplies-heading">
        <h2 id="supplies-heading">Findings, rings, chain and packing</h2>
        <form method="post" action="/supplies" class="grid gap-x-4 gap-y-3 mt-2 grid-cols-2 md:grid-cols-6 items-start">@csrf
            <div class="field"><label for="supply_kind">What</label><select class="in is-text" id="supply_kind" name="supply_kind">@foreach (Supply::KINDS as $kind => $words)<option value="{{ $kind }}" @selected($was('supply_kind', 'finding') === $kind)>{{ $words }}</option>@endforeach</select><x-problem for="supply.kind" :problem="$problem" /></div>
            <div class="md:col-span-2"><x-field name="supply" problem-for="supply.name" class="is-text" label="Called" :value="$was('supply')" :problem="$problem" list="finding-names" placeholder="ear back" autocomplete="off" /></div>
            <x-field name="supply_amount" problem-for="supply.amount" label="How many, or how long" :value="$was('supply_amount')" :problem="$problem" placeholder="40, or 2 m" autocomplete="off" />
            <x-field name="supply_price" problem-for="supply.price" label="Costs each, or a metre" :value="$was('supply_price')" :problem="$problem" placeholder="0.12, or 3.80 for 500" autocomplete="off" />
            <x-field name="supply_low" problem-for="supply.low" label="Say when below" :value="$was('supply_low')" :problem="$problem" autocomplete="off" />
            <datalist id="finding-names" hx-get="/supplies/names" hx-trigger="focus from:#field-supply once"></datalist>
            <p class="col-span-2 md:col-span-6"><button type="submit" class="may">Take it in</button> <span class="quiet small">Named as a piece calls it, it is counted down when a making is closed.</span></p></form>
        @if ($supplies->isEmpty())<p class="quiet mt-2">None yet. Ear backs, crimps, chain by the metre, boxes: what you buy ready to use.</p>@endif
        <ul class="grid gap-x-8 mt-3 grid-cols-1 md:grid-cols-2">
        @foreach ($supplies as $supply)
            <x-kept :action="'/supplies/'.$supply->ulid" :ulid="$supply->ulid" :name="$supply->name" amount="held" :there="$supply->words($supply->held, $profile)" :price="$supply->price()" :per="$supply->isByLength() ? 'a metre' : 'each'" :low="$supply->low_at === null ? '' : $supply->words($supply->low_at, $profile)" :problem="$problem"><span>{{ ucfirst($supply->name) }} <span class="quiet small">{{ Supply::KINDS[$supply->kind] }}{{ $supply->isLow() ? ', low' : '' }}</span></span></x-kept>
        @endforeach
        </ul>
    </section>
    <section class="mt-8" id="beads" aria-labelledby="bead-tray">
        <h2 id="bead-tray">Bead tray</h2>
        <form method="post" action="/beads" class="flex flex-wrap items-end gap-3 mt-2">@csrf
            <div class="grow max-w-md"><x-field name="bead" label="A bead, in one line" :value="$was('bead')" :problem="$problem" placeholder="Harbour pebble: 8mm round, hole 1, slate, stone" autocomplete="off" /></div>
            <div class="w-28"><x-field name="owned" label="Owned" :value="$was('owned')" :problem="$problem" inputmode="numeric" autocomplete="off" /></div>
            <button type="submit" class="may">Into the tray</button></form>
        @foreach (['bead width', 'bead length', 'bead hole', 'bead colour', 'bead name'] as $at)<x-problem :for="$at" :problem="$problem" />@endforeach
        @if ($beads->isEmpty())<p class="quiet mt-3">The tray is empty: beads you add here can be put on any piece with one tap.</p>@endif
        <ul class="grid gap-x-8 mt-3 grid-cols-1 md:grid-cols-2">
        @foreach ($beads as $bead)
            @php($core = $bead->core())
            <x-kept :action="'/beads/'.$bead->ulid" :ulid="$bead->ulid" :name="$core->words()" amount="owned" :there="$bead->owned" :price="$bead->price()" :low="$bead->low_at" :problem="$problem">@include('svg.glyph', ['bead' => $core, 'size' => 30])<span>{{ $core->words() }} <span class="quiet small">{{ $core->name !== '' ? $core->sizeWords().', ' : '' }}{{ $core->holeWord() }} {{ Figures::mm($core->holeMm) }}, {{ $core->material->value }}</span></span> @if ($bead->owned > 0)<a class="small ml-auto" href="/beads/{{ $bead->ulid }}/ideas" aria-label="what to make of {{ $core->words() }}">what to make</a>@endif</x-kept>
        @endforeach
        </ul>
        @if ($moreBeads > 0)<p class="mt-1 quiet small">and {{ $moreBeads }} more: find them by a line above.</p>@endif
    </section>
</x-layout>
