<div id="answer" class="rule-top mt-4" aria-live="polite">
@if ($desk->problem)
    <p class="refusal" role="alert">{{ $desk->problem->getMessage() }}</p>
    @if ($desk->systems() !== [])<p class="bar mt-2">@foreach ($desk->systems() as $way)<a class="tool" href="{{ $desk->address($way['texts']) }}">{{ $way['words'] }}</a>@endforeach</p>@endif
@else
    @if ($isKept ?? false)<span hx-post="{{ $desk->address(after: '/asked') }}" hx-trigger="load" hx-swap="none" hx-headers='{"X-CSRF-TOKEN": "{{ csrf_token() }}"}'></span>@endif
    <dl class="results">
    @foreach ($desk->results() as $row)
        <div @class(['is-first' => $loop->first])><dt class="quiet small">{{ $row['name'] }}</dt><dd class="figure">{{ $row['text'] }}</dd>@if ($row['more'] !== '')<dd class="quiet small figure">{{ $row['more'] }}</dd>@endif</div>
    @endforeach
    </dl>
    @if ($desk->figure)
        @php($figure = $desk->figure)
        <figure class="diagram">
            <div class="scrolls" tabindex="0" role="group" aria-label="Drawing">
            <svg width="{{ $figure->width }}mm" height="{{ $figure->height }}mm" viewBox="0 0 {{ $figure->width }} {{ $figure->height }}" role="img" aria-label="{{ $figure->words() }}">
                @foreach ($figure->circles() as $one)<circle class="fig-{{ $one['kind'] }}" cx="{{ $one['x'] }}" cy="{{ $one['y'] }}" r="{{ $one['r'] }}"/>@endforeach
                @foreach ($figure->lines() as $line)
                    <path class="fig-line fig-{{ $line['kind'] }} is-edge" stroke-width="{{ $line['mm'] }}" d="{{ $line['d'] }}"/><path class="fig-line fig-{{ $line['kind'] }} is-body" stroke-width="{{ round($line['mm'] * 0.74, 3) }}" d="{{ $line['d'] }}"/>
                @endforeach
            </svg>
            </div>
            <figcaption class="quiet small">{{ $figure->words() }}</figcaption>
        </figure>
    @endif
    @foreach ($desk->answer->notes as $note)<p class="small mt-1">{{ $note }}</p>@endforeach
    <h3 class="mt-4">Working</h3>
    <div class="scrolls" tabindex="0" role="group" aria-label="The working"><table class="ledger small"><tbody>@foreach ($desk->answer->working as $line)<tr><td>{{ $line->what }}</td><td>{{ $line->rule }}</td><td class="figure">{{ $line->numbers }}</td><td class="num">{{ \Hebra\Core\Quantity\Figures::trim($line->result, 3) }} {{ $line->unit }}</td></tr>@endforeach</tbody></table></div>
    <p class="quiet small mt-2">Source: {{ $desk->sum->source }}.</p>
    <p class="bar mt-3"><a class="may" href="{{ $desk->address(after: '/use') }}">Use this in a piece</a><a class="tool" href="{{ $desk->address() }}">Keep this sum</a></p>
@endif
</div>
