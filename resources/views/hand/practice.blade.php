@php([$profile, $figures] = [$desk->profile, \Hebra\Core\Quantity\Figures::class])
@php($was = fn (string $key, string $default = ''): string => $problem !== null && is_string(request($key)) ? mb_substr(request($key), 0, 300) : $default)
@php($last = $desk->drills->last())
<x-layout title="Practice" here="Hand">
    <x-hand-nav at="/practice" />
    <h1 class="mt-2">Practice</h1>
    <p class="quiet">Ten minutes with scrap wire. What you measure shows how you come along, and teaches Hebra your hand.</p>
    <nav class="bar mt-3" aria-label="Drills">
        @foreach (\App\Actions\Drilling::KINDS as $kind => $one)<a @class(['may' => $kind === $desk->kind, 'tool' => $kind !== $desk->kind]) href="/practice?kind={{ $kind }}" @if ($kind === $desk->kind) aria-current="true" @endif>{{ $one['words'] }}</a>@endforeach
    </nav>
    <section class="leaf mt-4" aria-labelledby="drill">
        <h2 id="drill">{{ $desk->words()['words'] }}</h2>
        <p class="mt-1">{{ $desk->words()['how'] }} Wear glasses: cut ends fly.</p>
        <form class="grid gap-x-4 gap-y-3 mt-3 grid-cols-2 md:grid-cols-4 items-start" method="post" action="/practice">@csrf
            <input type="hidden" name="kind" value="{{ $desk->kind }}">
            <div class="field"><label for="metal">Metal</label><select class="in is-text" id="metal" name="metal">@foreach (\Hebra\Core\Wire\Metal::cases() as $metal)<option value="{{ $metal->value }}" @selected($was('metal', $last?->metal ?? 'copper') === $metal->value)>{{ $metal->words() }}</option>@endforeach</select><x-problem for="metal" :problem="$problem" /></div>
            <x-field name="size" label="Size" :value="$was('size', $last?->size ?? '')" :problem="$problem" placeholder="22 awg" autocomplete="off" />
            <div class="field"><label for="temper">Temper</label><select class="in is-text" id="temper" name="temper">@foreach (\Hebra\Core\Wire\Temper::cases() as $temper)<option value="{{ $temper->value }}" @selected($was('temper', $last?->temper ?? 'dead-soft') === $temper->value)>{{ $temper->words() }}</option>@endforeach</select><x-problem for="temper" :problem="$problem" /></div>
            <x-field name="wanted" :label="$desk->kind === 'bend' ? 'Mandrel' : ($desk->kind === 'wraps' ? 'Wrapped on' : 'The mark')" :value="$was('wanted', $last === null ? '' : $profile->size($last->wanted_um / 1000))" :problem="$problem" placeholder="2.5 mm" autocomplete="off" />
            <div class="col-span-2 md:col-span-4"><x-field name="sizes" :label="$desk->words()['measure']" :value="$was('sizes')" :problem="$problem" placeholder="2.5, 2.6, 2.4 …" autocomplete="off" /></div>
            <div class="col-span-2 md:col-span-4">@include('market.measure', ['field' => 'field-sizes'])</div>
            @if ($desk->kind !== 'bend')
                <x-field name="cut" label="Wire you took" :value="$was('cut')" :problem="$problem" placeholder="200 mm" autocomplete="off" />
                <x-field name="left" label="left of it" :value="$was('left')" :problem="$problem" placeholder="if you measured it" autocomplete="off" />
            @endif
            <p class="col-span-2 md:col-span-4"><button type="submit" class="do">Keep it</button></p>
        </form>
    </section>
    @if ($desk->drills->isNotEmpty())
        <section class="mt-6" aria-labelledby="come-along"><h2 id="come-along">Your progress</h2>
            @if ($desk->drills->count() > 1)<div class="plot" x-data="plot" data-plot="{{ json_encode($desk->plot()) }}"><canvas role="img" aria-label="How far off each drill was, oldest first; the same as the table below"></canvas></div>@endif
            <div class="scrolls" tabindex="0" role="group" aria-label="Table"><table class="ledger mt-1"><thead><tr><th scope="col">When</th><th scope="col">On</th><th scope="col">How it went</th><th scope="col">Measured, mm</th><td></td></tr></thead><tbody>
            @foreach ($desk->drills->reverse() as $drill)
                <tr><td>{{ $drill->created_at->format('j M Y') }}</td><td>{{ $profile->size($drill->wanted_um / 1000) }}, {{ $drill->size }}</td><td>{{ $desk->sentence($drill) }}</td><td class="figure small">{{ $drill->measurements->map(fn ($one) => $figures::trim($one->measuredMm(), 2))->implode(' · ') }}</td>
                    <td><form method="post" action="/practice/{{ $drill->ulid }}">@csrf @method('delete')<button type="submit" class="word small" aria-label="take out the drill of {{ $drill->created_at->format('j M, H:i') }}">take out</button></form></td></tr>
            @endforeach
            </tbody></table></div>
        </section>
    @endif
</x-layout>
