@use('App\View\Coins')
@use('App\View\Market\CustomerSheet')
@use('App\View\Market\PriceCauses')
@use('Hebra\Core\Piece\ChangeWriter')
@use('Hebra\Core\Price\Asking')
@use('Hebra\Core\Quantity\Figures')
@use('Hebra\Core\Quantity\UnitPrice')
@php([$bill, $workshop, $profile] = [$desk->bill, $desk->workshop, $desk->workshop->profile()])
<x-layout :title="'What '.$desk->piece->name.' costs'" here="Pieces">
    <p class="mt-3"><a href="/pieces/{{ $desk->piece->ulid }}/cut">← {{ $desk->piece->name }}</a></p>
    @php($list = $desk->listOf(is_string(request('list')) ? request('list') : ''))
    @php($causes = new PriceCauses($desk, $list))
    <div class="price-head"><h1>{{ $desk->piece->name }}, {{ $desk->plan->piece->makes->words() }}</h1>
        <nav class="price-lists" aria-label="Price lists">
            @foreach ($desk->asked($list->name) as $one)<a
            href="/pieces/{{ $desk->piece->ulid }}/bill?list={{ lcfirst($one['name']) }}" @if ($one['isHere']) aria-current="true" @endif>{{ $one['name'] }}
            <span class="figure">{{ Coins::text($one['cents']) }}</span></a>@endforeach</nav></div>
    <p class="quiet">Of {{ $desk->money($causes->asking->priceCents()) }},
        <strong class="stays">{{ Coins::text($causes->staysCents()) }} <x-term word="stays with you">stays with you</x-term></strong>: your time and the margin.
        @if ($bill->unpriced > 0){{ ucfirst(Figures::counted($bill->unpriced, 'line')) }} below have no price and count as nothing.@endif</p>
    <div class="price-beside">
        @include('market.causes')
        <div class="price-paper"><p class="bar no-print"><span class="grow quiet">What the customer sees</span><a
            class="do" href="/pieces/{{ $desk->piece->ulid }}/quote?list={{ $list->name }}">Print the sheet</a></p>
        @include('market.paper', ['sheet' => CustomerSheet::quote($desk->plan, $workshop, $desk->eachBy($list))])
        <p class="bar mt-2 no-print"><a class="tool"
            href="/plan?piece={{ $desk->piece->ulid }}#new">Take an order</a></p></div>
    </div>
    <details class="mt-4" @if ($bill->unpriced > 0 || $problem !== null) open @endif><summary>Line by line</summary>
    <div class="scrolls mt-3">
    <table class="ledger stacks">
        <thead><tr><th scope="col">What</th><th scope="col" class="!text-right">How much</th><th scope="col">At</th>
            <th scope="col" class="!text-right">{{ $workshop->currency }}</th></tr></thead>
        <tbody>
        @foreach ($bill->lines as $line)
            <tr><td>{{ ucfirst($line->words) }}</td><td class="num" data-label="how much">{{ $line->amount }}</td>
                <td class="quiet small" data-label="at">@if ($line->key !== '' && $line->cents === null)
                <form class="bar" method="post" action="/pieces/{{ $desk->piece->ulid }}/bill/price">
                    @csrf<input type="hidden" name="kind" value="{{ $line->kind }}">
                    <input type="hidden" name="of" value="{{ $line->key }}">
                    <label class="sr-only"
                    for="price-{{ $loop->index }}">Price of {{ $line->words }}, {{ $line->per }}</label><input
                    class="in !w-44" id="price-{{ $loop->index }}" name="price" placeholder="0.35, or 3.80 for 500" autocomplete="off">
                    <span>{{ $line->per }}</span> <button type="submit" class="tool">set</button></form>
                <x-problem :for="'price.'.$line->key" :problem="$problem" />
            @else{{ $line->at }}@endif</td><td class="num"
                data-label="comes to">{{ $line->cents === null ? '–' : Coins::text($line->cents) }}</td>
                </tr>
        @endforeach
            <tr><td><strong>Cost</strong></td><td></td><td class="quiet small">sum of the lines</td>
                <td class="num"><strong>{{ Coins::text($bill->costCents) }}</strong></td></tr>
            <tr><td>Overhead</td><td class="num">{{ $workshop->overhead_percent }} %</td>
                <td class="quiet small">of the cost</td><td
                class="num">{{ Coins::text($bill->overheadCents) }}</td></tr>
            <tr><td>Margin, fee and tax</td><td></td><td
                class="quiet small">as above, by the {{ $list->name }} list</td>
                <td class="num">{{ Coins::text(max(0, $causes->asking->priceCents() - $bill->costCents - $bill->overheadCents)) }}</td>
                </tr>
            <tr><td><strong>Price</strong></td><td></td><td
                class="quiet small">@if (($sold = $desk->plan->piece->makes->sold()) > 1)
                for {{ $sold }}, each {{ $desk->money($desk->eachBy($list)) }}@endif</td>
                <td class="num"><strong>{{ Coins::text($causes->asking->priceCents()) }}</strong></td></tr>
        </tbody>
    </table>
    </div>
    <p class="mt-2 quiet">Metal: gross <span
        class="figure">{{ Figures::grams($bill->grossGrams) }}</span>, net
        <span class="figure">{{ Figures::grams($bill->netGrams) }}</span>, {{ round(100 * $bill->yield()) }} % of it in the piece.
        @if ($bill->unpriced > 0){{ ucfirst(Figures::counted($bill->unpriced, 'line')) }} without a price count as nothing until you price them above; all prices stand under
            <a href="/stock#beads">Stock</a>.@endif</p>
    </details>
    @if (($offers = $desk->offers()) !== [])
        <section class="mt-6" aria-labelledby="offers">
            <h2 id="offers">Bought or made <span
                class="quiet small font-normal">what the same piece comes to otherwise</span></h2>
            <x-problem for="offers" :problem="$problem" />
            <table class="ledger stacks mt-1"><thead><tr><th scope="col">Way</th>
                <th scope="col" class="!text-right">Cost</th><th scope="col" class="!text-right">Time</th>
                <th scope="col" class="!text-right">Metal</th></tr></thead><tbody>
            @foreach ($offers as $offer)
                <tr @class(["is-chosen" => $offer->pays()])><td>
                    <form class="bar" method="post" action="/pieces/{{ $desk->piece->ulid }}/bill/take">
                        @csrf<input type="hidden" name="revision" value="{{ $desk->piece->revision }}">
                        @foreach (ChangeWriter::fields($offer->way->change) as $name => $value)<input
                        type="hidden" name="{{ $name }}" value="{{ $value }}">@endforeach<button type="submit"
                        class="tool">{{ $offer->way->words }}</button></form>
                    @foreach ($offer->unpriced as $line)
                        @php($id = 'offer-'.$loop->parent->index.'-'.$loop->index)
                        <form class="bar small" method="post" action="/pieces/{{ $desk->piece->ulid }}/bill/price">
                            @csrf<input type="hidden" name="kind" value="{{ $line->kind }}">
                            <input type="hidden" name="of" value="{{ $line->key }}">
                            <label class="quiet" for="{{ $id }}">{{ ucfirst($line->words) }}, {{ $line->per }}</label>
                            <input class="in !w-56" id="{{ $id }}" name="price" placeholder="0.35, or 3.80 for 500"
                            autocomplete="off"> <button type="submit" class="tool">set</button></form>
                        <x-problem :for="'price.'.$line->key" :problem="$problem" />
                    @endforeach</td>
                    <td class="num"
                        data-label="cost">{{ $desk->difference($offer->cents) }}@if ($offer->unpriced !== [])
                        <span class="small quiet">before their price</span>@endif</td>
                        <td class="num" data-label="time">{{ $desk->minutesMore($offer->minutes) }}</td>
                        <td class="num" data-label="metal">{{ $desk->gramsMore($offer->grams) }}</td></tr>
            @endforeach
            </tbody></table>
        </section>
    @endif
    @if (($taken = $desk->taken()) !== null)
        <section class="mt-6" aria-labelledby="taken">
            <h2 id="taken">What the last making took <span
                class="quiet small font-normal">closed {{ $taken['closed'] }}</span></h2>
            <table class="ledger stacks mt-1"><thead><tr><th scope="col">Metal from</th>
                <th scope="col" class="!text-right">How much</th><th scope="col" class="!text-right">Paid for it</th>
                </tr></thead><tbody>
                @foreach ($taken['lines'] as $line)<tr><td>{{ ucfirst($line['words']) }}</td>
                    <td class="num"
                    data-label="how much">{{ Figures::grams($line['grams']) }}</td>
                    <td class="num"
                    data-label="paid for it">{{ $line['cents'] === null ? '–' : Coins::text($line['cents']) }}</td>
                    </tr>@endforeach
            </tbody></table>
            <p class="quiet small mt-1">Gross {{ Figures::grams($taken['grossGrams']) }}, of it {{ Figures::grams($taken['netGrams']) }} in the piece; offcuts that went back to stock are in the gross.</p>
        </section>
    @endif
    <section class="leaf mt-6" aria-labelledby="pricing">
        <h2 id="pricing">How you price</h2>
        @foreach (['metal', 'margin', 'fee', 'rounding', 'decimals'] as $field)<x-problem :for="$field"
            :problem="$problem" />@endforeach
        <form method="post" action="/pieces/{{ $desk->piece->ulid }}/bill"
            class="grid gap-x-4 gap-y-3 mt-2 grid-cols-2 md:grid-cols-4 items-start">
            @csrf @method('put')
            @php($was = fn (string $key, string $default): string => $problem !== null && is_string(request()->input($key)) ? mb_substr(request()->input($key), 0, 60) : $default)
            <x-field name="hour" label="Your hour" :value="$was('hour', Coins::text($workshop->hour_cents))"
                :problem="$problem" autocomplete="off" />
            <x-field name="overhead" label="Overhead, %"
                :value="$was('overhead', (string) $workshop->overhead_percent)" :problem="$problem" inputmode="numeric" autocomplete="off" />
            <x-field name="packing" label="Packing of one"
                :value="$was('packing', Coins::text($workshop->packing_cents))" :problem="$problem" autocomplete="off" />
            <x-field name="currency" label="Currency" :value="$was('currency', $workshop->currency)"
                :problem="$problem" maxlength="3" autocomplete="off" />
            <div class="field"><label for="decimals">Prices are told</label><select class="in is-text" id="decimals"
                name="decimals">@foreach (['2' => '38.50, with decimals', '0' => '39, without'] as $decimals => $words)<option
                value="{{ $decimals }}" @selected($was('decimals', (string) $workshop->decimals) === (string) $decimals)>{{ $words }}</option>
                    @endforeach</select></div>
            @foreach ($desk->metals() as $metal)
                @php($own = $workshop->metal_prices_e4[$metal->value] ?? null)
                <div class="field"><label for="metal-{{ $metal->value }}">{{ ucfirst($metal->words()) }}, a gram</label>
                    <input class="in" id="metal-{{ $metal->value }}" name="metal[{{ $metal->value }}]"
                        value="{{ $own === null ? '' : UnitPrice::fromE4($own)->text() }}" placeholder="{{ UnitPrice::fromE4($desk->otherwiseE4($metal))->text() }}" autocomplete="off"><x-problem
                        :for="'metal.'.$metal->value" :problem="$problem" /></div>
            @endforeach
            @foreach ($workshop->priceLists() as $one)
                <x-field :name="'margin['.$one->name.']'" :id="'margin-'.$one->name"
                    :label="ucfirst($one->name).': margin, %'" :value="$was('margin.'.$one->name, (string) $one->marginPercent)" :problem="$problem" :problem-for="'margin.'.$one->name" inputmode="numeric" autocomplete="off" />
                <x-field :name="'fee['.$one->name.']'" :id="'fee-'.$one->name" :label="ucfirst($one->name).': fee, %'"
                    :value="$was('fee.'.$one->name, (string) $one->feePercent)" :problem="$problem" :problem-for="'fee.'.$one->name" inputmode="numeric" autocomplete="off" />
            @endforeach
            <x-field name="tax" label="Tax in the price, %" :value="$was('tax', (string) $workshop->tax_percent)"
                :problem="$problem" inputmode="numeric" autocomplete="off" />
            <div class="field"><label for="rounding">Prices end in</label><select class="in is-text" id="rounding"
                name="rounding">@foreach (Asking::ENDINGS as $ending => $words)<option
                value="{{ $ending }}" @selected($workshop->rounding === $ending)>{{ $words }}</option>
                @endforeach</select></div>
            <p class="col-span-2 md:col-span-4"><button type="submit" class="do">Set prices</button>
                <span class="quiet small">Without a price of your own, metal is reckoned from a made-up table that ships with Hebra: it is no market price.</span></p>
        </form>
    </section>
</x-layout>
