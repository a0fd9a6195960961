@props(['for', 'problem' => null])
@if ($problem !== null && $problem->field() === $for)
    <p class="refusal" role="alert" id="problem-{{ Str::slug(str_replace('.', ' ', $for)) }}">{{ $problem->getMessage() }}</p>
@endif
