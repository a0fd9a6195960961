<x-layout :title="'Leaflet of '.$leaflet->desk->document->name" here="Pieces" :is-paper="true">
    <div class="bar mt-3 no-print" x-data="leaf"><a class="grow"
        href="{{ $leaflet->desk->url('make') }}">← {{ $leaflet->desk->document->name }}</a>
        <form class="bar" method="get"><label for="for" class="quiet small">for so many people</label><input
            class="in !w-16" id="for" name="for" value="{{ $leaflet->people }}" inputmode="numeric" autocomplete="off"><label
            for="in" class="quiet small">in</label><select class="in is-text !w-auto" id="in" name="in">
            @foreach ($leaflet::MEASURES as $one)<option @selected($leaflet->measures() === $one)>{{ $one }}</option>@endforeach</select><label
            for="hand" class="quiet small">for the</label><select class="in is-text !w-auto" id="hand" name="hand">
            @foreach ($leaflet::hands() as $one)<option value="{{ $one }}" @selected($leaflet->hand() === $one)>{{ $one }} hand</option>@endforeach</select><button
            type="submit" class="tool">show</button></form>
        <a class="may" href="/pieces/{{ $leaflet->desk->piece->ulid }}/kit?for={{ $leaflet->people }}">Kits</a>
        <a class="may" href="{{ $leaflet->address('file') }}">One file that opens anywhere</a>
        <a class="may" href="{{ $leaflet->address('pdf') }}">PDF</a>
        <button type="button" class="do" x-on:click="print">Print</button></div>
    <x-problem for="for" :problem="$problem" />
    @include('leaflet.sheet')
</x-layout>
