@php($address = '/pieces/'.$desk->piece->ulid)
<x-layout :title="'Variants of '.$desk->piece->name" here="Pieces">
    <div class="flex flex-wrap items-end justify-between gap-3 mt-4">
        <div><h1>Variants of {{ $desk->piece->name }}</h1><p class="quiet small">at one scale, {{ $desk->variants[0]->drawing->ratio }} : 1; least of all is marked</p></div>
        <div class="bar"><form method="post" action="{{ $address }}/beside">@csrf<button type="submit" class="may" id="keep-beside">Keep one more</button></form><a class="do" href="{{ $address }}/lay-out">Go on with the piece</a></div>
    </div>
    @if ($problem !== null)<p class="banner" role="alert">{{ $problem->getMessage() }}</p>@endif
    @if (count($desk->variants) === 1)
        <p class="mt-4 max-w-2xl">Nothing is kept beside it yet. Keep it as it is now, then change one of the two: another gauge, another bead, a link more. Here they are compared.</p>
    @endif
    <ol class="variants">
        @foreach ($desk->variants as $at => $variant)
        <li @class(['variant', 'is-piece' => $at === 0]) aria-labelledby="variant-{{ $variant->piece->ulid }}">
            <div class="variant-picture"><a href="/pieces/{{ $variant->piece->ulid }}/lay-out" tabindex="-1" aria-hidden="true">@include('svg.piece', ['drawing' => $variant->drawing, 'hangs' => '', 'across' => '', 'ring' => [], 'label' => '', 'small' => true])</a></div>
            <h2 id="variant-{{ $variant->piece->ulid }}"><a href="/pieces/{{ $variant->piece->ulid }}/lay-out">{{ $variant->piece->name }}</a>@if ($at === 0) <span class="mark-chosen">the piece</span>@endif</h2>
            <dl class="variant-figures">
                @foreach ($variant->figures as $words => $figure)
                <div @class(['is-least' => $figure['isLeast']])><dt>{{ $words }}</dt><dd class="figure">{{ $figure['words'] }}@if ($figure['isLeast'])<span class="sr-only"> (least)</span>@endif</dd></div>
                @endforeach
            </dl>
            @if ($at > 0)
                @if ($variant->differences === [])<p class="quiet small">Just as the piece is.</p>
                @else<ul class="variant-differs small" aria-label="Where it differs">@foreach (array_slice($variant->differences, 0, 7) as $one)<li>{{ $one }}</li>@endforeach @if (count($variant->differences) > 7)<li class="quiet">and {{ count($variant->differences) - 7 }} more</li>@endif</ul>@endif
                @if ($variant->differences !== [])
                <form class="mt-auto" method="post" action="{{ $address }}/beside/take">@csrf<input type="hidden" name="revision" value="{{ $desk->piece->revision }}"><input type="hidden" name="variant" value="{{ $variant->piece->ulid }}"><button type="submit" class="tool">Make the piece so<span class="sr-only">: as {{ $variant->piece->name }}</span></button></form>
                @endif
            @endif
        </li>
        @endforeach
    </ol>
</x-layout>
