@use('App\View\Coins')
<dt>{{ $desk->priceWords() }}</dt><dd><a class="figure" href="/pieces/{{ $desk->piece->ulid }}/bill">{{ Coins::text($desk->bill->totalCents()) }}</a></dd>
