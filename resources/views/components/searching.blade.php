@use('App\Read\CuttingDesk')
@props(['id', 'of'])
<span class="searching htmx-indicator" id="{{ $id }}"><span class="sr-only">Searching for up to {{ CuttingDesk::LONGER }} seconds</span><span class="searching-bar" aria-hidden="true"></span></span><button type="button" class="word small htmx-indicator" data-ends="{{ $of }}">stop</button>
