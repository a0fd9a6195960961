@use('Hebra\Core\School\School')
{{-- How one works, in sentences; the choice that is open has its ways beside it. --}}
<form id="schools-form" class="ways-of-working" method="post" action="/hand/schools" hx-put="/hand/schools" hx-trigger="change" hx-target="this" hx-swap="outerHTML">@csrf @method('put')
    <input type="hidden" name="open" value="{{ $open?->value }}">
    <div>
        <h2>How you work</h2>
        <p class="sentences">@foreach (School::cases() as $school)@php([$before, $after] = $school->sentence())<span @class(['is-open' => $school === $open])>{{ $before }} <a class="choice-said" id="say-{{ $school->value }}" href="/hand?school={{ $school->value }}#schools" hx-get="/hand?school={{ $school->value }}" hx-select="#schools-form" hx-target="#schools-form" hx-swap="outerHTML show:none" @if ($school === $open) aria-current="true" @endif>{{ $school->said($profile->schools->choice($school)) }}</a>{{ $after[0] === 'h' ? ' ' : '' }}{{ $after }}</span> @endforeach</p>
        <p class="quiet small" role="status">{{ $saved ? 'Saved: new plans follow it.' : 'Makers differ here, and both are right. Each choice changes what is planned.' }}</p>
    </div>
    @if ($open !== null)
    <fieldset class="ways-open">
        <legend>{{ $open->question() }}</legend>
        @foreach ($open->choices() as $value => [$words, $why])
            <p @class(['choice', 'is-chosen' => $profile->schools->is($open, $value)])><input type="radio" id="{{ $open->value }}-{{ $value }}" name="{{ $open->value }}" value="{{ $value }}" @checked($profile->schools->is($open, $value)) aria-describedby="why-{{ $open->value }}-{{ $value }}"><label for="{{ $open->value }}-{{ $value }}">{{ $words }}</label><span class="quiet small" id="why-{{ $open->value }}-{{ $value }}">{{ $why }}</span></p>
        @endforeach
        <p class="no-js mt-3"><button type="submit" class="do">Save</button></p>
    </fieldset>
    @endif
</form>
