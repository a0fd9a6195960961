{{-- What is wanted, occasion by occasion; no field stands open that nobody is editing. --}}
<section class="occasions" aria-labelledby="occasions-title">
    <h2 id="occasions-title">What is wanted</h2>
    @foreach ($wanted->occasions as $occasion)
        <article class="occasion" aria-labelledby="occasion-{{ $occasion->id }}">
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
            <details @if ($problem !== null && request()->route('occasion') instanceof \App\Models\Occasion && request()->route('occasion')->is($occasion))
                open @endif><summary>{{ $occasion->wants->isEmpty() ? 'Say what is wanted' : 'More pieces, or change it' }}</summary>
                <form class="market-form" method="post" action="/occasions/{{ $occasion->ulid }}/wants">
                    @csrf @method('put')
                    <div class="field"><label for="piece-{{ $occasion->id }}">Piece</label><select class="in is-text"
                        id="piece-{{ $occasion->id }}" name="piece">@foreach ($desk->pieces() as $one)<option
                        value="{{ $one->ulid }}" @selected(request('piece') === $one->ulid)>{{ $one->name }}</option>
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
                        :value="$occasion->paid_cents === 0 ? '' : \Hebra\Core\Price\Bill::cents($occasion->paid_cents)" :problem="$problem" autocomplete="off" />
                    <button type="submit" class="may self-end">Change it</button>
                </form>
                <form method="post" action="/occasions/{{ $occasion->ulid }}">
                    @csrf @method('delete')<button type="submit"
                    class="word small">take {{ $occasion->name }} out of the plan</button></form>
            </details>
        </article>
    @endforeach
    <details class="mt-3" @if ($wanted->occasions->isEmpty() || ($problem !== null && request()->is('occasions')))
        open @endif>
        <summary class="day-title">{{ $wanted->occasions->isEmpty() ? 'Plan for a day' : 'Plan for another day' }}</summary>
        <form class="market-form" method="post" action="/occasions">@csrf
            <div class="field"><label for="new-kind">For</label><select class="in is-text" id="new-kind" name="kind">
                @foreach (\App\Models\Occasion::KINDS as $kind => $words)<option value="{{ $kind }}"
                @selected(request('kind') === $kind)>{{ $words }}</option>@endforeach</select></div>
            <x-field name="name" id="new-name" label="Name, or who" :value="$was('name')" :problem="$problem"
                placeholder="Harbour market" maxlength="80" autocomplete="off" />
            <x-field name="due" id="new-due" label="Day" type="date" :value="$was('due')" :problem="$problem" />
            <x-field name="note" id="new-note" label="Note" :value="$was('note')" :problem="$problem" maxlength="500"
                autocomplete="off" />
            <button type="submit" class="do self-end">Plan for it</button>
        </form>
    </details>
</section>
