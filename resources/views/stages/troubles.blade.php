@use('Hebra\Core\Plan\Trouble')
@use('Hebra\Core\Wire\Temper')
{{-- What goes wrong, each a key away: what it means now, for the wire at hand, and what can be done. --}}
@php($tempers = ['of-soft' => Temper::DeadSoft, 'of-hard' => Temper::Hard])
<details @class(['troubles', 'is-hard' => $making->isHard()])>
    <summary class="quiet">Something went wrong</summary>
    <div class="troubles-list">
    @foreach (Trouble::cases() as $trouble)
        <details name="trouble">
            <summary data-key="{{ $trouble->key() }}">{{ $trouble->words() }}
                <kbd>{{ mb_strtoupper($trouble->key()) }}</kbd></summary>
            @php($means = array_unique(array_map($trouble->means(...), $tempers)))
            @foreach ($means as $class => $words)<p class="mt-1 {{ count($means) > 1 ? $class : '' }}">{{ $words }}</p>@endforeach
            <div class="bar mt-1">
                @if ($trouble === Trouble::Bead)
                    <form class="bar" method="post" action="/makings/{{ $making->making->ulid }}/broken">@csrf
                        <label class="sr-only" for="broken">Which bead</label><select class="in is-text !w-auto"
                            id="broken" name="bead">@foreach ($desk->plan->beads as $count)<option
                            value="{{ $count->bead->key() }}">{{ $count->bead->words() }}</option>@endforeach</select>
                        <button type="submit" class="may">Note that it broke</button></form>
                @endif
                @if ($trouble === Trouble::Size)<a class="tool"
                    href="/practice">Ten loops on the mark</a>@endif
                @if ($trouble === Trouble::Other)<a class="tool"
                    href="{{ $desk->url('lay-out') }}">Lay it out</a>@endif
                @if ($trouble === Trouble::Interrupted)<a class="tool" href="/">To the bench</a>@endif
                @if ($making->copy() !== null && ! $making->isAgain() && ($trouble->takesAnotherCut() || $trouble->mayTakeAnotherCut()))
                    @include('stages.bench-form', ['sends' => ['do' => $trouble === Trouble::Short ? 'short' : 'spoiled'], 'class' => $trouble->takesAnotherCut() ? 'may' : 'tool', 'words' => 'A new cut'])
                @endif
            </div>
        </details>
    @endforeach
    </div>
</details>
