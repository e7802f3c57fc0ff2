<x-station title="Today" station="today">
    <x-slot:actions>@if ($may)<a class="button" href="{{ route('round.create', 'feed') }}">Feeding round</a><a class="button"
        href="{{ route('round.create', 'weight') }}">Weighing round</a><a class="button" href="{{ route('clutches.create') }}"><x-icon
        name="plus-lg"/>New pairing</a>@endif</x-slot:actions>
    <p class="soft">{{ $today->format('l j F Y') }}</p>
    <div class="stack">
    @if ($errors->any())<p class="field-error"><x-icon name="exclamation-triangle"/><span>{{ $errors->first() }} Nothing was
        logged.</span></p>@endif
    @if ($page->due === [] && $page->isQuiet())<section class="sheet empty"><p class="answer">Nothing is due.</p><p class="soft">Pairs, eggs
        and hatchlings come here by themselves, with the days in which to look, once a pairing is planned.</p></section>@endif
    @if ($page->alarms() !== [])
        <section class="sheet"><div class="head"><h2><x-icon name="exclamation-triangle"/> Incubator alarms</h2></div>
            <ul class="plain">@foreach ($page->alarms() as $card)<li><a href="{{ route('incubators.show', [$card->incubator,
                'span' => 'day']) }}"><strong>{{ $card->incubator->name }}</strong></a> @foreach ($card->alarms as $alarm)<span
                class="d-block">{{ ucfirst($alarm) }}</span>@endforeach</li>@endforeach</ul></section>
    @endif
    @if ($page->due !== [])
        <section class="sheet">
            <div class="head"><h2>Pairs and eggs</h2><span class="soft small">Expected dates cover 9 in 10 clutches. Tap a button to log
                it for today.</span></div>
            <ul class="plain due">
                @foreach ($page->due as $one)
                    <li><p class="mb-1"><a
                        href="{{ route('clutches.show', $one->clutch) }}"><strong>{{ $one->clutch->dam->name }}</strong></a>
                        <span class="soft small">{{ implode(' · ', array_filter([$one->clutch->dam->placeWords(),
                        'with '.($one->clutch->sires->map(fn ($sire) => $sire->title())->implode(' or ') ?: 'a sire not known')])) }}</span>
                        @if ($one->isOverdue)<span class="tag dead">overdue</span>@elseif ($one->isNow($today))<span
                            class="tag hit">now</span>@endif
                        <span class="d-block">{{ $one->isOverdue ? ucfirst($one->words()) : "Next: {$one->words()}" }}@if ($one->thisWeek
                            !== null && ! $one->isOverdue)<span class="soft">,
                            {{ $say->share($one->thisWeek) }} this week</span>@endif @if ($one->from === null)<span
                            class="soft">· {{ $one->rests }}</span>@endif</span></p>@if ($one->from !== null)<details
                            class="why-line"><summary class="soft small">Why</summary><p
                            class="soft small mb-1">{{ ucfirst($one->rests) }}.</p></details>@endif
                        @if ($one->clutch->eggs_good)<a class="due-eggs" href="{{ route('eggs', $one->clutch) }}"
                            aria-label="Egg by egg, {{ $one->clutch->dam->name }}"><x-egg-line :line="$line($one->clutch)"/></a>@endif
                        @if ($may)<x-event-taps :clutch="$one->clutch" :taps="$one->taps" from="today" :is-lead="$loop->first"
                            :is-short="true"/>@endif</li>
                @endforeach
            </ul>
            <p class="soft small mb-0 mt-2">Wash your hands after handling; a female on eggs may bite. A female in trouble laying, or an
                ailing hatchling, is for a reptile veterinarian.</p>
        </section>
    @endif
    @if (count($page->due) > 0)<section class="sheet planner"><div class="head"><h2>The season</h2><a class="small"
        href="{{ route('season.board') }}">Season plan</a></div><x-season-ribbon :ribbon="$ribbon"/></section>@endif
    @unless ($week->isEmpty())
        <section class="sheet"><div class="head"><h2>This week and the next</h2><span class="soft small">First and last day of each
            expected event</span></div>
            <ol class="week">@foreach ($week->days as $day)<li @class(['is-today' => $day['isToday'], 'is-past' => $day['isPast'],
                'is-bare' => $day['says'] === []])><span class="day"><span class="soft">{{ $day['day']->format('D') }}</span>
                {{ $day['day']->format('j M') }}@if ($day['isToday'])<span class="visually-hidden">,
                today</span>@endif</span>@foreach ($day['says'] as $one)<a href="{{ $one['link'] }}"
                @class(['is-end' => $one['isEnd']])>{{ $one['text'] }}</a>@endforeach</li>@endforeach</ol></section>
    @endunless
    @if (($updates = $page->planUpdates()) !== [])
        <section class="sheet"><div class="head"><h2>Updated plans</h2></div><ul class="plain">@foreach ($updates as $one)<li><a
            href="{{ route('projects.show', $one['project']) }}"><strong>{{ $one['project']->name }}</strong></a> {{ $one['answer'] }}
            <span class="d-block soft small">{{ $one['words'] }}</span></li>@endforeach</ul></section>
    @endif
    <div class="two">
    @if (($look = $page->toLookAt()) !== [])
        <section class="sheet"><div class="head"><h2>Look again</h2><span class="soft small">what shows at their age now</span></div>
            <ul class="plain">@foreach (array_slice($look, 0, 12) as $one)<li><a
            href="{{ route('identify', [$one['clutch'], $one['animal']]) }}"><strong>{{ $one['name'] }}</strong></a>
            <span class="soft small">{{ implode(', ', array_slice($one['cues'], 0, 3)) }}{{ count($one['cues']) > 3
            ? ' and '.(count($one['cues']) - 3).' more' : '' }}</span></li>@endforeach</ul></section>
    @endif
    @if (($begin = $page->concerns->beginners()) !== [])
        <section class="sheet"><div class="head"><h2>Hatchlings</h2><span class="soft small">first shed, and three meals in a row before a
            sale</span></div>
            <ul class="plain">@foreach (array_slice($begin, 0, 30) as ['animal' => $animal, 'says' => $says])<li
                class="row-flow"><span>@if ($may)<input type="checkbox" name="chosen[]" value="{{ $animal->id }}" form="several-begin"
                aria-label="Tick {{ $animal->name }}"> @endif<a href="{{ route('animals.show', $animal) }}">{{ $animal->name }}</a>
                <span class="soft small">{{ implode(' · ', array_filter([$animal->placeWords(), $says])) }}</span></span>@if ($may)<form
                class="ms-auto taps" method="post" action="{{ route('animals.tap', $animal) }}" data-module="event-taps"
                data-about="{{ $animal->name }}">@csrf<input type="hidden" name="form_token" value="{{ Str::uuid() }}"><button
                class="button slim" name="what" value="shed" type="submit">Shed</button><button class="button slim" name="what" value="fed"
                type="submit">Fed</button><button class="button slim" name="what" value="refused"
                type="submit">Refused</button></form>@endif</li>@endforeach</ul>@if (count($begin) > 30)<p class="soft small mb-0">and
                {{ count($begin) - 30 }} more</p>@endif @if ($may)<x-taps-for-several id="several-begin"/>@endif</section>
    @endif
    @if (($sex = $page->toSex()) !== [])
        <section class="sheet"><div class="head"><h2>To sex</h2></div><ul class="plain">@foreach (array_slice($sex, 0, 20) as $animal)<li><a
            href="{{ route('animals.edit', $animal) }}">{{ $animal->name }}</a>
            <span class="soft small">{{ $animal->placeWords() }}</span></li>@endforeach</ul></section>
    @endif
    @if (($review = $page->toReview()) !== [])
        <section class="sheet"><div class="head"><h2>To be looked at again</h2></div><ul class="plain">@foreach ($review as $event)<li><a
            href="{{ route('animals.show', $event->animal_id) }}">{{ $event->animal->name }}</a>
            <span class="soft small">{{ $event->sentence() }}</span></li>@endforeach</ul></section>
    @endif
    @if (($failing = $page->concerns->failing()) !== [])
        <section class="sheet"><div class="head"><h2>Refusing or losing weight</h2></div>
            <ul class="plain">@foreach (array_slice($failing, 0, 20) as $one)<li><a
            href="{{ route('animals.show', $one['animal']) }}">{{ $one['animal']->name }}</a>
            <span class="soft small">{{ implode(' · ', array_filter([$one['animal']->placeWords(),
            $one['says']])) }}</span></li>@endforeach</ul>@if (count($failing) > 20)<p class="soft small mb-0">and
            {{ count($failing) - 20 }} more</p>@endif</section>
    @endif
    @if (($unweighed = $page->concerns->unweighed()) !== [])
        <section class="sheet"><div class="head"><h2>Weighing overdue</h2><span class="soft small">{{ count($unweighed) }}</span></div>
            <ul class="plain">@foreach (array_slice($unweighed, 0, 10) as $one)<li><a
            href="{{ route('animals.show', $one['animal']) }}">{{ $one['animal']->name }}</a>
            <span class="soft small">{{ implode(' · ', array_filter([$one['animal']->placeWords(),
            "{$one['days']} days"])) }}</span></li>@endforeach</ul>@if ($may)<p class="mb-0"><a
            href="{{ route('round.create', 'weight') }}">Weighing round</a></p>@endif</section>
    @endif
    @if (($hungry = $page->concerns->hungry()) !== [])
        <section class="sheet"><div class="head"><h2>Not eaten for long</h2><span class="soft small">since the last meal that was
            taken</span></div>
            <ul class="plain">@foreach (array_slice($hungry, 0, 30) as ['animal' => $animal, 'days' => $days])<li
                class="row-flow"><span>@if ($may)<input type="checkbox" name="chosen[]" value="{{ $animal->id }}" form="several-hungry"
                aria-label="Tick {{ $animal->name }}"> @endif<a href="{{ route('animals.show', $animal) }}">{{ $animal->name }}</a>
                <span class="soft small">{{ implode(' · ', array_filter([$animal->placeWords(),
                "{$days} days"])) }}</span></span>@if ($may)<form class="ms-auto taps" method="post"
                action="{{ route('animals.tap', $animal) }}" data-module="event-taps" data-about="{{ $animal->name }}">@csrf<input
                type="hidden" name="form_token" value="{{ Str::uuid() }}"><button class="button slim" name="what" value="fed"
                type="submit">Fed</button><button class="button slim" name="what" value="refused" type="submit">Refused</button><button
                class="button slim" name="what" value="shed" type="submit">Shed</button></form>@endif</li>@endforeach</ul>
                @if ($may)<x-taps-for-several id="several-hungry"/>@endif</section>
    @endif
    </div>
    </div>
</x-station>
