<x-layout title="Not done">
    <h1 class="mt-6">Not done</h1>
    <p class="banner" role="alert">{{ $text }}</p>
    <p><a class="may" href="/">To the bench</a></p>
</x-layout>
