<!doctype html>
<html lang="en" data-bs-theme="light">
<x-head :title="$title"/>
<body>
<a class="skip" href="#main">Skip to the page</a>
<svg width="0" height="0" class="beside" aria-hidden="true"><defs>
    <path id="bead-left" d="M21 1 H11 A10 10 0 0 0 11 21 H21 Z"/>
    <path id="bead-right" d="M21 1 H31 A10 10 0 0 1 31 21 H21 Z"/>
    <path id="bead" class="bead-empty" d="M11 1 H31 A10 10 0 0 1 31 21 H11 A10 10 0 0 1 11 1 Z"/>
    <path id="bead-rim" class="bead-rim" d="M11 1 H31 A10 10 0 0 1 31 21 H11 A10 10 0 0 1 11 1 Z M21 1 V21"/>
</defs></svg>
<div @class(['frame', 'in-focus' => $focus])>
    <nav class="rail" aria-label="Stations">
        <a class="home" href="{{ route('today') }}"><svg width="38" height="24" viewBox="0 0 42 22" aria-hidden="true">
            <path d="M21 1 H11 A10 10 0 0 0 11 21 H21 Z" fill="currentColor"/>
            <path d="M21 11 H41 A10 10 0 0 1 31 21 H21 Z" fill="currentColor" opacity=".55"/>
            <path d="M11 1 H31 A10 10 0 0 1 31 21 H11 A10 10 0 0 1 11 1 Z" fill="none" stroke="currentColor" stroke-width="2"/>
        </svg>Destino</a>
        @foreach ($stations() as $i => [$key, $name, $icon, $link])
            <a @class(['station', 'at-desk' => ! $isFirst($i)]) href="{{ $link }}" @if ($station === $key) aria-current="page" @endif>
                <x-icon :name="$icon"/>{{ $name }}
            </a>
        @endforeach
        <details class="station-more"><summary @class(['station', 'is-here' => $isFurther()])><x-icon name="three-dots"/>More</summary>
            <div class="more-sheet">
                @foreach ($further() as [$key, $name, $icon, $link])
                    <a class="station" href="{{ $link }}" @if ($station === $key) aria-current="page" @endif><x-icon
                        :name="$icon"/>{{ $name }}</a>
                @endforeach
                <button type="button" class="station theme" data-module="theme-switch" hidden><x-icon name="moon-stars"/>Dark</button>
            </div>
        </details>
        <button type="button" class="station push theme" data-module="theme-switch" hidden><x-icon name="moon-stars"/>Dark</button>
    </nav>
    <main class="page" id="main">
        @if (($year ?? null) !== null && ! $focus && $station !== 'today')<x-year-ribbon :year="$year"/>@endif
        @if (config('destino.collection') === 'demo')
            <p class="demo-flag">Demo collection</p>
        @elseif (auth()->user()?->owner_id)
            <p class="demo-flag">{{ auth()->user()->name }}, {{ auth()->user()->role->value }}</p>
        @endif
        <header class="top">
            <div>
                @if ($crumb)<a class="crumb" href="{{ $crumbLink }}">{{ $crumb }}</a>@endif
                <h1>{{ $title }}</h1>
            </div>
            <div class="row-flow actions" data-module="more-actions">
                {{ $actions ?? '' }}
                @if ($chapter)
                    <a class="ask-guide no-print" href="{{ route('guide') }}#{{ $chapter->value }}"
                        aria-label="Guide: {{ $chapter->title() }}">
                        <x-icon name="question-circle"/><span class="in-menu">Help for this page</span>
                    </a>
                @endif
            </div>
        </header>
        <div class="waiting" data-outbox data-owner="{{ $owner() }}" hidden>
            <div class="row-flow" role="status"><span data-outbox-says></span>
                <button class="button slim" type="button" data-outbox-send>Send now</button></div>
            <ul class="plain" data-outbox-refused hidden></ul>
        </div>
        @if (session('said'))
            <div class="said row-flow" role="status">
                <span>{{ session('said') }}</span>
                @if (session('undo'))
                    <form method="post" action="{{ session('undo') }}">
                        @csrf
                        @if (session('undo_method')) @method(session('undo_method')) @endif
                        <button class="button" type="submit">{{ session('undo_words', 'Undo') }}</button>
                    </form>
                @endif
            </div>
        @endif
        @if ($isBehind ?? false)
            <div class="waiting behind row-flow no-print" data-module="behind" data-address="{{ route('worked-out') }}" role="status">
                <x-icon name="hourglass-split"/>
                <span data-says>
                    Updating the odds. This page still shows the figures from before your last change.
                </span>
                <a class="button slim" href="" data-show hidden>Show it</a>
            </div>
        @endif
        {{ $slot }}
    </main>
</div>
</body>
</html>
