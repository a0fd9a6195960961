<x-layout :title="'Sums: '.$desk->sum->words()" here="Sums">
<div class="sum-page">
    @include('sums.frame', ['here' => $desk->sum])
    <div>
        <h1 class="sr-only">Sums</h1>
        <div class="mt-2">@include('sums.ask')<p class="sum-all"><a href="/sums">all sums</a></p></div>
        @include('sums.sum')
    </div>
</div>
</x-layout>
