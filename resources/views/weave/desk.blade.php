<section id="weave" x-data="desk" x-on:keydown.document="key"
    data-shortcuts="{{ auth()->user()->workshop->shortcuts ? 'on' : 'off' }}">
    <form method="get" action="/weave" hx-get="/weave" hx-target="#weave" hx-swap="outerHTML show:none"
        hx-trigger="submit, change">
        <button type="submit" class="sr-only" tabindex="-1" aria-hidden="true">Weave it</button>
        <div class="weave-head spoken">
            <h1>Weave</h1>
            <x-said name="kind" label="a" aria-label="a kind of weave"
                :value="$desk->isBasket() ? 'basket' : 'figure'" :options="['figure' => 'figure weave', 'basket' => 'basket weave']" />
            <x-said name="cores" label="over" aria-label="over how many cores, 2 to 7" :value="$desk->texts['cores']"
                :problem="$desk->problem" inputmode="numeric" after="cores" />
            <x-said name="core" label="of" aria-label="of which core wire" :value="$desk->texts['core']"
                :problem="$desk->problem" after="," />
            <x-said name="wire" label="woven with" aria-label="woven with which wire" :value="$desk->texts['wire']"
                :problem="$desk->problem" />
            <x-said name="length" label="for" aria-label="for which woven length" :value="$desk->texts['length']"
                :problem="$desk->problem" />
        </div>
        @foreach ($desk->objections as $objection)<p class="refusal mt-2" role="alert">{{ $objection }}</p>@endforeach
        @if ($desk->layout !== null)@include('weave.sections')@endif
        @if ($desk->front)@include('weave.woven')@endif
        @include('weave.staff')
    </form>
    @if ($desk->front || $desk->layout !== null)
        <div class="weave-takes mt-4">
            <section aria-label="What it takes">
                <h2>What it takes</h2>
                <dl class="results mt-1">@foreach ($desk->results as [$what, $figure])<div
                    @class(['is-first' => $loop->first])><dt class="quiet small">{{ $what }}</dt>
                    <dd class="figure">{{ $figure }}</dd></div>@endforeach</dl>
                <p class="quiet small mt-1">Leave about {{ $desk->profile->length(50) }} of weaving wire at either end to hold, and what the cores’ ends and curves need.</p>
            </section>
            <section aria-label="In the hand">
                <dl class="small grid grid-cols-[auto_1fr] gap-x-3">
                    @foreach ($desk->hints as [$what, $words])<dt class="quiet">{{ $what }}</dt><dd>{{ $words }}</dd>
                    @endforeach</dl>
                <p class="quiet small mt-1">Keep the first turns round more than one core easy, so that the cores stay side by side.</p>
            </section>
            @unless ($desk->texts['kind'] === 'basket')
                <figure class="weave-band"><img src="{{ $desk->bandUrl() }}" alt="The band that it makes"
                    loading="lazy" height="150"></figure>
                <form method="post" action="/weave">@csrf
                    @foreach ($desk->texts as $key => $text)<input type="hidden" name="{{ $key }}"
                        value="{{ $text }}">@endforeach
                    <button type="submit" class="do" @disabled($desk->objections !== [])>Make a band of it</button>
                </form>
            @endunless
        </div>
    @endif
</section>
