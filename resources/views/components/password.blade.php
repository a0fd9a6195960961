@use('App\Support\Passwords')
@props(['name', 'label', 'problem' => null, 'hint' => null])
<div x-data="password" class="shows-password">
    <x-field :name="$name" type="password" :label="$label" :problem="$problem" :hint="$hint" {{ $attributes->merge(['x-ref' => 'field', 'maxlength' => Passwords::MOST, 'spellcheck' => 'false']) }} />
    <button type="button" class="word small" x-on:click="toggle" x-text="words" x-cloak aria-label="show or hide {{ mb_strtolower($label) }}">show</button>
</div>
