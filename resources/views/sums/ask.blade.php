{{-- One line, as it comes to mind. $live: the answer comes below it while it is typed. --}}
<form class="ask" method="get" action="/sums" role="search" @if ($live ?? true) hx-get="/sums" hx-target="#sum" hx-swap="outerHTML" hx-trigger="input changed delay:350ms, submit" @endif>
    <label for="ask" class="sr-only">Ask a sum in one line</label>
    <input class="in" id="ask" name="ask" value="{{ mb_substr($ask ?? '', 0, 240) }}" placeholder="coil 24ga on 2.5mm, 3cm" autocomplete="off" autocapitalize="off" spellcheck="false" maxlength="240" @if ($focus ?? false) autofocus @endif>
    <button type="submit" class="{{ ($live ?? true) ? 'do' : 'may' }}" name="keep" value="1">Work it out</button>
</form>
