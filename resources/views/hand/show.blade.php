<x-layout title="Tools and hand" here="Hand">
    <x-hand-nav at="/hand" />
    <h1 class="mt-2">Tools and hand</h1>
    <p class="quiet">What you bend on, how you work, and what your metals do. Plans speak in it: “third mark”, “form on US 7, it opens to 7 1/2”.</p>
    <section id="tools" class="mt-5"><h2>Tools</h2>
        @if ($tools->isEmpty())<p class="mt-1">No tool yet: steps name diameters. Put in the pliers you reach for first, with the marks on their jaws.</p>@endif
        @if (session('tool'))
            <form class="bar mt-1" method="post" action="/tools">@csrf @foreach (session('tool') as $key => $value)<input type="hidden" name="{{ $key }}" value="{{ $value }}">@endforeach<button type="submit" class="tool">Put it back</button></form>
        @endif
        <ul class="tools">
        @foreach ($tools as $tool)
            @php($core = $tool->core())
            <li>
                <form method="post" action="/tools/{{ $tool->ulid }}" class="tool-row">@csrf @method('put')
                    <input type="hidden" name="kind" value="{{ $tool->kind }}">
                    <span class="tool-kind">{{ $core->kind->words() }}</span>
                    <x-field name="name" :id="'name-'.$tool->ulid" class="is-text" label="called" :value="$tool->name" :problem="$at === $tool->ulid ? $problem : null" autocomplete="off" />
                    <x-field name="marks" :id="'marks-'.$tool->ulid" :label="count($core->marksMm).' marks'" :value="$at === $tool->ulid && is_string(request('marks')) ? mb_substr(request('marks'), 0, 400) : $core->marksText()" :problem="$at === $tool->ulid ? $problem : null" autocomplete="off" />
                    @if ($core->kind === \Hebra\Core\Tool\ToolKind::Winder)<x-field name="grip" :id="'grip-'.$tool->ulid" label="lost in its grip" :value="$profile->size($core->gripMm)" :problem="$at === $tool->ulid ? $problem : null" autocomplete="off" />@endif
                    <button type="submit" class="tool">save</button>
                </form>
                <form method="post" action="/tools/{{ $tool->ulid }}">@csrf @method('delete')<button type="submit" class="word small" aria-label="take off {{ $tool->name }}">take off</button></form>
            </li>
        @endforeach
        </ul>
        <form method="post" action="/tools" class="tool-row leaf mt-3">@csrf
            @php($isNew = $at === 'new')
            <div class="field"><label for="new-kind">a tool more</label><select class="in is-text" id="new-kind" name="kind">@foreach (\Hebra\Core\Tool\ToolKind::cases() as $kind)<option value="{{ $kind->value }}" @selected($isNew && request('kind') === $kind->value)>{{ $kind->words() }}</option>@endforeach</select>@if ($isNew)<x-problem for="kind" :problem="$problem" />@endif</div>
            <x-field name="name" id="new-name" class="is-text" label="called" :value="$isNew && is_string(request('name')) ? mb_substr(request('name'), 0, 60) : ''" :problem="$isNew ? $problem : null" placeholder="fine round-nose" autocomplete="off" />
            <x-field name="marks" id="new-marks" label="its marks" :value="$isNew && is_string(request('marks')) ? mb_substr(request('marks'), 0, 400) : ''" :problem="$isNew ? $problem : null" placeholder="1.5, 2, 2.5, 3 mm · 3 to 12 by 1 mm · us 3 to us 13 by 1/2" autocomplete="off" />
            <x-field name="grip" id="new-grip" label="lost in its grip (winder)" :value="$isNew && is_string(request('grip')) ? mb_substr(request('grip'), 0, 40) : ''" :problem="$isNew ? $problem : null" placeholder="0 mm" autocomplete="off" />
            <button type="submit" class="do">Add it</button>
            @if ($isNew)<x-problem for="tools" :problem="$problem" />@endif
        </form>
    </section>
    <div id="schools" class="mt-8">@include('hand.schools', ['saved' => false])</div>
    @if ($at === 'schools')<p class="refusal" role="alert">{{ $problem->getMessage() }}</p>@endif
    <section id="metals" class="mt-8"><h2>Metals, as you find them</h2>
        <p class="quiet">Springiness and yield, for spring-back, loop strength and the wire chooser. If your copper springs more than planned, say so here.</p>
        @php($metal = \Hebra\Core\Wire\Metal::tryFrom(is_string(request('metal')) ? request('metal') : '') ?? (\Hebra\Core\Wire\Metal::tryFrom((string) request()->route('metal')) ?? \Hebra\Core\Wire\Metal::Sterling))
        @php($strength = $profile->strengths->of($metal))
        <form class="bar mt-2" method="get" action="/hand#metals"><label for="metal" class="quiet small">metal</label><select class="in is-text !w-auto" id="metal" name="metal">@foreach (\Hebra\Core\Wire\Metal::cases() as $one)<option value="{{ $one->value }}" @selected($one === $metal)>{{ $one->words() }}{{ $profile->strengths->isOwn($one) ? ' (yours)' : '' }}</option>@endforeach</select><button type="submit" class="tool">show</button></form>
        <form method="post" action="/hand/metals/{{ $metal->value }}" class="tool-row leaf mt-3">@csrf @method('put')
            @php($isHere = $at === 'metal')
            @foreach (['modulus' => ['springiness E, GPa', $strength->modulusGpa, 'modulus'], 'soft' => ['yields dead soft, MPa', $strength->softMpa, 'yield dead soft'], 'half_hard' => ['half hard, MPa', $strength->halfHardMpa, 'yield half hard'], 'hard' => ['hard, MPa', $strength->hardMpa, 'yield hard']] as $name => [$label, $value, $field])
                <x-field :name="$name" :label="$label" :value="$isHere && is_string(request($name)) ? mb_substr(request($name), 0, 40) : \Hebra\Core\Quantity\Figures::trim($value)" :problem="$isHere ? $problem : null" :problem-for="$isHere && in_array($problem->field(), [$name, $field], true) ? $problem->field() : $name" inputmode="decimal" autocomplete="off" />
            @endforeach
            <button type="submit" class="may" name="do" value="own">Use mine</button>
            @if ($profile->strengths->isOwn($metal))<button type="submit" class="word" name="do" value="usual">back to the usual</button>@endif
        </form>
        <p class="quiet small mt-1">{{ ucfirst($metal->words()) }}: {{ $strength->source }} · density {{ $metal->gramsPerCubicCentimetre() }} g/cm³ · takes about {{ $metal->numbersBeforeAnnealing() }} numbers before annealing.</p>
    </section>
</x-layout>
