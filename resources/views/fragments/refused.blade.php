<div id="desk"><p class="banner" role="alert">{{ $text }}</p><p><a class="may" href="/pieces">To the pieces</a></p></div>
