@props(['at'])
<div class="hand-top"><h1>{{ ['/hand' => 'Hand', '/hand/learned' => 'Hand', '/practice' => 'Practice', '/insight' => 'Insight'][$at] }}</h1>
<nav class="hand-nav" aria-label="Hand">
    @foreach (['/hand' => 'Tools and ways', '/hand/learned' => 'Learned', '/practice' => 'Practice', '/insight' => 'Insight'] as $address => $words)
        <a href="{{ $address }}" @if ($at === $address) aria-current="page" @endif>{{ $words }}</a>
    @endforeach
</nav></div>
