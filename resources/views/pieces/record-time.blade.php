{{-- The minutes as a length of what the hands did in them. --}}
@php([$times, $metal] = [$desk->times(), $desk->plan->metal[0]->wire->metal->value ?? 'sterling'])
<p class="record-minutes mt-4">@if ($making->minutes === null)<span class="quiet">Time not noted.</span>@else<strong
    class="figure">{{ $making->minutes }}</strong> minutes @endif</p>
@if ($times !== [])
<svg class="motifs" width="0" height="0" aria-hidden="true" focusable="false"><defs>
    @foreach (collect($times)->pluck('motif')->unique() as $motif)@include('svg.motif', ['motif' => $motif, 'metal' => $metal])@endforeach</defs>
    </svg>
@php([$all, $x] = [max(0.1, array_sum(array_column($times, 'minutes'))), 0.0])
<svg class="record-work" width="100%" height="30" aria-hidden="true">
    @foreach ($times as $row)@php($wide = 100 * $row['minutes'] / $all)<svg x="{{ round($x, 2) }}%" y="6"
    width="{{ round($wide, 2) }}%" height="18"><rect width="100%" height="18"
    fill="url(#motif-{{ $row['motif'] }}-{{ $metal }})"/></svg>
    <line class="sitting-joint" x1="{{ round($x, 2) }}%" x2="{{ round($x, 2) }}%" y1="2" y2="28"/>
    @php($x += $wide)@endforeach</svg>
<dl class="record-times">@foreach ($times as $row)<div><dt>{{ $row['words'] }}</dt>
    <dd class="figure">{{ $figures::trim($row['minutes'], 1) }} min</dd>
    @if ($row['capped'] > 0)<dd
    class="quiet">{{ $figures::counted($row['capped'], 'step').' ran on while nobody worked, and counts less' }}</dd>
    @endif</div>@endforeach</dl>
@endif
