<form id="schools-form" method="post" action="/hand/schools" hx-put="/hand/schools" hx-trigger="change" hx-target="this" hx-swap="outerHTML">@csrf @method('put')
    <div class="flex flex-wrap items-baseline justify-between gap-4"><h2>Schools</h2><p class="quiet small" role="status">{{ $saved ? 'Saved: new plans follow it.' : 'Makers differ here, and both are right. Each choice changes what is planned.' }}</p></div>
    <div class="schools">
    @foreach (\Hebra\Core\School\School::cases() as $school)
        <fieldset>
            <legend>{{ $school->question() }}</legend>
            @foreach ($school->choices() as $value => [$words, $why])
                <p class="choice"><input type="radio" id="{{ $school->value }}-{{ $value }}" name="{{ $school->value }}" value="{{ $value }}" @checked($profile->schools->is($school, $value)) aria-describedby="why-{{ $school->value }}-{{ $value }}"><label for="{{ $school->value }}-{{ $value }}">{{ $words }}</label><span class="quiet small" id="why-{{ $school->value }}-{{ $value }}">{{ $why }}</span></p>
            @endforeach
        </fieldset>
    @endforeach
    </div>
    <p class="no-js mt-3"><button type="submit" class="do">Save</button></p>
</form>
