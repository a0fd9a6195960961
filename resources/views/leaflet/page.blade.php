<x-layout :title="'Leaflet of '.$leaflet->desk->document->name" here="Pieces">
    <div class="bar mt-3 no-print" x-data="leaf"><a class="grow"
        href="{{ $leaflet->desk->url('make') }}">← {{ $leaflet->desk->document->name }}</a>
        <form class="bar" method="get"><label for="for" class="quiet small">for so many people</label><input
            class="in !w-16" id="for" name="for" value="{{ $leaflet->people }}" inputmode="numeric" autocomplete="off"><button
            type="submit" class="tool">show</button></form>
        <a class="may" href="/pieces/{{ $leaflet->desk->piece->ulid }}/kit?for={{ $leaflet->people }}">Kits</a>
        <a class="may" href="?file=1&amp;for={{ $leaflet->people }}">One file that opens anywhere</a>
        <button type="button" class="do" x-on:click="print">Print</button></div>
    <x-problem for="for" :problem="$problem" />
    @include('leaflet.sheet')
</x-layout>
