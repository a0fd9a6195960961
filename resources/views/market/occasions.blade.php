@use('App\Models\Occasion')
@use('App\View\Coins')
@use('App\View\Market\PlanDesk')
{{-- What is wanted, occasion by occasion; no field stands open that nobody is editing. --}}
<section class="occasions" aria-labelledby="occasions-title">
    <h2 id="occasions-title">What is wanted</h2>
    @foreach ($wanted->occasions as $occasion)
        <article class="occasion" id="of-{{ $occasion->ulid }}"
            aria-labelledby="occasion-{{ $occasion->id }}">
            <p class="flex flex-wrap items-baseline gap-x-3"><strong
                id="occasion-{{ $occasion->id }}">{{ $occasion->name }}</strong>
                <span class="quiet small">{{ $occasion->kind }}, {{ $occasion->due_on->format('l j F') }}</span>
                <span class="small figure">{{ $desk->owed($occasion) }}</span></p>
            @if ($occasion->note !== '')<p class="small quiet">{{ $occasion->note }}</p>@endif
            <ul class="wants">@foreach ($desk->piecesOf($occasion) as $piece)
                <li><a href="/pieces/{{ $piece->want->piece->ulid }}">{{ $piece->want->piece->name }}</a>
                    <span class="quiet small">{{ $desk->told($piece) }}</span>
                    <form class="bar" method="post" action="/plan/wants/{{ $piece->want->ulid }}">@csrf @method('put')
                        <button type="submit" class="count-step" name="count"
                            value="{{ max(0, $piece->want->count - 1) }}" aria-label="One {{ $piece->want->piece->name }} fewer">−</button><strong
                            class="figure">{{ $piece->want->count }}</strong><button type="submit" class="count-step"
                            name="count" value="{{ $piece->want->count + 1 }}" aria-label="One {{ $piece->want->piece->name }} more">+</button></form>
                            </li>
            @endforeach</ul>
            @if ($occasion->repair !== null)<p><a
                href="/repairs/{{ $occasion->repair->ulid }}">{{ $occasion->repair->name }}</a>:
                {{ $occasion->repair->words }} <span
                    class="quiet small">{{ PlanDesk::time((float) $occasion->repair->minutes) }}</span></p>
            @elseif ($desk->isOpened($occasion))
            <form class="market-form" method="post" action="/occasions/{{ $occasion->ulid }}/wants">
                @csrf @method('put')
                <div class="field"><label for="piece-{{ $occasion->id }}">Piece</label><select class="in is-text"
                    id="piece-{{ $occasion->id }}" name="piece" autofocus>@foreach ($desk->pieces() as $ulid => $name)<option
                    value="{{ $ulid }}" @selected(request('piece') === $ulid)>{{ $name }}</option>
                    @endforeach</select></div>
                <x-field name="count" :id="'count-'.$occasion->id" label="How many" class="!w-24"
                    :value="$was('count', '1')" :problem="$problem" inputmode="numeric" autocomplete="off" />
                <x-field name="price" :id="'price-'.$occasion->id" label="Price of one" class="!w-28"
                    :value="$was('price')" :problem="$problem" placeholder="38.00" autocomplete="off" />
                <x-field name="from" :id="'from-'.$occasion->id" label="Not before" type="date"
                    :value="$was('from')" :problem="$problem" />
                <button type="submit" class="may self-end">Want it</button>
            </form>
            <form class="market-form" method="post" action="/occasions/{{ $occasion->ulid }}">
                @csrf @method('put')<input type="hidden" name="kind" value="{{ $occasion->kind }}">
                <x-field name="name" :id="'name-'.$occasion->id" label="Name" :value="$occasion->name"
                    :problem="$problem" maxlength="80" autocomplete="off" />
                <x-field name="due" :id="'due-on-'.$occasion->id" label="Day" type="date"
                    :value="$occasion->due_on->format('Y-m-d')" :problem="$problem" />
                <x-field name="note" :id="'note-'.$occasion->id" label="Note" :value="$occasion->note"
                    :problem="$problem" maxlength="500" autocomplete="off" />
                <x-field name="paid" :id="'paid-'.$occasion->id" label="Paid so far" class="!w-28"
                    :value="$occasion->paid_cents === 0 ? '' : Coins::text($occasion->paid_cents)" :problem="$problem" autocomplete="off" />
                <button type="submit" class="may self-end">Change it</button>
            </form>
            <form method="post" action="/occasions/{{ $occasion->ulid }}">
                @csrf @method('delete')<button type="submit"
                class="word small">take {{ $occasion->name }} out of the plan</button></form>
            @else
            <p><a id="change-{{ $occasion->id }}" href="/plan?change={{ $occasion->ulid }}#of-{{ $occasion->ulid }}"
                hx-get="/plan?change={{ $occasion->ulid }}" hx-select="#of-{{ $occasion->ulid }}" hx-swap="outerHTML"
                hx-target="closest article">{{ $occasion->wants->isEmpty() ? 'Say what is wanted' : 'More pieces, or change it' }}</a></p>
            @endif
        </article>
    @endforeach
    <details class="mt-3" id="new"
        @if ($wanted->occasions->isEmpty() || request()->is('plan') && request()->has('piece') || ($problem !== null && request()->is('occasions')))
        open @endif>
        <summary class="day-title">{{ $wanted->occasions->isEmpty() ? 'Plan for a day' : 'Plan for another day' }}</summary>
        <form class="market-form" method="post" action="/occasions">@csrf
            <div class="field"><label for="new-kind">For</label><select class="in is-text" id="new-kind" name="kind">
                @foreach (Occasion::KINDS as $kind => $words)<option value="{{ $kind }}"
                @selected((request('kind') ?? (request()->is('plan') && request()->has('piece') ? 'order' : '')) === $kind)>{{ $words }}</option>
                    @endforeach</select></div>
            <x-field name="name" id="new-name" label="Name, or who" :value="$was('name')" :problem="$problem"
                placeholder="Harbour market" maxlength="80" autocomplete="off" />
            <x-field name="due" id="new-due" label="Day" type="date" :value="$was('due')" :problem="$problem" />
 @if (($all = $desk->pieces())->isNotEmpty())
            <div class="field"><label for="new-piece">Piece</label><select class="in is-text" id="new-piece"
                name="piece">
                <option value="">say it later</option>@foreach ($all as $ulid => $name)<option value="{{ $ulid }}"
                @selected(request('piece') === $ulid)>{{ $name }}</option>@endforeach</select></div>
            <x-field name="count" id="new-count" label="How many" class="!w-24" :value="$was('count', '1')"
                :problem="$problem" inputmode="numeric" autocomplete="off" />
            <x-field name="price" id="new-price" label="Price of one" class="!w-28" :value="$was('price')"
                :problem="$problem" placeholder="38.00" autocomplete="off" />
            <x-field name="paid" id="new-paid" label="Paid so far" class="!w-28" :value="$was('paid')"
                :problem="$problem" autocomplete="off" />
            @endif
            <x-field name="note" id="new-note" label="Note" :value="$was('note')" :problem="$problem" maxlength="500"
                autocomplete="off" />
            <button type="submit" class="do self-end">Plan for it</button>
        </form>
    </details>
    <details class="mt-3" id="take-in"
        @if (request()->has('number') || ($problem !== null && request()->is('repairs'))) open @endif>
        <summary class="day-title">Take in a repair or a change</summary>
        <form class="market-form" method="post" action="/repairs">@csrf
            <x-field name="number" id="repair-number" label="One of mine, no." class="!w-24"
                :value="is_string(request('number')) ? mb_substr(request('number'), 0, 9) : ''"
                :problem="$problem" inputmode="numeric" autocomplete="off" />
            <x-field name="name" id="repair-name" label="or which piece" :value="$was('name')" :problem="$problem"
                placeholder="her grandmother’s bangle" maxlength="80" autocomplete="off" />
            <x-field name="words" id="repair-words" label="What is done" :value="$was('words')" :problem="$problem"
                placeholder="a new hook, 2 links more" maxlength="500" autocomplete="off" />
            <x-field name="minutes" id="repair-minutes" label="Minutes" class="!w-24" :value="$was('minutes', '30')"
                :problem="$problem" inputmode="numeric" autocomplete="off" />
            <x-field name="price" id="repair-price" label="Price agreed" class="!w-28" :value="$was('price')"
                :problem="$problem" placeholder="12.00" autocomplete="off" />
            <x-field name="who" id="repair-who" label="For whom" :value="$was('who')" :problem="$problem"
                maxlength="80" autocomplete="off" />
            <x-field name="due" id="repair-due" label="By" type="date" :value="$was('due')" :problem="$problem" />
            <button type="submit" class="do self-end">Take it in</button>
        </form>
    </details>
    @if (($past = $desk->past())->isNotEmpty())
    <details class="mt-3"><summary class="day-title">What was</summary>
        <ul class="wants mt-1">@foreach ($past as $occasion)<li><span>{{ $occasion->name }}</span>
            <span class="quiet small">{{ $occasion->kind }}, {{ $occasion->due_on->format('j F Y') }}</span>
            <form method="post" action="/occasions/{{ $occasion->ulid }}">@csrf @method('delete')<button type="submit"
                class="word small" aria-label="forget {{ $occasion->name }}">forget</button></form></li>@endforeach</ul>
        <p class="small quiet">What was made and paid stays in the box and in the year.</p>
    </details>
    @endif
</section>
