@use('App\View\Market\PlanDesk')
{{-- Every day on one ruler of hours; what is done on it is as long as it takes, drawn as what it is. --}}
@php($rows = $desk->rows())
@php($motifs = collect($rows)->flatMap(fn ($row) => $row->sittings)->map(fn ($one) => [$one['motif'], $one['metal']])->unique()->values())
<svg class="motifs" width="0" height="0" aria-hidden="true" focusable="false"><defs>
    @foreach ($motifs as [$motif, $metal])
        @include('svg.motif', ['motif' => $motif, 'metal' => $metal])
    @endforeach
    <pattern id="late-hatch" width="8" height="8" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <rect class="late-line" width="2" height="8"/></pattern>
</defs></svg>
<div class="day-ruler" aria-hidden="true"><span></span><x-marks :marks="$desk->hours()" /></div>
<ol class="day-rows">
@foreach ($rows as $row)
    @foreach ($row->due as $occasion)
        <li class="day-row is-due" id="due-{{ $occasion->ulid }}">
            <p class="day-name"><strong>{{ $row->date->format('D j') }}</strong>
                <span class="small quiet">{{ $row->date->format('M') }}</span></p>
            <p class="day-due"><span class="day-title">{{ $occasion->name }}</span>
                @if ($row->late($occasion) !== '')<strong class="market-short">▲ {{ $row->late($occasion) }}</strong>
                <svg class="late-bar" width="100%" height="14" role="img"
                    aria-label="{{ PlanDesk::time($row->lateMinutes($occasion)) }} short"><rect
                    width="{{ $row->share($row->lateMinutes($occasion)) }}%" height="14" fill="url(#late-hatch)"/><rect
                    class="late-edge" width="{{ $row->share($row->lateMinutes($occasion)) }}%" height="14"/></svg>
                    @else<span class="quiet">all of it in time</span>@endif</p>
        </li>
    @endforeach
    @if ($row->minutes > 0 || $row->sittings !== [])
        <li @class(['day-row', 'is-today' => $row->day === 0])>
            <p class="day-name"><strong>{{ $row->date->format('D j') }}</strong>
                <span class="small quiet">{{ $row->date->format('j') === '1' || $row->day === 0 ? $row->date->format('M') : '' }}</span>
                <span class="small quiet figure">{{ PlanDesk::time($row->minutes) }}</span></p>
            <svg class="day-work" width="100%" height="40">
                @foreach ($desk->hours() as [$x])<line class="day-mark" x1="{{ $x }}%" x2="{{ $x }}%" y1="0" y2="40"/>
                    @endforeach
                <line class="day-end" x1="{{ $row->share($row->minutes) }}%" x2="{{ $row->share($row->minutes) }}%"
                    y1="18" y2="38"/>
                @foreach ($row->sittings as $one)
                    <a href="{{ $one['url'] }}"
                        aria-label="{{ $one['words'] }}: {{ $one['title'] }}"><title>{{ $one['words'] }}: {{ $one['title'] }}</title>
                    <rect class="sitting-bed" x="{{ $one['x'] }}%" y="0" width="{{ $one['wide'] }}%" height="40"/>
                    <svg x="{{ $one['x'] }}%" y="19" width="{{ $one['wide'] }}%" height="18">
                        <rect width="100%" height="18" fill="url(#motif-{{ $one['motif'] }}-{{ $one['metal'] }})"/>
                        </svg>
                    <line class="sitting-joint" x1="{{ $one['x'] }}%" x2="{{ $one['x'] }}%" y1="17" y2="39"/>
                    @if (! $one['isShort'])<svg x="{{ $one['x'] }}%" y="0" width="{{ $one['wide'] }}%" height="18">
                        <text @class(['sitting-words', 'is-short-on-phones' => $one['isShortOnPhones']]) x="3" y="13">{{ $one['words'] }}</text></svg>@endif</a>
                @endforeach
            </svg>
        </li>
    @endif
@endforeach
</ol>
