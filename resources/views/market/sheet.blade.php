<x-layout :title="$sheet->kind.', '.$sheet->title" here="Pieces">
    <p class="bar mt-3 no-print" x-data="leaf"><a class="grow" href="{{ $back }}">← {{ $sheet->title }}</a><button
        type="button" class="do" x-on:click="print">Print the sheet</button></p>
    <div class="mt-3">@include('market.paper', ['isPage' => true])</div>
</x-layout>
