@php($makes = $desk->document->makes)
<span class="quiet">makes</span>
@foreach (['one' => 'one', 'pair' => 'a pair', 'mirrored-pair' => 'a mirrored pair'] as $kind => $words)
    @if ($makes->kind === $kind)
        <strong>{{ $words }}</strong>
    @else
        <x-change :desk="$desk" do="makes" :with="['kind' => $kind]" class="word">{{ $words }}</x-change>
    @endif
@endforeach
<form class="bar" method="post" action="/pieces/{{ $desk->piece->ulid }}/changes" hx-post="/pieces/{{ $desk->piece->ulid }}/changes">
    @csrf
    <input type="hidden" name="do" value="makes"><input type="hidden" name="kind" value="batch">
    @include('fragments.where', ['desk' => $desk, 'then' => []])
    <label for="batch-count" @class(['quiet' => $makes->kind !== 'batch', 'font-bold' => $makes->kind === 'batch'])>a batch of</label>
    <input class="in !w-14 !min-h-8 !py-0" id="batch-count" name="count" inputmode="numeric" value="{{ $makes->kind === 'batch' ? $makes->count : 6 }}">
    <button type="submit" class="word">set</button>
</form>
