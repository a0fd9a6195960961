@use('App\View\Bench\Clock')
{{-- What takes how long, each as a stretch of one ruler: [words, minutes], the longest first. --}}
@php($longest = max([1.0, ...array_column($times, 1)]))
<ul class="operation-times">
@foreach ($times as [$words, $minutes])
    <li><span>{{ $words }}</span> <svg width="100%" height="10" aria-hidden="true"><rect class="operation-bar" y="2" rx="2" height="6" width="{{ round(100 * $minutes / $longest, 1) }}%"/></svg> <span class="figure">{{ Clock::words($minutes) }}</span></li>
@endforeach
</ul>
