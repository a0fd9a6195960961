@props(['name', 'label', 'value' => '', 'problem' => null, 'problemFor' => null, 'type' => 'text', 'id' => null, 'hint' => null])
@php($id ??= 'field-'.str_replace(['.', '[', ']'], '-', $name))
@php($at = $problemFor ?? $name)
@php($isWrong = $problem?->says($at) !== null)
<div class="field">
    <label for="{{ $id }}">{{ $label }}</label>
    <input id="{{ $id }}" name="{{ $name }}" type="{{ $type }}" value="{{ $type === 'password' ? '' : $value }}" {{ $attributes->merge(['class' => 'in']) }} @if ($isWrong) aria-invalid="true" aria-describedby="problem-{{ Str::slug(str_replace('.', ' ', $at)) }}" @endif>
    @if ($hint)<span class="small quiet">{{ $hint }}</span>@endif
    @if ($isWrong)<x-problem :for="$at" :problem="$problem" />@endif
</div>
