@props(['desk', 'do', 'with' => [], 'then' => [], 'key' => null, 'at' => 'changes', 'off' => false])
@php($id = 'do-'.preg_replace('/[^a-z0-9-]+/i', '-', $do.'-'.implode('-', $with)))
<form method="post" action="/pieces/{{ $desk->piece->ulid }}/{{ $at }}" hx-post="/pieces/{{ $desk->piece->ulid }}/{{ $at }}">
    @csrf
    <input type="hidden" name="do" value="{{ $do }}">
    @foreach ($with as $name => $value)
        <input type="hidden" name="{{ $name }}" value="{{ $value }}">
    @endforeach
    @include('fragments.where', ['desk' => $desk, 'then' => $then])
    <button type="submit" id="{{ $id }}" {{ $attributes->has('class') ? $attributes : $attributes->merge(['class' => 'tool']) }} @if ($key) data-key="{{ $key }}" aria-keyshortcuts="{{ str_replace([' | ', '+Arrow'], [' ', '+Arrow'], $key) }}" @endif @disabled($off)>{{ $slot }}</button>
</form>
