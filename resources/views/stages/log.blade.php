@php([$making, $profile] = [$desk->making(), $desk->profile])
@php($input = fn (string $key, string $part, string $default): string => $problem !== null && is_string(request()->input("{$key}.{$part}")) ? mb_substr(request()->input("{$key}.{$part}"), 0, 60) : $default)
@if ($making !== null)
    <div class="flex flex-wrap items-baseline justify-between gap-x-6">
        <h2>What it really took</h2>
        <p class="quiet small">{{ $desk->document->makes->words() }} · each row is per cut; offcuts from {{ $profile->length($profile->keepMm) }} go back to stock</p>
    </div>
    @if ($making->isDone() === false)
        <p class="banner is-note">There are {{ $making->total - $making->progress->count() }} steps to go. <a href="{{ $desk->url('make') }}">Go on making</a>, or close it as it is below.</p>
    @endif
    <form id="close-form" method="post" action="/makings/{{ $making->making->ulid }}" hx-put="/makings/{{ $making->making->ulid }}">
        @csrf @method('put')
        <div class="scrolls" x-data="leftover" x-on:input="laid">
        @php($longest = max([1.0, ...array_map(fn ($share) => $share->cut->pinMm ?? $profile->ruler->upMm($share->cut->lengthMm()), $desk->onHand->shares($desk->plan))]))
        <table class="ledger stacks mt-2">
            <thead><tr><th scope="col">Wire</th><th scope="col">From</th><th scope="col">Cut</th><th scope="col">Left over</th><th scope="col">offcut kept</th></tr></thead>
            <tbody>
            @foreach ($desk->onHand->shares($desk->plan) as $share)
                @php([$cut, $part] = [$share->cut, $share->key])
                @php($planned = $cut->pinMm ?? $profile->ruler->upMm($cut->lengthMm()))
                @php($offered = $desk->onHand->lotOffered($share))
                @php($chosen = $problem !== null ? (string) (is_string(request()->input("lot.$part")) ? request()->input("lot.$part") : '') : ($offered?->ulid ?? ''))
                <tr>
                    <td><strong>{{ $cut->label }}</strong> <span class="figure">× {{ $share->count }}</span><br><span class="quiet small">{{ $cut->wire->words() }}</span>
                        @unless ($cut->isBoughtPin())@php($at = fn (float $mm): float => round(100 * $mm / $longest, 2))@php($net = min($planned, $cut->netMm()))
                        <svg class="log-bar metal-{{ $cut->wire->metal->value }}" width="100%" height="30" data-of="{{ $part }}" data-longest="{{ round($longest, 3) }}" role="img" aria-label="Cut {{ $profile->length($planned) }}: {{ $profile->length($net) }} in the piece, {{ $profile->length(max(0, $planned - $net)) }} left as foretold"><rect class="strip-edge" y="3" width="{{ $at($net) }}%" height="9"/><rect class="strip-body" y="4" width="{{ $at($net) }}%" height="7"/><rect class="strip-shine" y="5.5" width="{{ $at($net) }}%" height="2"/><rect class="log-foretold" x="{{ $at($net) }}%" y="3.5" width="{{ $at($planned - $net) }}%" height="8"/><rect class="log-left" x="{{ $at($planned) }}%" y="2" width="0" height="11"/><path class="tick" d="M0.5 0v16"/><text class="log-mm" x="{{ $at($planned) }}%" y="27" text-anchor="end">{{ $profile->ruler->figure($planned) }}</text></svg>@endunless</td>
                    <td class="min-w-44">
                        <label class="sr-only" for="lot-{{ $part }}">{{ $cut->label }}, from</label>
                        <select class="in is-text" id="lot-{{ $part }}" name="lot[{{ $part }}]">
                            @foreach ($desk->onHand->lotsFor($cut) as $lot)
                                <option value="{{ $lot->ulid }}" @selected($lot->ulid === $chosen)>{{ $lot->name }}, {{ $lot->isPins() ? $lot->heldPins().' pins' : $profile->length($lot->heldMm()).' left' }}</option>
                            @endforeach
                            <option value="" @selected($chosen === '')>{{ $cut->isBoughtPin() ? 'pins' : 'wire' }} not in stock</option>
                        </select>
                        <x-problem :for="'lot.'.$part" :problem="$problem" />
                        @if ($share->count > 1)
                            <details class="mt-1" @if ($input('others', $part, '') !== '') open @endif><summary class="small quiet">some from another lot</summary>
                                <span class="flex gap-2 mt-1"><label class="sr-only" for="others-{{ $part }}">{{ $cut->label }}, how many from another lot</label><input class="in !w-14 !min-h-9 text-right" id="others-{{ $part }}" name="others[{{ $part }}]" value="{{ $input('others', $part, '') }}" inputmode="numeric" placeholder="0" autocomplete="off">
                                <label class="sr-only" for="other-lot-{{ $part }}">{{ $cut->label }}, the other lot</label><select class="in is-text !min-h-9" id="other-lot-{{ $part }}" name="other_lot[{{ $part }}]">@foreach ($desk->onHand->lotsFor($cut) as $lot)<option value="{{ $lot->ulid }}" @selected($input('other_lot', $part, '') === $lot->ulid)>{{ $lot->name }}</option>@endforeach<option value="" @selected($input('other_lot', $part, '') === '')>not booked yet</option></select></span>
                                <x-problem :for="'others.'.$part" :problem="$problem" /></details>
                        @endif
                        @if ($problem instanceof \App\Exceptions\Refused && $problem->field() === 'lot.'.$part && $problem->ways !== [])
                            <div class="bar mt-1">
                                @foreach ($problem->ways as $way)
                                    @foreach ($way->fields as $name => $value)
                                        <button type="submit" class="tool" name="{{ $name }}" value="{{ $value }}">{{ $way->words }}</button>
                                    @endforeach
                                @endforeach
                            </div>
                        @endif
                    </td>
                    @if ($cut->isBoughtPin())
                        <td colspan="3" class="quiet small">{{ $profile->length($planned) }} pins, {{ $profile->length($cut->trimmedMm()) }} trimmed from each</td>
                    @else
                        @foreach (['cut' => $profile->ruler->figure($planned), 'left' => $profile->ruler->figure(max(0, $planned - $cut->netMm())), 'kept' => $planned - $cut->netMm() >= $profile->keepMm ? $profile->ruler->figure($planned - $cut->netMm()) : '0'] as $key => $default)
                            <td class="w-28 min-w-28" data-label="{{ ['cut' => 'cut', 'left' => 'left over', 'kept' => 'offcut kept'][$key] }}">
                                <label class="sr-only" for="{{ $key }}-{{ $part }}">{{ $cut->label }}, {{ ['cut' => 'cut', 'left' => 'left over', 'kept' => 'offcut kept'][$key] }}</label>
                                @php($isWrong = $problem !== null && $problem->field() === "$key.$part")
                                <span class="flex items-baseline gap-1"><input class="in text-right" id="{{ $key }}-{{ $part }}" name="{{ $key }}[{{ $part }}]" value="{{ $input($key, $part, $key === 'left' ? '' : $default) }}" @if ($key === 'left') placeholder="{{ $default }}" @endif autocomplete="off" @if ($isWrong) aria-invalid="true" aria-describedby="problem-{{ $key }}-{{ $part }}" @endif><span class="small quiet">{{ $profile->unit()->value }}</span></span>
                                <x-problem :for="$key.'.'.$part" :problem="$problem" />
                                @if ($key === 'left')
                                    <details class="mt-1" @if ($input('short', $part, '') !== '') open @endif><summary class="small quiet py-1">ran short?</summary><label class="sr-only" for="short-{{ $part }}">{{ $cut->label }}, short by</label><input class="in !min-h-9 text-right" id="short-{{ $part }}" name="short[{{ $part }}]" value="{{ $input('short', $part, '') }}" placeholder="mm, or ?" autocomplete="off"><x-problem :for="'short.'.$part" :problem="$problem" /></details>
                                @endif
                            </td>
                        @endforeach
                    @endif
                </tr>
            @endforeach
            </tbody>
        </table>
        </div>
        <p class="quiet small mt-1">What you measure as left over teaches Hebra your hand; left empty, it is booked as planned and teaches nothing.</p>
        <div class="grid gap-3 mt-3 sm:grid-cols-[8rem_8rem_1fr]">
            <x-field name="minutes" label="Minutes" :value="$problem !== null && is_string(request('minutes')) ? mb_substr(request('minutes'), 0, 20) : $desk->minutesTaken($making->making)" :problem="$problem" inputmode="numeric" autocomplete="off" />
            <x-field name="weight" label="Weighs, all of it" :value="$problem !== null && is_string(request('weight')) ? mb_substr(request('weight'), 0, 20) : ''" :problem="$problem" placeholder="g" autocomplete="off" />
            <x-field name="note" class="is-text" label="Note" :value="$problem !== null && is_string(request('note')) ? mb_substr(request('note'), 0, 2000) : ''" :problem="$problem" maxlength="2000" autocomplete="off" />
        </div>
        @php($was = fn (string $key): string => $problem !== null && is_string(request($key)) ? mb_substr(request($key), 0, 200) : '')
        <details class="mt-3" @if ($was('loops').$was('opened') !== '') open @endif>
            <summary>Sizes you measured</summary>
            <div class="grid gap-3 mt-2 sm:grid-cols-[8rem_1fr]"><x-field name="loops_on" problem-for="loops on" label="Loops meant to be" :value="$was('loops_on')" :problem="$problem" placeholder="2.5 mm" autocomplete="off" /><x-field name="loops" label="and they are, inside" :value="$was('loops')" :problem="$problem" placeholder="2.5, 2.6, 2.4 …" autocomplete="off" /></div>
            <div class="grid gap-3 mt-2 sm:grid-cols-[8rem_8rem_1fr]"><x-field name="bent_on" problem-for="bent on" label="Bent on" :value="$was('bent_on')" :problem="$problem" placeholder="12 mm" autocomplete="off" /><x-field name="opened" label="opened to, inside" :value="$was('opened')" :problem="$problem" placeholder="12.9 mm" autocomplete="off" />
                <div class="field"><label for="opened-wire">the wire</label><select class="in is-text" id="opened-wire" name="opened_wire">@foreach ($desk->document->wires as $role => $wire)<option value="{{ $role }}" @selected($was('opened_wire') === $role)>{{ $wire->words() }}</option>@endforeach</select></div></div>
            @include('market.measure', ['field' => 'field-loops'])
        </details>
        @php($weighable = collect($desk->plan->strips())->flatMap(fn ($cut) => $desk->onHand->lotsFor($cut))->unique('ulid'))
        @if ($weighable->isNotEmpty())
            <details class="mt-3" @if ($problem !== null && preg_match('/^(weighed|before)\./', $problem->field()) === 1) open @endif>
                <summary>Weighed before or afterwards</summary>
                <p class="quiet small mt-1">What a coil or bag weighs is what it holds: the difference to the book gets a line of its own. Only lots that the cuts came from. <a href="/stock">Weigh a lot on the scale</a> under Stock.</p>
                <div class="grid gap-3 mt-2 grid-cols-2 md:grid-cols-4">
                @foreach ($weighable as $lot)
                    @foreach (['before' => 'before', 'weighed' => 'now'] as $when => $words)
                        <div class="field"><label for="{{ $when }}-{{ $lot->ulid }}">{{ $lot->name }}, {{ $words }}</label><input class="in" id="{{ $when }}-{{ $lot->ulid }}" name="{{ $when }}[{{ $lot->ulid }}]" value="{{ $input($when, $lot->ulid, '') }}" placeholder="{{ $when === 'before' ? number_format($lot->heldMg() / 1000, 2).' g booked' : 'g' }}" autocomplete="off"><x-problem :for="$when.'.'.$lot->ulid" :problem="$problem" /></div>
                    @endforeach
                @endforeach
                </div>
            </details>
        @endif
        @if ($desk->onHand->packing()->isNotEmpty())
            <div class="flex flex-wrap items-end gap-3 mt-3">
                <div class="field"><label for="packing">Packed in</label><select class="in is-text" id="packing" name="packing"><option value="">nothing that is counted</option>@foreach ($desk->onHand->packing() as $supply)<option value="{{ $supply->ulid }}" @selected($problem !== null && request('packing') === $supply->ulid)>{{ $supply->name }}, {{ $supply->words($supply->held, $profile) }} there</option>@endforeach</select><x-problem for="packing" :problem="$problem" /></div>
                <div class="w-28"><x-field name="packed" label="how many" :value="$problem !== null && is_string(request('packed')) ? mb_substr(request('packed'), 0, 20) : (string) $desk->document->makes->count" :problem="$problem" inputmode="numeric" autocomplete="off" /></div>
            </div>
        @endif
        @if (! $making->isDone())
            <p class="mt-3"><input type="checkbox" id="as-it-is" name="as_it_is" value="1" class="size-5 align-middle"> <label for="as-it-is">It is done as it is</label></p>
        @endif
        <p class="mt-3 flex flex-wrap items-center gap-4"><button type="submit" class="do" id="close-making">Close the making</button> <span class="quiet small">Out of the coil, into the piece, the rest to the scrap jar. Lines in the book are never edited, only reversed.</span></p>
    </form>
@endif
@php($closed = $desk->closedMakings())
@if ($closed->isNotEmpty())
    <section @class(['rule-top mt-6' => $making !== null])>
    <h2>{{ $closed->count() === 1 ? 'One making in the book' : $closed->count().' makings in the book' }}</h2>
    @foreach ($closed as $one)
        <article class="leaf mt-3">
            <p class="flex flex-wrap justify-between gap-2"><strong>{{ ucfirst($one->document()->makes->words()) }}, closed {{ $one->closed_at->format('j F Y') }}</strong> <span class="quiet">{{ $one->minutes === null ? 'time not noted' : $one->minutes.' minutes' }} · <a href="/makings/{{ $one->ulid }}/record">the record</a></span></p>
            <table class="ledger small mt-1"><caption class="sr-only">Metal moved</caption><tbody>
                @foreach (\App\View\Desk::bill($one) as $row)
                    <tr><td>{{ $row['words'] }}</td><td class="num">{{ number_format(abs($row['mg']) / 1000, 3) }} g</td></tr>
                @endforeach
                @foreach ($desk->counted($one) as $line)
                    <tr><td>{{ $line->words }}</td><td class="num">{{ $line->supply === null ? abs($line->amount) : $line->supply->words(abs($line->amount), $profile) }}</td></tr>
                @endforeach
            </tbody></table>
            @if ($one->note !== '')<p class="mt-2">{{ $one->note }}</p>@endif
        </article>
    @endforeach
    <p class="mt-3"><a href="/stock/book">The metal book</a></p>
    </section>
@elseif ($making === null)
    <div class="bench-step">
        <h2>Nothing made yet</h2>
        <p class="tell">When a making is done, what was cut and what was left over is written here, and the metal moves in the book.</p>
        <p><a class="do" href="{{ $desk->url('make') }}">Start making</a></p>
    </div>
@endif
