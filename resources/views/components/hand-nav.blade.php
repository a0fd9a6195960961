@props(['at'])
<nav class="bar mt-3 small" aria-label="Hand">
    @foreach (['/hand' => 'Tools and ways', '/hand/learned' => 'What was learned', '/practice' => 'Practice', '/insight' => 'Insight'] as $address => $words)
        <a class="tool" href="{{ $address }}" @if ($at === $address) aria-current="page" @endif>{{ $words }}</a>
    @endforeach
</nav>
