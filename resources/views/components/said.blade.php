{{-- One choice of a sentence: its words, and what is said, underlined. With options (value => words) it is chosen, else written. --}}
@props(['name', 'label', 'value' => '', 'options' => [], 'id' => null, 'problem' => null, 'problemFor' => null, 'after' => ''])
@php($id ??= 'field-'.$name)
@php($problemFor ??= $name)
@php($isWrong = $problem?->says($problemFor) !== null)
<span class="spoken-choice"><label for="{{ $id }}">{{ $label }}</label>
@if ($options !== [])
    <select id="{{ $id }}" name="{{ $name }}" {{ $attributes->merge(['class' => 'said']) }}>
        @foreach ($options as $key => $words)<option
            value="{{ $key }}" @selected((string) $key === (string) $value)>{{ $words }}</option>@endforeach</select>
@else
    <input id="{{ $id }}" name="{{ $name }}" value="{{ $value }}"
        size="{{ max(4, 1 + mb_strlen($value !== '' ? $value : (string) $attributes->get('placeholder'))) }}" autocomplete="off" {{ $attributes->merge(['class' => 'said']) }} @if ($isWrong) aria-invalid="true" aria-describedby="problem-{{ Str::slug(str_replace('.', ' ', $problemFor)) }}" @endif>
@endif
@if ($after !== '')<span @class(['after' => mb_strlen($after) === 1])>{{ $after }}</span>@endif
</span>@if ($isWrong)<x-problem :for="$problemFor" :problem="$problem" />@endif
