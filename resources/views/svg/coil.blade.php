@use('App\View\Coil')
{{-- A lot of wire: wound to what will be left of it, what is taken in the action colour, inside the ring of what there is. --}}
@php([$whole, $rest] = Coil::turns($lot, $before, $after))
<svg class="coil metal-{{ $lot->metal }}" width="34" height="34" viewBox="0 0 34 34" aria-hidden="true"><circle class="full" cx="17" cy="17" r="16"/><path class="taken" d="{{ $whole }}"/><path class="turn-edge" d="{{ $rest }}"/><path class="turn" d="{{ $rest }}"/></svg>
