@php($profile = $desk->profile)
<div class="flex flex-wrap items-baseline justify-between gap-x-6">
    <h2>Which wire goes through</h2>
    <p class="quiet small">with {{ $profile->clearanceMm }} mm to move · {{ $profile->sizes->words() }}</p>
</div>
@forelse ($desk->document->roles() as $role)
    @php([$wire, $rows] = [$desk->document->wires[$role], $desk->wireTable($role)])
    @php($hasHoles = $rows[0]->marginMm !== null)
    <section class="rule-top mt-4" aria-labelledby="role-{{ $role }}">
        <div class="flex flex-wrap items-end justify-between gap-x-4 gap-y-2">
            <h3 id="role-{{ $role }}">{{ ['ear' => 'Ear wire', 'link' => 'Links', 'pin' => 'Head pins'][$role] ?? ucfirst($role) }} <span class="quiet font-normal">{{ $wire->words() }}</span></h3>
            <form class="bar small" method="post" action="/pieces/{{ $desk->piece->ulid }}/changes" hx-post="/pieces/{{ $desk->piece->ulid }}/changes" hx-trigger="change, submit">
                @csrf
                <input type="hidden" name="do" value="wire"><input type="hidden" name="role" value="{{ $role }}">
                @include('fragments.where', ['desk' => $desk, 'then' => []])
                <label class="quiet" for="metal-{{ $role }}">metal</label>
                <select class="in is-text !w-auto !min-h-9 !py-0" id="metal-{{ $role }}" name="metal">
                    @foreach (\Hebra\Core\Wire\Metal::cases() as $metal)<option value="{{ $metal->value }}" @selected($metal === $wire->metal)>{{ $metal->words() }}</option>@endforeach
                </select>
                <label class="quiet" for="temper-{{ $role }}">temper</label>
                <select class="in is-text !w-auto !min-h-9 !py-0" id="temper-{{ $role }}" name="temper">
                    @foreach (\Hebra\Core\Wire\Temper::cases() as $temper)<option value="{{ $temper->value }}" @selected($temper === $wire->temper)>{{ $temper->words() }}</option>@endforeach
                </select>
                <button type="submit" class="tool no-js">set</button>
            </form>
        </div>
        @php([$near, $far] = collect($rows)->partition(fn ($row) => $row->isChosen || $row->isUsual || ($row->marginMm !== null && abs($row->marginMm) < 0.2)))
        @include('stages.wire-table', ['rows' => $near])
        @if ($far->isNotEmpty())
            <details class="small mt-1"><summary class="text-verdigris underline">{{ \Hebra\Core\Quantity\Figures::counted($far->count(), 'other size') }}</summary>@include('stages.wire-table', ['rows' => $far])</details>
        @endif
        <form class="flex flex-wrap items-end gap-2 mt-2" method="post" action="/pieces/{{ $desk->piece->ulid }}/changes" hx-post="/pieces/{{ $desk->piece->ulid }}/changes">
            @csrf
            <input type="hidden" name="do" value="wire"><input type="hidden" name="role" value="{{ $role }}">
            @include('fragments.where', ['desk' => $desk, 'then' => []])
            @php($isHere = $problem !== null && request('role') === $role)
            <div class="w-52"><x-field name="size" :id="'size-'.$role" label="Another size" :value="$isHere && is_string(request('size')) ? mb_substr(request('size'), 0, 60) : ''" :problem="$isHere ? $problem : null" placeholder="0.7 mm, 18 swg" autocomplete="off" /></div>
            <button type="submit" class="may">Use it</button>
        </form>
    </section>
@empty
    <p class="mt-4">Nothing is laid out yet: <a href="{{ $desk->url('lay-out') }}">start from the ear down</a>.</p>
@endforelse
<div class="rule-top mt-5">
    @include('stages.checks', ['checks' => $desk->plan->checks])
    <p class="text-right"><a class="do" href="{{ $desk->url('cut') }}">See the cuts</a></p>
</div>
