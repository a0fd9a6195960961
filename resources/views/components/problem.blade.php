@props(['for', 'problem' => null])
@php($said = $problem?->says($for))
@if ($said !== null)
    <p class="refusal" role="alert" id="problem-{{ Str::slug(str_replace('.', ' ', $for)) }}">{{ $said }}</p>
@endif
