{{-- A rail that nothing hangs on yet: where a piece would. --}}
<div class="rail-hung rail-bare" aria-hidden="true">@foreach (range(1, $places) as $place)<svg
    class="bare-place" viewBox="0 0 60 92" width="60" height="92"><path d="M22 -2V18A8 8 0 0 1 38 18V30"/>@if ($place % 3 === 1)<circle
    cx="30" cy="52" r="11"/><path d="M30 63v6M30 69l9 12h-18z"/>@elseif ($place % 3 === 2)<circle cx="30" cy="54" r="20"/>@else<path
    d="M30 34l8 14-8 22-8-22z"/>@endif</svg>@endforeach</div>
