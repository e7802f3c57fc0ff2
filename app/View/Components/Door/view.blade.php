<!doctype html>
<html lang="en" data-bs-theme="light">
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
<body class="door">
<main class="door-page" id="main">
    <p class="door-sign"><svg width="64" height="36" viewBox="0 0 42 22" aria-hidden="true">
        <path d="M21 1 H11 A10 10 0 0 0 11 21 H21 Z" fill="currentColor"/>
        <path d="M21 11 H41 A10 10 0 0 1 31 21 H21 Z" fill="currentColor" opacity=".55"/>
        <path d="M11 1 H31 A10 10 0 0 1 31 21 H11 A10 10 0 0 1 11 1 Z" fill="none" stroke="currentColor" stroke-width="2"/>
    </svg> Destino</p>
    <section class="sheet stack">
        <h1>{{ $title }}</h1>
        {{ $slot }}
    </section>
</main>
</body>
</html>
