@use('App\View\CutListDesk')
@use('Hebra\Core\Quantity\Figures')
<x-layout title="Cut a list of lengths" here="Stock">
    <p class="mt-3"><a href="/cutting">← Cutting plan</a></p>
    <h1>Cut a list of lengths</h1>
    @if ($wires === [])
        <p class="quiet mt-2">There is no wire in stock to cut from. <a href="/stock">Take a coil in</a> first.</p>
    @elseif ($given === null)
        <p class="mt-1 max-w-2xl">For lengths that belong to no piece here: a CSV table of what for, length and how many. You see it before anything is planned, and nothing is booked.</p>
        <form method="post" action="/cutting/list" enctype="multipart/form-data" class="grid gap-3 mt-3 max-w-xl">@csrf
            @include('stock.wire-choice')
            <div class="field"><label for="file">The file</label><input class="in" id="file" name="file" type="file" accept=".csv,text/csv,text/plain"></div>
            <div class="field"><label for="text">or its lines</label><textarea class="in" id="text" name="text" rows="6" placeholder="label;length;count&#10;rungs;38,5 mm;12&#10;side rails;210;2"></textarea></div>
            <x-problem for="file" :problem="$problem" />
            <p><button type="submit" class="do">Look at it</button></p>
        </form>
    @else
        <form method="post" action="/cutting/list" class="mt-3">@csrf
            <div class="max-w-xs mb-3">@include('stock.wire-choice')</div>
            @include('stock.columns', ['wanted' => CutListDesk::COLUMNS, 'problems' => $desk->problems])
            <p class="bar mt-3"><button type="submit" class="do" id="plan-cuts" name="do" value="take" hx-post="/cutting/list" hx-target="main" hx-select="main" hx-swap="outerHTML" hx-indicator="#search" hx-disabled-elt="this" @disabled($desk->problems !== [] || $desk->kinds === [])>Plan the cuts</button>@if ($desk->plan !== null && ! $desk->plan->isOptimal)<button type="submit" class="may" name="do" value="longer" hx-post="/cutting/list" hx-target="main" hx-select="main" hx-swap="outerHTML" hx-indicator="#search" hx-disabled-elt="this">Search longer</button>@endif<span id="search"><x-searching id="searching" of="#plan-cuts" /></span>@if ($desk->plan !== null)<button type="submit" class="may" name="do" value="csv">The plan (CSV)</button>@endif<a class="may" href="/cutting/list">Another list</a></p>
        </form>
        @if ($desk->problem !== '')<p class="banner mt-3" role="alert">{{ $desk->problem }}</p>@endif
        @if ($desk->plan !== null)
            <section class="mt-5" aria-labelledby="plan"><h2 id="plan">{{ Figures::counted($desk->plan->opened(), 'piece') }} of stock</h2>
                <p class="quiet small">{{ $desk->plan->isOptimal ? 'No other way loses less.' : 'At most '.Figures::trim(100 * $desk->plan->gap(), 1).' % from the least.' }} Scrap {{ $profile->length($desk->plan->scrapMm()) }}.</p>
                <table class="ledger stacks mt-2"><thead><tr><th scope="col">From</th><th scope="col">Cuts</th><th scope="col" class="!text-right">Left</th></tr></thead><tbody>
                    @foreach ($desk->plan->pieces as $piece)
                        <tr><td>{{ ucfirst($piece->row->label) }} <span class="quiet small">{{ $profile->length($piece->row->lengthMm) }}</span></td><td>{{ implode(', ', array_map(fn ($label, $count) => $count.' × '.$label, array_keys($piece->cuts), $piece->cuts)) }}</td><td class="num" data-label="left">{{ $profile->length($piece->remainderMm) }}</td></tr>
                    @endforeach
                </tbody></table></section>
        @endif
    @endif
</x-layout>
