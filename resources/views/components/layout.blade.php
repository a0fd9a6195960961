{{-- What lies on white paper is by day, whatever the light. --}}
@props(['title', 'here' => '', 'isPaper' => false])
@php($light = $isPaper ? 'day' : request()->cookie('light'))
<!doctype html>
<html lang="en" @class(['is-day' => $light === 'day', 'is-evening' => $light === 'evening'])>
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <title>{{ $title }} · Hebra</title>
    <meta name="color-scheme" content="light dark">
    <meta name="csrf-token" content="{{ csrf_token() }}">
    <meta name="htmx-config" content='{"allowEval":false,"includeIndicatorStyles":false,"historyCacheSize":0,"responseHandling":[{"code":"204","swap":false},{"code":"[23]..","swap":true},{"code":"4..","swap":true},{"code":"...","swap":false,"error":true}]}'>
    <link rel="icon" href="/mark.svg" type="image/svg+xml">
    <link rel="manifest" href="/manifest.webmanifest">
    <link rel="apple-touch-icon" href="/icons/hebra-192.png">
    <meta name="theme-color" content="#f5f0e3">
    @vite(['resources/css/app.css', 'resources/js/app.js'])
</head>
<body hx-ext="patched" @auth data-shortcuts="{{ auth()->user()->workshop->shortcuts ? 'on' : 'off' }}" @endauth>
<a class="skip" href="#main">To the work</a>
@include('svg.defs')
<header class="sheet top no-print">
    <a class="mark" href="/">Hebra</a>
    @auth
        <nav aria-label="Workshop">
            @foreach (['/' => 'Bench', '/pieces' => 'Pieces', '/stock' => 'Stock', '/hand' => 'Hand', '/weave' => 'Weave', '/sums' => 'Sums'] as $address => $words)
                <a href="{{ $address }}" @if ($here === $words) aria-current="page" @endif>{{ $words }}</a>
            @endforeach
        </nav>
        @if ($here !== 'Sums')
        <form class="top-ask" method="get" action="/sums" role="search" aria-label="Sums and the workshop">
            <label for="top-ask" class="small quiet">Ask or find</label>
            <input id="top-ask" name="ask" placeholder="coil 24ga on 2.5mm, 3cm" maxlength="240" autocomplete="off" autocapitalize="off" spellcheck="false" aria-keyshortcuts="/" enterkeyhint="go">
            <input type="hidden" name="keep" value="1"><kbd aria-hidden="true">/</kbd>
        </form>
        @endif
        <div class="who">
            <a class="top-find" href="/find" @if ($here === 'Find') aria-current="page" @endif>Find</a>
            <a href="/account" @if ($here === 'Account') aria-current="page" @endif>{{ auth()->user()->workshop->name }} · {{ auth()->user()->workshop->ruler }}, {{ mb_strtoupper(auth()->user()->workshop->sizes) === 'MM' ? 'mm' : mb_strtoupper(auth()->user()->workshop->sizes) }}</a>
            <form method="post" action="/sign-out">@csrf<button type="submit" class="word small">Sign out</button></form>
        </div>
    @endauth
</header>
<main id="main" class="sheet pb-12">
    <p id="offline" class="banner" role="alert" hidden>The workshop cannot be reached just now. What was saved is safe; try again in a moment.</p>
    @if (session('said'))
        <p class="said" role="status">{{ session('said') }}</p>
    @endif
    {{ $slot }}
</main>
</body>
</html>
