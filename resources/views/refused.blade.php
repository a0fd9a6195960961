<x-layout title="Not done">
    <div class="metal-sterling mt-6">@include('svg.apart')</div>
    <h1 class="mt-2">Not done</h1>
    <p class="banner" role="alert">{{ $text }}</p>
    <p><a class="may" href="/">To the bench</a></p>
</x-layout>
