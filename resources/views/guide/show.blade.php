<x-station title="Guide" station="guide">
    <p class="soft">What Destino does for you, in the order of the work. Each chapter is a minute.</p>
    <nav class="row-flow mb-3" aria-label="Chapters">@foreach ($lists->chapters() as $chapter)<a
        href="#{{ $chapter->value }}">{{ $chapter->title() }}</a>@endforeach</nav>
    <div class="stack guide">
        @foreach ($lists->chapters() as $chapter)
            <section class="sheet" id="{{ $chapter->value }}"><div class="head"><h2>{{ $loop->iteration }}
                {{ $chapter->title() }}</h2></div><div class="chapter"><div>@include('guide.'.$chapter->value)</div>
                <figure><img src="{{ asset('pictures/'.$chapter->picture().'.webp') }}" alt="{{ $chapter->shows() }}" loading="lazy">
                <figcaption class="soft small">{{ $chapter->shows() }}</figcaption></figure></div></section>
        @endforeach
    </div>
</x-station>
