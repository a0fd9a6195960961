{{-- The whole piece on paper, what is not made yet faint; its joint at hand in a ring, and large through the loupe. --}}
@php([$x, $y, $r] = $hero->joint() ?? [null, null, null])
@php([$lx, $ly, $lr] = [$hero::LOUPE_X, $hero::LOUPE_Y, $hero::LOUPE])
@php($mm = $hero->drawing->px(1.0))
<svg class="loupe" viewBox="0 0 580 {{ $hero::HIGH }}" role="img" aria-label="{{ $hero->piece->name }}: {{ $hero->desk->isDone() ? 'made' : 'its joint at hand, as it is before this step' }}">
    <defs><pattern id="bench-mm" width="{{ $mm }}" height="{{ $mm }}" patternUnits="userSpaceOnUse"><path class="paper-fine" d="M{{ $mm }} 0H0V{{ $mm }}"/></pattern><pattern id="bench-cm" width="{{ 10 * $mm }}" height="{{ 10 * $mm }}" patternUnits="userSpaceOnUse"><path class="paper-coarse" d="M{{ 10 * $mm }} 0H0V{{ 10 * $mm }}"/></pattern><clipPath id="bench-glass"><circle cx="{{ $lx }}" cy="{{ $ly }}" r="{{ $lr }}"/></clipPath></defs>
    <g class="paper">@if ($mm > 3)<rect width="{{ $hero::PAPER_WIDE }}" height="{{ $hero::HIGH }}" fill="url(#bench-mm)"/>@endif<rect width="{{ $hero::PAPER_WIDE }}" height="{{ $hero::HIGH }}" fill="url(#bench-cm)"/></g>
    <g transform="translate({{ $hero->aside() }} {{ $hero->down() }})">@include('svg.piece', ['drawing' => $hero->drawing, 'small' => true, 'label' => ''])</g>
    @unless ($hero->desk->isDone())
    @if ($x !== null)<path class="loupe-way" d="M{{ $x + $r * 0.5 }} {{ $y - $r * 0.87 }}L{{ $lx - $lr * 0.5 }} {{ $ly - $lr * 0.87 }}M{{ $x + $r * 0.5 }} {{ $y + $r * 0.87 }}L{{ $lx - $lr * 0.5 }} {{ $ly + $lr * 0.87 }}"/><circle class="loupe-ring" cx="{{ $x }}" cy="{{ $y }}" r="{{ $r }}"/>@endif
    <circle class="loupe-glass" cx="{{ $lx }}" cy="{{ $ly }}" r="{{ $lr }}"/>
    <image href="{{ $hero->desk->picture() }}&amp;loupe=1" x="{{ $lx - $lr }}" y="{{ $ly - $lr }}" width="{{ 2 * $lr }}" height="{{ 2 * $lr }}" clip-path="url(#bench-glass)"/>
    <circle class="loupe-ring is-glass" cx="{{ $lx }}" cy="{{ $ly }}" r="{{ $lr }}"/>
    @endunless
</svg>
