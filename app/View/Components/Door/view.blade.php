<!doctype html>
<html lang="en" data-bs-theme="light">
<x-head :title="$title"/>
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
