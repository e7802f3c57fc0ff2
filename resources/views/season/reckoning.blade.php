<x-station title="Season {{ $page->season }}" station="season">
    <x-season-tabs here="results"/>
    <div class="stack">
        @if (count($page->seasons) > 1)<nav class="choices at-start" aria-label="Season">@foreach ($page->seasons as $one)<a
            href="{{ route('season.reckoning', $one) }}" @if ((string) $one === $page->season) aria-current="true"
            @endif>{{ $one }}</a>@endforeach</nav>@endif
        @if ($ribbon->bands !== [])
        <section class="sheet">
            <div class="head"><h2>Over the months</h2><button class="button slim no-print" type="button" data-module="print"
                hidden>Print</button></div>
            <x-season-ribbon :ribbon="$ribbon"/>
        </section>
        @endif
        <section class="sheet">
            <div class="head"><h2>Results</h2><span class="soft small">{{ $page->clutches->count() }}
                {{ Str::plural('clutch', $page->clutches->count()) }}, of which {{ $eggs['clutches'] }} laid</span></div>
            <dl class="facts mb-0">
                <dt>Eggs</dt><dd>{{ $eggs['laid'] }} good, {{ $eggs['infertile'] }} {{ Str::plural('slug', $eggs['infertile']) }}</dd>
                <dt>Hatched</dt><dd>{{ $eggs['of'] > 0
                    ? "{$eggs['hatched']} of {$eggs['of']} good eggs (".round(100 * $eggs['hatched'] / $eggs['of']).' %), in clutches where
                        both are noted'
                    : 'no clutch has both its eggs and its young noted yet' }}</dd>
                <dt>Sexes of the young kept</dt><dd>{{ $sexes['males'] }} {{ Str::plural('male', $sexes['males']) }},
                    {{ $sexes['females'] }} {{ Str::plural('female', $sexes['females']) }}{{ $sexes['open'] > 0
                    ? ", {$sexes['open']} not known" : '' }}@if ($sexes['luck'] && $sexes['luck']->tail()->toFloat() < .05).
                    <span class="soft">Among as many at even odds only {{ $say->percent($sexes['luck']->tail()) }} are as uneven this way;
                    where you kept by sex, that is the reason.</span>@endif</dd>
            </dl>
        </section>
        <section class="sheet">
            <div class="head"><h2>Hits compared with the odds</h2><span class="soft small">young of which it is known, alive, by
                the first target that a pairing can do something for</span></div>
            <form method="get" action="{{ route('season.reckoning', $page->season) }}" class="ask-line mb-3">
                <div class="field"><label for="target">Other target</label><input class="input" id="target" name="target"
                    value="{{ $page->typed }}" maxlength="400" placeholder="Clown, or leave empty for your projects" spellcheck="false"
                    autocapitalize="off" @if ($page->error) aria-invalid="true" aria-describedby="target-error" @endif><x-field-error
                    id="target-error" :message="$page->error"/></div>
                <button class="button" type="submit">Compare</button>
            </form>
            @if ($page->rows === [])
                <p class="mb-0 soft">Nothing to compare yet:
                    {{ $page->typed === '' ? 'a project, or a target typed here, gives the target'
                    : 'no pairing of the season gives it by chance' }}, and the hatchlings have to be identified, added as animals or
                        counted by
                    look.</p>
            @else
                <p class="answer">{{ $all->hits }} of {{ $all->eggs }} young, {{ number_format($all->expected()->toFloat(), 1) }} expected.
                    <span class="soft">{{ $say->together($all, 'seasons') }}</span></p>
                <x-luck-rows :rows="$page->rows" label="Pairings of the season"/>
            @endif
            @if ($page->silent() > 0)<p class="soft small mb-0 mt-3">{{ $page->silent() }} hatched
                {{ Str::plural('clutch', $page->silent()) }} {{ $page->silent() === 1 ? 'stands' : 'stand' }} in no row: more than one
                possible sire, nothing of the target to be had by chance, or nothing told of the young. The odds are those of the parents as
                they are believed now, with all that their young have said.</p>@endif
        </section>
    </div>
</x-station>
