@use('App\View\Hand\ToolDrawing')
@use('Hebra\Core\Quantity\Figures')
@use('Hebra\Core\Tool\ToolKind')
@use('Hebra\Core\Wire\Metal')
<x-layout title="Tools and hand" here="Hand">
<div class="hand">
    <x-hand-nav at="/hand" />
    @if (session('tool'))
        <form class="bar mt-1" method="post" action="/tools">@csrf @foreach (session('tool') as $key => $value)<input type="hidden" name="{{ $key }}" value="{{ $value }}">@endforeach<button type="submit" class="tool">Put it back</button></form>
    @endif
    <section id="tools" class="cloth" aria-label="Tools">
        <svg class="defs" aria-hidden="true"><defs>
            <linearGradient id="steel" x1="0" y1="0" x2="0" y2="1"><stop offset="0" stop-color="#8d949c"/><stop offset="0.28" stop-color="#eef1f4"/><stop offset="0.6" stop-color="#aab0b8"/><stop offset="1" stop-color="#646a72"/></linearGradient>
            <linearGradient id="steel-across" x1="0" y1="0" x2="1" y2="0"><stop offset="0" stop-color="#7d848c"/><stop offset="0.3" stop-color="#eef1f4"/><stop offset="0.65" stop-color="#aab0b8"/><stop offset="1" stop-color="#5c626a"/></linearGradient>
            <linearGradient id="steel-round" x1="0" y1="0" x2="1" y2="1"><stop offset="0" stop-color="#c3c8ce"/><stop offset="1" stop-color="#6f757d"/></linearGradient>
            <linearGradient id="wood" x1="0" y1="0" x2="0" y2="1"><stop offset="0" stop-color="#b98c55"/><stop offset="0.3" stop-color="#dcb681"/><stop offset="1" stop-color="#8d6434"/></linearGradient></defs></svg>
        @if ($tools->isEmpty())<p class="p-3">No tool yet: steps name diameters. Put in the pliers you reach for first, with the marks on their jaws.</p>@endif
        <ul class="cloth-tools">
        @foreach ($tools as $tool)
            @php($core = $tool->core())
            @php($isAt = $at === $tool->ulid)
            <li id="tool-{{ $tool->ulid }}">
                <details @if ($isAt) open @endif>
                    <summary><span><strong>{{ $tool->name }}</strong> <span class="quiet small">{{ mb_strtolower($tool->name) === $core->kind->words() ? '' : $core->kind->words().', ' }}{{ $core->kind === ToolKind::RingMandrel ? 'US sizes' : 'mm' }}</span></span>@include('svg.tool', ['tool' => new ToolDrawing($core)])<span class="sr-only">{{ $core->marksText() }}: change it</span></summary>
                    <form method="post" action="/tools/{{ $tool->ulid }}" class="tool-form">@csrf @method('put')
                        <input type="hidden" name="kind" value="{{ $tool->kind }}">
                        <x-field name="name" :id="'name-'.$tool->ulid" class="is-text" label="called" :value="$tool->name" :problem="$isAt ? $problem : null" autocomplete="off" />
                        <x-field name="marks" :id="'marks-'.$tool->ulid" :label="count($core->marksMm).' marks'" :value="$isAt && is_string(request('marks')) ? mb_substr(request('marks'), 0, 400) : $core->marksText()" :problem="$isAt ? $problem : null" autocomplete="off" />
                        @if ($core->kind === ToolKind::Winder)<x-field name="grip" :id="'grip-'.$tool->ulid" label="lost in its grip" :value="$profile->size($core->gripMm)" :problem="$isAt ? $problem : null" autocomplete="off" />@endif
                        <button type="submit" class="tool">save</button>
                    </form>
                    <form method="post" action="/tools/{{ $tool->ulid }}" class="tool-off">@csrf @method('delete')<button type="submit" class="word small" aria-label="take off {{ $tool->name }}">take off</button></form>
                </details>
            </li>
        @endforeach
        @php($isNew = $at === 'new')
            <li class="tool-new"><details @if ($isNew || $tools->isEmpty()) open @endif><summary>Add a tool</summary>
                <form method="post" action="/tools" class="tool-form">@csrf
                    <div class="field"><label for="new-kind">a tool more</label><select class="in is-text" id="new-kind" name="kind">@foreach (ToolKind::cases() as $kind)<option value="{{ $kind->value }}" @selected($isNew && request('kind') === $kind->value)>{{ $kind->words() }}</option>@endforeach</select>@if ($isNew)<x-problem for="kind" :problem="$problem" />@endif</div>
                    <x-field name="name" id="new-name" class="is-text" label="called" :value="$isNew && is_string(request('name')) ? mb_substr(request('name'), 0, 60) : ''" :problem="$isNew ? $problem : null" placeholder="fine round-nose" autocomplete="off" />
                    <x-field name="marks" id="new-marks" label="its marks" :value="$isNew && is_string(request('marks')) ? mb_substr(request('marks'), 0, 400) : ''" :problem="$isNew ? $problem : null" placeholder="1.5, 2, 2.5, 3 mm · us 3 to us 13 by 1/2" autocomplete="off" />
                    <x-field name="grip" id="new-grip" label="lost in its grip (winder)" :value="$isNew && is_string(request('grip')) ? mb_substr(request('grip'), 0, 40) : ''" :problem="$isNew ? $problem : null" placeholder="0 mm" autocomplete="off" />
                    <button type="submit" class="do">Add it</button>
                    @if ($isNew)<x-problem for="tools" :problem="$problem" />@endif
                </form></details></li>
        </ul>
    </section>
    <div class="hand-ways">
        <div id="schools">@include('hand.schools', ['saved' => false, 'open' => $school])
            @if ($at === 'schools')<p class="refusal" role="alert">{{ $problem->getMessage() }}</p>@endif</div>
        <section id="metals" aria-labelledby="metals-title"><h2 id="metals-title">Metals, as you find them</h2>
            <table class="metals"><thead><tr><td></td><th scope="col">springs<br>GPa</th><th scope="col">soft<br>MPa</th><th scope="col">half<br>hard</th><th scope="col">hard</th></tr></thead><tbody>
            @foreach ($metals as $one)@php([$of, $isOwn] = [$profile->strengths->of($one), $profile->strengths->isOwn($one)])
                <tr @class(['is-open' => $one === $metal, 'is-own' => $isOwn])><th scope="row"><a href="/hand?metal={{ $one->value }}#metals">{{ ucfirst($one->words()) }}</a></th>@foreach ([$of->modulusGpa, $of->softMpa, $of->halfHardMpa, $of->hardMpa] as $value)<td class="figure">{{ Figures::trim($value) }}</td>@endforeach</tr>@endforeach
            </tbody></table>
            @if ($metal === null)<p class="small quiet mt-1">Yours in green, else as books have it. If your copper springs more than planned, open it and say so.</p>
            @else
            @php($strength = $profile->strengths->of($metal))
            <form method="post" action="/hand/metals/{{ $metal->value }}" class="leaf mt-2 metal-form">@csrf @method('put')
                <h3>{{ ucfirst($metal->words()) }}</h3>
                @php($isHere = $at === 'metal')
                @foreach (['modulus' => ['springiness E, GPa', $strength->modulusGpa, 'modulus'], 'soft' => ['yields dead soft, MPa', $strength->softMpa, 'yield dead soft'], 'half_hard' => ['half hard, MPa', $strength->halfHardMpa, 'yield half hard'], 'hard' => ['hard, MPa', $strength->hardMpa, 'yield hard']] as $name => [$label, $value, $field])
                    <x-field :name="$name" :label="$label" :value="$isHere && is_string(request($name)) ? mb_substr(request($name), 0, 40) : Figures::trim($value)" :problem="$isHere ? $problem : null" :problem-for="$isHere && in_array($problem->field(), [$name, $field], true) ? $problem->field() : $name" inputmode="decimal" autocomplete="off" />
                @endforeach
                <p class="bar"><button type="submit" class="may" name="do" value="own">Use mine</button>
                @if ($profile->strengths->isOwn($metal))<button type="submit" class="word" name="do" value="usual">back to the usual</button>@endif <a href="/hand#metals">close</a></p>
                <p class="quiet small">{{ $strength->source }} · density {{ $metal->gramsPerCubicCentimetre() }} g/cm³ · takes about {{ $metal->numbersBeforeAnnealing() }} numbers before annealing.</p>
            </form>
            @endif
            <details class="small mt-2"><summary class="quiet py-2">Another metal</summary><p class="flex flex-wrap gap-x-3 leading-7">@foreach (Metal::cases() as $one)<a href="/hand?metal={{ $one->value }}#metals">{{ $one->words() }}</a>@endforeach</p></details>
        </section>
    </div>
</div>
</x-layout>
