@php($isSmall = $small ?? false)
@php($cm = $drawing->centimetre())
{{-- A rim, as wide as what holds it says, a body, and light: the path once, where it is long. Numbers and ids that the reader has checked: nothing here needs escaping. --}}
<?php $wire = function (array $one, bool $isTemplate = false) use ($drawing): void {
    if ($one['isEdge']) { ?><path class="plate-edge" d="{!! $one['path'] !!}"/><?php return; }
    if ($one['face'] !== '') { ?><path class="plate" d="{!! $one['path'] !!}"/><path class="gloss" fill="url(#gloss)" d="{!! $one['path'] !!}"/><?php return; }
    [$path, $width, $body] = [$one['path'], $one['width'], $one['bodyWidth']];
    [$shine, $x, $y] = [$one['shineWidth'], $one['shineX'], $one['shineY']];
    if ($one['section'] === 'twisted-pair') { ?><path d="{!! $path !!}"/><path class="body" stroke-width="{!! $body !!}" d="{!! $path !!}"/><path class="twist" stroke-width="{!! $body !!}" stroke-dasharray="{!! round($width * 0.3, 2) !!} {!! round($width * 0.55, 2) !!}" d="{!! $path !!}"/><path class="shine" stroke-width="{!! $shine !!}" stroke-dasharray="{!! round($width * 0.45, 2) !!} {!! round($width * 0.4, 2) !!}" transform="translate({!! $x !!} {!! $y !!})" d="{!! $path !!}"/><?php return; }
    // What is used itself names nothing: each use would be made of uses.
    $id = $isTemplate ? '' : $drawing->once($path, $one['mark']);
    if ($id !== '') { ?><path id="{!! $id !!}" d="{!! $path !!}"/><use class="body" href="#{!! $id !!}" stroke-width="{!! $body !!}"/><use class="shine" href="#{!! $id !!}" x="{!! $x !!}" y="{!! $y !!}" stroke-width="{!! $shine !!}"/><?php } else { ?><path d="{!! $path !!}"/><path class="body" stroke-width="{!! $body !!}" d="{!! $path !!}"/><path class="shine" stroke-width="{!! $shine !!}" transform="translate({!! $x !!} {!! $y !!})" d="{!! $path !!}"/><?php }
} ?>
<svg width="{{ $drawing->width }}" height="{{ $drawing->height }}" viewBox="0 0 {{ $drawing->width }} {{ $drawing->height }}" @unless ($isSmall) data-k="{{ $drawing->px(1.0) }}" @endunless @if ($label === '') aria-hidden="true" @else role="img" aria-label="{{ $label }}" @endif>
    <defs>
<?php foreach ($drawing->kinds() as $one) { ?>
<g id="{!! $one['id'] !!}">{!! preg_replace('~\s+(?=[<>])~', '', view('svg.bead', $one)->render()) !!}</g>
<?php } ?>
<?php foreach ($drawing->templates() as $one) { ?>
        <g id="{!! $one['id'] !!}" class="wire{!! $one['runsOn'] ? ' runs-on' : '' !!}" stroke-width="{!! $one['width'] !!}"><?php $wire($one, true); ?></g>
<?php } ?>
        @unless ($isSmall)
            @php([$x0, $y0] = [fmod($drawing->x(0), $cm) - $cm, fmod($drawing->y(0), $cm) - $cm])
            <pattern id="paper-fine" width="{{ $cm / 10 }}" height="{{ $cm / 10 }}" patternUnits="userSpaceOnUse" x="{{ $x0 }}" y="{{ $y0 }}"><path class="paper-fine" d="M{{ $cm / 10 }} 0H0V{{ $cm / 10 }}"/></pattern>
            <pattern id="paper-coarse" width="{{ $cm }}" height="{{ $cm }}" patternUnits="userSpaceOnUse" x="{{ $x0 }}" y="{{ $y0 }}"><path class="paper-coarse" d="M{{ $cm }} 0H0V{{ $cm }}"/></pattern>
        @endunless
    </defs>
    @unless ($isSmall)
        <g class="paper">@if ($drawing->ratio >= 0.8)<rect x="-1000" y="-1000" width="3000" height="3000" fill="url(#paper-fine)"/>@endif<rect x="-1000" y="-1000" width="3000" height="3000" fill="url(#paper-coarse)"/></g>
    @endunless
    @if (($worn ?? null) !== null)
        <circle class="worn" cx="{{ $worn['x'] }}" cy="{{ $worn['y'] }}" r="{{ $worn['r'] }}"/>
        <text class="worn-words" x="{{ $worn['x'] }}" y="{{ $worn['y'] + 5 }}" text-anchor="middle">{{ $worn['words'] }}</text>
    @endif
    {{-- The longest loops of the page, so without the loop variable. Numbers, enum values and ids that the reader has
        checked: nothing here needs escaping. --}}
    @foreach ($drawing->layers() as $layer => $strokes)
<?php foreach ($strokes as $stroke) { ?>
<g class="{!! $drawing->tintOf($stroke) !!}{!! $stroke['runsOn'] ? ' runs-on' : '' !!}{!! $drawing->faded($stroke['mark']) !!}" data-mark="{!! $stroke['mark'] !!}"{!! $stroke['path'] === '' ? '' : " stroke-width=\"{$stroke['width']}\"" !!}><?php if ($stroke['path'] !== '') { $wire($stroke); } foreach ($stroke['uses'] as [$id, $where]) { ?><use href="#{!! $id !!}" transform="{!! $where !!}"/><?php } ?></g>
<?php } ?>
<?php foreach ($drawing->beads($layer) as $one) { ?>
<use class="on-wire{!! $drawing->faded($one['mark']) !!}" href="#{!! $one['id'] !!}" {!! $one['where'] !!} data-mark="{!! $one['mark'] !!}"/>
<?php } ?>
    @endforeach
    @unless ($isSmall)
        @if ($drawing->ruler() !== [])
            <g class="ruler">@foreach ($drawing->ruler() as [$y, $long, $words])<path d="M46 {{ $y }}h-{{ $long }}"/>@if ($words !== '')<text x="26" y="{{ $y + 4 }}">{{ $words }}</text>@endif @endforeach<path d="M46 {{ $drawing->y(0) }}V{{ $drawing->y($drawing->bottomMm() + 4) }}"/></g>
        @endif
        @foreach ($ring ?? [] as [$x, $y, $rx, $ry, $turn])
            <ellipse class="ringed" cx="{{ $x }}" cy="{{ $y }}" rx="{{ $rx }}" ry="{{ $ry }}"@if ($turn !== 0.0) transform="rotate({{ $turn }} {{ $x }} {{ $y }})"@endif/>
        @endforeach
    @endunless
    @if (! $isSmall && ($across ?? '') !== '')
        @php([$y, $left, $right] = [$drawing->height - 14, $drawing->leftX(), $drawing->rightX()])
        <path class="dimension" d="M{{ $left }} {{ $y }}H{{ $right }}M{{ $left }} {{ $y - 9 }}v18M{{ $right }} {{ $y - 9 }}v18"/>
        <text class="dimension-text" text-anchor="middle" x="{{ ($left + $right) / 2 }}" y="{{ $y - 7 }}">{{ $across }}</text>
    @endif
    @if (! $isSmall && $hangs !== '')
        @php([$x, $top, $bottom] = [$drawing->dimensionX(), $drawing->y(0), $drawing->y($drawing->bottomMm())])
        <path class="dimension" d="M{{ $x }} {{ $top }}V{{ $bottom }}M{{ $x - 9 }} {{ $top }}h18M{{ $x - 9 }} {{ $bottom }}h18"/>
        <text class="dimension-text" text-anchor="middle" transform="translate({{ $x - 8 }} {{ ($top + $bottom) / 2 }}) rotate(-90)">{{ $hangs }}</text>
    @endif
</svg>
