@use('App\Actions\Drilling')
@use('Hebra\Core\Quantity\Figures')
@use('Hebra\Core\Wire\Metal')
@use('Hebra\Core\Wire\Temper')
@php([$profile, $figures] = [$desk->profile, Figures::class])
@php($was = fn (string $key, string $default = ''): string => $problem !== null && is_string(request($key)) ? mb_substr(request($key), 0, 300) : $default)
@php($last = $desk->drills->last())
@php($next = $desk->next())
<x-layout title="Practice" here="Hand">
    <x-hand-nav at="/practice" />
    <div class="practice">
        <nav class="drills" aria-label="Drills">
            <h1 class="sr-only">Practice</h1>
            @foreach (Drilling::KINDS as $kind => $one)<a href="/practice?kind={{ $kind }}"
                @if ($kind === $desk->kind) aria-current="true" @endif>
                <strong>{{ $one['words'] }}</strong>@include('svg.drill', ['kind' => $kind])</a>@endforeach
            <p class="drills-next">{{ $next === $desk->kind ? 'This is worth doing next.' : 'Next worth doing:' }} @if ($next !== $desk->kind)<a
                href="/practice?kind={{ $next }}">{{ lcfirst(Drilling::KINDS[$next]['words']) }}</a>@endif</p>
        </nav>
        <section class="leaf" aria-labelledby="drill">
            <h2 id="drill">{{ $desk->words()['words'] }}</h2>
            <img class="drill-picture" src="data:image/svg+xml;base64,{{ base64_encode($desk->picture()) }}"
                alt="The move, before and after">
            <p>{{ $desk->words()['how'] }} Ten minutes with scrap wire. Wear glasses: cut ends fly.</p>
        </section>
        <form class="leaf" method="post" action="/practice" aria-label="What came out">@csrf
            <input type="hidden" name="kind" value="{{ $desk->kind }}">
            <x-field name="sizes" :label="$desk->words()['measure']" :value="$was('sizes')" :problem="$problem"
                placeholder="2.5, 2.6, 2.4 …" autocomplete="off" />
            @include('market.measure', ['field' => 'field-sizes'])
            <div class="drill-wire">
                <x-field name="wanted"
                    :label="$desk->kind === 'bend' ? 'Mandrel' : (['wraps' => 'Wrapped on', 'coil' => 'The rod', 'spiral' => 'The eye, inside', 'weave' => 'The cores'][$desk->kind] ?? 'The mark')" :value="$was('wanted', $last === null ? '' : $profile->size($last->wanted_um / 1000))" :problem="$problem" placeholder="2.5 mm" autocomplete="off" />
                <x-field name="size" label="Size" :value="$was('size', $last?->size ?? '')" :problem="$problem"
                    placeholder="22 awg" autocomplete="off" />
                <div class="field"><label for="metal">Metal</label><select class="in is-text" id="metal" name="metal">
                    @foreach (Metal::cases() as $metal)<option value="{{ $metal->value }}"
                    @selected($was('metal', $last?->metal ?? 'copper') === $metal->value)>{{ $metal->words() }}</option>
                    @endforeach</select><x-problem for="metal" :problem="$problem" /></div>
                <div class="field"><label for="temper">Temper</label><select class="in is-text" id="temper"
                    name="temper">@foreach (Temper::cases() as $temper)<option
                    value="{{ $temper->value }}" @selected($was('temper', $last?->temper ?? 'dead-soft') === $temper->value)>{{ $temper->words() }}</option>
                    @endforeach</select><x-problem for="temper" :problem="$problem" /></div>
            </div>
            @if (! in_array($desk->kind, ['bend', 'spiral', 'weave'], true))<details class="mt-2"
                @if ($was('cut') !== '' || $was('left') !== '') open @endif><summary
                class="small">What wire it took teaches your hand</summary>
                <div class="drill-wire"><x-field name="cut" label="Wire you took" :value="$was('cut')"
                    :problem="$problem" placeholder="200 mm" autocomplete="off" />
                <x-field name="left" label="left of it" :value="$was('left')" :problem="$problem" placeholder="12 mm"
                    autocomplete="off" /></div></details>@endif
            <p class="mt-3"><button type="submit" class="do">Keep it</button></p>
        </form>
    </div>
    @if ($desk->drills->isNotEmpty())
        @php($plot = $desk->plot())
        <section class="mt-4" aria-labelledby="come-along"><h2 id="come-along">{{ $desk->claim() }}</h2>
            @if ($desk->cause() !== '')<p class="drill-cause">{{ $desk->cause() }}</p>@endif
            <div class="scrolls" tabindex="0" role="group" aria-label="The latest practices">
            @php([$bandTop, $bandHigh] = $plot->band())
            <svg class="drill-plot metal-{{ $last->metal }}" viewBox="0 0 {{ $plot::WIDE }} {{ $plot::HIGH }}"
                role="img" aria-label="Each size a ring, as far from what was meant as it was; the same as the table below">
                <rect class="drill-band" x="{{ $plot::LEFT }}" y="{{ $bandTop }}"
                    width="{{ $plot::WIDE - $plot::LEFT }}" height="{{ $bandHigh }}"/>
                @foreach ($plot->marks() as [$y, $words])<text class="drill-mark" x="{{ $plot::LEFT - 10 }}"
                    y="{{ $y + 5 }}" text-anchor="end">{{ $words }}</text>@endforeach
                <line class="drill-meant" x1="{{ $plot::LEFT }}" x2="{{ $plot::WIDE }}" y1="{{ $plot->y(0) }}"
                    y2="{{ $plot->y(0) }}"/>
                @foreach ($plot->drills as $drill)
                    @if (! $loop->first)<line class="day-mark" x1="{{ $drill['x'] }}" x2="{{ $drill['x'] }}" y1="10"
                        y2="{{ $plot::HIGH - 26 }}"/>@endif
                    <text class="drill-day" x="{{ $drill['x'] + $drill['wide'] / 2 }}" y="{{ $plot::HIGH - 6 }}"
                        text-anchor="middle">{{ $drill['words'] }}, off by {{ $drill['off'] }}</text>
                    @foreach ($drill['rings'] as $ring)<g
                        @class(['is-out' => $ring['isOut']])><title>{{ $ring['words'] }}</title><line
                        class="drill-stem" x1="{{ $ring['x'] }}" x2="{{ $ring['x'] }}" y1="{{ $plot->y(0) }}" y2="{{ $ring['y'] }}"/><circle
                        class="ring-edge" cx="{{ $ring['x'] }}" cy="{{ $ring['y'] }}" r="7"/><circle class="ring-body"
                        cx="{{ $ring['x'] }}" cy="{{ $ring['y'] }}" r="7"/>@if ($ring['isOut'])<text class="ring-flag"
                        x="{{ $ring['x'] }}" y="{{ $ring['y'] - 12 }}" text-anchor="middle">▲</text>@endif</g>
                        @endforeach
                @endforeach
            </svg></div>
            <details class="mt-2"><summary class="small">All of them as a table</summary>
            <div class="scrolls" tabindex="0" role="group" aria-label="Table"><table class="ledger mt-1"><thead><tr>
                <th scope="col">When</th><th scope="col">On</th><th scope="col">How it went</th>
                <th scope="col">Measured, mm</th><td></td></tr></thead><tbody>
            @foreach ($desk->drills->reverse() as $drill)
                <tr><td>{{ $drill->created_at->format('j M Y') }}</td>
                    <td>{{ $profile->size($drill->wanted_um / 1000) }}, {{ $drill->size }}</td>
                    <td>{{ $desk->sentence($drill) }}</td><td
                    class="figure small">{{ $drill->measurements->map(fn ($one) => $figures::trim($one->measuredMm(), 2))->implode(' · ') }}</td>
                    <td><form method="post" action="/practice/{{ $drill->ulid }}">
                        @csrf @method('delete')<button type="submit" class="word small"
                        aria-label="take out the drill of {{ $drill->created_at->format('j M, H:i') }}">take out</button></form>
                        </td></tr>
            @endforeach
            </tbody></table></div></details>
        </section>
    @endif
</x-layout>
