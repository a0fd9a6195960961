<!doctype html>
<html lang="en">
<head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1"><title>Something broke · Hebra</title><link rel="icon" href="/mark.svg" type="image/svg+xml">@vite(['resources/css/app.css'])</head>
<body><main class="sheet py-12"><div class="metal-sterling">@include('svg.apart')</div><h1>Something broke here</h1><p class="banner">Nothing you saved is lost. Load the page again; if it happens again, the details are in storage/logs.</p><p><a class="may" href="/">To the bench</a></p></main></body>
</html>
