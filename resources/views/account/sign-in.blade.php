@use('App\Http\Controllers\SignUpController')
@php($problem ??= null)
<x-layout title="Sign in">
<div class="door">
    <section class="door-words">
        <p class="door-title">Every loop is a length of wire.</p>
        <p class="door-lead">Lay out the beads. Hebra works out each cut, each step and the price before you touch the snips, and keeps the book of the metal to the milligram.</p>
        @if (config('hebra.demo'))
            <h1 class="sr-only">The demo workshop</h1>
            <form method="post" action="/enter-demo">@csrf<button type="submit" class="do big">Enter the demo workshop</button></form>
            <p class="small quiet mt-3">Marram Lane is a made-up workshop getting ready for a winter market by the sea. Everything in it can be changed.</p>
            <details class="mt-3"><summary class="quiet small py-2">Sign in as a maker</summary>
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
        @if (SignUpController::isOpen())<p class="mt-3"><a href="/sign-up">Set up a workshop</a></p>@endif
    </section>
    <div class="door-picture">@include('account.welcome')</div>
</div>
</x-layout>
