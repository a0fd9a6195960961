@if ($making->making->step > 0)
<form method="post" action="/makings/{{ $making->making->ulid }}" hx-patch="/makings/{{ $making->making->ulid }}">@csrf @method('patch')
    <input type="hidden" name="at" value="{{ $making->making->step }}"><input type="hidden" name="do" value="back">
    <button id="step-back" type="submit" class="word" data-key="Backspace">one step back</button></form>
@endif
