@php($problem ??= null)
<x-layout title="Set up a workshop">
<div class="grid gap-10 mt-6 lg:grid-cols-[minmax(0,1fr)_24rem] items-start">
    @include('account.welcome')
    <section class="leaf">
        <h1>Set up your workshop</h1>
        <form method="post" action="/sign-up" class="grid gap-3 mt-3">@csrf
            @php($was = fn (string $key): string => is_string(request($key)) ? mb_substr(request($key), 0, 200) : '')
            <x-field name="workshop" class="is-text" label="Name of the workshop" :value="$was('workshop')" :problem="$problem" autocomplete="organization" />
            <x-field name="name" class="is-text" label="Your name" :value="$was('name')" :problem="$problem" autocomplete="name" />
            <x-field name="email" type="email" class="is-text" label="E-mail" :value="$was('email')" :problem="$problem" autocomplete="username" />
            <x-field name="password" type="password" label="Password, 10 characters or more" :problem="$problem" problem-for="password" autocomplete="new-password" />
            <button type="submit" class="do justify-center">Open the workshop</button>
        </form>
        @if (config('hebra.sign_up') === 'open')<p class="mt-3 small"><a href="/sign-in">I have one: sign in</a></p>@endif
    </section>
</div>
</x-layout>
