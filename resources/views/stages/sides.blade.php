<nav class="sides" aria-label="Seen from">
    @foreach ($desk->sides() as $address => [$words, $side])
        <a id="view-{{ $words }}" href="{{ $address }}" hx-get="{{ $address }}" @if ($side === $desk->side) aria-current="true" @endif>{{ $words }}</a>
    @endforeach
    <button type="button" id="view-turn" class="turns" hidden aria-pressed="false" x-on:click="toggle">turn</button>
</nav>
