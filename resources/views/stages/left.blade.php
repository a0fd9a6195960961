@use('Hebra\Core\Quantity\Figures')
{{-- What was left of each cut, laid on one ruler; what it weighs; a photo; one sentence closes. --}}
@php([$making, $profile] = [$desk->making(), $desk->profile])
@php($input = fn (string $key, string $part, string $default): string => $problem !== null
    && is_string(request()->input("{$key}.{$part}")) ? mb_substr(request()->input("{$key}.{$part}"), 0, 60) : $default)
@php($was = fn (string $key, string $default = ''): string => $problem !== null && is_string(request($key)) ? mb_substr(request($key), 0, 2000) : $default)
@if (! $making->isDone())
    <p class="banner is-note">There are {{ $making->total - $making->progress->count() }} steps to go.
        <a href="{{ $desk->url('make') }}">Go on making</a>, or close it as it is below.</p>
@endif
<form id="close-form" method="post" action="/makings/{{ $making->making->ulid }}" enctype="multipart/form-data"
    hx-post="/makings/{{ $making->making->ulid }}" hx-encoding="multipart/form-data" x-data="leftover" x-on:input="laid" data-end="{{ $log->dial->endGrams }}" data-swing="{{ $log->dial::SWING }}">
    @csrf @method('put')
    <div class="left-both">
    <section class="left-rows" aria-labelledby="left-title">
        <div class="left-head"><h2 id="left-title">What was left?</h2>
            <span class="quiet">Lay the ends on the ruler, or write them: 12 + 11.5.</span></div>
        <div class="left-rule" aria-hidden="true"><span></span><x-rule :rule="$log->rule" :is-over="true" /></div>
        <ol>@foreach ($log->rows as $row)@include('stages.left-row')@endforeach</ol>
        <p class="quiet small mt-1">What you measure teaches Hebra your hand; left as foretold, it is booked and teaches nothing. Offcuts from {{ $profile->length($profile->keepMm) }} go back to stock.</p>
        <div class="left-more">
        <details class="mt-3" @if ($was('loops').$was('opened') !== '') open @endif>
            <summary>Sizes you measured</summary>
            <div class="grid gap-3 mt-2 sm:grid-cols-[8rem_1fr]"><x-field name="loops_on" problem-for="loops on"
                label="Loops meant to be" :value="$was('loops_on')" :problem="$problem" placeholder="2.5 mm" autocomplete="off" /><x-field
                name="loops" label="and they are, inside" :value="$was('loops')" :problem="$problem" placeholder="2.5, 2.6, 2.4 …" autocomplete="off" /></div>
            <div class="grid gap-3 mt-2 sm:grid-cols-[8rem_8rem_1fr]"><x-field name="bent_on" problem-for="bent on"
                label="Bent on" :value="$was('bent_on')" :problem="$problem" placeholder="12 mm" autocomplete="off" /><x-field
                name="opened" label="opened to, inside" :value="$was('opened')" :problem="$problem" placeholder="12.9 mm" autocomplete="off" />
                <div class="field"><label for="opened-wire">the wire</label><select class="in is-text"
                    id="opened-wire" name="opened_wire">@foreach ($desk->document->wires as $role => $wire)<option
                    value="{{ $role }}" @selected($was('opened_wire') === $role)>{{ $wire->words() }}</option>
                    @endforeach</select></div></div>
            @include('market.measure', ['field' => 'field-loops'])
        </details>
        @php($weighable = collect($desk->plan->strips())->flatMap(fn ($cut) => $desk->onHand->lotsFor($cut))->unique('ulid'))
        @if ($weighable->isNotEmpty())
            <details class="mt-3"
                @if ($problem !== null && preg_match('/^(weighed|before)\./', $problem->field()) === 1) open @endif>
                <summary>Weighed before or afterwards</summary>
                <p class="quiet small mt-1">What a coil or bag weighs is what it holds: the difference to the book gets a line of its own. Only lots that the cuts came from.
                    <a href="/stock">Weigh a lot on the scale</a> under Stock.</p>
                <div class="grid gap-3 mt-2 grid-cols-2 md:grid-cols-4">
                @foreach ($weighable as $lot)
                    @foreach (['before' => 'before', 'weighed' => 'now'] as $when => $words)
                        <div class="field"><label
                            for="{{ $when }}-{{ $lot->ulid }}">{{ $lot->name }}, {{ $words }}</label><input class="in"
                            id="{{ $when }}-{{ $lot->ulid }}" name="{{ $when }}[{{ $lot->ulid }}]" value="{{ $input($when, $lot->ulid, '') }}" placeholder="{{ $when === 'before' ? number_format($lot->heldMg() / 1000, 2).' g booked' : 'g' }}" autocomplete="off"><x-problem
                            :for="$when.'.'.$lot->ulid" :problem="$problem" /></div>
                    @endforeach
                @endforeach
                </div>
            </details>
        @endif
        @if ($desk->onHand->packing()->isNotEmpty())
            @php($packings = $desk->onHand->packing()->mapWithKeys(fn ($supply) => [$supply->ulid => $supply->name.', '.$supply->words($supply->held, $profile).' there'])->prepend('nothing that is counted', '')->all())
            <div class="spoken"><x-said name="packing" id="packing" label="Packed in" :value="$was('packing')"
                :options="$packings" :problem="$problem" />
                <x-said name="packed" label="," aria-label="how many"
                    :value="$was('packed', (string) $desk->document->makes->count)" :problem="$problem" inputmode="numeric" after="of them" /></div>
        @endif
        </div>
    </section>
    <div class="left-beside">
    <section class="left-scale" aria-labelledby="scale-title">
        <h2 id="scale-title">On the scale</h2>
        @include('svg.dial', ['dial' => $log->dial])
        <p class="spoken"><x-said name="weight" label="all of it weighs" :value="$was('weight')" :problem="$problem"
            :placeholder="round($log->dial->grams, 2).' g'" class="said is-assumed" /></p>
        <p class="quiet small">{{ $log->foretold() }}</p>
    </section>
    <section class="left-photo" aria-labelledby="photo-title">
        <div class="left-ghost" aria-hidden="true">
            @include('svg.piece', ['drawing' => $desk->drawing, 'hangs' => '', 'small' => true, 'label' => ''])</div>
        <div><h2 id="photo-title">Photo</h2>
        <label class="small" for="photo">JPEG, PNG or WebP; place and time of where it was taken are removed</label>
        <input class="in is-text" type="file" id="photo" name="photo" accept="image/jpeg,image/png,image/webp"
            capture="environment"><x-problem for="photo" :problem="$problem" /></div>
    </section>
    </div>
    </div>
    <div class="left-close">
        <div class="left-sentence spoken">
            <span><strong class="figure"
                data-sum="metal">{{ Figures::grams($log->metalGrams()) }}</strong> {{ $log->metal() }} in {{ $desk->document->makes->count > 1 ? 'all of it' : 'it' }},
                <strong class="figure"
                data-sum="jar">{{ Figures::grams($log->jarGrams()) }}</strong> to the jar,</span>
            <x-said name="minutes" label="" aria-label="minutes"
                :value="$was('minutes', $log->minutes($making->making))" :problem="$problem" inputmode="numeric" placeholder="–" after="minutes" />
            <span>and <a href="{{ '/pieces/'.$desk->piece->ulid.'/bill' }}"
                class="figure">{{ $log->costs() }}</a>.</span>
            <x-said name="note" label="note" :value="$was('note')" :problem="$problem" maxlength="2000"
                placeholder="none" class="said is-assumed is-wide" />
            @if (! $making->isDone())<span><input type="checkbox" id="as-it-is" name="as_it_is" value="1"
                class="size-5 align-middle"> <label for="as-it-is">It is done as it is</label></span>@endif
        </div>
        <button type="submit" class="do" id="close-making">Close the making</button>
        <p class="quiet small">Out of the coil, into the piece, the rest to the scrap jar. Lines in the book are never edited, only reversed.</p>
    </div>
</form>
