@use('App\View\Desk')
@use('App\View\Log\LogDesk')
@php([$making, $profile] = [$desk->making(), $desk->profile])
@if ($making !== null)
    @include('stages.left', ['log' => new LogDesk($desk)])
@endif
@php($closed = $desk->closedMakings())
@if ($closed->isNotEmpty())
    <section @class(['rule-top mt-6' => $making !== null])>
    <h2>{{ $closed->count() === 1 ? 'One making in the book' : $closed->count().' makings in the book' }}</h2>
    @foreach ($closed as $one)
        <article class="leaf mt-3">
            <p class="flex flex-wrap justify-between gap-2"><strong>{{ ucfirst($one->document()->makes->words()) }}, closed {{ $one->closed_at->format('j F Y') }}</strong> <span class="quiet">{{ $one->minutes === null ? 'time not noted' : $one->minutes.' minutes' }} · <a href="/makings/{{ $one->ulid }}/record">the record</a></span></p>
            <table class="ledger small mt-1"><caption class="sr-only">Metal moved</caption><tbody>
                @foreach (Desk::bill($one) as $row)
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
