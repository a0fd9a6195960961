<x-layout :title="'Sums: '.str_replace('-', ' ', $sum->name())" here="Sums">
<div class="grid gap-x-10 gap-y-4 mt-4 md:grid-cols-[13rem_minmax(0,1fr)]">
    <nav aria-label="Sums"><h1 class="mb-2">Sums</h1>
        <ul class="flex flex-wrap gap-x-4 md:block">@foreach ($sums as $one)<li><a class="inline-block py-1.5 {{ $one->name() === $sum->name() ? 'font-bold text-ink no-underline' : '' }}" @if ($one->name() === $sum->name()) aria-current="page" @endif href="/sums/{{ $one->name() }}">{{ str_replace('-', ' ', $one->name()) }}</a></li>@endforeach</ul></nav>
    <section>
        <h2>{{ $sum->question() }}</h2>
        <form method="get" action="/sums/{{ $sum->name() }}" hx-get="/sums/{{ $sum->name() }}" hx-target="#answer" hx-swap="outerHTML" hx-trigger="input changed delay:250ms, submit" class="grid gap-4 mt-3 grid-cols-2 lg:grid-cols-3 max-w-3xl">
            @foreach ($sum->inputs() as $input)
                @if ($input->kind === 'metal')
                    <div class="field"><label for="field-metal">metal</label><select class="in is-text" id="field-metal" name="metal">@foreach (\Hebra\Core\Wire\Metal::cases() as $metal)<option value="{{ $metal->value }}" @selected($given['metal'] === $metal->value)>{{ $metal->words() }}</option>@endforeach</select></div>
                @else
                    <x-field :name="$input->key" :label="$input->words" :value="mb_substr($given[$input->key], 0, 200)" autocomplete="off" />
                @endif
            @endforeach
            <p class="col-span-full"><button type="submit" class="do">Work it out</button></p>
        </form>
        @fragment('answer')
        <div id="answer" class="rule-top mt-4 max-w-3xl" aria-live="polite">
            @if ($problem)
                <p class="refusal" role="alert">{{ $problem->getMessage() }}</p>
            @else
                <dl class="flex flex-wrap gap-x-10 gap-y-2">
                @foreach ($answer->results as $name => $value)
                    @php($isMm = str_ends_with($name, '_mm') && ! is_array($value))
                    <div><dt class="quiet small">{{ str_replace('_', ' ', preg_replace('/_(mm|g)$/', '', $name)) }}</dt>
                    <dd class="figure text-xl font-bold">@if (is_bool($value)){{ $value ? '✓ yes' : '✕ no' }}@elseif (is_array($value)){{ implode(' · ', array_map(fn ($one) => number_format($one, 2), $value)).' mm' }}@elseif ($isMm){{ number_format($value, 2) }} mm @elseif (str_ends_with($name, '_g')){{ number_format($value, 3) }} g @else{{ $value }}@endif</dd>
                    @if ($isMm)<dd class="quiet small figure">{{ $profile->ruler->isMetric() ? \Hebra\Core\Quantity\Ruler::SixteenthInch->text($value) : $profile->length($value) }}</dd>@endif</div>
                @endforeach
                </dl>
                <h3 class="mt-5">Working</h3>
                <div class="scrolls"><table class="ledger small"><tbody>@foreach ($answer->working as $line)<tr><td>{{ $line->what }}</td><td>{{ $line->rule }}</td><td class="figure">{{ $line->numbers }}</td><td class="num">{{ number_format($line->result, 3) }} {{ $line->unit }}</td></tr>@endforeach</tbody></table></div>
                <p class="quiet small mt-2">Source: {{ $sum->source() }}.</p>
            @endif
        </div>
        @endfragment
    </section>
</div>
</x-layout>
