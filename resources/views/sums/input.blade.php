{{-- One choice of the sentence: its words, and what is said, underlined. --}}
@php([$now, $id] = [$desk->text($input), 'field-'.$input->key])
<span class="sum-choice"><label for="{{ $id }}">{{ preg_replace('/^or: /', '', $input->words) }}</label>
@if ($desk->isSelect($input))
    @php($chosen = str_replace(' ', '-', mb_strtolower($now !== '' ? $now : ($input->default ?? $input->example))))
    <select class="said" id="{{ $id }}" name="{{ $input->key }}">@foreach ($input->choices as $choice)<option value="{{ $choice }}" @selected($chosen === $choice)>{{ str_replace('-', ' ', $choice) }}</option>@endforeach</select>
@else
    <input @class(['said', 'is-assumed' => in_array($input->key, $desk->missing, true)]) id="{{ $id }}" name="{{ $input->key }}" value="{{ $now }}" placeholder="{{ $desk->placeholder($input) }}" title="{{ $input->range() }}" size="{{ max(4, 1 + mb_strlen($now !== '' ? $now : $desk->placeholder($input))) }}" autocomplete="off" @if ($desk->isAskedFor($input)) autofocus @endif>
@endif
</span>
