<x-station title="Guide" station="guide">
    <p class="soft">What Destino does for you, in the order of the work. Each chapter is a minute.</p>
    <div class="stack guide">
        @foreach ($lists->chapters() as $chapter)
            <details class="sheet folded" id="{{ $chapter->value }}" data-module="fold-hash" @if ($loop->first) open @endif><summary><h2>{{
                $loop->iteration }} {{ $chapter->title() }}</h2><span class="soft small">{{ $chapter->shows() }}</span></summary><div
                class="chapter mt-2"><div>@include('guide.'.$chapter->value)</div>
                <figure><img src="{{ asset('pictures/'.$chapter->picture().'.webp') }}" alt="{{ $chapter->shows() }}" loading="lazy">
                <figcaption class="soft small">{{ $chapter->shows() }}</figcaption></figure></div></details>
        @endforeach
    </div>
</x-station>
