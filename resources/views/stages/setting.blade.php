@use('Hebra\Core\Quantity\Figures')
{{-- One setting of a part, changed as it is typed or chosen. $at: where what it measures is in the drawing. --}}
@php($id = 'set-'.$part->id.'-'.$parameter->key)
<form class="setting" method="post" action="{{ $changes }}" hx-post="{{ $changes }}" hx-trigger="change, submit" @if (($at ?? null) !== null) data-at="{{ $at[0] }} {{ $at[1] }}" data-of="{{ $at[2] }}" data-steps="{{ json_encode($steps ?? [], JSON_THROW_ON_ERROR) }}" @endif>
    @csrf
    <input type="hidden" name="do" value="part.set"><input type="hidden" name="part" value="{{ $part->id }}"><input type="hidden" name="key" value="{{ $parameter->key }}">
    @include('fragments.where', ['desk' => $desk, 'then' => []])
    @php($isWrong = $problem !== null && $problem->field() === $parameter->words)
    @if ($parameter->kind->value === 'course')
        @include('stages.course')
    @elseif (in_array($parameter->kind->value, ['length', 'count', 'number', 'weave', 'text'], true))
        <div class="field">
            <label for="{{ $id }}">{{ $parameter->words }}</label>
            <input class="in{{ in_array($parameter->kind->value, ['weave', 'text'], true) ? ' is-weave' : '' }}" id="{{ $id }}" name="value" autocomplete="off" inputmode="{{ $parameter->kind->value === 'count' && $parameter->per === '' ? 'numeric' : 'text' }}" value="{{ $isWrong ? (is_string(request('value')) ? mb_substr(request('value'), 0, 100) : '') : match ($parameter->kind->value) { 'length' => $profile->size($part->mm($parameter->key)), 'count' => $part->count($parameter->key), 'number' => Figures::trim((float) $part->settings[$parameter->key]), default => $part->choice($parameter->key) } }}" @if ($isWrong) aria-invalid="true" aria-describedby="problem-{{ Str::slug($parameter->words) }}" @endif>
            @if ($parameter->kind->value === 'weave')<p class="small quiet">Figures 6@1-2, basket f1 b2, or cross 1-2 over 3-4 for 15; sections parted by |, x12 for repeats.</p>@endif
            @if ($parameter->per !== '')<p class="small quiet">or a length, such as 3 1/2 in</p>@endif
            @if ($parameter->key === 'holes')<p class="small quiet">top 1.5 mm · bottom 1.5 mm; ring top 2 mm for a soldered ring, across where it stands edgewise; elsewhere at so far right and down from the middle.</p>@endif
            @if ($isWrong)<x-problem :for="$parameter->words" :problem="$problem" />@endif
        </div>
    @else
        <div class="field">
            <label for="{{ $id }}">{{ $parameter->words }}</label>
            <select class="in is-text" id="{{ $id }}" name="value" @if ($isWrong) aria-invalid="true" aria-describedby="problem-{{ Str::slug($parameter->words) }}" @endif>
                @foreach ($parameter->kind->value === 'flag' ? ['0' => 'no', '1' => 'yes'] : $parameter->choices as $value => $words)
                    <option value="{{ $value }}" @selected($parameter->kind->value === 'flag' ? $part->is($parameter->key) === ((string) $value === '1') : $part->choice($parameter->key) === (string) $value)>{{ $words }}</option>
                @endforeach
            </select>
            @if ($isWrong)<x-problem :for="$parameter->words" :problem="$problem" />@endif
        </div>
    @endif
    <button type="submit" class="word no-js">set</button>
</form>
@if ($parameter->key === 'path')@include('stages.trace')@endif
