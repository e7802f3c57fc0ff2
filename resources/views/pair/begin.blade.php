<section @class(['empty', 'is-low' => $lately !== [] || $grants !== []])>
    <p class="answer">Choose or type a male and a female.</p>
    <p class="soft">You get the exact odds of everything they can give: by look and by genotype, for an egg and for a clutch.<br>Write as
        you speak: <em>Pastel het Clown</em>, <em>66% het Piebald</em>, <em>Mojave/Mystic</em>, <em>Yellow Belly or Gravel</em>,
        <em>Banana (male maker)</em>.</p>
    <p class="soft mb-0">Leave one side empty and say what you want: you get the best mates. Leave both empty: the best pairs.</p>
</section>
@if ($lately !== [] || $grants !== [])
    <div class="two">
        @if ($grants !== [])
            <section class="sheet" aria-labelledby="asked-title">
                <div class="head"><h2 id="asked-title">Suggested by your projects</h2><a href="{{ route('projects.index') }}">The season
                    over all projects</a></div>
                <ul class="plain lines mb-0">
                    @foreach ($grants as $grant)
                        <li><a href="{{ route('pair', $grant['query']) }}"><strong>{{ $grant['words'] }}</strong></a>
                            <span class="soft d-block small">{{ $grant['says'] }}</span></li>
                    @endforeach
                </ul>
            </section>
        @endif
        @if ($lately !== [])
            <section class="sheet" aria-labelledby="lately-title">
                <div class="head"><h2 id="lately-title">Looked at last</h2></div>
                <ul class="plain lines mb-0">
                    @foreach ($lately as $one)
                        <li><a href="{{ route('pair', $one['query']) }}"><strong>{{ $one['words'] }}</strong></a>
                            <span class="soft d-block small">{{ $one['said'] }}</span></li>
                    @endforeach
                </ul>
            </section>
        @endif
    </div>
@endif
