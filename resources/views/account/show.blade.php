@use('App\Models\Invitation')
@use('App\Support\Passwords')
@use('App\Support\QrCode')
@use('Hebra\Core\Quantity\Figures')
@php([$workshop, $profile] = [$desk->workshop, $desk->profile])
<x-layout title="Workshop and account" here="Account">
    <div class="account mt-4">
        <div>
            <h1>{{ $workshop->name }}</h1>
            <section aria-labelledby="units-title"><h2 id="units-title">Ruler and wire</h2>
                @include('account.units')
            </section>
            <section aria-labelledby="hands-title"><h2 id="hands-title">Hands</h2>
                <p>You{{ $desk->partners->isEmpty() ? ', alone.' : ' and '.Figures::listed($desk->partners->pluck('name')->all()).'. The book tells who wrote each line.' }}
                    Here one makes with the <a
                        href="/hand?school=hand">{{ $profile->schools->isLeftHanded() ? 'left hand' : 'right hand' }}</a>, and cuts follow
                        <a href="/hand/learned">how you work</a>.</p>
                @if (session('invitation'))
                    <div class="said mt-2" role="status">
                        <p>Give this link to one maker. It works once, for {{ Invitation::DAYS }} days, and is not shown again.</p>
                        <p class="mt-1"><input class="in w-full" readonly value="{{ session('invitation') }}"
                        aria-label="Invitation link"></p></div>
                @endif
                <form method="post" action="/account/invitations" class="account-ask">
                    @csrf<p>Ask another maker in: a link that works once, for {{ Invitation::DAYS }} days.</p><button
                    type="submit" class="may">Invite a maker</button></form></section>
            <section aria-labelledby="light-title"><h2 id="light-title">Light</h2>
                @php($light = request()->cookie('light') ?? 'system')
                <form method="post" action="/account/light" class="bar" aria-label="Light of the pages">
                    @csrf @method('put')
                    @foreach (['system' => 'as this device has it', 'day' => 'day', 'evening' => 'evening'] as $value => $words)<button
                        type="submit" class="tool" name="light" value="{{ $value }}" @if ($light === $value) aria-current="true" @endif>{{ $words }}</button>@endforeach
                    <span class="quiet small">On this device. Evening is warm and dark, for a bench under one lamp.</span></form>
                        </section>
            <section aria-labelledby="sign-title"><h2 id="sign-title">Signing in</h2>
                <p>You sign in as <strong>{{ $desk->maker->email }}</strong>.</p>
                <details @if ($problem !== null && in_array($problem->field(), ['current', 'password'], true)) open
                    @endif><summary>Change the password</summary>
                <form method="post" action="/account/password" class="account-fields">@csrf @method('put')
                    <x-password name="current" label="Password now" :problem="$problem"
                        autocomplete="current-password" />
                    <x-password name="password"
                        :label="'New password, '.Passwords::LEAST.' characters or more'" :problem="$problem" autocomplete="new-password" />
                    <p><button type="submit" class="may">Change it</button></p></form></details></section>
            @if ($desk->lan() !== null)
                @php($code = QrCode::of($desk->lan()))
                <section aria-labelledby="phone-title"><h2 id="phone-title">The phone at the bench</h2>
                    <div class="flex gap-4 items-start mt-2"><svg width="132" height="132"
                        viewBox="0 0 {{ $code->size() }} {{ $code->size() }}" shape-rendering="crispEdges" role="img" aria-label="QR code of {{ $desk->lan() }}"><rect
                        width="100%" height="100%" class="qr-light"/><path class="qr-dark" d="{{ $code->path() }}"/>
                        </svg>
                    <p>Point its camera here, or open <span
                        class="figure break-all">{{ $desk->lan() }}</span>. The first time it must trust this workshop: the terminal shows the way.</p>
                        </div></section>
            @endif
        </div>
        @include('account.copies')
    </div>
    <p class="quiet small mt-6">Hebra {{ config('hebra.version') }}</p>
</x-layout>
