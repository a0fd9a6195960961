{{-- All that is wrong, once more where the page begins: it may stand far from its field. --}}
@props(['problem' => null])
@if ($problem !== null)
    <div {{ $attributes }} role="alert">
        @foreach ($problem->sentences() as $sentence)
            <p class="refusal">{{ $sentence }}</p>
        @endforeach
    </div>
@endif
