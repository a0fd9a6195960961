{{-- What is in it: each wire with the lot it came from, each kind of bead, and the metal together. --}}
<h2 class="mt-3">What is in it</h2>
<div class="scrolls" tabindex="0" role="group" aria-label="What is in it"><table class="ledger record-in"><tbody>
@forelse ($desk->wires() as $wire)
    @php($lots = $wire->lots())
    <tr><td class="record-thing">
        @if ($lots->isNotEmpty())@include('svg.coil', ['lot' => $lots->first(), 'before' => 1.0, 'after' => 1.0])@endif</td>
        <th scope="row">{{ $wire->label }} <span class="figure">× {{ $wire->count() }}</span></th>
        <td>{{ $desk->wireWords($wire->label) }}<br><span
            class="quiet small">{{ $lots->isEmpty() ? 'not from stock' : $lots->map(fn ($lot) => $lot->name)->implode(', ') }}; {{ $wire->asCut($profile) }}</span></td>
        <td class="num">{{ $wire->keptMg() === 0 ? '–' : number_format($wire->keptMg() / 1000, 3).' g' }}</td></tr>
@empty<tr><td></td><td colspan="3" class="quiet">Not closed yet: its wires are written here when it is.</td></tr>
@endforelse
@foreach ($desk->plan->beads as $count)
    <tr><td class="record-thing">
        @include('svg.glyph', ['bead' => $count->bead, 'size' => 30, 'scale' => min(3.2, 28 / max($count->bead->widthMm, $count->bead->lengthMm))])</td>
        <th scope="row">{{ $count->bead->words() }} <span class="figure">× {{ $count->all }}</span></th>
        <td>{{ $count->bead->sizeWords() }}</td><td
            class="num quiet">about {{ $figures::grams($count->all * $count->bead->grams()) }}</td></tr>
@endforeach
@php($together = $desk->together())
@if ($together['in it'] > 0)<tr class="is-sum"><td></td><th scope="row">Metal in it</th>
    <td class="quiet">as it was cut, {{ number_format($together['to the jar'] / 1000, 3) }} g to the jar</td>
    <td class="num"><strong>{{ number_format($together['in it'] / 1000, 3) }} g</strong></td></tr>@endif
</tbody></table></div>
