<x-layout title="Sums" here="Sums">
<div class="mt-3">
    <h1 class="mb-2">What do you want to know?</h1>
    @include('sums.ask', ['focus' => true])
    @include('sums.asked')
</div>
</x-layout>
