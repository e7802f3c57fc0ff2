<x-station :title="$animal->name" station="season" :crumb="$clutch->title()" :crumb-link="route('bench', $clutch)" focus>
    <div class="identify" data-module="identify" data-about="{{ $animal->name }}" data-page="{{ $clutch->id }}-{{ $animal->id }}">
        <nav class="siblings" aria-label="Siblings">
            @foreach ($page->bench->hatchlings as $id => $one)<a href="{{ route('identify', [$clutch, $id] + $places) }}"
                @if ($id === $animal->id) aria-current="page" @endif>{!! $prints->ofBelief($page->bench->belief($one),
                $page->bench->days($one) ?? 0, $id) !!}<span class="visually-hidden">{{ $one->name }},
                {{ $page->known($one)?->isSure() ? 'sure' : 'open' }}</span><span class="how-far" aria-hidden="true"
                style="--share: {{ round(100 * ($page->known($one)?->done() ?? 0)) }}%"></span></a>@endforeach
        </nav>
        <div class="it">
            @if ($animal->latestPhoto)<img class="it-picture" src="{{ route('photos.show', $animal->latestPhoto) }}" alt="">@else<span
                class="it-picture">{!! $prints->medium($own, $known?->name() ?? $animal->name) !!}</span>@endif
            <div>
                <p class="mb-1"><strong data-name>{{ $known?->name() ?? 'Not a hatchling of these parents' }}</strong></p>
                <p class="soft small mb-1">{{ implode(' · ', array_filter([$animal->sex?->value,
                    $page->bench->days($animal) === null ? null : $page->bench->days($animal).' days',
                    $page->place().' of '.count($page->bench->hatchlings)])) }}</p>
                @unless ($animal->latestPhoto)<a class="small" href="{{ route('animals.show', $animal) }}#photos"><x-icon name="plus-lg"/>
                    Add a photograph</a>@endunless
            </div>
        </div>
        <p class="odds" role="status"><span data-shown>@forelse ($known?->shown() ?? [] as $words)<span>{{ $words }}</span>@empty<span>No
            gene of its parents shows</span>@endforelse</span> <span class="soft" data-carried>@foreach ($known?->carried() ?? []
            as $words)<span>{{ $words }}</span>@endforeach</span></p>
        @foreach ($questions as $question)
            <section @class(['question', 'is-asked' => $question['asked']]) id="cue-{{ $question['cue']->key }}"
                data-question="{{ $question['cue']->key }}" data-cue="{{ $question['cue']->name }}"
                data-seen="{{ $question['seen'] ?? '' }}" @if ($question['asked']) data-asked @endif>
                <h2 tabindex="-1">{{ $question['cue']->question() }}</h2>
                <p class="soft small mb-2">{{ ucfirst(str_replace('-', ' ', $question['cue']->where)) }}.@if ($question['separates'] !== '')
                    Tells {{ $question['separates'] }}.@endif {{ $question['cue']->note }}</p>
                <form method="post" action="{{ route('bench.see', $clutch) }}">@csrf<input type="hidden" name="animal"
                    value="{{ $animal->id }}"><input type="hidden" name="cue" value="{{ $question['cue']->key }}"><input type="hidden"
                    name="was" value="{{ $question['seen'] ?? '' }}"><input type="hidden" name="from" value="identify"><input type="hidden"
                    name="form_token" value="{{ Str::uuid() }}">
                    <div @class(['replies', 'in-words' => ! $pictures->has($question['cue']->key)])>@foreach ($question['likely']
                        as $number)@include('clutches.answer', ['number' => $number])@endforeach</div>
                    @if ($question['unlikely'] !== [])<details class="mt-2"><summary>Other answers
                        ({{ count($question['unlikely']) }})</summary><div @class(['replies', 'mt-2',
                        'in-words' => ! $pictures->has($question['cue']->key)])>@foreach ($question['unlikely']
                        as $number)@include('clutches.answer', ['number' => $number])@endforeach</div></details>@endif
                </form>
            </section>
        @endforeach
        <section class="question done" data-done>
            <h2 tabindex="-1"><span data-done-says>{{ collect($questions)->where('asked', true)->whereNull('seen')->isEmpty()
                ? 'Nothing more to look for at this age' : 'Later' }}</span></h2>
            @if ($page->later() !== [])<p class="soft">Look again when it is older: {{ implode('; ', $page->later()) }}.</p>@endif
            <p class="soft">What the eye leaves open, a test of the shed skin or breeding will tell.</p>
            <p class="row-flow">@if ($next)<a class="button main" data-next
                href="{{ route('identify', [$clutch, $next] + $places) }}">Identify {{ $next->name }}</a>@endif <a class="button"
                href="{{ route('bench', $clutch) }}">The whole clutch</a> <a class="button"
                href="{{ route('animals.show', $animal) }}">{{ $animal->name }}</a></p>
        </section>
        <p class="soft small mb-0 by-order">{{ $page->sure() }} of {{ count($page->bench->hatchlings) }} sure. Order:
            @if ($page->byPlace)<a href="{{ route('identify', [$clutch, $animal]) }}">what tells
            most</a> · by place on the body @else what tells most · <a
            href="{{ route('identify', [$clutch, $animal, 'order' => 'place']) }}">by place on the body</a>@endif</p>
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
