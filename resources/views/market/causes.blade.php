@use('App\View\Coins')
@use('App\View\Market\PriceCauses')
{{-- The price as the bar of its causes, each drawn as what it is, with a leader to its row. --}}
@php([$high, $row] = [$causes->high(), PriceCauses::ROW])
<div class="causes">
    <svg class="causes-bar" width="170" height="{{ $high }}" viewBox="0 0 170 {{ $high }}" aria-hidden="true">
        <defs>
            <pattern id="cause-metal" class="metal-{{ $desk->metals()[0]->value ?? 'sterling' }}" width="96"
                height="7" patternUnits="userSpaceOnUse"><x-wire :long="96" :thick="6" /></pattern>
            <pattern id="cause-bead" width="24" height="18" patternUnits="userSpaceOnUse">
                <rect class="cause-paper" width="24" height="18"/><circle class="m-bead" cx="7" cy="9" r="5.5"/>
                <circle class="m-bead is-small" cx="18" cy="9" r="3.4"/></pattern>
            <pattern id="cause-finding" width="96" height="5" patternUnits="userSpaceOnUse">
                <rect class="cause-brass" y="1" width="96" height="3"/></pattern>
            <pattern id="cause-packing" width="96" height="14" patternUnits="userSpaceOnUse">
                <rect class="cause-kraft" width="96" height="14"/>
                <rect class="cause-band" x="42" width="12" height="14"/></pattern>
            <pattern id="cause-time" width="96" height="30" patternUnits="userSpaceOnUse">
                <rect class="cause-wood" width="96" height="30"/></pattern>
            <pattern id="cause-overhead" width="10" height="10" patternUnits="userSpaceOnUse"
                patternTransform="rotate(45)"><rect class="cause-paper" width="10" height="10"/>
                <rect class="cause-line" width="1.4" height="10"/></pattern>
            <pattern id="cause-margin" width="96" height="15" patternUnits="userSpaceOnUse">
                <rect class="cause-coin" x="3" y="1" width="90" height="13" rx="3"/>
                <path class="cause-mill" d="M14 3v9M24 3v9M34 3v9M44 3v9M54 3v9M64 3v9M74 3v9M84 3v9"/></pattern>
        </defs>
        @foreach ($causes->causes as $cause)
            @if ($cause['high'] > 0)
                @if (in_array($cause['kind'], ['fee', 'tax', 'rounding'], true))<rect class="cause-open" x="1"
                    y="{{ $cause['y'] }}" width="94" height="{{ $cause['high'] }}"/>
                @else<svg x="0" y="{{ $cause['y'] }}" width="96" height="{{ $cause['high'] }}">
                    <rect width="96" height="{{ $cause['high'] }}" fill="url(#cause-{{ $cause['kind'] }})"/></svg>
                    @endif
                <path @class(['cause-leader', 'is-yours' => $cause['isYours']])
                    d="M100 {{ $cause['y'] }}v{{ $cause['high'] }}M100 {{ round($cause['y'] + $cause['high'] / 2, 1) }}C138 {{ round($cause['y'] + $cause['high'] / 2, 1) }} 128 {{ $cause['row'] }} 168 {{ $cause['row'] }}"/>
            @endif
        @endforeach
        @foreach ($causes->minuteMarks() as [$y, $words])<path class="tick"
            d="M0 {{ $y }}H{{ $words === '' ? 9 : 22 }}"/>@if ($words !== '')<text class="cause-minutes" x="27"
            y="{{ $y + 5 }}">{{ $words }}</text>@endif @endforeach
    </svg>
    <table class="causes-rows"><caption class="sr-only">What the price is made of</caption><tbody>
    @foreach ($causes->causes as $cause)
        <tr><th scope="row">{{ $cause['name'] }}</th><td class="small">{{ $cause['says'] }}</td>
            <td class="small yours">{{ $cause['isYours'] ? 'yours' : '' }}</td>
            <td class="num figure">{{ $cause['cents'] === null ? '–' : number_format($cause['cents'] / 100, 2, '.', '') }}</td>
            </tr>
    @endforeach
        <tr class="is-sum"><th scope="row" class="day-title">Price</th><td></td><td></td>
            <td class="num figure">{{ Coins::text($causes->asking->priceCents()) }}</td></tr>
    </tbody></table>
</div>
