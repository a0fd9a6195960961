@use('App\View\Bench\Clock')
@use('Hebra\Core\Handwork\Operation')
@use('Hebra\Core\Plan\Level')
@use('Hebra\Core\Plan\Sight')
@use('Hebra\Core\Quantity\Figures')
@php([$making, $profile] = [$desk->making(), $desk->profile])
@if ($making === null)
    <div class="bench-step">
        <h2>Ready to make {{ $desk->document->makes->words() }}?</h2>
        @php([$parts, $operations] = [$desk->plan->stepCount(), $desk->plan->inOperations()->stepCount()])
        @php($isMany = $desk->plan->isManyAlike())
        <p class="tell">{{ Figures::counted($isMany ? $operations : $parts, 'step') }}, one at a time{{ $isMany ? ': what is alike is done together, one operation over all of it and then the next' : '' }}. What must be hooked on before it is closed is asked for; wraps and beads are counted. You can stop anywhere and go on later.</p>
        <p class="quiet">{{ $desk->foretold() }}</p>
        @include('stages.operation-times', ['times' => $desk->pace()->byOperation($desk->plan)])
        @include('stages.checks', ['checks' => $desk->checks(Level::Stop, Level::Warn)])
        <div class="bar">
            <form method="post" action="/pieces/{{ $desk->piece->ulid }}/makings" hx-post="/pieces/{{ $desk->piece->ulid }}/makings">@csrf<button id="begin" type="submit" class="do big" data-key="Space" autofocus>Start making</button>
            @if ($operations < $parts)<button type="submit" class="word block mx-auto mt-3" id="begin-otherwise" name="order" value="{{ $isMany ? 'parts' : 'operations' }}">{{ $isMany ? "part by part instead, {$parts} steps" : "what is alike together instead, {$operations} steps" }}</button>@endif</form>
            <a class="may" href="/pieces/{{ $desk->piece->ulid }}/lay-ready">What to lay ready</a>
        </div>
    </div>
@elseif ($making->isDone())
    @php([$points, $found] = [$desk->points(), $desk->found()])
    @php($open = count(array_filter($points, fn ($point) => ! isset($found[$point->key]))))
    <div class="bench-done">
        <h2>All {{ $making->total }} steps are done</h2>
        <p class="tell">Look it over{{ $desk->document->makes->count === 2 ? ', both of them' : ($desk->document->makes->count > 2 ? ', each of the '.$desk->document->makes->count : '') }}, then weigh what was left and close the making.</p>
        <form method="post" action="/makings/{{ $making->making->ulid }}/inspection" hx-put="/makings/{{ $making->making->ulid }}/inspection">@csrf @method('put')
            <p class="points-head" aria-hidden="true"><span class="is-right">right</span><span class="is-wrong">not so</span></p>
            <ul class="points">
            @foreach ($points as $point)
                @php([$isFine, $sight, $of] = [$found[$point->key] ?? null, Sight::of($point->key), $desk->sightsOf($point)])
                <li @class(['is-wrong' => $isFine === false])>
                    <span class="point-words"><strong>{{ $point->look }}</strong> <span class="quiet">{{ $point->expect }}</span>
                        @if ($point->wantedMm !== null)<span class="flex items-baseline gap-2 mt-1"><label class="small quiet" for="measured-{{ $point->key }}">measures</label><input class="in !w-28 !min-h-9 text-right" id="measured-{{ $point->key }}" name="measured[{{ $point->key }}]" value="{{ is_string(request('measured.'.$point->key)) ? mb_substr(request('measured.'.$point->key), 0, 30) : ($desk->measuredOf($point->key) ?? '') }}" placeholder="{{ $profile->length($point->wantedMm) }}" autocomplete="off"></span><x-problem :for="'measured.'.$point->key" :problem="$problem" />@endif</span>
                    <span class="sights" role="radiogroup" aria-label="{{ $point->look }}">
                        <label class="is-right"><input type="radio" name="found[{{ $point->key }}]" value="fine" @checked($isFine === true)>@include('svg.sight', ['sight' => $sight, 'of' => $of, 'right' => true])<span>{{ $sight->words(true) }}<span class="sr-only">: fine</span></span></label>
                        <label class="is-wrong"><input type="radio" name="found[{{ $point->key }}]" value="mend" @checked($isFine === false)>@include('svg.sight', ['sight' => $sight, 'of' => $of, 'right' => false])<span>{{ $sight->words(false) }}<span class="sr-only">: to mend</span></span></label>
                    </span>
                    @if ($isFine === false && $point->step !== null)<span class="bar w-full"><span class="quiet small">▲ Mend it at “{{ $desk->plan->steps()[$point->step]->title }}”:</span>
                        @for ($copy = 0; $copy < min(12, $desk->document->makes->count); $copy++)<button type="submit" class="tool" name="mend" value="{{ $point->step }}/{{ $copy }}">{{ $desk->document->makes->count === 1 ? 'open that step' : $desk->document->makes->nameOf($copy, $desk->document->fit->kind->noun()) }}</button>@endfor</span>@endif
                </li>
            @endforeach
            </ul>
            <x-problem for="found" :problem="$problem" />
            <p class="bar mt-3"><button id="keep-inspection" type="submit" class="{{ $open > 0 ? 'do' : 'may' }}">Keep what I found</button>
                <a class="{{ $open > 0 ? 'may' : 'do big' }}" href="{{ $desk->url('log') }}" data-key="Space">Weigh &amp; log</a> @if ($open > 0 && $open < count($points))<span class="quiet small">{{ Figures::counted($open, 'point') }} not looked at yet.</span>@endif</p>
        </form>
        <div class="bar mt-2">@include('stages.back', ['making' => $making])</div>
    </div>
@else
    @php([$step, $at, $expected, $counted] = [$making->step, $making->making->moves, $making->expected(), $making->making->counted])
    {{-- One view for both: the workshop writes it, and bench.js goes on in it at the speed of the hands, saving behind. --}}
    <div class="bench-step" x-data="bench" x-on:keydown.document="digit" data-marks="{{ implode(' ', $step->marks) }}" data-carried="{{ json_encode($making->carried($desk->pace()), JSON_THROW_ON_ERROR) }}">
        <div id="here">
        <div id="away" class="banner is-note" role="status" hidden><p><strong>The workshop cannot be reached.</strong> Go on: <span id="away-kept">what you do is</span> kept on this device and sent when it is back.</p></div>
        <div>
            <p class="flex flex-wrap justify-between gap-2"><strong id="step-whose">{{ $making->whose() }}</strong> <span class="quiet"><span id="step-clock" class="figure" hidden></span> <span class="figure" id="step-place">step {{ $making->progress->count() + 1 }} of {{ $making->total }}</span> <span id="step-until">· about {{ Clock::words($making->minutesLeft($desk->pace())) }} left</span><span id="step-range" class="wide-only"></span></span></p>
            <progress id="step-progress" value="{{ $making->progress->count() }}" max="{{ $making->total }}" aria-label="Steps done"></progress>
        </div>
        @if ($making->making->isWaiting())
            <div class="banner is-note of-workshop" role="status"><p><strong>It rests until {{ $making->making->waits_until->format($making->making->waits_until->isToday() ? 'H:i' : 'j M, H:i') }}.</strong> {{ ($others = $desk->otherMakings())->isEmpty() ? 'Nothing else is under way.' : 'Meanwhile:' }}</p>
            @foreach ($others as $other)<p><a href="/pieces/{{ $other->piece->ulid }}/make">Go on with {{ $other->piece->name }}</a></p>@endforeach
            @include('stages.bench-form', ['sends' => ['do' => 'wait', 'minutes' => 0], 'class' => 'word', 'words' => 'it is ready now'])</div>
        @endif
        @if ($making->isAgain())<p class="banner is-note of-workshop">Once more: {{ Figures::counted(count($making->progress->again), 'step') }} of this wire, with a new cut where it was spoiled; then on from where you were.</p>@endif
        <div x-data="rest" class="contents"><p class="banner is-note" role="status" x-show="isDue" x-cloak><strong>Rest your hands.</strong> Open them, shake them out, look far away. <button type="button" class="word" x-on:click="rested">I have rested</button></p></div>
        <h2 id="step-title" tabindex="-1">{{ $step->title }}</h2>
        <div class="step-joint">
            <picture class="step-picture">
                <source media="(min-width: 1000px)" srcset="{{ $making->picture() }}&amp;large=1" id="step-picture-large">
                <img id="step-picture" src="{{ $making->picture() }}" alt="The wire before this step, and after it" decoding="async">
            </picture>
            @php($onBench = $making->cut()?->key() ?? '')
            @foreach ($desk->benchStrips() as $strip)
            <div class="strip-room bench-strip" data-cut="{{ $strip->cut->key() }}" tabindex="0" role="group" aria-label="Strip of {{ $strip->cut->label }}" @if ($strip->cut->key() !== $onBench) hidden @endif><p class="small"><strong>{{ $strip->cut->label }}</strong>, <span class="figure">{{ $profile->length($strip->cutMm()) }}</span> <span class="quiet">{{ $strip->cut->wire->words() }}, drawn {{ $strip->ratio }} : 1</span></p>@include('svg.strip', ['strip' => $strip])</div>
            @endforeach
            <ol class="step-ahead" id="step-ahead" aria-label="What comes next">@foreach ($making->comesNext() as $next)<li><img src="{{ $next['picture'] }}" alt="" decoding="async"><span>{{ $next['title'] }}</span></li>@endforeach</ol>
        </div>
        <p class="tell" id="step-text">{{ $step->text }}</p>
        @if ($making->isMirrored())<p class="quiet of-workshop"><strong>The mirrored one:</strong> every bend turns the other way, and what hangs together in one eye goes on in the opposite order.</p>@endif
        @if ($making->making->is_across && $desk->document->makes->count === 2 && $step->operation === Operation::Eye)<p class="quiet of-workshop">Both of the pair are turned on the same mark, one after the other, before the next loop is.</p>@endif
        <p class="quiet" id="step-tool">{{ $step->tool === '' ? '' : 'With: '.$step->tool }}</p>
        <div id="step-cautions">@foreach ($step->cautions as $caution)<p class="caution">{{ $caution->words() }}</p>@endforeach</div>
        <div class="tally" id="step-tally" aria-hidden="true">@if ($step->count > 0)@for ($mark = 1; $mark <= min(60, max($expected, $counted)); $mark++)<span @class(['mark', 'is-done' => $mark <= $counted])></span>@endfor @endif</div>
        <p class="figure text-xl" role="status" id="step-count" @if ($step->count === 0) hidden @endif><span data-count="{{ $counted }}">{{ $counted }}</span> of <span id="step-expected">{{ $expected }}</span> <span id="step-counted">{{ $step->counted }}</span>@if ($making->isAsTwin())<span class="quiet small of-workshop">, as on its twin ({{ $step->count }} planned)</span>@endif</p>
        <p class="banner is-note" role="status" id="step-straighten" @if (! $making->straightens()) hidden @endif>Straighten the wire: draw what is left of it through your fingers before you go on.</p>
        <x-problem for="hooked" :problem="$problem" /><x-problem for="counted" :problem="$problem" />
        <p class="tell" id="step-asks" @if (! $making->isCounted() || $step->asks === '') hidden @endif><strong>{{ $step->asks }}</strong></p>
        <div class="bar mt-auto">
            @php($go = $making->isCounted() ? ($step->asks === '' ? 'next' : 'hooked') : 'count')
            <form method="post" action="/makings/{{ $making->making->ulid }}" x-on:submit.prevent="goOn">@csrf @method('patch')<input type="hidden" name="at" value="{{ $at }}"><input type="hidden" name="do" value="{{ $go === 'count' ? 'count' : 'next' }}"><input type="hidden" name="counted" value="{{ $counted + 1 }}"><input type="hidden" name="hooked" value="{{ $go === 'hooked' ? '1' : '' }}">
                <button type="submit" class="do big" id="go-on" data-key="{{ $go === 'hooked' ? 'y' : 'Space | PageDown | ArrowRight' }}" autofocus>{!! ['count' => 'Count one <kbd>space</kbd>', 'hooked' => 'Yes, it is hooked on <kbd>Y</kbd>', 'next' => 'Done, next <kbd>space</kbd>'][$go] !!}</button></form>
            <form method="post" action="/makings/{{ $making->making->ulid }}" x-on:submit.prevent="allDone" id="all-form" @if ($making->isCounted()) hidden @endif>@csrf @method('patch')<input type="hidden" name="at" value="{{ $at }}"><input type="hidden" name="do" value="next"><input type="hidden" name="all" value="1">
                <button type="submit" class="may" id="all-done" data-key="a">{{ $step->counted === 'wraps' && $counted > 0 ? "Stop at {$counted} ".($counted === 1 ? 'wrap' : 'wraps') : "All {$expected} are done" }} <kbd>A</kbd></button></form>
            <form method="post" action="/makings/{{ $making->making->ulid }}" x-on:submit.prevent="oneMore" id="more-form" @if (! $making->isCounted() || $step->counted !== 'wraps') hidden @endif>@csrf @method('patch')<input type="hidden" name="at" value="{{ $at }}"><input type="hidden" name="do" value="count"><input type="hidden" name="counted" value="{{ $counted + 1 }}">
                <button type="submit" class="may" id="one-more" data-key="+">one wrap more <kbd>+</kbd></button></form>
            @include('stages.back', ['making' => $making])
        </div>
        <p class="quiet small mt-2 of-workshop" @if ($making->then() === '') hidden @endif>Then: {{ $making->then() }}</p>
        </div>
    </div>
    <div class="bench-more small">
        @include('stages.troubles')
        @if ($desk->document->makes->count > 1 && ! $making->isAgain())
            <div class="bar"><span class="quiet">{{ $making->making->is_across ? 'One step across all '.$desk->document->makes->count.' at a time.' : 'One after the other.' }}</span> @include('stages.bench-form', ['sends' => ['do' => $making->making->is_across ? 'one' : 'across'], 'class' => 'word', 'words' => $making->making->is_across ? 'one after the other instead' : 'one step across all instead'])</div>
        @endif
        <details @if ($problem?->field() === 'wait') open @endif>
            <summary class="quiet">It has to rest</summary>
            <p class="mt-1 quiet">Glue, a tumbler, a bath, your hands. Air the room, and follow the product's own sheet.</p>
            <form class="bar mt-1" method="post" action="/makings/{{ $making->making->ulid }}" hx-patch="/makings/{{ $making->making->ulid }}">@csrf @method('patch')<input type="hidden" name="at" value="{{ $at }}"><input type="hidden" name="do" value="wait"><label for="wait">for minutes</label><input class="in !w-20 !min-h-9 text-right" id="wait" name="minutes" value="20" inputmode="numeric" autocomplete="off"><button type="submit" class="may">Put it aside</button></form>
            <x-problem for="wait" :problem="$problem" />
        </details>
        <button type="button" class="word" id="tick-sound" x-data="sound" x-on:click="turn" aria-pressed="false" hidden>click on each count</button>
        <span x-data="rest" class="bar"><label for="rest-every">rest my hands</label><select class="in is-text !w-auto !min-h-9" id="rest-every" x-model="minutes" x-on:change="choose"><option value="0">when I want to</option><option value="20">every 20 minutes</option><option value="30">every half hour</option><option value="45">every 45 minutes</option></select></span>
        <button type="button" class="word" id="read-aloud" x-data="voice" x-on:click="turn" aria-pressed="false" hidden>read each step aloud</button>
        <span x-data="ear" hidden><button type="button" class="word" id="listen" x-on:click="turn" x-bind:aria-pressed="isOn">listen to my words</button> <span class="quiet small" x-show="isOn" x-cloak>Say “next”, “back” or “how long”. <span role="status" x-text="heard"></span></span> <span class="quiet small">Your browser may send what it hears to whoever made it.</span></span>
        <details>
            <summary class="quiet">Abandon this making</summary>
            <form class="mt-2" method="post" action="/makings/{{ $making->making->ulid }}" hx-delete="/makings/{{ $making->making->ulid }}">@csrf @method('delete')
                <p class="mb-2">Forgets the steps done so far. Nothing is in the metal book yet, so nothing moves there.</p>
                <button type="submit" class="may">Forget this making</button></form>
        </details>
    </div>
@endif
