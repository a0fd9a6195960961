<x-layout title="Bench" here="Bench">
    <div class="flex flex-wrap items-end justify-between gap-4 mt-4">
        <h1>{{ $underWay === [] ? 'The bench is clear' : 'On the bench' }}</h1>
        <a class="do" href="/pieces">Start a piece</a>
    </div>
    <section class="mt-3 bench-ask" aria-label="Sums"><p class="quiet small">A sum in between: <em>bind 17 beads of 3 mm with 28ga on 18ga</em>, <em>hoop 30mm 20ga eye 2mm hook 8mm</em>, <em>ring us 7</em></p>@include('sums.ask', ['live' => false, 'ask' => ''])</section>
    @foreach ($underWay as $card)
        @php($making = new \App\View\MakingDesk($card->making(), \Hebra\Core\Plan\Planner::plan($card->making()->document(), $profile)))
        <article class="leaf mt-3 !py-3 grid gap-x-6 gap-y-2 grid-cols-[84px_minmax(0,1fr)] sm:grid-cols-[110px_minmax(0,1fr)_auto] items-center">
            <span class="row-span-2 grid place-items-center max-h-40 overflow-hidden">@include('svg.piece', ['drawing' => new \App\View\Drawing($card->plan->assembly(), 100, 104, 0, 6, 'bench-'.$card->piece->id), 'small' => true, 'label' => 'Drawing of '.$card->piece->name])</span>
            <div>
                <h2>{{ $card->piece->name }}</h2>
                <p class="quiet">{{ $making->isDone() ? 'All steps done: look it over, weigh what was left, and close it.' : ($making->making->isWaiting() ? 'Rests until '.$making->making->waits_until->format('H:i').'. ' : '').$making->whose().', next: '.$making->step->title }}</p>
                <progress class="mt-2" value="{{ $making->progress->count() }}" max="{{ $making->total }}" aria-label="Steps done in {{ $card->piece->name }}"></progress>
            </div>
            <a class="may col-start-2 sm:col-start-3 sm:row-start-1 justify-self-start" href="/pieces/{{ $card->piece->ulid }}/make">{{ $making->isDone() ? 'Look it over' : 'Go on' }}</a>
        </article>
    @endforeach
    <div class="grid gap-x-10 gap-y-6 mt-8 lg:grid-cols-[minmax(0,1fr)_20rem]">
        <section>
            <h2>On paper</h2>
            @if ($onPaper === [])
                <p class="quiet mt-2">No piece is being planned. <a href="/pieces">Start one</a>: a pattern is complete from the first second.</p>
            @else
                <div class="pins mt-3">@foreach ($onPaper as $card)
                    <a class="pin" href="/pieces/{{ $card->piece->ulid }}"><span class="card-paper">@include('svg.piece', ['drawing' => $card->drawing, 'small' => true, 'label' => 'Drawing of '.$card->piece->name])</span><strong>{{ $card->piece->name }}</strong><span class="quiet small">{{ $card->progress() }}</span></a>
                @endforeach</div>
            @endif
        </section>
        <aside class="grid gap-6 content-start">
            <section class="rule-top"><h2>Running low</h2>
                @forelse ($low as $words)<p class="mt-1">{{ ucfirst($words) }}</p>
                @empty<p class="quiet mt-1">Nothing: no wire is below {{ $profile->length($workshop->low_um / 1000) }}, no bead or finding below its mark.</p>@endforelse
                <p class="mt-1 small"><a href="/stock">Stock</a></p></section>
            <section class="rule-top"><h2>Lately closed</h2>
                @forelse ($closed as $making)<p class="mt-1"><a href="/pieces/{{ $making->piece->ulid }}/log">{{ $making->piece->name }}</a> <span class="quiet small"><a href="/makings/{{ $making->ulid }}/record">record</a> · {{ $making->closed_at->format('j M') }}{{ $making->minutes === null ? '' : ', '.$making->minutes.' min' }}</span></p>
                @empty<p class="quiet mt-1">Closed makings stand here with what they took.</p>@endforelse</section>
        </aside>
    </div>
</x-layout>
