@use('Hebra\Core\Quantity\Figures')
{{-- Copies as tins on their board, one carried away, one brought in, and the way out. --}}
@php([$last, $copies] = [$desk->lastCopy(), $desk->copies()])
<section class="account-copies" id="copies" aria-labelledby="copies-title">
    <h2 id="copies-title">{!! $last === null ? 'No copy yet' : 'The last copy is <span>from '.e($last->isToday() ? $last->format('H:i').' today' : $last->format('j F, H:i')).'.</span>' !!}</h2>
    <p class="quiet">{{ $last === null ? 'One a day is made by itself while Hebra is served.' : 'Read back whole. One a day is made by itself; they lie on this machine.' }}</p>
    @if ($copies !== [])
    <ol class="tins" aria-label="Copies of">@foreach ($copies as $copy)<li
        @class(['is-today' => $copy['isToday']])><span>{{ $copy['isToday'] ? 'today' : $copy['day']->format('D') }}</span>
        <span class="figure">{{ $copy['day']->format('j') }}<span
        class="sr-only"> {{ $copy['day']->format('F') }}</span></span></li>@endforeach</ol>
    @endif
    <h3>Carry one away</h3>
    <p class="quiet small">Everything in one file: pieces with their history, stock, makings, photos and the metal book. Take it to another machine now and then.</p>
    <p class="mt-2"><a class="do" href="/account/workshop.zip">Export the workshop</a></p>
    <details class="mt-3" @if ($problem !== null && $problem->field() === 'file') open @endif>
        <summary>Bring one in</summary>
    <form method="post" action="/account/workshop" enctype="multipart/form-data" class="account-fields">@csrf
        <div class="field"><label for="file">File of a workshop</label><input class="in" id="file" name="file"
            type="file" accept=".zip,.json,application/zip,application/json"><x-problem for="file"
            :problem="$problem" /></div>
        @unless ($desk->isEmpty)<p><input type="checkbox" id="replace" name="replace" value="1"
            class="size-5 align-middle"> <label
            for="replace">in the place of what is here, of which a copy is kept</label></p>@endunless
        <p><button type="submit" class="may">Bring it in</button></p></form></details>
    <details class="mt-2" @if ($problem !== null && $problem->field() === 'confirm') open @endif>
        <summary>Leave</summary>
        <p class="mt-1">{{ $desk->partners->isEmpty() ? 'Deletes this workshop with its pieces, stock and the whole metal book. It cannot be undone: export the workshop first.' : 'Deletes your account. The workshop stays with '.Figures::listed($desk->partners->pluck('name')->all()).'.' }}</p>
        <form method="post" action="/account" class="account-fields">@csrf @method('delete')
            <x-password name="confirm" label="Password, to be sure" :problem="$problem"
                autocomplete="current-password" />
            <p><button type="submit"
                class="may !border-flame !text-flame">{{ $desk->partners->isEmpty() ? 'Delete everything' : 'Delete my account' }}</button></p>
                </form></details>
</section>
