@use('Hebra\Core\Quantity\Figures')
@use('Hebra\Core\Wire\Metal')
<x-layout title="The metal book" here="Stock">
    <div class="book-top"><h1>The metal book</h1>
        @if ($flow->metal !== null)<form class="sentence" method="get" action="/stock/book" aria-label="Which lines" hx-get="/stock/book" hx-trigger="change" hx-target="#main" hx-select="#main" hx-swap="outerHTML show:none" hx-push-url="true">of <label class="sr-only" for="book-metal">metal</label><select class="said" id="book-metal" name="metal">@foreach ($flow->metals as $metal)<option value="{{ $metal->value }}" @selected($metal === $flow->metal)>{{ $metal->words() }}</option>@endforeach</select> <label class="sr-only" for="book-year">when</label><select class="said" id="book-year" name="year"><option value="">from the beginning</option>@foreach ($flow->years as $year)<option value="{{ $year }}" @selected($year === $flow->year)>in {{ $year }}</option>@endforeach</select> <button type="submit" class="tool no-js">show</button></form>@endif
        <p class="stock-ways small"><a href="/stock">Stock</a><a href="/stock/months">The year</a><a href="/stock/taking">Stock-taking</a><a href="/stock/import?of=movements">Import lines (CSV)</a><a href="/stock/book.csv">CSV</a></p></div>
    @if ($flow->metal !== null && $flow->flow->totalMg() > 0)
    <p class="quiet">A strand is {{ Figures::trim($flow->strandGrams(), 1) }} g of {{ $flow->metal->words() }}. As much goes as came: {{ number_format($flow->flow->totalMg() / 1000, 2) }} g.</p>
    <svg class="book-flow metal-{{ $flow->metal->value }}" viewBox="0 0 {{ $flow::WIDE }} {{ $flow->drawnHigh() }}" role="img" aria-label="{{ implode(', ', array_map(fn ($one) => $one['words'].' '.number_format($one['mg'] / 1000, 2).' g', $flow->sources())) }}; then {{ implode(', ', array_map(fn ($one) => $one['words'].' '.number_format($one['mg'] / 1000, 2).' g', $flow->goals())) }}">
        @foreach ($flow->strands() as $strand)<path @class(['strand', 'is-'.Str::slug($strand['to'])]) stroke-width="{{ $strand['thick'] }}" d="{{ $strand['path'] }}"/>@endforeach
        @foreach ($flow->sources() as $one)<text class="flow-words" x="{{ $flow::LEFT - 12 }}" y="{{ $one['y'] + $one['high'] / 2 - 2 }}" text-anchor="end">{{ $one['words'] }}</text><text class="flow-grams" x="{{ $flow::LEFT - 12 }}" y="{{ $one['y'] + $one['high'] / 2 + 16 }}" text-anchor="end">{{ number_format($one['mg'] / 1000, 2) }} g</text>@endforeach
        @foreach ($flow->goals() as $one)<text @class(['flow-words', 'is-'.Str::slug($one['words'])]) x="{{ $flow::RIGHT + 12 }}" y="{{ $one['y'] + $one['high'] / 2 + 5 }}">{{ $one['words'] === 'not found' ? '▲ ' : '' }}{{ $one['words'] }}</text><text class="flow-grams" x="{{ $flow::WIDE }}" y="{{ $one['y'] + $one['high'] / 2 + 5 }}" text-anchor="end">{{ number_format($one['mg'] / 1000, 2) }} g</text>@endforeach
    </svg>
    <dl class="book-legend" aria-hidden="true">@foreach ([...$flow->sources(), ...$flow->goals()] as $one)<dt class="is-{{ Str::slug($one['words']) }}">{{ $one['words'] === 'not found' ? '▲ ' : '' }}{{ $one['words'] }}</dt><dd>{{ number_format($one['mg'] / 1000, 2) }} g</dd>@endforeach</dl>
    @endif
    @if ($flow->years === [])@include('svg.bare-flow')@endif
    @if ($months !== null)@include('stock.book-months')@endif
    <h2 class="mt-3">Lines of {{ $isAsked && $flow->metal !== null ? $flow->metal->words() : 'every metal' }}{{ $flow->year === '' ? '' : ', '.$months->period->words() }}</h2>
    <form class="bar mt-1 no-print" method="get" action="/stock/book" role="search" aria-label="Lines by their words">
        @if ($isAsked && $flow->metal !== null)<input type="hidden" name="metal" value="{{ $flow->metal->value }}"><input type="hidden" name="year" value="{{ $flow->year }}">@if ($flow->year !== '')<input type="hidden" name="from" value="{{ $months->period->from }}"><input type="hidden" name="to" value="{{ $months->period->to }}">@endif @endif
        <label class="sr-only" for="book-words">Words in them</label><input class="in is-text !w-64" id="book-words"
            name="words" value="{{ $words }}" maxlength="80" placeholder="received, a piece, a coil" autocomplete="off">
        <button type="submit" class="tool">find</button>
        @if ($words !== '' || ($flow->year !== '' && ! $months->period->isWhole()))<a class="small" href="/stock/book">all lines</a>@endif</form>
    @if ($subtotals !== [])<table class="ledger mt-2 max-w-xl"><caption class="sr-only">What these lines come to</caption>
        <thead><tr><th scope="col">Where</th><th scope="col">Metal</th><th scope="col" class="!text-right">Lines</th><th scope="col" class="!text-right">Come to</th></tr></thead><tbody>
        @foreach ($subtotals as $sum)<tr><td>{{ $sum['account'] }}</td><td>{{ $sum['metal'] }}</td><td class="num">{{ $sum['lines'] }}</td><td class="num">{{ $sum['mg'] < 0 ? '−' : '+' }}{{ number_format(abs($sum['mg']) / 1000, 3) }} g</td></tr>@endforeach</tbody></table>@endif
    <p class="quiet small max-w-2xl">Every line of the <x-term word="metal book">metal book</x-term> in milligrams; the lines of one entry add up to nothing, so no metal appears or is lost. Lines are never edited or deleted, only reversed.</p>
    @if ($problem)<p class="banner" role="alert">{{ $problem->getMessage() }}</p>@endif
    <div class="scrolls mt-3"><table class="ledger">
        <thead><tr><th scope="col">When</th><th scope="col">What</th><th scope="col">Where</th><th scope="col">Metal</th><th scope="col" class="!text-right">Mass</th><th scope="col"><span class="sr-only">Reverse</span></th></tr></thead>
        <tbody>
        @php($last = null)
        @forelse ($lines as $line)
            <tr>
                <td class="figure small whitespace-nowrap">{{ $line->entry !== $last ? $line->created_at->format('Y-m-d H:i') : '' }}</td>
                <td>{{ $line->words }}@if ($hasPartners && $line->maker !== null && $line->entry !== $last) <span class="quiet small">{{ $line->maker }}</span>@endif</td>
                <td>{{ $line->lot?->name ?? $line->account }}</td>
                <td>{{ Metal::from($line->metal)->words() }}</td>
                <td class="num">{{ $line->mass_mg > 0 ? '+' : '−' }}{{ number_format(abs($line->mass_mg) / 1000, 3) }} g</td>
                <td>@if ($line->entry !== $last && $line->reverses === null)<form method="post" action="/stock/book/reverse">@csrf<input type="hidden" name="entry" value="{{ $line->entry }}"><button type="submit" class="word small" aria-label="reverse: {{ $line->words }}">reverse</button></form>@endif</td>
            </tr>
            @php($last = $line->entry)
        @empty
            <tr><td colspan="6" class="quiet">No line yet. Take a coil into stock, or close a making.</td></tr>
        @endforelse
        </tbody>
    </table></div>
    @if ($lines->hasPages())
        <p class="bar mt-3">@if ($lines->previousPageUrl())<a class="may" href="{{ $lines->previousPageUrl() }}">Newer</a>@endif @if ($lines->nextPageUrl())<a class="may" href="{{ $lines->nextPageUrl() }}">Older</a>@endif</p>
    @endif
    @if ($counted->isNotEmpty())
        <section class="mt-6" aria-labelledby="counted"><h2 id="counted">Beads and supplies</h2>
        <div class="scrolls mt-2"><table class="ledger">
            <thead><tr><th scope="col">When</th><th scope="col">What</th><th scope="col" class="!text-right">How many</th><th scope="col"><span class="sr-only">Reverse</span></th></tr></thead><tbody>
            @foreach ($counted as $line)
                <tr><td class="figure small whitespace-nowrap">{{ $line->created_at->format('Y-m-d H:i') }}</td><td>{{ $line->words }}@if ($hasPartners && $line->maker !== null) <span class="quiet small">{{ $line->maker }}</span>@endif</td>
                    <td class="num">{{ $line->amount > 0 ? '+' : '−' }}{{ $line->supply === null ? abs($line->amount) : $line->supply->words(abs($line->amount), $profile) }}</td>
                    <td>@if ($line->kind !== 'reversed' && $line->making_id === null)<form method="post" action="/stock/book/reverse">@csrf<input type="hidden" name="entry" value="{{ $line->entry }}"><button type="submit" class="word small" aria-label="reverse: {{ $line->words }}">reverse</button></form>@endif</td></tr>
            @endforeach
        </tbody></table></div>
        <p class="quiet small mt-1">What a making took is reversed together with its metal, above.</p>
        @if ($counted->hasPages())<p class="bar mt-2">@if ($counted->previousPageUrl())<a class="may" href="{{ $counted->previousPageUrl() }}">Newer</a>@endif @if ($counted->nextPageUrl())<a class="may" href="{{ $counted->nextPageUrl() }}">Older</a>@endif</p>@endif
        </section>
    @endif
</x-layout>
