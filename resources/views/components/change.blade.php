@props(['desk', 'do', 'with' => [], 'then' => [], 'key' => null, 'at' => 'changes', 'off' => false])
@php($id = 'do-'.preg_replace('/[^a-z0-9-]+/i', '-', $do.'-'.implode('-', $with)))
<form method="post" action="/pieces/{{ $desk->piece->ulid }}/{{ $at }}" hx-post="/pieces/{{ $desk->piece->ulid }}/{{ $at }}">
    @csrf
    <input type="hidden" name="do" value="{{ $do }}">
    @foreach ($with as $name => $value)
        <input type="hidden" name="{{ $name }}" value="{{ $value }}">
    @endforeach
    <input type="hidden" name="revision" value="{{ $desk->piece->revision }}"><input type="hidden" name="stage" value="{{ $desk->stage }}"><input type="hidden" name="hung" value="{{ $desk->shown() }}"><input type="hidden" name="open" value="{{ $then['open'] ?? $desk->open()?->id }}"><input type="hidden" name="run" value="{{ $then['run'] ?? $desk->run() }}">
    <button type="submit" id="{{ $id }}" {{ $attributes->has('class') ? $attributes : $attributes->merge(['class' => 'tool']) }} @if ($key) data-key="{{ $key }}" aria-keyshortcuts="{{ str_replace([' | ', '+Arrow'], [' ', '+Arrow'], $key) }}" @endif @disabled($off)>{{ $slot }}</button>
</form>
