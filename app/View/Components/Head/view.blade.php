<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <title>{{ $title }} · Destino</title>
    <link rel="icon" href="/icon.svg" type="image/svg+xml">
    <link rel="stylesheet" href="/vendor/bootstrap/reboot.css">
    <link rel="stylesheet" href="/vendor/bootstrap/utilities.css">
    <link rel="stylesheet" href="{{ $assets->url('css/destino.css') }}">
    <script src="{{ $assets->url('js/theme.js') }}"></script>
    <script type="module" src="{{ $assets->url('js/destino.js') }}"></script>
</head>
