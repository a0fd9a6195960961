@use('Hebra\Core\Quantity\Figures')
<div id="answer" class="sum-answer" aria-live="polite">
@if ($desk->problem)
    <p class="refusal sum-big" role="alert">{{ $desk->problem->getMessage() }}</p>
    @if ($desk->systems() !== [])<p class="bar mt-2 sum-rest">@foreach ($desk->systems() as $way)<a class="tool" href="{{ $desk->address($way['texts']) }}">{{ $way['words'] }}</a>@endforeach</p>@endif
@else
    @php([$rows, $beside] = [$desk->results(), $desk->neighbours()])
    <p class="sum-big results"><strong class="figure">{{ $rows[0]['text'] }}</strong> <span>{{ $rows[0]['name'] }}</span>@if ($rows[0]['more'] !== '') <span class="quiet small figure">{{ $rows[0]['more'] }}</span>@endif</p>
    <div class="sum-rest">
    @if ($isKept ?? false)<span hx-post="{{ $desk->address(after: '/asked') }}" hx-trigger="load" hx-swap="none" hx-headers='{"X-CSRF-TOKEN": "{{ csrf_token() }}"}'></span>@endif
    <dl class="results">
    @foreach (array_slice($rows, 1) as $row)
        <div><dt class="quiet small">{{ $row['name'] }}</dt><dd class="figure">{{ $row['text'] }}</dd>@if ($row['more'] !== '')<dd class="quiet small figure">{{ $row['more'] }}</dd>@endif</div>
    @endforeach
    </dl>
    <div class="sum-shown">
    @if ($desk->figure)
        <figure class="diagram">
            <div class="scrolls" tabindex="0" role="group" aria-label="Drawing">@include('sums.drawn', ['figure' => $desk->figure])</div>
            <figcaption class="quiet small">{{ $desk->figure->words() }}</figcaption>
        </figure>
    @endif
    @php([$varied, $others] = [$beside->varied(), []])
    @if ($varied !== null)@php($others = $beside->rows($varied))@endif
    @if ($others !== [])
        <div class="scrolls" tabindex="0" role="group" aria-label="The same otherwise"><table class="ledger sum-otherwise"><caption class="sr-only">The same with {{ $varied->words }} otherwise</caption>
            <thead><tr><th scope="col">{{ $varied->words }}</th>@foreach ($beside->heads() as $head)<th scope="col" class="!text-right">{{ $head }}</th>@endforeach</tr></thead>
            <tbody>@foreach ($others as $row)<tr @if ($row['isHere']) aria-current="true" @endif><th scope="row">@if ($row['isHere']){{ $row['value'] }}@else<a href="{{ $row['address'] }}">{{ $row['value'] }}</a>@endif</th>@foreach ($row['results'] as $text)<td class="num">{{ $text }}</td>@endforeach</tr>@endforeach</tbody></table></div>
    @endif
    </div>
    @foreach ($desk->answer->notes as $note)<p class="small mt-1">{{ $note }}</p>@endforeach
    <details class="sum-working mt-3"><summary>Working and source</summary>
        <div class="scrolls" tabindex="0" role="group" aria-label="The working"><table class="ledger small"><tbody>@foreach ($desk->answer->working as $line)<tr><td>{{ $line->what }}</td><td>{{ $line->rule }}</td><td class="figure">{{ $line->numbers }}</td><td class="num">{{ Figures::trim($line->result, 3) }} {{ $line->unit }}</td></tr>@endforeach</tbody></table></div>
        <p class="quiet small mt-2">Source: {{ $desk->sum->source }}.</p></details>
    <p class="bar mt-3"><a class="may" href="{{ $desk->address(after: '/use') }}">Use this in a piece</a><a class="tool" href="{{ $desk->address() }}">Keep this sum</a></p>
    </div>
@endif
</div>
