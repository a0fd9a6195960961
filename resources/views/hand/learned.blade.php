@use('App\View\Hand\LearnedClaims')
@use('Hebra\Core\Hand\Consistency')
@use('Hebra\Core\Hand\Learned')
@use('Hebra\Core\Hand\Pace')
@use('Hebra\Core\Quantity\Figures')
@php([$profile, $figures, $percent] = [$desk->profile, Figures::class, fn (float $ratio): string => ($ratio >= 1 ? '+' : '−').Figures::trim(abs(100 * ($ratio - 1)), 1).' %'])
<x-layout title="What was learned" here="Hand">
    <x-hand-nav at="/hand/learned" />
    <x-problem for="do" :problem="$problem" /><x-problem for="what" :problem="$problem" /><x-problem for="cut" :problem="$problem" />
    <form class="bar learned-follow" method="post" action="/hand/learned">@csrf @method('put')
        @if ($desk->workshop->hand_on)<strong>Cuts follow your hand.</strong> <button type="submit" class="word" name="do" value="off">follow the plain sums instead</button>
        @else<strong>Cuts follow the plain sums.</strong> <button type="submit" class="may" name="do" value="on">Follow my hand</button>@endif
    </form>
    @if ($desk->isEmpty())
        @include('svg.bare-rail', ['places' => 7])
        <p class="mt-2">Nothing is logged yet. Write what was left over when you close a making, or take ten minutes for a <a href="/practice">practice</a>.</p>
    @endif
    @unless ($desk->isEmpty())@include('hand.claims', ['claims' => new LearnedClaims($desk)])@endunless
    @unless ($desk->isEmpty())
    <details class="all-logs" id="all-logs" @if ($problem !== null) open @endif><summary>Every log, what was held out, and how to begin anew</summary>
    <p class="quiet max-w-3xl mt-2">Each time you log what was left over, Hebra compares what you used with the sum. From three logs on it cuts for your hand: long enough in most makings, not longer than running short is worth. <a href="/hand/logs.csv">All logs (CSV)</a></p>
    @foreach ($desk->ways as $at => $way)
        @php($learned = $way['learned'])
        <section class="leaf mt-5" aria-labelledby="way-{{ $at }}">
            <h2 id="way-{{ $at }}">{{ ucfirst($way['words']) }}</h2>
            @if ($learned->isLearned())
                <p>You use <strong class="figure">{{ $percent($learned->mean) }}</strong> on the sum, give or take <span class="figure">{{ $figures::trim(100 * $learned->spread, 1) }} %</span>: {{ $figures::counted($learned->count, 'log') }}. Enough in 8 of 10 cases: <span class="figure">{{ $percent($learned->quantile(0.8)) }}</span>, in 95 of 100: <span class="figure">{{ $percent($learned->quantile(0.95)) }}</span>, in 99: <span class="figure">{{ $percent($learned->quantile(0.99)) }}</span>.</p>
            @else
                <p>{{ $figures::counted(count($way['cuts']), 'log') }} so far: the plain sum, not yet learned. {{ Learned::LEAST - $learned->count }} more will do.</p>
            @endif
            @if (count($way['cuts']) > 1)<div class="plot" x-data="plot" data-plot="{{ json_encode($desk->plotOf($way)) }}"><canvas role="img" aria-label="Each log and what you use on the sum; the same as the table below"></canvas></div>@endif
            <details class="mt-2"><summary>{{ $figures::counted(count($way['cuts']), 'log') }}{{ $learned->heldOut === [] ? '' : ', '.count($learned->heldOut).' held out' }}</summary>
            <div class="scrolls" tabindex="0" role="group" aria-label="Table"><table class="ledger small mt-1"><thead><tr><th scope="col">When</th><th scope="col">What</th><th scope="col" class="!text-right">Cut</th><th scope="col" class="!text-right">Left</th><th scope="col" class="!text-right">On the sum</th><td></td></tr></thead><tbody>
                @foreach ($way['cuts'] as $number => $cut)
                    @php($isOut = in_array($number, $learned->heldOut, true))
                    <tr><td>{{ $cut->created_at->format('j M Y') }}</td><td>{{ $cut->making?->piece?->name ?? 'practice' }}, {{ mb_strtolower($cut->label) }}</td><td class="num">{{ $profile->length($cut->cut_um / 1000) }}</td><td class="num">{{ $cut->is_bound ? 'ran short' : ($cut->short_um > 0 ? 'short by '.$profile->length($cut->short_um / 1000) : $profile->length($cut->left_um / 1000)) }}</td><td class="num">{{ $cut->is_bound ? 'over ' : '' }}{{ $percent($cut->ratio()) }}</td>
                        <td>@if ($isOut || $cut->is_put_back)<form class="bar" method="post" action="/hand/learned">@csrf @method('put')<input type="hidden" name="cut" value="{{ $cut->id }}"><span class="quiet">{{ $isOut ? 'held out: far from the others' : 'put back' }}</span> <button type="submit" class="word" name="do" value="{{ $isOut ? 'back' : 'out' }}" aria-label="{{ $isOut ? 'count it' : 'judge it again' }}, {{ $cut->created_at->format('j M') }} {{ $cut->label }}">{{ $isOut ? 'count it' : 'judge it again' }}</button></form>@endif</td></tr>
                @endforeach
            </tbody></table></div>
            <form class="mt-2" method="post" action="/hand/learned">@csrf @method('put')<input type="hidden" name="what" value="{{ $way['key'] }}"><button type="submit" class="word small" name="do" value="forget" aria-label="begin anew with {{ $way['words'] }}">begin anew</button></form></details>
        </section>
    @endforeach
    @foreach ($desk->loops as $at => $loops)
        <section class="leaf mt-5" aria-labelledby="loops-{{ $at }}">
            <h2 id="loops-{{ $at }}">Loops of {{ $profile->size($loops['wanted']) }}</h2>
            @if ($loops['of'] === null)<p>{{ $figures::counted(count($loops['sizes']), 'loop') }} measured: three say how alike they are.</p>
            @else
                <p>They come out <span class="figure">{{ $figures::mm(round(abs($loops['of']->offMm), 2)) }}</span> {{ $loops['of']->offMm >= 0 ? 'wide' : 'tight' }}, give or take <span class="figure">{{ $figures::mm(round($loops['of']->spreadMm, 2)) }}</span>. Two of a pair are within <strong class="figure">{{ $figures::mm(round($loops['of']->pairMm, 2)) }}</strong> in four of five cases{{ $loops['of']->pairMm > Consistency::TO_THE_EYE_MM ? ': more than the eye forgives. Turn both on one mark before you move on, or file a line into the jaw' : ': the eye takes them for alike' }}.
                    @if ($loops['of']->isDrifting) They drift {{ $loops['of']->driftMm > 0 ? 'wider' : 'tighter' }}, <span class="figure">{{ $figures::mm(round(abs(10 * $loops['of']->driftMm), 2)) }}</span> over ten: the wire creeps along the jaw. @endif</p>
                <div class="plot" x-data="plot" data-plot="{{ json_encode($desk->plotOfLoops($loops)) }}"><canvas role="img" aria-label="Sizes of the loops in the order they were made; the same as the list below"></canvas></div>
            @endif
            <p class="figure small mt-1">{{ implode(' · ', array_map(fn ($one) => $figures::trim($one->measuredMm(), 2), $loops['sizes'])) }} mm</p>
        </section>
    @endforeach
    @if ($desk->loops !== [])<form class="mt-2" method="post" action="/hand/learned">@csrf @method('put')<input type="hidden" name="what" value="loop"><button type="submit" class="word small" name="do" value="forget">begin anew with loops</button></form>@endif
    @if ($desk->springs !== [])
        <section class="mt-6" aria-labelledby="springs"><h2 id="springs">What bends open to</h2>
            <table class="ledger mt-1"><thead><tr><th scope="col">Wire</th><th scope="col" class="!text-right">measured over foretold</th><th scope="col" class="!text-right">logs</th></tr></thead><tbody>
                @foreach ($desk->springs as $words => $learned)<tr><td>{{ ucfirst($words) }}</td><td class="num">{{ $learned->isLearned() ? $percent($learned->mean).' ± '.$figures::trim(100 * $learned->spread, 1).' %' : 'not yet learned' }}</td><td class="num">{{ $learned->count }}</td></tr>@endforeach
            </tbody></table>
            <form class="mt-1" method="post" action="/hand/learned">@csrf @method('put')<input type="hidden" name="what" value="inside"><button type="submit" class="word small" name="do" value="forget">begin anew with bends</button></form></section>
    @endif
    @if ($desk->pace->kinds !== [])
        <section class="mt-6" aria-labelledby="pace"><h2 id="pace">Time at the bench</h2>
            <p class="quiet">What steps take you, over what Hebra would guess. Bills and the hours foretold follow it.</p>
            <table class="ledger mt-1"><thead><tr><th scope="col">Kind of step</th><th scope="col" class="!text-right">times the guess</th><th scope="col" class="!text-right">give or take</th><th scope="col" class="!text-right">steps</th></tr></thead><tbody>
                @foreach ($desk->pace->kinds as $kind => $learned)<tr><td>{{ ucfirst(Pace::KINDS[$kind] ?? $kind) }}</td><td class="num">{{ $learned->isLearned() ? $figures::trim($learned->mean, 2) : 'not yet learned' }}</td><td class="num">{{ $figures::trim($learned->spread, 2) }}</td><td class="num">{{ $learned->count }}</td></tr>@endforeach
            </tbody></table>
            <form class="mt-1" method="post" action="/hand/learned">@csrf @method('put')<input type="hidden" name="what" value="pace"><button type="submit" class="word small" name="do" value="forget">begin anew with time</button></form></section>
    @endif
    </details>
    @endunless
</x-layout>
