@use('Hebra\Core\Wire\Metal')
{{-- Money of the year, and what the refiner has. --}}
@include('market.money')
@if ($jar !== [] || $refiner !== [])
<section class="mt-4 no-print" aria-labelledby="refiner-title"><h2 id="refiner-title">Scrap and the refiner</h2>
    <x-problem for="weight" :problem="$problem" />
    @foreach ($jar as $metal => $mg)
        @php($of = Metal::from($metal))
        <form class="market-form" method="post" action="/stock/refiner">
            @csrf<input type="hidden" name="metal" value="{{ $metal }}">
            <p class="grow">The jar holds <strong
                class="figure">{{ number_format($mg / 1000, 2) }} g</strong> {{ $of->words() }}@if ($of->fineness() > 0),
                <span class="figure">{{ number_format($mg * $of->fineness() / 1000, 2) }} g</span> fine @endif</p>
            <x-field name="weight" :id="'send-'.$metal" label="Weighs, g" class="!w-28"
                :value="number_format($mg / 1000, 2, '.', '')" autocomplete="off" /><button type="submit"
                class="may self-end">Send to the refiner</button></form>
    @endforeach
    @foreach ($refiner as $metal => $mg)
        @php($of = Metal::from($metal))
        <form class="market-form" method="post" action="/stock/refiner">
            @csrf<input type="hidden" name="metal" value="{{ $metal }}"><input type="hidden" name="settled" value="1">
            <p class="grow">The refiner has <strong
                class="figure">{{ number_format($mg / 1000, 2) }} g</strong> {{ $of->words() }}@if ($of->fineness() > 0),
                <span class="figure">{{ number_format($mg * $of->fineness() / 1000, 2) }} g</span> fine expected @endif</p>
            <x-field name="weight" :id="'settle-'.$metal" label="Of it, g" class="!w-28"
                :value="number_format($mg / 1000, 2, '.', '')" autocomplete="off" /><x-field name="words"
                :id="'words-'.$metal" label="What came back" placeholder="13.1 g fine, paid out" maxlength="200" autocomplete="off" /><button
                type="submit" class="may self-end">Settled</button></form>
    @endforeach
</section>
@endif
