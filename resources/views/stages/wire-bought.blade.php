@use('App\View\WireChoice')
@use('Hebra\Core\Wire\Metal')
{{-- What comes ready-made: its metal and size are told, not chosen by rank. --}}
@php($changes = "/pieces/{$desk->piece->ulid}/changes")
@foreach (array_diff($desk->document->roles(), $desk->document->rolesToChoose()) as $role)
    @php($its = $desk->document->wires[$role])
    <form class="bar small mt-2" method="post" action="{{ $changes }}" hx-post="{{ $changes }}" hx-trigger="change, submit">
        @csrf
        <input type="hidden" name="do" value="wire"><input type="hidden" name="role" value="{{ $role }}">
        @include('fragments.where', ['desk' => $desk, 'then' => []])
        <span class="quiet">{{ WireChoice::roleWords($role) }}, bought:</span>
        @php($isCord = $role === 'cord')
        <label class="{{ $isCord ? 'quiet' : 'sr-only' }}" for="bought-metal-{{ $role }}">{{ $isCord ? 'its ends of' : 'metal of the bought '.$role }}</label>
        <select class="in is-text !w-auto !min-h-9 !py-0" id="bought-metal-{{ $role }}" name="metal">
            @foreach (Metal::cases() as $metal)<option value="{{ $metal->value }}" @selected($metal === $its->metal)>{{ $metal->words() }}</option>@endforeach
        </select>
        <label class="quiet" for="bought-size-{{ $role }}">{{ $isCord ? 'how thick' : 'its wire' }}</label>
        <input class="in !w-28 !min-h-9 !py-0" id="bought-size-{{ $role }}" name="size" value="{{ $its->size->text() }}" autocomplete="off">
        <button type="submit" class="tool no-js">set</button>
    </form>
@endforeach
