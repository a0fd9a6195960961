{{-- The whole piece on paper, what is not made yet faint; its joint at hand in a ring, and large through the loupe. --}}
@php([$lx, $ly, $lr] = [$hero::LOUPE_X, $hero::LOUPE_Y, $hero::LOUPE])
@php($mm = $hero->drawing->px(1.0))
<svg class="loupe" viewBox="0 0 580 {{ $hero::HIGH }}" role="img" aria-label="{{ $hero->piece->name }}: {{ $hero->desk->isDone() ? 'made' : 'its joint at hand, as it is before this step' }}">
    <defs><pattern id="bench-mm" width="{{ $mm }}" height="{{ $mm }}" patternUnits="userSpaceOnUse"><path class="paper-fine" d="M{{ $mm }} 0H0V{{ $mm }}"/></pattern><pattern id="bench-cm" width="{{ 10 * $mm }}" height="{{ 10 * $mm }}" patternUnits="userSpaceOnUse"><path class="paper-coarse" d="M{{ 10 * $mm }} 0H0V{{ 10 * $mm }}"/></pattern></defs>
    <g class="paper">@if ($mm > 3)<rect width="{{ $hero::PAPER_WIDE }}" height="{{ $hero::HIGH }}" fill="url(#bench-mm)"/>@endif<rect width="{{ $hero::PAPER_WIDE }}" height="{{ $hero::HIGH }}" fill="url(#bench-cm)"/></g>
    <g transform="translate({{ $hero->aside() }} {{ $hero->down() }})">@include('svg.piece', ['drawing' => $hero->drawing, 'small' => true, 'label' => ''])</g>
    @unless ($hero->desk->isDone())
    <x-lens name="bench-glass" :place="$hero->joint()" :glass="[$lx, $ly, $lr]"><image
        href="{{ $hero->desk->picture() }}&amp;loupe=1" x="{{ $lx - $lr }}" y="{{ $ly - $lr }}" width="{{ 2 * $lr }}"
        height="{{ 2 * $lr }}"/></x-lens>
    @endunless
</svg>
