@php($now = $desk->text($input))
@php($words = preg_replace('/^or: /', '', $input->words))
@if ($desk->isSelect($input))
    <x-said :name="$input->key" :label="$words" :value="str_replace(' ', '-', mb_strtolower($now !== '' ? $now : ($input->default ?? $input->example)))" :options="array_combine($input->choices, array_map(fn (string $choice): string => str_replace('-', ' ', $choice), $input->choices))" />
@else
    <x-said :name="$input->key" :label="$words" :value="$now" :placeholder="$desk->placeholder($input)" :title="$input->range()" :class="in_array($input->key, $desk->missing, true) ? 'is-assumed' : ''" :autofocus="$desk->isAskedFor($input)" />
@endif
