<section id="weave" x-data="desk" x-on:keydown.document="key" data-shortcuts="{{ auth()->user()->workshop->shortcuts ? 'on' : 'off' }}">
    <h1 class="mt-4">Weave</h1>
    <form method="get" action="/weave" hx-get="/weave" hx-target="#weave" hx-swap="outerHTML show:none" hx-trigger="submit, change" class="leaf mt-3">
        <button type="submit" class="sr-only" tabindex="-1" aria-hidden="true">Weave it</button>
        <div class="sum-fields">
            <div class="field"><label for="field-kind">kind</label><select class="in is-text" id="field-kind" name="kind"><option value="figure" @selected(! $desk->isBasket())>figure weave</option><option value="basket" @selected($desk->isBasket())>basket weave</option></select></div>
            <x-field name="cores" label="cores, 2 to 7" :value="$desk->texts['cores']" :problem="$desk->problem" inputmode="numeric" autocomplete="off" />
            <x-field name="core" label="core wire" :value="$desk->texts['core']" :problem="$desk->problem" autocomplete="off" />
            <x-field name="wire" label="weaving wire" :value="$desk->texts['wire']" :problem="$desk->problem" autocomplete="off" />
            <x-field name="length" label="woven length" :value="$desk->texts['length']" :problem="$desk->problem" autocomplete="off" />
        </div>
        <div class="mt-3 max-w-3xl">
            @if ($desk->isBasket())
                <input type="hidden" name="pattern" value="{{ $desk->texts['pattern'] }}"><input type="hidden" name="turns" value="{{ $desk->texts['turns'] }}">
                <x-field name="passes" class="in" label="one repeat: f in front of a core, b behind it" :value="$desk->texts['passes']" :problem="$desk->problem" problemFor="pattern" autocomplete="off" />
            @else
                <input type="hidden" name="passes" value="{{ $desk->texts['passes'] }}">
                <x-field name="pattern" class="in" label="one repeat: 4@1-2 is four turns round cores 1 to 2" :value="$desk->texts['pattern']" :problem="$desk->problem" autocomplete="off" />
            @endif
        </div>
        <div class="bar mt-2" role="group" aria-label="Tap a weave">
            @if (! $desk->isBasket())
                <label for="field-turns" class="quiet small">add</label><input class="in !w-14" id="field-turns" name="turns" value="{{ $desk->texts['turns'] }}" inputmode="numeric" autocomplete="off"><span class="quiet small">turns round</span>
            @else
                <span class="quiet small">add</span>
            @endif
            @foreach ($desk->taps() as $tap)<button type="submit" class="tool figure" name="add" value="{{ $tap }}">{{ $tap }}</button>@endforeach
            <button type="submit" class="tool" id="weave-undo" name="add" value="undo" data-key="Backspace" aria-keyshortcuts="Backspace">take the last off</button>
        </div>
    </form>
    @foreach ($desk->objections as $objection)<p class="refusal mt-2" role="alert">{{ $objection }}</p>@endforeach
    @if ($desk->front)
        <div class="weave-both mt-3">
            @foreach ([$desk->front, $desk->back] as $figure)
                <figure class="diagram">
                    <div class="scrolls" tabindex="0" role="group" aria-label="The weave, {{ $figure->diagram->words }}">
                        <svg width="{{ $figure->width }}mm" height="{{ $figure->height }}mm" viewBox="0 0 {{ $figure->width }} {{ $figure->height }}" role="img" aria-label="{{ $figure->words() }}">
                            @foreach ($figure->lines() as $line)<path class="fig-line fig-{{ $line['kind'] }} is-edge" stroke-width="{{ $line['mm'] }}" d="{{ $line['d'] }}"/><path class="fig-line fig-{{ $line['kind'] }} is-body" stroke-width="{{ round($line['mm'] * 0.74, 3) }}" d="{{ $line['d'] }}"/>@endforeach
                        </svg>
                    </div>
                    <figcaption class="quiet small">{{ $figure->words() }}</figcaption>
                </figure>
            @endforeach
        </div>
        <div class="grid gap-x-10 gap-y-4 mt-4 md:grid-cols-2">
            <section aria-label="Step by step">
                <div class="bar" hx-target="#weave" hx-swap="outerHTML show:none">
                    <h2 class="mr-2">Step by step</h2>
                    @if ($desk->at > 0)<a class="tool" id="weave-before" data-key="ArrowLeft" href="{{ $desk->address(['at' => $desk->at > 1 ? $desk->at - 1 : '']) }}" hx-get="{{ $desk->address(['at' => $desk->at > 1 ? $desk->at - 1 : '']) }}">back</a>@endif
                    @if ($desk->at < count($desk->steps))<a class="tool" id="weave-next" data-key="ArrowRight" href="{{ $desk->address(['at' => $desk->at + 1]) }}" hx-get="{{ $desk->address(['at' => $desk->at + 1]) }}">{{ $desk->at === 0 ? 'begin' : 'next' }}</a>@endif
                    @if ($desk->at > 0)<a class="tool" id="weave-whole" href="{{ $desk->address(['at' => '']) }}" hx-get="{{ $desk->address(['at' => '']) }}">the whole</a>@endif
                </div>
                <ol class="weave-steps mt-1">
                    @foreach ($desk->steps as $index => $step)<li @if ($desk->at === $index + 1) aria-current="step" @endif>{{ $step['words'] }}</li>@endforeach
                </ol>
                <p class="quiet small mt-1">Then from the beginning again. Keep the first turns round more than one core easy, so that the cores stay side by side.</p>
            </section>
            <section aria-label="What it takes">
                <h2>What it takes</h2>
                <dl class="results mt-1">@foreach ($desk->results as [$what, $figure])<div @class(['is-first' => $loop->first])><dt class="quiet small">{{ $what }}</dt><dd class="figure">{{ $figure }}</dd></div>@endforeach</dl>
                <p class="quiet small mt-1">Leave about {{ $desk->profile->length(50) }} of weaving wire at either end to hold, and what the cores’ ends and curves need.</p>
                @unless ($desk->isBasket())
                    <form method="post" action="/weave" class="mt-3">@csrf
                        @foreach ($desk->texts as $key => $text)<input type="hidden" name="{{ $key }}" value="{{ $text }}">@endforeach
                        <button type="submit" class="do" @disabled($desk->objections !== [])>Make a band of it</button>
                    </form>
                @endunless
                <dl class="small mt-3 grid grid-cols-[auto_1fr] gap-x-3">@foreach ($desk->hints as [$what, $words])<dt class="quiet">{{ $what }}</dt><dd>{{ $words }}</dd>@endforeach</dl>
            </section>
        </div>
    @endif
</section>
