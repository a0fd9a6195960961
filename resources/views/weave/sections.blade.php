{{-- The sections of a band that is written in several; one is in the hands. --}}
<ol class="weave-sections mt-3" aria-label="Sections of the band" hx-target="#weave" hx-swap="outerHTML show:none">
    @foreach ($desk->layout->sections as $index => $one)<li @if ($desk->band->here === $index + 1) aria-current="true"
    @endif><a href="{{ $desk->address(['section' => $index + 1, 'at' => '']) }}"
    hx-get="{{ $desk->address(['section' => $index + 1, 'at' => '']) }}"><span class="figure">{{ $one->text }}</span>
    <span class="small">{{ $one->crossing === null ? '× '.$one->repeats.', ' : '' }}{{ $desk->profile->length($one->lengthMm) }}</span></a></li>
    @endforeach</ol>
@if ($desk->isCrossing())<p
    class="mt-2">Here cores change sides, and nothing is woven; the weaving wire is carried along.</p>@endif
