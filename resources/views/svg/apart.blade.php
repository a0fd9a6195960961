{{-- A chain that is apart: a ring gapes, and the next lies beside it. Nothing of it is lost. --}}
<svg class="apart" viewBox="0 0 300 70" width="300" height="70" aria-hidden="true">@php($rings = ['M24 35a16 16 0 1 0 32 0a16 16 0 1 0-32 0', 'M48 35h34', 'M74 35a16 16 0 1 0 32 0a16 16 0 1 0-32 0', 'M98 35h34', 'M151.3 24a16 16 0 1 0 0 22', 'M196 42h34', 'M222 42a16 16 0 1 0 32 0a16 16 0 1 0-32 0', 'M246 42h34'])
    @foreach ($rings as $ring)@foreach (['edge' => 6, 'body' => 4.4, 'shine' => 1.2] as $of => $thick)<path
    class="wire-{{ $of }} is-thick" stroke-width="{{ $thick }}" d="{{ $ring }}"/>@endforeach @endforeach</svg>
