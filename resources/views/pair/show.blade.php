<x-station title="Pair" station="pair">
    @if ($page)
        <x-slot:actions>
            <a class="button" href="{{ route('pair.sheet', $inquiry->query()) }}"><x-icon name="printer"/>Sheet to print</a>
            <a class="button" href="{{ route('pair.export', $inquiry->query()) }}"><x-icon name="download"/>All outcomes as CSV</a>
        </x-slot:actions>
    @endif
    <div class="stack">
        @include('pair.ask')
        @if ($page)
            @include('pair.answer')
        @elseif ($mates && $mates->error === null)
            @include('pair.mates')
        @elseif ($inquiry->errors === [])
            <section class="empty">
                <p class="answer">Choose or type a male and a female.</p>
                <p class="soft">You get the exact odds of everything they can give: by look and by genotype, for an egg and for a clutch.<br>Write as you speak: <em>Pastel het Clown</em>, <em>66% het Piebald</em>, <em>Mojave/Mystic</em>, <em>Yellow Belly or Gravel</em>, <em>Banana (male maker)</em>.</p>
                <p class="soft mb-0">Leave one side empty and say what you want: you get the best mates. Leave both empty: the best pairs.</p>
            </section>
        @endif
    </div>
</x-station>
