{{-- The sheet a customer takes along. --}}
<article class="paper" aria-label="{{ $sheet->kind }} for the customer">
    <p class="paper-head"><span class="day-title">{{ $sheet->workshop->name }}</span><span
        class="figure">{{ $sheet->number === '' ? $sheet->kind : $sheet->number }}</span></p>
    <p class="paper-head quiet small"><span>{{ $sheet->number === '' ? '' : $sheet->kind }}</span><span>{{ $sheet->day->format('j F Y') }}</span></p>
    @if ($sheet->hung !== null)<div class="paper-rail"><span
        class="rail-pieces">@include('svg.hung-piece', ['drawing' => $sheet->hung->drawing, 'times' => $sheet->hung->times, 'id' => 'paper-piece'])</span></div>@endif
    <p class="day-title paper-name"@if ($isPage ?? false) role="heading" aria-level="1"@endif>{{ $sheet->title }}</p>
    <ul>@foreach ($sheet->lines as $line)<li>{{ $line }}</li>@endforeach</ul>
    <p class="paper-care small quiet">Keep dry. Rub with a soft cloth. Small parts are not for small children.</p>
    <p class="paper-sum"><span class="small quiet">{{ $sheet->tax() }}</span><strong
        class="figure">{{ $sheet->price() }}</strong></p>
</article>
