@use('App\Exceptions\Refused')
{{-- One kind of cut on the ruler: what stayed, what was foretold to be left, what was. --}}
@php([$cut, $part, $share] = [$row->cut, $row->key, $row->share])
@php([$at, $figure] = [$log->rule->share(...), $profile->ruler->figure(...)])
@php($offered = $desk->onHand->lotOffered($share))
@php($chosen = $problem !== null ? (string) (is_string(request()->input("lot.$part")) ? request()->input("lot.$part") : '') : ($offered?->ulid ?? ''))
@php($lots = collect($desk->onHand->lotsFor($cut))->mapWithKeys(fn ($lot) => [$lot->ulid => $lot->name.', '.($lot->isPins() ? $lot->heldPins().' pins' : $profile->length($lot->heldMm()).' left')])->put('', ($cut->isBoughtPin() ? 'pins' : 'wire').' not in stock')->all())
<li class="left-row">
    <div class="left-who"><strong>{{ $cut->label }}</strong>
        <span class="figure">× {{ $share->count }}</span><br><span
        class="quiet small">{{ $cut->wire->words() }}</span></div>
    <div class="left-laid" data-of="{{ $part }}" data-long="{{ round(100 / max(1e-6, $at(1000.0)) * 1000, 3) }}"
        data-mg="{{ round($row->milligramsPerMm(), 5) }}" data-trim="{{ round($row->trimmedMg(), 3) }}" data-booked="{{ $row->booked->netMg() }} {{ $row->booked->scrapMg() }}" data-keep="{{ $profile->keepMm }}">
    @unless ($cut->isBoughtPin())
        <svg class="log-bar metal-{{ $cut->wire->metal->value }}" width="100%" height="34" role="img"
            aria-label="Cut {{ $profile->length($row->cutMm) }}: {{ $row->words() }}, {{ $profile->length($row->leftMm()) }} left as foretold">@foreach ($log->rule->ticks() as $x)<line
            class="left-grid" x1="{{ $x }}%" x2="{{ $x }}%" y1="0" y2="34"/>@endforeach<x-wire :long="$at($row->keptMm).'%'" :thick="12" :y="11" /><rect class="log-foretold" x="{{ $at($row->keptMm) }}%"
            y="11.5" width="{{ $at($row->leftMm()) }}%" height="11"/><rect class="log-left"
            x="{{ $at($row->cutMm) }}%" y="8" width="0" height="18"/><path class="tick" d="M0.5 6v22"/>
            <line class="tick" x1="{{ $at($row->cutMm) }}%" x2="{{ $at($row->cutMm) }}%" y1="6" y2="28"/></svg>
    @endunless
        <div class="spoken">
            @if ($cut->isBoughtPin())
            <span>{{ $profile->length($row->cutMm) }} pins, {{ $profile->length($cut->trimmedMm()) }} trimmed from each,</span>
            @else
            <x-said :name="'cut['.$part.']'" :id="'cut-'.$part" :problem-for="'cut.'.$part" label="cut"
                :aria-label="$cut->label.', cut'" :value="$input('cut', $part, $figure($row->cutMm))" :problem="$problem" />
            <x-said :name="'left['.$part.']'" :id="'left-'.$part" :problem-for="'left.'.$part" label="left"
                :aria-label="$cut->label.', left over'" :value="$input('left', $part, '')" :placeholder="$figure($row->leftMm())" class="said is-assumed" :problem="$problem" :after="$profile->unit()->value" />
            @endif
            <x-said :name="'lot['.$part.']'" :id="'lot-'.$part" :problem-for="'lot.'.$part" label="from"
                :aria-label="$cut->label.', from'" :value="$chosen" :options="$lots" :problem="$problem" />
            <span class="quiet left-words">{{ $row->words() }}</span>
        </div>
        @if ($problem instanceof Refused && $problem->field() === 'lot.'.$part && $problem->ways !== [])
            <div class="bar mt-1">@foreach ($problem->ways as $way)@foreach ($way->fields as $name => $value)<button
                type="submit" class="tool" name="{{ $name }}" value="{{ $value }}">{{ $way->words }}</button>@endforeach @endforeach</div>
        @endif
        @unless ($cut->isBoughtPin() && $share->count < 2)
        <details class="small"
            @if ($input('others', $part, '').$input('short', $part, '') !== '' || ($problem !== null && preg_match('/^(kept|others|short)\.'.preg_quote($part, '/').'$/', $problem->field()) === 1)) open @endif><summary
            class="quiet">{{ $cut->isBoughtPin() ? 'some from another lot' : 'offcut kept, from another lot, ran short' }}</summary>
            <div class="spoken">
            @unless ($cut->isBoughtPin())
                <x-said :name="'kept['.$part.']'" :id="'kept-'.$part" :problem-for="'kept.'.$part" label="offcut kept"
                    :aria-label="$cut->label.', offcut kept'" :value="$input('kept', $part, '')" :placeholder="$figure($row->offcutMm())" class="said is-assumed" :problem="$problem" :after="$profile->unit()->value" />
                <x-said :name="'short['.$part.']'" :id="'short-'.$part" :problem-for="'short.'.$part"
                    label="ran short by" :aria-label="$cut->label.', ran short by'" :value="$input('short', $part, '')" placeholder="mm, or ?" class="said is-assumed" :problem="$problem" />
            @endunless
            @if ($share->count > 1)
                <x-said :name="'others['.$part.']'" :id="'others-'.$part" :problem-for="'others.'.$part"
                    label="from another lot" :aria-label="$cut->label.', how many from another lot'" :value="$input('others', $part, '')" placeholder="0" inputmode="numeric" class="said is-assumed" :problem="$problem" />
                <x-said :name="'other_lot['.$part.']'" :id="'other-lot-'.$part" label="of them"
                    :aria-label="$cut->label.', of them the other lot'" :value="$input('other_lot', $part, '')" :options="$lots" />
            @endif
            </div></details>
        @endunless
    </div>
</li>
