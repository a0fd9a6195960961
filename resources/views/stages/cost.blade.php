<dt>{{ $desk->priceWords() }}</dt><dd><a class="figure" href="/pieces/{{ $desk->piece->ulid }}/bill">{{ \App\View\Coins::text($desk->bill->totalCents()) }}</a></dd>
