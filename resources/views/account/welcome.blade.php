@use('App\View\Welcome')
{{-- A cut beside its piece: from each stretch a ribbon to what it becomes. --}}
@php($welcome = new Welcome)
<svg class="welcome metal-{{ $welcome->cut->wire->metal->value }}" viewBox="0 0 {{ $welcome::WIDE }} {{ $welcome::HIGH }}" role="img" aria-label="A wire of {{ $welcome->length() }}, straight, beside the link that is made of it: {{ implode(', ', array_map(fn ($one) => $one['words'].' '.$one['mm'].' mm', $welcome->stretches())) }}">
    @php($mm = $welcome->drawing->px(1.0))
    <defs><pattern id="welcome-mm" width="{{ $mm }}" height="{{ $mm }}" patternUnits="userSpaceOnUse"><path class="paper-fine" d="M{{ $mm }} 0H0V{{ $mm }}"/></pattern><pattern id="welcome-cm" width="{{ 10 * $mm }}" height="{{ 10 * $mm }}" patternUnits="userSpaceOnUse"><path class="paper-coarse" d="M{{ 10 * $mm }} 0H0V{{ 10 * $mm }}"/></pattern></defs>
    <rect width="{{ $welcome::WIDE }}" height="{{ $welcome::HIGH }}" fill="url(#welcome-mm)"/><rect width="{{ $welcome::WIDE }}" height="{{ $welcome::HIGH }}" fill="url(#welcome-cm)"/>
    <rect class="claim-rail" x="0" y="{{ $welcome::RAIL_Y }}" width="{{ $welcome::WIDE }}" height="7"/>
    @foreach ($welcome->ticks() as [$y, $long])<path class="welcome-tick" d="M{{ $welcome::STRIP_X - 8 }} {{ $y }}h-{{ $long }}"/>@endforeach
    @foreach ($welcome->stretches() as $one)@if ($one['ribbon'] !== '')<path @class(['ribbon', 'is-beads' => $one['isBeads']]) d="{{ $one['ribbon'] }}"/>@endif @endforeach
    @foreach ($welcome->stretches() as $one)@php($x = $welcome::STRIP_X)
        <x-wire :long="$one['high']" :thick="10" :x="$x" :y="$one['y']" :is-upright="true" />
        @unless ($one['stays'])@for ($y = $one['y'] + 3; $y < $one['y'] + $one['high'] - 4; $y += 6)<path class="welcome-hatch" d="M{{ $x }} {{ $y + 4 }}l10 -4"/>@endfor @endunless
        <path class="welcome-cut" d="M{{ $x - 3 }} {{ $one['y'] }}h16"/>
        @if ($one['high'] > 30)<text @class(['welcome-words', 'is-off' => ! $one['stays']]) x="{{ $x - 28 }}" y="{{ $one['y'] + $one['high'] / 2 - 1 }}" text-anchor="end">{{ $one['words'] }}</text><text class="welcome-mm" x="{{ $x - 28 }}" y="{{ $one['y'] + $one['high'] / 2 + 15 }}" text-anchor="end">{{ $one['mm'] }}</text>@endif
    @endforeach
    <g transform="translate({{ $welcome->pieceX() }} {{ $welcome->pieceY() }})">@include('svg.hung-piece', ['drawing' => $welcome->drawing, 'times' => 2, 'id' => 'welcome-piece'])</g>
    <text class="welcome-sum" x="{{ $welcome::STRIP_X }}" y="{{ $welcome::HIGH - 16 }}">{{ $welcome->length() }}</text><text class="welcome-mm is-start" x="{{ $welcome::STRIP_X + 96 }}" y="{{ $welcome::HIGH - 16 }}">of {{ $welcome->cut->wire->size->text() }} for each link</text>
</svg>
