@php([$workshop, $profile] = [$desk->workshop, $desk->profile])
<x-layout title="Workshop and account" here="Account">
    <h1 class="mt-4">Workshop and account</h1>
    <div class="grid gap-8 mt-4 md:grid-cols-2 items-start">
        <section class="leaf"><h2>Units and habits</h2>
            <form method="post" action="/account/units" class="grid gap-3 mt-2">@csrf @method('put')
                <p class="spoken"><x-said name="name" label="This workshop is called" :value="$workshop->name" :problem="$problem" after="." />
                    <x-said name="ruler" id="ruler" label="My ruler shows" :value="$profile->ruler->value" :options="array_column(\Hebra\Core\Quantity\Ruler::cases(), 'value', 'value')" :problem="$problem" after="," />
                    <x-said name="sizes" id="sizes" label="and my wire is labelled in" :value="$profile->sizes->value" :options="$desk->sizeSystems()" :problem="$problem" after="." /></p>
                <p class="spoken"><x-said name="clearance" label="In a hole a wire wants" :value="\Hebra\Core\Quantity\Figures::trim($profile->clearanceMm, 3).' mm'" :problem="$problem" after="of room." />
                    <x-said name="low" label="It runs low below" :value="$profile->length($workshop->low_um / 1000)" :problem="$problem" after="," />
                    <x-said name="keep" label="and offcuts are kept from" :value="$profile->length($profile->keepMm)" :problem="$problem" after="on." /></p>
                <p><input type="hidden" name="shortcuts" value="0"><input type="checkbox" id="shortcuts" name="shortcuts" value="1" class="size-5 align-middle" @checked($workshop->shortcuts)> <label for="shortcuts">Single keys act (+, −, space, letters)</label></p>
                @foreach (['has_scale' => 'A scale stands on a cable at this bench', 'has_camera' => 'Photos are taken with this device’s camera'] as $device => $words)
                <p><input type="hidden" name="{{ $device }}" value="0"><input type="checkbox" id="{{ $device }}" name="{{ $device }}" value="1" class="size-5 align-middle" @checked($workshop->$device)> <label for="{{ $device }}">{{ $words }}</label></p>
                @endforeach
                <p><button type="submit" class="do">Save</button></p>
            </form></section>
        <div class="grid gap-8">
        <section class="leaf"><h2>Light</h2>
            @php($light = request()->cookie('light') ?? 'system')
            <form method="post" action="/account/light" class="bar mt-2" aria-label="Light of the pages">@csrf @method('put')
                @foreach (['system' => 'as this device has it', 'day' => 'day', 'evening' => 'evening'] as $value => $words)<button type="submit" class="tool" name="light" value="{{ $value }}" @if ($light === $value) aria-current="true" @endif>{{ $words }}</button>@endforeach
            </form>
            <p class="quiet small mt-1">On this device. Evening is warm and dark, for a bench under one lamp.</p></section>
        <section class="leaf"><h2>Password</h2>
            <form method="post" action="/account/password" class="grid gap-3 mt-2">@csrf @method('put')
                <x-password name="current" label="Password now" :problem="$problem" autocomplete="current-password" />
                <x-password name="password" :label="'New password, '.\App\Support\Passwords::LEAST.' characters or more'" :problem="$problem" autocomplete="new-password" />
                <p><button type="submit" class="may">Change it</button></p></form></section>
        <section class="leaf"><h2>Who works here</h2>
            <p class="mt-1">You{{ $desk->partners->isEmpty() ? ', alone.' : ' and '.\Hebra\Core\Quantity\Figures::listed($desk->partners->pluck('name')->all()).'. The book tells who wrote each line.' }}</p>
            @if (session('invitation'))
                <div class="said mt-2" role="status"><p>Give this link to one maker. It works once, for {{ \App\Models\Invitation::DAYS }} days, and is not shown again.</p><p class="mt-1"><input class="in w-full" readonly value="{{ session('invitation') }}" aria-label="Invitation link"></p></div>
            @endif
            <form method="post" action="/account/invitations" class="mt-2">@csrf<button type="submit" class="may">Invite a maker</button></form></section>
        @if ($desk->lan() !== null)
            @php($code = \App\Support\QrCode::of($desk->lan()))
            <section class="leaf"><h2>The phone at the bench</h2>
                <div class="flex gap-4 items-start mt-2"><svg width="132" height="132" viewBox="0 0 {{ $code->size() }} {{ $code->size() }}" shape-rendering="crispEdges" role="img" aria-label="QR code of {{ $desk->lan() }}"><rect width="100%" height="100%" class="qr-light"/><path class="qr-dark" d="{{ $code->path() }}"/></svg>
                <p>Point its camera here, or open <span class="figure break-all">{{ $desk->lan() }}</span>. The first time it must trust this workshop: the terminal shows the way.</p></div></section>
        @endif
        <section class="leaf" id="copies"><h2>Kept and carried away</h2>
            <p class="mt-1">{{ $desk->kept() }} Copies lie on this machine: carry one to another now and then.</p>
            <p class="mt-2"><a class="may" href="/account/workshop.zip">Export the workshop</a> <span class="quiet small">pieces with their history, stock, makings, photos and the metal book</span></p>
            <form method="post" action="/account/workshop" enctype="multipart/form-data" class="grid gap-2 mt-3">@csrf
                <div class="field"><label for="file">Bring one in</label><input class="in" id="file" name="file" type="file" accept=".zip,.json,application/zip,application/json"><x-problem for="file" :problem="$problem" /></div>
                @unless ($desk->isEmpty)<p><input type="checkbox" id="replace" name="replace" value="1" class="size-5 align-middle"> <label for="replace">in the place of what is here, of which a copy is kept</label></p>@endunless
                <p><button type="submit" class="may">Bring it in</button></p></form></section>
        <section class="leaf"><h2>Leave</h2>
            <p class="mt-1">{{ $desk->partners->isEmpty() ? 'Deletes this workshop with its pieces, stock and the whole metal book. It cannot be undone: export the workshop first.' : 'Deletes your account. The workshop stays with '.\Hebra\Core\Quantity\Figures::listed($desk->partners->pluck('name')->all()).'.' }}</p>
            <form method="post" action="/account" class="grid gap-3 mt-2">@csrf @method('delete')
                <x-password name="confirm" label="Password, to be sure" :problem="$problem" autocomplete="current-password" />
                <p><button type="submit" class="may !border-flame !text-flame">{{ $desk->partners->isEmpty() ? 'Delete everything' : 'Delete my account' }}</button></p></form></section>
        </div>
    </div>
    <p class="quiet small mt-6">Hebra {{ config('hebra.version') }}</p>
</x-layout>
