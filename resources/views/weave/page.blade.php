<x-layout title="Weave" here="Weave">
    @include('weave.desk')
</x-layout>
