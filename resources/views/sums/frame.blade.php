@use('Hebra\Core\Sum\Sums')
{{-- The sums by what they are about, and the sums asked last. --}}
<nav aria-label="Sums" class="sum-nav">
    @foreach (Sums::groups() as $group => $sums)
        <details @if ($here !== null && $here->group === $group) open @endif>
            <summary>{{ $group }}</summary>
            <ul>@foreach ($sums as $one)<li><a @if ($here?->name === $one->name) aria-current="page" @endif href="/sums/{{ $one->name }}">{{ $one->words() }}</a></li>@endforeach</ul>
        </details>
    @endforeach
</nav>
