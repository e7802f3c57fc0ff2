<x-station :title="'Identify: '.$clutch->title()" station="season" :crumb="$clutch->title()" :crumb-link="route('clutches.show',
    $clutch)">
    <div class="stack">
    @if ($bench->hatchlings === [])
        <section class="sheet empty"><p class="answer">No hatchlings yet.</p><p class="soft">Add the hatchlings on the page of the clutch;
            here they stand side by side, with what to look at first.</p></section>
    @elseif ($bench->why !== null)
        <section class="sheet empty"><p class="answer">Nothing follows yet.</p><p class="soft">{{ $bench->why }}</p></section>
        @include('clutches.photographs')
    @else
        <section class="stack" aria-label="The clutch at a glance">
            <p class="mb-0"><strong>{{ $page->sure() }} of {{ count($bench->hatchlings) }} sure</strong>@if ($page->sure() <
                count($bench->hatchlings)) <span class="soft">· {{ count($bench->hatchlings) - $page->sure() }} open</span>@endif</p>
            <div class="glance">@foreach ($bench->hatchlings as $id => $animal)<a class="sibling" href="{{ route('identify',
                [$clutch, $id]) }}"><span class="sibling-picture">@if ($animal->latestPhoto)<img
                src="{{ route('photos.show', $animal->latestPhoto) }}" alt="" loading="lazy">@else{!! $prints->ofBelief(
                $bench->belief($animal), $bench->days($animal) ?? 0, $animal->id) !!}@endif</span>
                <span class="soft small">{{ $animal->name }} <x-sex :animal="$animal"/></span>
                @if ($animal->sightings->isEmpty() && $page->known($animal)?->isSure() === false)<strong>Not looked at
                yet</strong><span class="small">May show {{ $page->known($animal)->mayShow() }}</span>@elseif ($known =
                $page->known($animal))<strong>{{ $known->name() }}</strong>@if ($known->carried() !== [])
                <span class="small">{{ implode(', ', $known->carried()) }}</span>@endif @if ($known->isSure())<span
                class="small is-sure"><x-icon name="check-circle"/> Sure</span>@else<span
                class="small is-open">{{ implode(' · ', $known->open()) }}</span>@endif @else<span class="tag dead">these parents cannot
                have it</span>@endif</a>@endforeach</div>
            @if ($may && $page->animal && $page->next(null))<p class="mb-0"><a class="button main"
                href="{{ route('identify', [$clutch, $page->next(null)]) }}">Identify {{ $page->next(null)->name }}</a></p>@endif
            @if ($may)<p class="row-flow mb-0"><a class="button slim" href="{{ route('first-day', $clutch) }}">Sex, weigh, look</a> <a
                class="button slim" href="{{ route('box', $clutch) }}">Photograph the box</a></p>@endif
        </section>
        @include('clutches.photographs')
        <section class="sheet at-width">
            <div class="head"><h2>Gene by gene</h2><span class="soft small">from the parents and from what you saw</span></div>
            <div class="scroll" tabindex="0" role="region" aria-label="Odds of genes, hatchling by hatchling">
            <table class="list bench"><thead><tr><th scope="col">Gene</th>@foreach ($bench->hatchlings as $animal)<th scope="col"><a
                href="{{ route('animals.show', $animal) }}">{{ $animal->name }}</a> <x-sex :animal="$animal"/>
                @if ($animal->latestPhoto)<img class="card-photo" src="{{ route('photos.show', $animal->latestPhoto) }}" alt=""
                    loading="lazy">@else{!! $prints->ofBelief($bench->belief($animal), $bench->days($animal) ?? 0, $animal->id) !!}@endif
                <span class="d-block small fw-normal">@if ($bench->isImpossible($animal))<span class="tag dead">these parents cannot have
                    it</span>@else{{ $bench->label($animal) }}@endif</span></th>@endforeach</tr></thead>
                <tbody>
                @foreach ($bench->genes() as $row)
                    <tr><th scope="row">{{ $row['name'] }}</th>@foreach ($row['shares'] as $share)<td>@if ($share !== null)<span
                        class="share-bar" style="--share: {{ round(100 * $share,
                        1) }}%"><strong>{{ $say->share($share) }}</strong></span>@endif</td>@endforeach</tr>
                @endforeach
                </tbody></table></div>
            @if (count($bench->sires()) > 1)<p class="mb-0 mt-2">Sire:
                @foreach ($bench->sires() as $sire)<strong>{{ $sire['name'] }}</strong> {{ $say->share($sire['share']) }}{{ $loop->last ? ''
                : ', ' }}@endforeach</p>@endif
            @if (($bench->found->impossible ?? []) !== [])<p class="field-error mt-2"><x-icon name="exclamation-triangle"/><span>What may
                explain a hatchling that cannot be, with the odds, is under <a href="{{ route('prove') }}">Prove</a> once its look is
                stated. The others are answered without it.</span></p>@endif
        </section>
        <section class="sheet at-width">
            <div class="head"><h2>What to look at</h2><span class="soft small">Most useful first. Tap again to undo.</span></div>
            @if ($rows === [])<p class="soft mb-0">Nothing that the eye could see would tell them further apart: what is open, breeding or a
                test will say.</p>@endif
            <ul class="plain cue-bench">
                @foreach ($rows as $i => $row)
                    <li id="cue-{{ $row['cue']->key }}" @class(['first' => $i === 0 && $row['bits'] > 0])>
                        <p class="mb-1"><strong>{{ $row['cue']->name }}</strong>
                            <span class="soft small">{{ $row['cue']->where }}@if ($row['bits'] > 0 && $row['separates'] !== ''), tells
                            {{ $row['separates'] }}@endif</span>@if ($i === 0 && $row['bits'] > 0) <span class="tag">look here
                            first</span>@endif</p>
                        <div class="cue-grid">
                            @foreach ($bench->hatchlings as $id => $animal)
                                <fieldset class="plain-set" @disabled($bench->isImpossible($animal) || ! $may)><legend
                                    class="small">{{ $animal->name }}</legend>
                                    <form method="post" action="{{ route('bench.see', $clutch) }}" class="states">@csrf<input type="hidden"
                                        name="animal" value="{{ $id }}"><input type="hidden" name="cue"
                                        value="{{ $row['cue']->key }}"><input type="hidden" name="was"
                                        value="{{ $row['seen'][$id] ?? '' }}"><input type="hidden" name="form_token"
                                        value="{{ Str::uuid() }}">
                                        @foreach ($row['cue']->states as $number => $state)<button type="submit" name="state"
                                            value="{{ $state }}" @class(['state', 'is-seen' => ($row['seen'][$id] ?? null) === $state,
                                            'with-picture' => $pictures->has($row['cue']->key)])
                                            aria-pressed="{{ ($row['seen'][$id] ?? null) === $state ? 'true'
                                            : 'false' }}">@if ($pictures->has($row['cue']->key))<img width="96" height="64"
                                            alt="" loading="lazy"
                                            src="{{ route('looks.state', [$row['cue']->key, $number, 'code' => $mark]) }}">@endif
                                            <span>{{ $state }}</span></button>@endforeach
                                    </form></fieldset>
                            @endforeach
                        </div>
                    </li>
                @endforeach
            </ul>
            @if ($bench->later() !== [])<p class="soft small mb-0 mt-2">Later: @foreach ($bench->later() as $one){{ $one['cue']->name }}
                from {{ $one['cue']->fromDays }} days{{ $loop->last ? '.' : ', ' }}@endforeach</p>@endif
        </section>
        <div class="two">
            <section class="sheet">
                <div class="head"><h2>Alike</h2><span class="soft small">all of them, or none</span></div>
                <ul class="plain">@forelse ($bench->sets() as $set)<li
                    class="row-flow">{{ collect($set->animals)->map(fn ($id) => $bench->hatchlings[$id]->name
                    ?? null)->filter()->implode(', ') }} for {{ $set->target }} @if ($may)<x-take-out kind="alike" :record="$set"
                    :label="$set->sentence()"/>@endif</li>@empty<li class="soft">Nothing tied yet.</li>@endforelse</ul>
                @if ($may && count($bench->hatchlings) > 1)
                    <details class="mt-2" @if ($errors->hasAny(['target', 'animals'])) open @endif><summary>Group look-alikes</summary>
                        <form method="post" action="{{ route('bench.alike', $clutch) }}" class="stack mt-2" data-module="once">@csrf<input
                            type="hidden" name="form_token" value="{{ Str::uuid() }}">
                            <div class="row-flow">@foreach ($bench->hatchlings as $id => $animal)<label class="switch"><input
                                type="checkbox" name="animals[]" value="{{ $id }}"
                                @checked(in_array((string) $id, (array) old('animals', []), true))>
                                {{ $animal->name }}</label>@endforeach</div>
                            <x-field-error id="animals-error" :message="$errors->first('animals')"/>
                            <x-field name="target" label="for" :value="old('target')" placeholder="Enchi" maxlength="400"/>
                            <div><button class="button" type="submit">Save group</button></div></form></details>
                @endif
            </section>
            <section class="sheet">
                <div class="head"><h2>Second opinions</h2><span class="soft small">kept as theirs; it does not move the
                    odds</span></div>
                <ul class="plain">@forelse ($opinions as [$animal, $one])<li class="row-flow">{{ $animal->name }}: {{ $one->sentence() }}
                    <span class="soft small">{{ $one->on->format('j M Y') }}</span> @if ($may)<x-take-out kind="sighting" :record="$one"
                    :label="$one->sentence()"/>@endif</li>@empty<li class="soft">No second opinions yet.</li>@endforelse</ul>
                @if ($may)
                    <details class="mt-2" @if ($errors->hasAny(['who', 'state', 'cue', 'animal'])) open @endif><summary>Add a second
                        opinion</summary>
                        <form method="post" action="{{ route('bench.see', $clutch) }}" class="stack mt-2" data-module="once">@csrf<input
                            type="hidden" name="form_token" value="{{ Str::uuid() }}">
                            <x-field name="who" label="Who" :value="old('who')" maxlength="80"/>
                            <x-choice name="animal" label="Hatchling" :value="old('animal')"
                                :options="collect($bench->hatchlings)->map(fn ($animal) => $animal->name)->all()"/>
                            <x-choice name="cue" label="Cue" :value="old('cue')"
                                :options="collect($bench->cues)->map(fn ($cue) => $cue->name)->all()"/>
                            <x-field name="state" label="What it shows" :value="old('state')"
                                hint="One of the states of the cue, as above."/>
                            <div><button class="button" type="submit">Save opinion</button></div></form></details>
                @endif
            </section>
        </div>
    @endif
    </div>
    {!! $prints->symbols() !!}
</x-station>
