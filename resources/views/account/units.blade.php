@use('Hebra\Core\Quantity\Figures')
@use('Hebra\Core\Quantity\Ruler')
{{-- The ruler at true size, the wire as it is called here, and how one works, as sentences. --}}
<svg class="account-rule" width="100%" height="44" role="img"
    aria-label="A ruler in millimetres, at true size once the screen was measured">@for ($mm = 0; $mm <= 200; $mm++)<line
    x1="{{ 4 + $mm }}mm" x2="{{ 4 + $mm }}mm" y1="0" y2="{{ $mm % 10 === 0 ? 18 : ($mm % 5 === 0 ? 13 : 9) }}"/>@if ($mm % 10 === 0)<text
    x="{{ 5 + $mm }}mm" y="36">{{ $mm }}</text>@endif @endfor</svg>
<form method="post" action="/account/units">@csrf @method('put')
    <p class="spoken"><x-said name="name" label="This workshop is called" :value="$workshop->name" :problem="$problem"
        after="." />
        <x-said name="ruler" id="ruler" label="My ruler shows" :value="$profile->ruler->value"
            :options="array_column(Ruler::cases(), 'value', 'value')" :problem="$problem" after="," />
        <x-said name="sizes" id="sizes" label="and my wire is labelled in" :value="$profile->sizes->value"
            :options="$desk->sizeSystems()" :problem="$problem" after=":" />
        <span class="account-wires" aria-hidden="true">@foreach ($desk->wires() as [$mm, $words])<span><svg
            width="{{ round(7 * $mm, 1) }}" height="{{ round(7 * $mm, 1) }}" viewBox="0 0 10 10"><circle
            class="fig-wire" cx="5" cy="5" r="4.8"/></svg>{{ $words }}</span>@endforeach</span></p>
    <p class="spoken"><x-said name="clearance" label="In a hole a wire wants"
        :value="Figures::trim($profile->clearanceMm, 3).' mm'" :problem="$problem" after="of room." />
        <x-said name="low" label="It runs low below" :value="$profile->length($workshop->low_um / 1000)"
            :problem="$problem" after="," />
        <x-said name="keep" label="and offcuts are kept from" :value="$profile->length($profile->keepMm)"
            :problem="$problem" after="on." /></p>
    <div class="account-ways">
    @foreach (['shortcuts' => 'Single keys act (+, −, space, letters)', 'has_scale' => 'A scale stands on a cable at this bench', 'has_camera' => 'Photos are taken with this device’s camera'] as $device => $words)
    <p><input type="hidden" name="{{ $device }}" value="0">
        <input type="checkbox" id="{{ $device }}" name="{{ $device }}" value="1" class="size-5 align-middle"
        @checked($workshop->$device)> <label for="{{ $device }}">{{ $words }}</label></p>
    @endforeach
    <p><button type="submit" class="may">Save</button></p></div>
</form>
