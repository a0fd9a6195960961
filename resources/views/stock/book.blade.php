<x-layout title="The metal book" here="Stock">
    <p class="mt-2"><a href="/stock">← Stock</a></p>
    <div class="flex flex-wrap items-end justify-between gap-4 mt-1"><h1>The metal book</h1><span class="bar"><a class="may" href="/stock/months">Month by month</a><a class="small" href="/stock/import?of=movements">from a table</a></span></div>
    <p class="quiet max-w-2xl">Every line in milligrams; the lines of one entry add up to nothing, so no metal appears or is lost. Lines are never edited or deleted, only reversed.</p>
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
                <td>{{ \Hebra\Core\Wire\Metal::from($line->metal)->words() }}</td>
                <td class="num">{{ $line->mass_mg > 0 ? '+' : '−' }}{{ number_format(abs($line->mass_mg) / 1000, 3) }} g</td>
                <td>@if ($line->entry !== $last && $line->kind !== 'reversed')<form method="post" action="/stock/book/reverse">@csrf<input type="hidden" name="entry" value="{{ $line->entry }}"><button type="submit" class="word small" aria-label="reverse: {{ $line->words }}">reverse</button></form>@endif</td>
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
