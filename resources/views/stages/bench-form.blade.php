{{-- One move at the bench, as a plain form: its words, its key and what it sends. --}}
<form method="post" action="/makings/{{ $making->making->ulid }}" hx-patch="/makings/{{ $making->making->ulid }}">@csrf @method('patch')
    <input type="hidden" name="at" value="{{ $making->making->moves }}">
    @foreach ($sends as $name => $value)<input type="hidden" name="{{ $name }}" value="{{ $value }}">@endforeach
    <button type="submit" class="{{ $class ?? 'tool' }}" @isset($id) id="{{ $id }}" @endisset @isset($key) data-key="{{ $key }}" @endisset @if ($focus ?? false) autofocus @endif>{!! $words !!}</button></form>
