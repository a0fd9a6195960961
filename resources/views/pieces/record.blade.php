@php([$making, $profile, $figures] = [$desk->making, $desk->profile, \Hebra\Core\Quantity\Figures::class])
@php($piece = $making->piece()->withTrashed()->first())
<x-layout :title="'Record of '.$making->document()->name" here="Pieces">
    <p class="mt-3 no-print"><a href="/pieces/{{ $piece->ulid }}/log">← {{ $making->document()->name }}</a></p>
    <div class="flex flex-wrap items-baseline justify-between gap-3"><h1>{{ $making->document()->name }}</h1><p class="quiet">{{ ucfirst($making->document()->makes->words()) }}{{ $making->closed_at === null ? ', under way' : ', made by '.$making->closed_at->format('j F Y') }}</p></div>
    <div class="record mt-3">
        <figure class="drawing drawing-place"><div class="canvas">@include('svg.piece', ['drawing' => $desk->drawing, 'hangs' => '', 'label' => 'Drawing of '.$making->document()->name])</div></figure>
        <div>
            <h2>What it took</h2>
            <div class="scrolls" tabindex="0" role="group" aria-label="Table"><table class="ledger mt-1"><thead><tr><th scope="col">Wire</th><th scope="col" class="!text-right">cut, each</th><th scope="col" class="!text-right">left</th><th scope="col" class="!text-right">on the sum</th></tr></thead><tbody>
                @forelse ($desk->cuts as $cut)<tr><td>{{ $cut->label }} <span class="figure">× {{ $cut->count }}</span></td><td class="num">{{ $profile->length($cut->cut_um / 1000) }}</td><td class="num">{{ $cut->is_bound ? 'ran short' : ($cut->short_um > 0 ? 'short by '.$profile->length($cut->short_um / 1000) : $profile->length($cut->left_um / 1000)) }}</td><td class="num">{{ $cut->way === null ? '–' : ($cut->ratio() >= 1 ? '+' : '−').$figures::trim(abs(100 * ($cut->ratio() - 1)), 1).' %' }}</td></tr>
                @empty<tr><td colspan="4" class="quiet">Not closed yet.</td></tr>@endforelse
            </tbody></table></div>
            <table class="ledger small mt-2"><caption class="sr-only">Metal moved</caption><tbody>@foreach (\App\View\Desk::bill($making->load('movements.lot')) as $row)<tr><td>{{ $row['words'] }}</td><td class="num">{{ number_format(abs($row['mg']) / 1000, 3) }} g</td></tr>@endforeach</tbody></table>
            <p class="mt-2">{{ $making->minutes === null ? 'Time not noted.' : $making->minutes.' minutes.' }}{{ $making->weight_mg === null ? '' : ' Weighs '.$figures::grams($making->weight_mg / 1000).'.' }}</p>
            @if ($making->note !== '')<p class="mt-1">{{ $making->note }}</p>@endif
            @if ($desk->times() !== [])
                <h2 class="mt-4">Where the time went</h2>
                <table class="ledger small mt-1"><tbody>@foreach ($desk->times() as $row)<tr><td>{{ ucfirst($row['words']) }}</td><td class="num">{{ $figures::trim($row['minutes'], 1) }} min</td><td class="quiet">{{ $row['capped'] > 0 ? $figures::counted($row['capped'], 'step').' ran on while nobody worked, and counts less' : '' }}</td></tr>@endforeach</tbody></table>
            @endif
            @if ($desk->sizes->isNotEmpty())
                <h2 class="mt-4">As measured</h2>
                <table class="ledger small mt-1"><tbody>@foreach ($desk->sizes as $size)<tr><td>{{ ['loop' => 'Loop, inside', 'inside' => 'Bend, inside', 'fit' => 'The piece'][$size->what] ?? $size->what }}</td><td class="num">{{ $figures::trim($size->measuredMm(), 2) }} mm</td><td class="quiet num">meant {{ $figures::trim($size->wantedMm(), 2) }} mm</td></tr>@endforeach</tbody></table>
            @endif
            @if ($desk->inspected() !== [])
                <h2 class="mt-4">Looked over</h2>
                <ul class="mt-1">@foreach ($desk->inspected() as $row)<li>{{ $row['isFine'] ? '✓' : '✕' }} {{ $row['look'] }} <span class="quiet small">{{ $row['expect'] }}{{ $row['isFine'] ? '' : ': to be mended' }}</span></li>@endforeach</ul>
            @endif
        </div>
    </div>
    <section class="mt-6" aria-labelledby="photos"><h2 id="photos" @class(['no-print' => $desk->photos->isEmpty()])>Photos</h2>
        <div class="photos mt-2">
        @foreach ($desk->photos as $number => $photo)
            <figure><img src="/photos/{{ $photo->ulid }}.jpg" width="{{ $photo->width }}" height="{{ $photo->height }}" alt="Photo {{ $number + 1 }} of {{ $making->document()->name }}" loading="lazy"><form class="no-print" method="post" action="/photos/{{ $photo->ulid }}">@csrf @method('delete')<button type="submit" class="word small" aria-label="take out photo {{ $number + 1 }}">take out</button></form></figure>
        @endforeach
        </div>
        <form class="flex flex-wrap items-end gap-3 mt-2 no-print" method="post" action="/makings/{{ $making->ulid }}/photos" enctype="multipart/form-data">@csrf
            <div class="field"><label for="photo">A photo, JPEG, PNG or WebP</label><input class="in is-text" type="file" id="photo" name="photo" accept="image/jpeg,image/png,image/webp" capture="environment"><x-problem for="photo" :problem="$problem" /></div>
            <button type="submit" class="may">Keep it</button> <span class="quiet small">Made small; place and time of where it was taken are removed.</span></form>
    </section>
</x-layout>
