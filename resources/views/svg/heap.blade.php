@use('App\View\Stock\Heap')
{{-- Beads in a heap on the shelf, each of them drawn, up to a hundred and twenty. --}}
@php($id = 'heap-'.$at)
<svg class="heap" width="{{ Heap::WIDE }}" height="90" viewBox="-46 -88 92 90" aria-hidden="true"><defs><g id="{{ $id }}"@if ($heap->liesDown()) transform="rotate(90)"@endif>@include('svg.bead', ['bead' => $heap->bead, 'x' => 0, 'y' => -$heap->long / 2, 'w' => $heap->wide, 'l' => $heap->long])</g></defs>
@foreach ($heap->places as [$x, $y])<use href="#{{ $id }}" x="{{ $x }}" y="{{ $y }}"/>@endforeach</svg>
