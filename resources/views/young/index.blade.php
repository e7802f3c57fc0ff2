<x-station title="Keep or sell" station="season">
    <x-season-tabs here="young"/>
    <div class="stack">
        @if (count($page->seasons) > 0)<nav class="choices at-start"
            aria-label="Season">@foreach (array_slice($page->seasons, 0, 6) as $season)<a href="{{ route('young', ['season' => $season]) }}"
            @if ($season === $page->season) aria-current="true" @endif>{{ $season }}</a>@endforeach</nav>@endif
        @if ($page->rows === [])
            <section class="sheet empty"><p class="answer">No young of {{ $page->season }} are here.</p><p class="soft">Hatchlings that are
                kept as animals on the page of their clutch come here, each with what it does for your projects.</p></section>
        @else
            <p class="mb-0">{{ $page->heldWords() }} {{ $page->tubs() }} <span class="soft">Reasons to keep and to sell stand with each; you
                decide.</span></p>
            @if ($page->unplanned() !== [])<p class="field-error mb-0"><x-icon name="hourglass-split"/><span>What
                {{ implode(' and ', $page->unplanned()) }} would need is still being calculated.</span></p>@endif
            <div class="keep-or-sell">
            @foreach ($page->columns() as $column => $rows)
                <section aria-labelledby="column-{{ Str::lower($column) }}"><h2 id="column-{{ Str::lower($column) }}">{{ $column }}
                    <span class="soft">{{ count($rows) }}</span></h2>
                <ul class="plain young">
                @forelse ($rows as $row)
                    <li class="sheet">
                        <div class="row-flow in-line"><span class="young-print">{!! $prints->ofBelief($row['card']->belief(),
                            $row['card']->days(), $row['animal']->id) !!}</span>
                            <span><a href="{{ route('animals.show', $row['animal']) }}"><strong>{{ $row['animal']->name }}</strong></a>
                                <x-sex :animal="$row['animal']"/> <span class="tag">{{ $row['status']->value }}</span><span
                                class="d-block small">{{ $row['card']->genotype() }}</span></span></div>
                        <p class="mb-1 mt-2"><strong>{{ ['keep' => 'Reasons to keep', 'sell' => 'Reasons to sell',
                            'open' => 'No clear reason to keep or sell', 'ill' => 'Not for breeding'][$row['leans']] }}</strong>@if (
                            $seesMoney && $row['price'] && $row['leans'] !== 'ill')<span class="soft">; guide price {{ $row['price']
                                }}</span>@endif</p>
                        @if ($row['ill'] !== [])
                            <p class="mb-1"><x-icon name="exclamation-triangle"/> {{ implode('; ', $row['ill']) }}. If you sell, tell the
                                buyer. Ask a reptile vet what is best for it.</p>
                        @endif
                        @if ($row['keep'] !== [])<ul class="reasons small mb-1">@foreach ($row['keep'] as $why)<li><span class="tag hit">for
                            keeping</span> {{ $why }}</li>@endforeach</ul>@endif
                        @if ($row['sell'] !== [])<ul class="reasons small mb-1">@foreach ($row['sell'] as $why)<li><span class="tag">for
                            selling</span> {{ $why }}</li>@endforeach</ul>@endif
                        @if ($may && $row['status']->value !== 'hold-back')
                            <form method="post" action="{{ route('status.store', $row['animal']) }}" class="row-flow mt-2 no-print"
                                data-module="once">@csrf<input type="hidden" name="form_token" value="{{ Str::uuid() }}"><input
                                type="hidden" name="status" value="hold-back"><input type="hidden" name="on"
                                value="{{ now()->format('Y-m-d') }}"><input type="hidden" name="review_on" value="{{ $page->reviewOn() }}">
                                <input class="input slim" name="reason" maxlength="400" value="{{ Str::limit($row['keep'][0] ?? '', 380) }}"
                                    aria-label="Why {{ $row['animal']->name }} is held back" placeholder="why" required><button
                                    class="button slim" type="submit">Hold back</button><a class="button slim"
                                    href="{{ route('animals.show', $row['animal']) }}#sale">Offer</a></form>
                        @elseif ($row['status']->value === 'hold-back' && $row['animal']->latestStatus?->review_on)<p
                            class="small soft mb-0">Review on {{ $row['animal']->latestStatus->review_on->format('j M Y') }}.</p>@endif
                    </li>
                @empty<li class="soft small">Nobody yet.</li>@endforelse
                </ul></section>
            @endforeach
            </div>
            {!! $prints->symbols() !!}
        @endif
    </div>
</x-station>
