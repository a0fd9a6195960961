@php($sum = $desk->sum)
<section id="sum" class="mt-3">
    <h2>{{ $sum->question }}</h2>
    @if ($desk->missing !== [])<p class="mt-1" id="unsaid">Not said, so taken for now: {{ $desk->unsaid() }}. Yours?</p>@endif
    <form method="get" action="/sums/{{ $sum->name }}" hx-get="/sums/{{ $sum->name }}" hx-target="#answer" hx-swap="outerHTML" hx-trigger="input changed delay:250ms, change, submit" class="sum-fields">
        @foreach ($sum->inputs as $input)
            @if ($desk->isSelect($input))
                <div class="field"><label for="field-{{ $input->key }}">{{ $input->words }}</label><select class="in is-text" id="field-{{ $input->key }}" name="{{ $input->key }}">
                    @php($now = $desk->text($input) !== '' ? $desk->text($input) : ($input->default ?? $input->example))
                    @foreach ($input->choices as $choice)<option value="{{ $choice }}" @selected(str_replace(' ', '-', mb_strtolower($now)) === $choice)>{{ str_replace('-', ' ', $choice) }}</option>@endforeach
                </select></div>
            @else
                <x-field :name="$input->key" :label="$input->words" :value="$desk->text($input)" :placeholder="$desk->placeholder($input)" :title="$input->range()" autocomplete="off" :autofocus="$desk->isAskedFor($input)" />
            @endif
        @endforeach
        <p class="col-span-full no-js"><button type="submit" class="do" name="keep" value="1">Work it out</button></p>
    </form>
    @include('sums.answer')
    @include('sums.recent', ['recent' => $desk->recent()])
</section>
