<x-station title="Sex, weigh, look" station="season" :crumb="$clutch->title()" :crumb-link="route('clutches.show', $clutch)">
    @if ($page->hatchlings->isEmpty())
        <section class="sheet empty"><p class="answer">No hatchlings here.</p><p class="soft">Add them on the page of the
            clutch; here they stand in a row.</p><p><a class="button main" href="{{ route('clutches.show', $clutch) }}">Add
            hatchlings</a></p></section>
    @else
        <div class="sheet first-day measure" data-module="first-day" data-weigh="{{ route('round.store', 'weight') }}"
            data-token="{{ $token }}"
            data-unit="{{ $unit }}">
            <div class="row-flow mb-2"><label for="day">Day</label><input class="input slim brief" type="date" id="day" data-day
                max="{{ now()->format('Y-m-d') }}" value="{{ now()->format('Y-m-d') }}"> <span class="soft small">Each tap saves at once.
                Tap again to undo it.</span></div>
            @foreach ($page->hatchlings as $animal)
                <details class="first-one" name="hatchling" data-one="{{ $animal->id }}" data-about="{{ $animal->name }}"
                    @if ($animal->is($page->begin())) open @endif>
                    <summary><strong>{{ $animal->name }}</strong> <span class="soft small" data-words>{{ $page->words($animal)
                        ?: 'not done yet' }}</span></summary>
                    <form method="post" action="{{ route('first-day.store', $animal) }}" class="row-flow mt-2">@csrf<input type="hidden"
                        name="was" value="{{ $animal->sex?->value }}"><span class="taps">@foreach (['male', 'female'] as $sex)<button
                        class="button tap-button" type="submit" name="sex" value="{{ $sex }}" aria-pressed="{{ $animal->sex?->value === $sex
                        ? 'true' : 'false' }}">{{ ucfirst($sex) }}</button>@endforeach</span></form>
                    <p class="row-flow mb-0 mt-2" data-with-script hidden><label for="grams-{{ $animal->id }}">Weight
                        <span class="soft">({{ $unit }})</span></label><input class="input brief" id="grams-{{ $animal->id }}"
                        inputmode="decimal" autocomplete="off" maxlength="9" data-grams></p>
                    @if ($mayManage && $page->looks !== [])<form method="post" action="{{ route('first-day.store', $animal) }}"
                        class="mt-2">@csrf<input type="hidden" name="was" value="{{ $page->look($animal) }}"><span
                        class="first-looks">@foreach ($page->looks as $look)<button class="reply" type="submit" name="look"
                        value="{{ $look['text'] }}" aria-pressed="{{ $page->look($animal) === $look['text'] ? 'true'
                        : 'false' }}">{!! $prints->ofForms($look['forms']) !!}<span>{{ $look['text'] }}</span></button>@endforeach</span>
                        </form>@endif
                    <p class="field-error mb-0" data-refused role="alert" hidden></p>
                    <p class="mb-0 mt-2 small"><a href="{{ route('identify', [$clutch, $animal]) }}">Another look, or not sure: identify
                        {{ $animal->objectPronoun() }}</a></p>
                </details>
            @endforeach
            <p class="soft small mb-0 mt-3">A tapped look counts as {{ $page::CERTAINTY }} % sure. What the cues show makes it surer or
                turns it over. Colours of the first days change with the first shed.</p>
            <p class="row-flow mb-0 mt-2"><a class="button" href="{{ route('bench', $clutch) }}"><x-icon name="search"/>Identify
                hatchlings</a> <a class="button" href="{{ route('box', $clutch) }}"><x-icon name="plus-lg"/>Photograph the box</a></p>
        </div>
    @endif
    {!! $prints->symbols() !!}
</x-station>
