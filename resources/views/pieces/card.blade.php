<div class="pin">
    <a class="block no-underline text-ink" href="/pieces/{{ $card->piece->ulid }}">
        <span class="card-paper">@include('svg.piece', ['drawing' => $card->drawing, 'small' => true, 'label' => 'Drawing of '.$card->piece->name])</span>
        <strong>{{ $card->piece->name }}</strong>
    </a>
    <span class="quiet small block">{{ $card->progress() }}</span>
    @if (in_array($card->worst()->value, ['stop', 'warn'], true))<span class="small block {{ $card->worst()->value === 'stop' ? 'text-flame' : 'text-rust' }}">{{ $card->worst()->value === 'stop' ? '✕' : '▲' }} {{ collect($card->plan->checks)->first()->text }}</span>@endif
    <span class="bar mt-1 small">
        <a href="/pieces/{{ $card->piece->ulid }}/export">export</a>
        <form method="post" action="/pieces/{{ $card->piece->ulid }}/copy">@csrf<button type="submit" class="word">copy</button></form>
        <form method="post" action="/pieces/{{ $card->piece->ulid }}">@csrf @method('delete')<button type="submit" class="word" aria-label="put away {{ $card->piece->name }}">put away</button></form>
    </span>
</div>
