{{-- A scale: its needle on what is foretold, until it is weighed. --}}
<svg class="dial" viewBox="0 0 300 196" role="img"
    aria-label="A scale to {{ $dial->endGrams }} g, its needle on {{ round($dial->grams, 2) }} g">
    <path class="dial-body" d="M24 178C-6 96 66 12 150 12S306 96 276 178L284 194H16Z"/>
    @foreach ($dial->ticks() as [$angle, $isLong, $words])<g transform="rotate({{ $angle }} 150 150)">
        <line class="dial-tick" x1="150" x2="150" y1="24" y2="{{ $isLong ? 40 : 31 }}"/>
        @if ($words !== '')<text x="150" y="56" transform="rotate({{ -$angle }} 150 52)">{{ $words }}</text>@endif</g>
        @endforeach
    <g class="dial-foretold" transform="rotate({{ $dial->angle($dial->grams) }} 150 150)"><path d="M150 150V30"/></g>
    <g class="dial-needle" data-needle transform="rotate({{ $dial->angle($dial->grams) }} 150 150)">
        <path d="M150 162V28"/></g>
    <circle class="dial-pin" cx="150" cy="150" r="8"/><text class="dial-unit" x="150" y="184">g</text>
</svg>
