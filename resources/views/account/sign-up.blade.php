@use('App\Support\Passwords')
@php($problem ??= null)
@php($title = $token === null ? 'Set up your workshop' : 'Join '.$workshop->name)
<x-layout :title="$title">
<div class="door">
    <section class="door-words">
        <p class="door-lead">Every loop is a length of wire: lay out the beads, and each cut, step and price is worked out before you touch the snips.</p>
        <h1>{{ $title }}</h1>
        <form method="post" action="{{ $token === null ? '/sign-up' : '/join/'.$token }}" class="grid gap-3 mt-3">@csrf
            @php($was = fn (string $key): string => is_string(request($key)) ? mb_substr(request($key), 0, 200) : '')
            @if ($token === null)<x-field name="workshop" class="is-text" label="Name of the workshop" :value="$was('workshop')" :problem="$problem" autocomplete="organization" />@endif
            <x-field name="name" class="is-text" label="Your name" :value="$was('name')" :problem="$problem" autocomplete="name" />
            <x-field name="email" type="email" class="is-text" label="E-mail" :value="$was('email')" :problem="$problem" autocomplete="username" />
            <x-password name="password" :label="'Password, '.Passwords::LEAST.' characters or more'" hint="A few words with spaces do well." :problem="$problem" autocomplete="new-password" />
            <button type="submit" class="do justify-center">{{ $token === null ? 'Open the workshop' : 'Come in' }}</button>
        </form>
        @if (config('hebra.sign_up') === 'open')<p class="mt-3 small"><a href="/sign-in">I have one: sign in</a></p>@endif
    </section>
    <div class="door-picture">@include('account.welcome')</div>
</div>
</x-layout>
