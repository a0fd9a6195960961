@use('Hebra\Core\Quantity\Figures')
{{-- A tool on its cloth, drawn from its marks. --}}
@php([$kind, $tip, $root, $end, $from] = [$tool->tool->kind->value, $tool->tip(), $tool->root(), $tool->end(), $tool::FROM])
<svg class="tool-drawn" viewBox="0 0 {{ $tool::WIDE }} {{ $tool::HIGH }}" aria-hidden="true">
@if ($tool->isPliers())
    @php($y = 56)
    @if ($kind === 'stepped')
        <path class="steel" fill="url(#steel)" d="M{{ $from }} {{ $y - 4 }}Q{{ $from }} {{ $y - 16 }} {{ $from + 26 }} {{ $y - 18 }}H{{ $end }}V{{ $y - 3 }}H{{ $from }}Z"/>
        @foreach ($tool->marks as $at => $mark)@php($half = ($end - $from) / count($tool->marks) / 2)<rect class="steel" fill="url(#steel)" x="{{ round($mark['x'] - $half, 1) }}" y="{{ $y }}" width="{{ round(2 * $half, 1) }}" height="{{ $mark['thick'] }}" rx="1.5"/>@endforeach
    @else
        <path class="steel" fill="url(#steel)" d="M{{ $from }} {{ $y - 1 - $tip }}Q{{ $from - 3 }} {{ $y - 1 }} {{ $from }} {{ $y - 1 }}H{{ $end }}V{{ $y - 1 - $root }}Z"/>
        <path class="steel" fill="url(#steel)" d="M{{ $from }} {{ $y + 1 }}Q{{ $from - 3 }} {{ $y + 1 + $tip }} {{ $from }} {{ $y + 1 + $tip }}L{{ $end }} {{ $y + 1 + $root }}V{{ $y + 1 }}Z"/>
        @foreach ($tool->marks as $mark)<path class="tool-mark" d="M{{ $mark['x'] }} {{ $y + 1 }}q2 {{ $mark['thick'] / 2 }} 0 {{ $mark['thick'] }}"/>@endforeach
    @endif
    <path class="handle is-{{ $tool->handles() }}" d="M{{ $end + 46 }} {{ $y - 26 }}C{{ $end + 78 }} {{ $y - 46 }} {{ $end + 112 }} {{ $y - 40 }} {{ $end + 126 }} {{ $y - 28 }}Q{{ $end + 134 }} {{ $y - 18 }} {{ $end + 122 }} {{ $y - 15 }}C{{ $end + 96 }} {{ $y - 22 }} {{ $end + 74 }} {{ $y - 18 }} {{ $end + 50 }} {{ $y - 6 }}Z"/>
    <path class="handle is-{{ $tool->handles() }}" d="M{{ $end + 46 }} {{ $y + 26 }}C{{ $end + 78 }} {{ $y + 46 }} {{ $end + 112 }} {{ $y + 40 }} {{ $end + 126 }} {{ $y + 28 }}Q{{ $end + 134 }} {{ $y + 18 }} {{ $end + 122 }} {{ $y + 15 }}C{{ $end + 96 }} {{ $y + 22 }} {{ $end + 74 }} {{ $y + 18 }} {{ $end + 50 }} {{ $y + 6 }}Z"/>
    <path class="steel" fill="url(#steel-round)" d="M{{ $end }} {{ $y - 46 }}H{{ $end + 30 }}Q{{ $end + 52 }} {{ $y - 38 }} {{ $end + 54 }} {{ $y }}Q{{ $end + 52 }} {{ $y + 38 }} {{ $end + 30 }} {{ $y + 46 }}H{{ $end }}Z"/><circle class="steel" fill="url(#steel)" cx="{{ $end + 26 }}" cy="{{ $y }}" r="11"/>
    @foreach ($tool->marks as $mark)@if ($mark['isTold'])<path class="tool-lead" d="M{{ $mark['x'] }} {{ $y + 3 + $mark['thick'] }}V116"/>@endif @endforeach
@elseif ($kind === 'mandrel')
    @php($last = $tool->marks[count($tool->marks) - 1])
    @foreach ($tool->marks as $mark)<rect class="steel" fill="url(#steel-across)" x="{{ $mark['x'] - $mark['thick'] / 2 }}" y="28" width="{{ $mark['thick'] }}" height="72"/><ellipse class="steel is-top" cx="{{ $mark['x'] }}" cy="28" rx="{{ $mark['thick'] / 2 }}" ry="{{ max(1.4, $mark['thick'] * 0.16) }}"/>@endforeach
    <rect class="wood" fill="url(#wood)" x="{{ $from - 10 }}" y="90" width="{{ $last['x'] + $last['thick'] / 2 + 12 - $from + 10 }}" height="26" rx="2"/>
@elseif ($kind === 'winder')
    <path class="wood" fill="url(#wood)" d="M40 96L48 58H84L92 96Z"/><rect class="steel" fill="url(#steel)" x="44" y="30" width="44" height="30" rx="3"/><rect class="steel" fill="url(#steel)" x="14" y="40" width="32" height="9"/><rect class="steel" fill="url(#steel-across)" x="16" y="48" width="8" height="34"/><rect class="wood" fill="url(#wood)" x="8" y="80" width="24" height="16" rx="5"/>
    <rect class="steel" fill="url(#steel)" x="88" y="40" width="140" height="9"/><path class="wound-edge" d="@for ($x = 118; $x < 196; $x += 6)M{{ $x }} 34l5 21 @endfor"/><path class="wound" d="@for ($x = 118; $x < 196; $x += 6)M{{ $x }} 34l5 21 @endfor"/><path class="wound-edge" d="M199 55q22 2 34 24"/><path class="wound" d="M199 55q22 2 34 24"/>
    @if ($tool->tool->gripMm > 0)<path class="tool-lead" d="M88 28v-8h26v8"/><text x="122" y="24" class="tool-grip">{{ Figures::mm($tool->tool->gripMm) }} lost in its grip</text>@endif
    @foreach ($tool->marks as $mark)<circle class="steel" fill="url(#steel)" cx="{{ $mark['x'] }}" cy="106" r="{{ max(2, $mark['thick'] / 2) }}"/>@endforeach
@else
    @php([$y, $isWood] = [70, $kind === 'bangle-mandrel'])
    <path class="{{ $isWood ? 'wood' : 'steel' }}" fill="url(#{{ $isWood ? 'wood' : 'steel' }})" d="M{{ $from }} {{ $y - $tip / 2 }}L{{ $end }} {{ $y - $root / 2 }}V{{ $y + $root / 2 }}L{{ $from }} {{ $y + $tip / 2 }}Q{{ $from - 6 }} {{ $y }} {{ $from }} {{ $y - $tip / 2 }}Z"/>
    @if ($isWood)<ellipse class="wood is-end" cx="{{ $end }}" cy="{{ $y }}" rx="11" ry="{{ $root / 2 }}"/><ellipse class="tool-ring" cx="{{ $end }}" cy="{{ $y }}" rx="6" ry="{{ $root / 3.4 }}"/>@else<path class="wood" fill="url(#wood)" d="M{{ $end }} {{ $y - $root / 2 - 5 }}H{{ $end + 12 }}V{{ $y - 16 }}H{{ $end + 34 }}Q{{ $end + 46 }} {{ $y }} {{ $end + 34 }} {{ $y + 16 }}H{{ $end + 12 }}V{{ $y + $root / 2 + 5 }}H{{ $end }}Z"/>@endif
    @foreach ($tool->marks as $mark)@if ($isWood)<path class="tool-groove" d="M{{ $mark['x'] }} {{ $y - $mark['thick'] / 2 }}q-7 {{ $mark['thick'] / 2 }} 0 {{ $mark['thick'] }}"/>@else<path class="tool-mark" d="M{{ $mark['x'] }} {{ $y + ($mark['isTold'] ? 2 : $mark['thick'] / 4) }}V{{ $y + $mark['thick'] / 2 }}"/>@endif @endforeach
@endif
    @foreach ($tool->marks as $mark)@if ($mark['isTold'])<text class="tool-size" x="{{ $mark['x'] }}" y="133" text-anchor="middle">{{ $mark['words'] }}</text>@endif @endforeach
</svg>
