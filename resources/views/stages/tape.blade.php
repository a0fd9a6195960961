{{-- How long it is beside what fits, on a tape; and what would make it fit. --}}
@php([$fits, $wide] = $tape->fits())
<div class="tape" role="group" aria-label="Its length beside what fits">
    <svg viewBox="0 0 500 46" role="img" aria-label="{{ $tape->check?->text }}">
        <rect class="tape-body" x="0" y="16" width="500" height="30"/>
        <rect class="tape-fits" x="{{ $fits }}" y="16" width="{{ $wide }}" height="30"/>
        @foreach ($tape->ticks() as [$x, $isLong, $words])<path class="tape-tick" d="M{{ $x }} 46v-{{ $isLong ? 13 : 7 }}"/>@if ($words !== '')<text class="tape-words" x="{{ $x }}" y="30">{{ $words }}</text>@endif @endforeach
        @if ($tape->wasMm !== null)<path class="tape-was" d="M{{ $tape->x($tape->wasMm) }} 8v38"/>@endif
        <path class="tape-now" d="M{{ $tape->x($tape->reach->hasMm) }} 2v44m-5 -44h10l-5 8z"/>
    </svg>
    <div class="tape-said">
        <p>@if ($tape->reach->fits())<strong>fits</strong> <span class="quiet">{{ $desk->profile->length($tape->reach->wantsMm) }} asked for, give or take {{ $desk->profile->length($tape->reach->toleranceMm()) }}</span>@else<strong class="is-off">{{ $desk->profile->length(abs($tape->reach->offMm())) }} too {{ $tape->reach->offMm() > 0 ? 'long' : 'short' }}</strong> <span class="quiet">{{ $desk->profile->length($tape->reach->wantsMm) }} would fit</span>@endif</p>
        @include('stages.ways', ['check' => $tape->check])
    </div>
</div>
