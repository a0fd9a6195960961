{{-- What a reader without Hebra needs to make the piece. --}}
@php($desk = $leaflet->desk)
<article class="leaflet">
    <header class="leaflet-cover">
        <img class="leaflet-piece" src="{{ $leaflet->cover() }}" alt="{{ $desk->document->name }}, drawn">
        <div>
            <h1>{{ $desk->document->name }}</h1>
            <p>{{ $leaflet->summary() }}</p>
            <h2>Lay ready</h2>
            <ul class="leaflet-strips">@foreach ($leaflet->strips() as $strip)<li><img
                class="{{ $strip['isTrue'] ? 'is-true' : 'is-short' }}" src="{{ $strip['picture'] }}" alt=""><span>{{ $strip['words'] }}{{ $strip['isTrue'] ? '' : ' (drawn shorter)' }}</span></li>
                @endforeach</ul>
            @if ($leaflet->ready->beads !== [])<ul class="leaflet-beads">
                @foreach ($leaflet->ready->beads as $row)<li><strong>{{ $row->all }}</strong> {{ $row->bead->words() }}@if ($row->spares > 0)
                <small>and {{ $row->spares }} spare</small>@endif</li>@endforeach</ul>@endif
            @if ($leaflet->ready->findings !== [])<ul class="leaflet-beads">
                @foreach ($leaflet->ready->findings as $row)<li><strong>{{ $row->isByLength() ? $desk->profile->length($row->taken()) : $row->all }}</strong> {{ $row->words }}</li>
                @endforeach</ul>@endif
            <p><small>{{ ucfirst(implode(', ', $leaflet->ready->tools)) }}. Strips are true to size when printed at 100 %.</small></p>
        </div>
    </header>
    <ol class="leaflet-steps">@foreach ($leaflet->steps() as $step)
        <li><figure><img src="{{ $leaflet->picture($step['place']) }}" alt="Before and after: {{ $step['title'] }}"
            @if (! $leaflet->isFile) loading="eager" @endif></figure>
            <p><b>{{ $step['number'] }}</b> <strong>{{ $step['title'] }}</strong>@if ($step['count'] !== '')
                <span class="leaflet-count">{{ $step['count'] }}</span>@endif</p>
            <p><small>{{ $step['text'] }}</small></p></li>
    @endforeach</ol>
    <footer><ul>@foreach ($leaflet->cautions() as $caution)<li>▲ {{ $caution }}</li>@endforeach</ul>
        <p><small>Local rules and trained practice decide. {{ $desk->document->name }} was planned with Hebra.</small></p>
        </footer>
</article>
