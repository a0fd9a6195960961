<dt>{{ $desk->priceWords() }}</dt><dd><a class="figure" href="/pieces/{{ $desk->piece->ulid }}/bill">{{ \Hebra\Core\Price\Bill::cents($desk->bill->totalCents()) }}</a></dd>
