{{-- The weave as it lies, front and back, and what the hands do now. --}}
@php([$now, $across, $count] = [$desk->now(), $desk->across(), count($desk->moves)])
<div class="weave-work mt-2">
    <div class="weave-lies">
        @foreach ([$desk->front, $desk->back] as $figure)
            <figure @class(['is-back' => ! $loop->first])>
                <div class="scrolls" tabindex="0" role="group" aria-label="The weave, {{ $figure->diagram->words }}">
                    @include('sums.drawn', ['small' => false])</div>
                <figcaption class="quiet small">{{ $figure->words() }}</figcaption>
            </figure>
        @endforeach
    </div>
    <section class="weave-now" aria-label="Step by step" aria-live="polite">
        <p class="quiet">{{ $desk->at === 0 ? "One repeat, {$count} moves" : "Move {$desk->at} of {$count}" }}</p>
        <h2>{{ ucfirst($now->words()) }}</h2>
        <div class="weave-across">
            <span class="quiet small">front</span>@include('sums.drawn', ['figure' => $across, 'small' => false])<span
                class="quiet small">back</span>
        </div>
        <p>{{ $now->way() }}</p>
        <div class="bar" hx-target="#weave" hx-swap="outerHTML show:none">
            @if ($desk->at < $count)<a class="do" id="weave-next" data-key="ArrowRight"
                href="{{ $desk->address(['at' => $desk->at + 1]) }}" hx-get="{{ $desk->address(['at' => $desk->at + 1]) }}">{{ $desk->at === 0 ? 'begin' : 'next' }}</a>@endif
            @if ($desk->at > 0)<a class="may" id="weave-before" data-key="ArrowLeft"
                href="{{ $desk->address(['at' => $desk->at > 1 ? $desk->at - 1 : '']) }}" hx-get="{{ $desk->address(['at' => $desk->at > 1 ? $desk->at - 1 : '']) }}">back</a>
            <a class="tool" id="weave-whole" href="{{ $desk->address(['at' => '']) }}"
                hx-get="{{ $desk->address(['at' => '']) }}">the whole</a>@endif
        </div>
    </section>
</div>
