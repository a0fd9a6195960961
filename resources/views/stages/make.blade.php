@php([$making, $profile] = [$desk->making(), $desk->profile])
@if ($making === null)
    <div class="bench-step">
        <h2>Ready to make {{ $desk->document->makes->words() }}?</h2>
        <p class="tell">{{ \Hebra\Core\Quantity\Figures::counted($desk->plan->stepCount(), 'step') }}, one at a time. What must be hooked on before it is closed is asked for; wraps and beads are counted. You can stop anywhere and go on later.</p>
        @include('stages.checks', ['checks' => $desk->checks(\Hebra\Core\Plan\Level::Stop, \Hebra\Core\Plan\Level::Warn)])
        <div class="bar">
            <form method="post" action="/pieces/{{ $desk->piece->ulid }}/makings" hx-post="/pieces/{{ $desk->piece->ulid }}/makings">@csrf<button id="begin" type="submit" class="do big" data-key="Space" autofocus>Start making</button></form>
            <a class="may" href="/pieces/{{ $desk->piece->ulid }}/lay-ready">What to lay ready</a>
        </div>
    </div>
@elseif ($making->isDone())
    <div class="bench-step">
        <h2>All {{ $making->total }} steps are done</h2>
        <p class="tell">Weigh what was left over and close the making: then the metal is in the book.</p>
        <div class="bar"><a class="do big" href="{{ $desk->url('log') }}" data-key="Space">Weigh &amp; log</a>
        @include('stages.back', ['making' => $making])</div>
    </div>
@else
    @php($step = $making->step)
    @php($at = $making->making->step)
    <div class="bench-step" x-data="bench" x-on:keydown.document="digit" data-marks="{{ implode(' ', $step->marks) }}">
        <div>
            <p class="flex flex-wrap justify-between gap-2"><strong>{{ $making->whose() }}</strong> <span class="quiet figure">step {{ $at + 1 }} of {{ $making->total }}</span></p>
            <progress value="{{ $at }}" max="{{ $making->total }}" aria-label="Steps done"></progress>
        </div>
        <h2 id="step-title" tabindex="-1">{{ $step->title }}</h2>
        <p class="tell">{{ $step->text }}</p>
        @if ($making->isMirrored())<p class="quiet"><strong>The mirrored one:</strong> every bend turns the other way, and what hangs together in one eye goes on in the opposite order.</p>@endif
        @if ($step->tool !== '')<p class="quiet">With: {{ $step->tool }}</p>@endif
        @foreach ($step->cautions as $caution)
            <p class="caution">{{ $caution->words() }}</p>
        @endforeach
        @if ($step->count > 0)
            <div class="tally" aria-hidden="true">
                @for ($mark = 1; $mark <= min(60, $step->count); $mark++)<span @class(['mark', 'is-done' => $mark <= $making->making->counted])></span>@endfor
            </div>
            <p class="figure text-xl" role="status">{{ $making->making->counted }} of {{ $step->count }} {{ $step->counted }}</p>
        @endif
        <x-problem for="hooked" :problem="$problem" /><x-problem for="counted" :problem="$problem" />
        <div class="bar mt-auto">
            <form method="post" action="/makings/{{ $making->making->ulid }}" hx-patch="/makings/{{ $making->making->ulid }}">
                @csrf @method('patch')
                <input type="hidden" name="at" value="{{ $at }}">
                @if (! $making->isCounted())
                    <input type="hidden" name="do" value="count"><input type="hidden" name="counted" value="{{ $making->making->counted + 1 }}">
                    <button id="go-on" type="submit" class="do big" data-key="Space" autofocus>Count one <kbd>space</kbd></button>
                @elseif ($step->asks !== '')
                    <input type="hidden" name="do" value="next"><input type="hidden" name="hooked" value="1">
                    <p class="tell mb-2"><strong>{{ $step->asks }}</strong></p>
                    <button id="go-on" type="submit" class="do big" data-key="y" autofocus>Yes, it is hooked on <kbd>Y</kbd></button>
                @else
                    <input type="hidden" name="do" value="next">
                    <button id="go-on" type="submit" class="do big" data-key="Space" autofocus>Done, next <kbd>space</kbd></button>
                @endif
            </form>
            @if (! $making->isCounted())
                <form method="post" action="/makings/{{ $making->making->ulid }}" hx-patch="/makings/{{ $making->making->ulid }}">@csrf @method('patch')
                    <input type="hidden" name="at" value="{{ $at }}"><input type="hidden" name="do" value="next"><input type="hidden" name="all" value="1">
                    <button id="all-done" type="submit" class="may" data-key="a">All {{ $step->count }} are done <kbd>A</kbd></button></form>
                <form class="sr-only" method="post" action="/makings/{{ $making->making->ulid }}" hx-patch="/makings/{{ $making->making->ulid }}">@csrf @method('patch')
                    <input type="hidden" name="at" value="{{ $at }}"><input type="hidden" name="do" value="count">
                    <input type="hidden" name="counted" x-ref="counted" value=""></form>
            @endif
            @include('stages.back', ['making' => $making])
        </div>
        @if ($making->next())<p class="quiet small">Then: {{ $making->next()->title }}</p>@endif
    </div>
    <details class="mt-3 small">
        <summary class="quiet">Stop this making</summary>
        <form class="mt-2" method="post" action="/makings/{{ $making->making->ulid }}" hx-delete="/makings/{{ $making->making->ulid }}">@csrf @method('delete')
            <p class="mb-2">Forgets the steps done so far. Nothing is in the metal book yet, so nothing moves there.</p>
            <button type="submit" class="may">Forget this making</button></form>
    </details>
@endif
