@php($problem ??= null)
<x-layout title="Sign in">
<div class="grid gap-10 mt-6 lg:grid-cols-[minmax(0,1fr)_24rem] items-start">
    @include('account.welcome')
    <section class="leaf">
        @if (config('hebra.demo'))
            <h1>The demo workshop</h1>
            <p class="mt-2 mb-3">Marram Lane is a made-up workshop getting ready for a winter market by the sea. Everything in it can be changed.</p>
            <form method="post" action="/enter-demo">@csrf<button type="submit" class="do w-full justify-center">Enter the demo workshop</button></form>
            <details class="mt-5"><summary class="quiet small">Sign in as a maker</summary>
        @else
            <h1>Sign in</h1>
        @endif
        <form method="post" action="/sign-in" class="grid gap-3 mt-3">@csrf
            <x-field name="email" type="email" class="is-text" label="E-mail" :value="is_string(request('email')) ? mb_substr(request('email'), 0, 200) : ''" :problem="$problem" autocomplete="username" />
            <x-password name="password" label="Password" :problem="$problem" autocomplete="current-password" />
            <p><input type="checkbox" id="remember" name="remember" value="1" class="size-5 align-middle"> <label for="remember">Keep me signed in here</label></p>
            <button type="submit" class="{{ config('hebra.demo') ? 'may' : 'do' }} justify-center">Sign in</button>
        </form>
        @if (config('hebra.demo'))</details>@endif
        @if (\App\Http\Controllers\SignUpController::isOpen())<p class="mt-3"><a href="/sign-up">Set up a workshop</a></p>@endif
    </section>
</div>
</x-layout>
