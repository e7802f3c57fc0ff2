<x-station title="Masks and confusions" station="genes" crumb="Genes" :crumb-link="route('genes.index')">
    <x-gene-tabs here="confusions"/>
    <div class="stack">
    <section class="sheet">
        <div class="head"><h2>Which looks you will mix up</h2><span class="soft small">of the genes that are in your collection; what your
            plans can give this season first</span></div>
        @if ($pairs === [])<p class="soft mb-0">Nothing in this collection looks alike enough to be mixed up. Add animals, and this page
            looks through their genes.</p>@endif
        <ul class="pairs">
            @foreach ($pairs as $pair)
                <li><div class="pair-looks">
                    <figure>{!! $prints->of($pair['looks'][0]) !!}<figcaption>{{ $pair['one'] }}</figcaption></figure>
                    <figure>{!! $prints->of($pair['looks'][1]) !!}<figcaption>{{ $pair['other'] }}</figcaption></figure></div>
                    <div><p class="mb-1">{{ $pair['tells'] }}</p>@if ($pair['says'])<p class="small soft mb-1">{{ $pair['says'] }}</p>@endif
                    <p class="small mb-0">@if ($pair['planned'] > 0)<span class="tag doubt">in {{ $pair['planned'] }}
                        {{ Str::plural('pairing', $pair['planned']) }} of this season</span> @endif <a class="quiet"
                        href="{{ route('looks.compare', ['genes' => [$pair['one'], $pair['other']]]) }}">side by side</a></p></div></li>
            @endforeach
        </ul>
    </section>
    <section class="sheet">
        <div class="head"><h2>What hides what</h2><span class="soft small">forms that can come of the genes here</span></div>
        @if ($masks === [])<p class="soft mb-0">Nothing that can come of the genes here hides another.</p>@endif
        <ul class="plain">@foreach ($masks as $mask)<li><strong>{{ $mask['form'] }}</strong>:
            {{ $mask['hides'] }}@if ($mask['shows'] !== '') <span class="soft small">Shows through:
            {{ $mask['shows'] }}.</span>@endif</li>@endforeach</ul>
    </section>
    </div>
    {!! $prints->symbols() !!}
</x-station>
