@if ($making->progress->count() > 0 || $making->isAgain())
<form method="post" action="/makings/{{ $making->making->ulid }}" hx-patch="/makings/{{ $making->making->ulid }}">@csrf @method('patch')
    <input type="hidden" name="at" value="{{ $making->making->moves }}"><input type="hidden" name="do" value="back">
    <button id="step-back" type="submit" class="word" data-key="Backspace | Shift+Space | PageUp">{{ $making->isAgain() ? 'leave it as it was' : 'one step back' }}</button></form>
@endif
