<x-layout :title="'What to make of '.$desk->name" here="Stock">
    <p class="mt-3"><a href="/stock">← Stock</a></p>
    <h1>What to make of {{ $desk->name }}</h1>
    <p class="mt-1"><span class="figure">{{ $desk->there }}</span>. Each of these can be made of it as far as it is wanted; what uses most stands first.</p>
    @if ($desk->ideas === [])<p class="quiet mt-4">It is enough for nothing you have laid out, nor for a pattern as it stands. A shorter link or a smaller eye may make it so.</p>@endif
    <form method="post" action="/pieces" class="pins mt-3">@csrf
        @foreach ($desk->ideas as $idea)
            @php($inside = ucfirst($idea['words']))
            @if ($idea['pattern'] !== '')
                <button type="submit" class="pin pattern" name="pattern" value="{{ $idea['pattern'] }}"><span class="card-paper">@include('svg.piece', ['drawing' => $idea['drawing'], 'small' => true, 'label' => ''])</span><strong>{{ $inside }}</strong><span class="quiet small">{{ $idea['uses'] }}</span></button>
            @else
                <a class="pin" href="{{ $idea['address'] }}"><span class="card-paper">@include('svg.piece', ['drawing' => $idea['drawing'], 'small' => true, 'label' => ''])</span><strong>{{ $inside }}</strong><span class="quiet small">yours · {{ $idea['uses'] }}</span></a>
            @endif
        @endforeach
    </form>
</x-layout>
