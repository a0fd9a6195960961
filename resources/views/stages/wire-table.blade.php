<div class="scrolls">
<table class="ledger stacks mt-1">
    <thead><tr><th scope="col">Size</th><th scope="col" class="!text-right">Thick</th><th scope="col">{{ $hasHoles ? 'Through the holes' : 'Made for' }}</th><th scope="col" class="!text-right">In stock</th><th scope="col"><span class="sr-only">Choose</span></th></tr></thead>
    <tbody>
    @foreach ($rows as $row)
        @php($owned = $desk->ownedMm($wire->withSize($row->size)))
        <tr @class(['is-chosen' => $row->isChosen, 'is-unfit' => ! $row->passes()])>
            <th scope="row">{{ $row->size->text() }}</th>
            <td class="num" data-label="thick">{{ number_format($row->size->diameterMm(), 2) }} mm</td>
            <td>
                @if ($row->marginMm === null)
                    {{ $row->isUsual ? 'the usual size for this' : 'no beads on it' }}
                @elseif ($row->passes())
                    ✓ {{ number_format($row->marginMm, 2) }} mm to spare in the {{ $row->tightest->words() }}@if ($row->isUsual) <span class="quiet">· usual for this</span>@endif
                @else
                    ✕ {{ number_format(-$row->marginMm, 2) }} mm too thick for the {{ $row->tightest->words() }}, hole {{ \Hebra\Core\Quantity\Figures::mm($row->tightest->holeMm) }}
                @endif
            </td>
            <td class="num" data-label="in stock">{{ $owned > 0 ? $profile->length($owned) : '–' }}</td>
            <td class="num">
                @if ($row->isChosen)
                    <strong>chosen</strong>
                @else
                    <x-change :desk="$desk" do="wire" :with="['role' => $role, 'size' => $row->size->code()]" aria-label="choose {{ $row->size->text() }}">choose</x-change>
                @endif
            </td>
        </tr>
    @endforeach
    </tbody>
</table>
</div>
