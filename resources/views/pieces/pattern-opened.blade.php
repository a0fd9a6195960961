@php([$card, $plan] = [$opened->card, $opened->plan])
<form class="opened" method="post" action="/pieces" aria-labelledby="opened-title">
    @csrf
    <input type="hidden" name="pattern" value="{{ $card->name }}">
    <a class="story-close" href="{{ $gallery->address('open', '') }}#pattern-{{ $card->name }}" aria-label="close">✕</a>
    <div class="opened-head">
        <span class="opened-piece">@include('svg.hung-piece', ['drawing' => $opened->drawing, 'times' => $opened->times(), 'id' => 'opened-piece'])</span>
        <div><h2 id="opened-title" tabindex="-1" autofocus>{{ $card->title() }}</h2>
            <p class="small quiet">{{ $card->pattern->words }}</p>
            @foreach ($opened->figures($pace) as [$figure, $words])<p><strong class="figure">{{ $figure }}</strong> <span class="small quiet">{{ $words }}</span></p>@endforeach</div>
    </div>
    <div class="takes-room" tabindex="0" role="group" aria-label="What it takes"><table class="takes"><caption>It takes</caption><thead><tr><td></td><th scope="col">{{ $profile->unit()->value }}</th><th scope="col">you have</th></tr></thead><tbody>
        @foreach ($opened->wires() as $taken)<tr class="metal-{{ $taken['wire']->metal->value }}"><th scope="row">{{ $taken['wire']->size->text() }} <span class="small quiet">{{ $taken['wire']->metal->words() }}, {{ $taken['wire']->temper->words() }}</span></th>
            <td class="figure small">@foreach ($taken['cuts'] as $cut)<span class="block">{{ $cut->count }} × {{ $profile->ruler->figure($cut->printedMm($profile->ruler)) }}</span>@endforeach</td>
            <td @class(['figure', 'is-short' => ! $taken['isEnough']])>{{ $taken['heldMm'] < 1 ? 'none' : number_format($taken['heldMm'] / 1000, 2).' m' }} {{ $taken['isEnough'] ? '✓' : '▲' }}</td></tr>@endforeach
        @foreach ($opened->beads() as $taken)<tr><th scope="row"><span class="flex items-center gap-2">@include('svg.glyph', ['bead' => $taken['bead'], 'size' => 24]){{ $taken['bead']->words() }}</span>
            @if ($taken['standIns'] !== [])<span class="small stand-ins">Short: @foreach ($taken['standIns'] as $own)<label><input type="checkbox" name="instead[{{ $taken['key'] }}]" value="{{ $own->ulid }}"> take {{ $taken['all'] }} {{ $own->core()->words() }}</label> of {{ $own->owned }}@endforeach</span>@endif</th>
            <td class="figure small">{{ $taken['all'] }}</td><td @class(['figure', 'is-short' => $taken['owned'] < $taken['all']])>{{ $taken['owned'] }} {{ $taken['owned'] < $taken['all'] ? '▲' : '✓' }}</td></tr>@endforeach
        @foreach ($opened->findings() as $finding)<tr><th scope="row" colspan="2">{{ ucfirst($finding->words) }}</th><td class="figure small">{{ $finding->isByLength() ? $profile->length($finding->taken()) : $finding->taken() }}</td></tr>@endforeach
    </tbody></table></div>
    <p class="opened-start"><label class="sr-only" for="field-name">Its name</label><input class="in is-text" id="field-name" name="name" placeholder="Its name may wait" autocomplete="off" maxlength="100"><button type="submit" class="do big" id="start-pattern">Start this piece</button></p>
</form>
