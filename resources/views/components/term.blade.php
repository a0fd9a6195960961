@use('App\View\Glossary')
{{-- A word of the trade that says what it means: dotted until it was asked once on this device. Once on a page. --}}
@props(['word'])
@php($id = 'term-'.Str::slug($word))
<button type="button" class="term" popovertarget="{{ $id }}" data-term="{{ $word }}" title="What it means">{{ $slot }}</button><span
    class="term-says" id="{{ $id }}" popover><strong>{{ ucfirst($word) }}</strong>: {{ Glossary::says($word) }}.</span>