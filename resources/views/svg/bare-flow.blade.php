{{-- A flow that no metal runs in yet: it would come in on the left and lie in three places. --}}
<svg class="bare-wall is-plain" viewBox="0 0 660 150" aria-hidden="true"><path
    d="M40 20H620M40 20C250 20 410 78 620 78M40 56H300C430 56 480 100 620 100M40 70H300C430 70 480 136 620 136"/><path
    d="M40 12V78M620 12V30M620 72V104M620 128V144"/></svg>
