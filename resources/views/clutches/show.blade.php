<x-station :title="$clutch->title()" station="season" crumb="Clutches" :crumb-link="route('clutches.index')">
    <x-slot:actions>@if ($page->hatchlings !== [])<a class="button main" href="{{ route('bench', $clutch) }}"><x-icon
        name="search"/>Identify hatchlings</a>@endif @if ($clutch->laid_on || $clutch->eggs_good)<a class="button" href="{{ route('eggs',
        $clutch) }}"><x-icon
        name="egg"/>The eggs</a>@endif @if ($mayLog)<a class="button" href="{{ route('clutches.edit', $clutch) }}"><x-icon
        name="pencil"/>Edit</a>@endif
        @if (count($page->sires()) === 1)<a class="button"
            href="{{ route('pair', ['sire_id' => $page->sires()[0]->id, 'dam_id' => $clutch->dam_id]) }}"><x-icon name="grid-3x3"/>Odds of
            this pairing</a>@endif</x-slot:actions>
    <div class="two">
        <div class="stack">
            <section class="sheet">
                @if ($clutch->laid_on || $clutch->eggs_good || $page->hatchlings !== [])<x-egg-line :line="$page->line()"
                    :drawn="$drawn"/>@endif
                <p class="answer mb-2">{{ $clutch->stage() === 'hatched' ? 'Hatched on '.$clutch->hatched_on->format('j F Y')
                    : ($due !== null ? ucfirst($due->isOverdue ? "{$due->what} was due by {$due->to->format('j M')}. What happened?"
                    : 'next: '.$due->words()) : ucfirst($clutch->stage()).($clutch->laid_on === null ? ''
                    : ' on '.$clutch->laid_on->format('j F Y'))) }}{{ $due?->isOverdue && $clutch->stage() !== 'hatched' ? '' : '.' }}</p>
                <p class="mb-2">{{ $page->account() }}
                    <a href="{{ route('papers.story', $clutch) }}">{{ $page->hatchlings === [] ? 'What can come of it, as a page to send'
                    : 'The story of this clutch, to send' }}</a></p>
                @if ($mayLog && $due !== null && $due->taps !== [])<x-event-taps :clutch="$clutch" :taps="$due->taps"
                    :is-lead="true"/>@endif
                @if ($mayLog)<details class="mt-2" @if ($errors->any()) open @endif><summary>Log something else</summary><div
                    class="mt-2">@foreach ($errors->all() as $error)<p class="field-error"><x-icon
                    name="exclamation-triangle"/><span>{{ $error }}</span></p>@endforeach<x-event-taps :clutch="$clutch"
                    :taps="$lists->clutchEvents()"/></div></details>@endif
            </section>
            <details class="sheet folded" id="facts" open data-module="fold-narrow">
                <summary><h2>Parents and dates</h2><span class="soft small">{{ implode(', ', array_filter([$clutch->paired_on === null
                    ? null : 'paired '.$clutch->paired_on->format('j M Y'), $clutch->laid_on === null ? null
                    : 'laid '.$clutch->laid_on->format('j M Y')])) }}</span></summary>
                <dl class="facts mt-3">
                    <dt>Dam</dt><dd><a href="{{ route('animals.show', $clutch->dam) }}">{{ $clutch->dam->name }}</a></dd>
                    <dt>{{ $clutch->sires->count() > 1 ? 'Possible sires' : 'Sire' }}</dt>
                        <dd>@forelse ($clutch->sires as $sire)@if ($sire->animal)<a
                        href="{{ route('animals.show', $sire->animal) }}">{{ $sire->animal->name }}</a>@else{{ $sire->name }}
                        <span class="soft small">outside the collection</span>@endif @if ($sire->kept !== null)<span class="soft small">kept
                        sperm of an earlier season, {{ $sire->kept }} %</span>@endif{{ $loop->last ? '' : ', ' }}@empty not known
                        @endforelse</dd>
                    @foreach (['paired_on' => 'Paired', 'laid_on' => 'Laid',
                        'hatched_on' => 'Hatched'] as $day => $words)@if ($clutch->{$day})<dt>{{ $words }}</dt>
                        <dd>{{ $clutch->{$day}->format('j F Y') }}</dd>@endif @endforeach
                    @if ($clutch->incubator)<dt>Incubator</dt>
                        <dd><a href="{{ route('incubators.show', $clutch->incubator) }}">{{ $clutch->incubator->name }}</a></dd>@endif
                    @if ($clutch->target)<dt>Made for</dt><dd>{{ $clutch->target }}</dd>@endif
                    @if ($clutch->reason)<dt>Reason</dt><dd>{{ $clutch->reason }}</dd>@endif
                    @if ($clutch->notes)<dt>Notes</dt><dd class="as-typed">{{ $clutch->notes }}</dd>@endif
                </dl>
            </details>
            <details class="sheet folded" id="season" open data-module="fold-narrow">
                <summary><h2>What happened</h2><span class="soft small">{{ $page->happened() }}</span></summary>
                <ul class="plain mt-2">@forelse ($clutch->events->whereNull('egg_id') as $event)<li
                    class="row-flow"><span>{{ ucfirst($event->sentence()) }}@if ($event->note)
                    <span class="soft small">{{ $event->note }}</span>@endif</span>@if ($mayLog)<x-take-out kind="event" :record="$event"
                    :label="$event->sentence()"/>@endif</li>@empty<li class="soft">Nothing logged yet.</li>@endforelse</ul>
                @if ($page->ofSingleEggs() > 0)<p class="mb-0"><a href="{{ route('eggs', $clutch) }}">{{ $page->ofSingleEggs() }} more of
                    single eggs, at the eggs</a></p>@endif
            </details>
            @foreach ($page->verdicts() as ['sire' => $sire, 'verdict' => $verdict])
                @if ($verdict->stance->value !== 'inform')
                    <section @class(['sheet', 'verdict', 'is-'.$verdict->stance->value])><div class="head">
                        <h2><x-icon name="exclamation-triangle"/> {{ $sire->name }} × {{ $clutch->dam->name }}: your house rules
                        {{ $verdict->stance->value === 'warn' ? 'warn' : 'refuse' }}</h2></div>
                        <ul class="mb-0">@foreach ($verdict->because as $item)<li>{{ $item->text }}</li>@endforeach</ul></section>
                @endif
            @endforeach
        </div>
        <div class="stack">
            @if ($clutch->eggs_good !== null && ! $clutch->isOut())@include('clutches.still', ['still' => $page->still])@endif
            @if ($worth && ($worth->left() > 0 || $worth->hatched()['known'] > 0))
            <section class="sheet"><div class="head"><h2>By your price book</h2><span class="soft small"><a
                href="{{ route('money') }}#prices">prices</a></span></div>
                @if ($worth->hatched()['known'] > 0)<p class="mb-1">Kept hatchlings:
                    {{ $page->money($worth->hatched()['low']) }}{{ $worth->hatched()['high'] > $worth->hatched()['low']
                    ? ' to '.$page->money($worth->hatched()['high']) : '' }} <span class="soft small">for
                    {{ $worth->hatched()['known'] }}{{ $worth->hatched()['open'] > 0
                    ? ". No price set for {$worth->hatched()['open']}" : '' }}</span></p>@endif
                @foreach ($worth->forecasts() as $one)<p class="mb-1">@if (count($clutch->sires) > 1)<strong>If {{ $one['name'] }} is the
                    sire:</strong> @endif {{ $worth->left() }} {{ Str::plural('egg', $worth->left()) }},
                    {{ $page->money((int) round($one['forecast']->mean->toFloat())) }} on average <span class="soft small">in eight of ten
                    {{ $page->money($one['forecast']->quantile(.1)) }} to
                    {{ $page->money($one['forecast']->quantile(.9)) }}</span></p>@endforeach
            </section>
            @endif
            <section class="sheet">
                <div class="head"><h2>Hatchlings in your animals</h2></div>
                <ul class="plain">
                    @forelse ($page->hatchlings as $card)<li><a
                        href="{{ route('animals.show', $card->animal) }}">{{ $card->animal->name }}</a> <x-sex :animal="$card->animal"/>
                        <x-beads :beads="$card->beads()" aria-hidden="true"/>
                        <span class="small">{{ $card->genotype() }}</span>@if ($card->hasConflict())
                        <x-clash-mark :animal="$card->animal"/>@endif</li>@empty<li class="soft">None yet.</li>@endforelse
                </ul>
                @if ($mayLog)
                    @if ($page->hatchlings !== [])<p class="row-flow mt-3 mb-0"><a class="button slim"
                        href="{{ route('first-day', $clutch) }}">Sex, weigh, look</a> <a class="button slim"
                        href="{{ route('box', $clutch) }}">Photograph the box</a></p>@endif
                    @if ($page->withoutRecord() > 0)<form method="post" action="{{ route('hatchlings.all', $clutch) }}"
                        class="row-flow mt-3" data-module="event-taps" data-about="{{ $clutch->title() }}">@csrf<input
                        type="hidden" name="form_token" value="{{ Str::uuid() }}">
                        <x-field name="how_many" bag="hatchlings" label="Hatchlings to add" :value="old('how_many', $page->withoutRecord())"
                            inputmode="numeric" maxlength="2"/><button class="button main" type="submit">Add hatchlings</button>
                        <span class="soft small">then identify them one by one</span></form>@endif
                    <details class="mt-3" id="hatchling-form" @if ($errors->hatchling->any() || request()->query('egg')) open @endif>
                        <summary>Add a hatchling</summary>
                        <form method="post" action="{{ route('hatchlings.store', $clutch) }}" class="stack mt-2"
                            data-module="event-taps" data-about="{{ $clutch->title() }}" data-clears>@csrf<input type="hidden"
                            name="form_token" value="{{ $token }}">
                            <div class="two"><x-field name="name" bag="hatchling" label="Temporary name"
                                :value="old('name', $page->nextName(request()->query('egg')))"
                                maxlength="80"/>
                            <x-choice name="sex" bag="hatchling" label="Sex" :value="old('sex', 'unknown')"
                                :options="['unknown' => 'not known', 'male' => 'male', 'female' => 'female']"/></div>
                            @if (count($page->sires()) > 1)<x-choice name="sire_id" bag="hatchling" label="Sire" blank="not sure which"
                                :value="old('sire_id')" :options="collect($page->sires())->pluck('name', 'id')->all()"/>@endif
                            @can('manage', $clutch)
                            <div class="field" data-module="reading-lines" data-address="{{ route('read') }}"><label
                                for="hatchling-genotype">What you see <span class="soft">(leave empty to follow the
                                parents)</span></label><input class="input" id="hatchling-genotype" name="genotype"
                                value="{{ old('genotype') }}" data-reads="female" spellcheck="false" autocapitalize="off"><x-field-error
                                id="hatchling-genotype-error" :message="implode(' ', $errors->hatchling->get('genotype'))"/>
                                <div class="reading flat" data-reading aria-live="polite"></div></div>
                            <div class="two"><x-field name="certainty" bag="hatchling" label="Certainty" unit="%"
                                :value="old('certainty', 100)" inputmode="numeric"/><x-field name="grams" bag="hatchling" label="Weight"
                                unit="g" :value="old('grams')" inputmode="numeric"/></div>
                            @endcan
                            <div><button class="button" type="submit">Add hatchling</button></div>
                        </form></details>
                @endif
            </section>
            @if ($malformed->affected() !== [])
            <section class="sheet" id="malformed"><div class="head"><h2>Malformed or ailing</h2><span
                class="soft small">{{ $malformed->words() }}</span></div>
                <ul class="plain lines">@foreach ($malformed->affected() as $animal)<li><a
                    href="{{ route('animals.show', $animal) }}#conditions"><strong>{{ $animal->name }}</strong></a>
                    @foreach ($malformed::latest($animal) as $seen)<span class="d-block small">{{ $seen->on->format('j M Y') }}:
                    {{ $seen->sentence() }}</span>@endforeach<span class="soft small">{{ $animal->latestFeed === null ? 'no meal logged'
                    : ($animal->latestFeed->outcome?->value === 'taken' ? 'eats: last meal '
                    : 'last offered ').$animal->latestFeed->on->format('j M') }}</span></li>@endforeach</ul>
                <p class="mb-1">{{ $malformed->pattern() === null
                    ? 'Too few young are recorded to say whether genes or incubation are behind it.'
                    : $pattern.' The three are taken as equally likely before.' }}</p>
                <p class="soft small mb-0">Do not breed an affected animal, and think before repeating the pairing. A reptile veterinarian
                    says what can be done, and does any humane end.</p>
            </section>
            @endif
            <section class="sheet">
                <div class="head"><h2>Hatchlings only counted</h2><span class="soft small">counts with a look; they say what the parents
                    carry</span></div>
                <ul class="plain lines">
                    @forelse ($clutch->counts as $count)
                        <li class="row-flow"><span><strong>{{ $count->count }} × {{ $count->saw }}</strong>{{ $count->dead
                            ? ', dead in the egg' : '' }} <span class="soft small">{{ $count->note }}
                            {{ $page->oddsWords($count) }}</span></span>@if ($mayLog)<x-take-out kind="count" :record="$count"
                            :label="$count->sentence()"/>@endif</li>
                    @empty<li class="soft">Nothing counted.</li>@endforelse
                </ul>
                @if ($mayLog)
                    <details class="mt-3" id="count-form" @if ($errors->count->any() || request()->query('dead')) open @endif>
                        <summary>Add a count</summary>
                        <form method="post" action="{{ route('counts.store', $clutch) }}" class="stack mt-2" data-module="once">@csrf<input
                            type="hidden" name="form_token" value="{{ $token }}">
                            <div class="two"><x-field name="count" bag="count" label="How many" :value="old('count')" inputmode="numeric"/>
                            <div class="field" data-module="reading-lines" data-address="{{ route('read') }}"><label
                                for="saw">Look</label><input class="input" id="saw" name="saw" value="{{ old('saw') }}" maxlength="400"
                                data-reads="target" placeholder="not Genetic Stripe" spellcheck="false" autocapitalize="off"
                                @if ($errors->count->has('saw')) aria-invalid="true" @endif><x-field-error id="saw-error"
                                :message="$errors->count->first('saw')"/><div class="reading flat" data-reading
                                aria-live="polite"></div></div></div>
                            <label class="switch"><input type="checkbox" name="dead" value="1"
                                @checked(old('dead', request()->query('dead')))> dead in the egg</label>
                            <x-field name="note" bag="count" label="Note" :value="old('note')" maxlength="200"/>
                            <div><button class="button" type="submit">Save count</button></div>
                        </form></details>
                @endif
            </section>
        </div>
    </div>
    {!! $prints->symbols() !!}
</x-station>
