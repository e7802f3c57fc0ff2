<x-station :title="implode(' and ', array_column($page->animals(), 'name'))" station="season" :crumb="$clutch->title()"
    :crumb-link="route('bench', $clutch)" focus>
    <div @class(['identify', 'is-two' => $page->beside]) data-module="identify" data-page="{{ $clutch->id }}-{{ implode('-',
        array_column($page->animals(), 'id')) }}">
        <nav class="siblings" aria-label="Siblings">
            @foreach ($page->bench->hatchlings as $id => $one)<a href="{{ route('identify', [$clutch, $id] + $places) }}"
                @if (in_array($one, $page->animals(), true)) aria-current="page" @endif data-sibling="{{ $id }}">{!! $prints->ofBelief(
                $page->bench->belief($one), $page->bench->days($one) ?? 0, $id) !!}<span class="visually-hidden">{{ $one->name }},
                {{ $page->known($one)?->isSure() ? 'sure' : 'open' }}</span><span class="how-far" aria-hidden="true"
                style="--share: {{ round(100 * ($page->known($one)?->done() ?? 0)) }}%"></span></a>@endforeach
        </nav>
        <div class="its">@foreach ($page->animals() as $one)@include('clutches.it', ['known' => $page->known($one)])@endforeach</div>
        @foreach ($questions as $question)
            <section @class(['question', 'is-asked' => $question['asked']]) id="cue-{{ $question['cue']->key }}"
                data-question="{{ $question['cue']->key }}" data-cue="{{ $question['cue']->name }}"
                @if ($question['asked']) data-asked @endif>
                <h2 tabindex="-1">{{ $question['cue']->question() }}</h2>
                <p class="soft small mb-2">{{ ucfirst(str_replace('-', ' ', $question['cue']->where)) }}.@if ($question['separates'] !== '')
                    Tells {{ $question['separates'] }}.@endif {{ $question['cue']->note }}</p>
                <div class="answers">@foreach ($page->animals() as $one)@include('clutches.answers',
                    ['question' => $question['of'][$one->id] ?? null, 'own' => $looks[$one->id]])@endforeach</div>
            </section>
        @endforeach
        <section class="question done" data-done>
            <h2 tabindex="-1"><span data-done-says>{{ collect($questions)->where('asked', true)->flatMap(fn ($question) =>
                $question['of'])->whereNull('seen')->isEmpty() ? 'Nothing more to look for at this age' : 'Later' }}</span></h2>
            @if ($page->later() !== [])<p class="soft">Look again when it is older: {{ implode('; ', $page->later()) }}.</p>@endif
            <p class="soft">What the eye leaves open, a test of the shed skin or breeding will tell.</p>
            <p class="row-flow">@if ($next)<a class="button main" data-next
                href="{{ route('identify', [$clutch, $next] + $places) }}">Identify {{ $next->name }}</a>@endif <a class="button"
                href="{{ route('bench', $clutch) }}">The whole clutch</a> <a class="button"
                href="{{ route('animals.show', $animal) }}">{{ $animal->name }}</a></p>
        </section>
        <div class="soft small row-flow by-order"><span>{{ $page->sure() }} of {{ count($page->bench->hatchlings) }} sure. Order:
            @if ($page->byPlace)<a href="{{ route('identify', [$clutch, $animal]) }}">what tells
            most</a> · by place on the body @else what tells most · <a
            href="{{ route('identify', [$clutch, $animal, 'order' => 'place']) }}">by place on the body</a>@endif</span>
            @if ($page->beside)<a href="{{ route('identify', [$clutch, $animal] + $places) }}">{{ $animal->name }} alone</a>
            @elseif ($page->others() !== [])<form method="get" action="{{ route('identify', [$clutch, $animal]) }}" class="row-flow"
                data-module="autosend">@foreach ($places as $name => $value)<input type="hidden" name="{{ $name }}"
                value="{{ $value }}">@endforeach<label for="beside">Beside</label><select class="input slim" id="beside"
                name="beside"><option value="">a sibling …</option>@foreach ($page->others() as $one)<option
                value="{{ $one->id }}">{{ $one->name }}</option>@endforeach</select><button class="button slim"
                type="submit" data-without-script>Show both</button></form>@endif</div>
        <div class="identify-foot no-print" data-with-script hidden>
            <label class="visually-hidden" for="any-cue">Another question</label>
            <select class="input" id="any-cue" data-any><option value="">Other …</option>@foreach (collect($questions)->groupBy(
                fn ($question) => $question['cue']->where) as $where => $some)<optgroup
                label="{{ ucfirst(str_replace('-', ' ', $where)) }}">@foreach ($some as $question)<option
                value="{{ $question['cue']->key }}">{{ $question['cue']->name }}</option>@endforeach</optgroup>@endforeach</select>
            <button class="button" type="button" data-undo disabled>Undo</button>
            <button class="button" type="button" data-cannot>Cannot tell</button>
            <button class="button" type="button" data-later>Later</button>
        </div>
    </div>
    {!! $prints->symbols() !!}
</x-station>
