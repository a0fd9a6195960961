@if ($isFragment)
<div id="desk"><p class="banner" role="alert">{{ $text }}</p></div>
@else
<!doctype html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <title>Not just now · Hebra</title>
    <link rel="icon" href="/mark.svg" type="image/svg+xml">
    @vite(['resources/css/app.css'])
</head>
<body>
<header class="sheet top"><a class="mark" href="/">Hebra</a></header>
<main class="sheet pb-12">
    <h1 class="mt-6">Not just now</h1>
    <p class="banner" role="alert">{{ $text }}</p>
    <p><a class="may" href="">Try again</a></p>
</main>
</body>
</html>
@endif
