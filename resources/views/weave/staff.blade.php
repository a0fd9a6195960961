{{-- One repeat as drawn moves between its bars, the same as it is written, and what can be tapped on. --}}
<div class="weave-staff mt-3">
    @if ($desk->moves !== [])
        <ol class="weave-steps" aria-label="One repeat" hx-target="#weave" hx-swap="outerHTML show:none">
            @foreach ($desk->moves as $index => $move)<li @if ($desk->at === $index + 1) aria-current="step" @endif><a
                href="{{ $desk->address(['at' => $index + 1]) }}" hx-get="{{ $desk->address(['at' => $index + 1]) }}">@include('sums.drawn', ['figure' => $desk->note($move, $desk->at === $index + 1), 'small' => true, 'fills' => 'xMidYMid'])<span>{{ $move->words() }}</span></a></li>
                @endforeach
        </ol>
    @endif
    <div class="weave-written spoken">
        @if ($desk->texts['kind'] === 'basket')
            <input type="hidden" name="pattern" value="{{ $desk->texts['pattern'] }}">
                <input type="hidden" name="turns" value="{{ $desk->texts['turns'] }}">
            <x-said name="passes" label="one repeat, written" :value="$desk->texts['passes']"
                :problem="$desk->problem" class="said figure" title="f in front of a core, b behind it" />
        @else
            <input type="hidden" name="passes" value="{{ $desk->texts['passes'] }}">
            <x-said name="pattern" :label="$desk->isSectioned() ? 'the band, written' : 'one repeat, written'"
                :value="$desk->texts['pattern']" :problem="$desk->problem" class="said figure" title="4@1-2 is four turns round cores 1 to 2; sections are parted by |, x12 repeats one, cross 1-2 changes sides" />
        @endif
        <input type="hidden" name="section" value="{{ $desk->texts['section'] }}">
        <span class="bar">@unless ($desk->texts['kind'] === 'basket')<button type="submit" class="tool" name="add"
            value="section">one section more</button>@endunless
        <button type="submit" class="tool" id="weave-undo" name="add" value="undo" data-key="Backspace"
            aria-keyshortcuts="Backspace">take the last off</button></span>
    </div>
    <div class="weave-taps" role="group" aria-label="Tap a weave">
        @if ($desk->isBasket())<span>add a pass</span>@else<x-said name="turns" label="add"
            aria-label="add how many turns" :value="$desk->texts['turns']" inputmode="numeric" after="turns round" />@endif
        @foreach ($desk->taps() as $move)<button type="submit" class="weave-tap" name="add"
            value="{{ $move->cores() }}">@if ($note = $desk->note($move))<span
            aria-hidden="true">@include('sums.drawn', ['figure' => $note, 'small' => true, 'fills' => 'xMidYMid'])</span>@endif<span
            class="figure">{{ $move->cores() }}</span></button>@endforeach
    </div>
</div>
