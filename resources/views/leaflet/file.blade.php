@use('App\View\Leaflet')
<!doctype html>
<html lang="en">
<head><meta charset="utf-8"><meta name="viewport"
    content="width=device-width, initial-scale=1"><title>{{ $leaflet->desk->document->name }}</title><style>{!! Leaflet::styles() !!}</style></head>
<body class="leaflet-alone">@include('leaflet.sheet')</body>
</html>
