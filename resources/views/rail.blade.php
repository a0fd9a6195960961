{{-- Pieces on a rail, at one scale. --}}
<section class="rail is-{{ count($rail->hung) }}" aria-label="{{ $title }}">
    <p class="flex items-baseline gap-3"><span class="grow day-title" role="heading" aria-level="2">{{ $title }}</span>@if ($more !== '')<a class="small" href="{{ $more }}">{{ $moreWords ?? 'All pieces' }}</a>@endif</p>
    @if ($rail->hung === [])@include('svg.bare-rail', ['places' => 3])<p class="quiet">{{ $empty }}</p>@else
    <ul class="rail-hung">@foreach ($rail->hung as $at => $one)
        <li><a href="{{ $one['url'] }}"><span class="rail-pieces">@include('svg.hung-picture', ['hung' => $one['hung']])</span><strong>{{ $one['name'] }}</strong><span class="small quiet">{{ $one['words'] }}</span></a></li>
    @endforeach</ul>@endif
</section>
