<x-station :title="'Eggs of '.$clutch->title()" station="season" :crumb="$clutch->title()" :crumb-link="route('clutches.show', $clutch)">
    @if ($tray->eggs->isEmpty())
        <section class="sheet empty"><p class="answer">{{ $clutch->laid_on === null && $clutch->eggs_good === null
            ? 'No eggs are logged yet.' : ($tray->missing() > 0 ? "{$clutch->eggs_good} good eggs".($clutch->eggs_infertile
            ? " and {$clutch->eggs_infertile} slugs" : '').' were laid.' : 'The number of eggs is not recorded.') }}</p>
            <p class="soft">{{ $tray->missing() > 0
                ? 'Place the eggs as they are in the box: each keeps its place, its weight and what happens to it.'
                : 'Log the laying with the number of eggs on the page of the clutch; then they can be laid out here.' }}</p>
            @if ($may && $tray->missing() > 0)<form method="post" action="{{ route('eggs.lay-out', $clutch) }}"
                data-module="once">@csrf<button class="button main" type="submit"><x-icon name="egg"/>Place the eggs</button></form>@else<a
                class="button" href="{{ route('clutches.show', $clutch) }}">To the clutch</a>@endif</section>
    @else
    <div class="two">
        <div class="stack">
            <section class="sheet">
                <div class="head"><h2>The box</h2><span class="soft small">{{ $tray->day() === null ? 'day of laying not known'
                    : ($clutch->isOut() ? 'Every egg has a result' : "day {$tray->day()}") }}</span></div>
                <div @if ($may) data-module="egg-tray" data-token="{{ csrf_token() }}" @endif><x-egg-tray :tray="$tray"/>
                    <p class="visually-hidden" data-said role="status"></p></div>
                <p class="mb-1 mt-2">{{ collect($tray->byState())->map(fn ($count,
                    $words) => "{$count} {$words}")->implode(', ') }}{{ $tray->grams() === null ? ''
                    : "; {$tray->grams()} g weighed" }}.</p>
                <p class="soft small mb-0">{{ $may ? 'Tap an egg to log what happens to it; drag it to where it lies.'
                    : 'Tap an egg to read its history.' }} A line on top: its top is marked. Red bow: dented. Red dots: mould. Red drop:
                        sweating.</p>
                @if ($tray->missing() !== 0)<div class="row-flow mt-2"><span class="field-error"><x-icon
                    name="exclamation-triangle"/><span>The laying counts {{ $tray->missing() + $tray->eggs->count() }}
                    {{ Str::plural('egg', $tray->missing() + $tray->eggs->count()) }}, the box shows
                    {{ $tray->eggs->count() }}.</span></span>@if ($may && $tray->missing() > 0)<form method="post"
                    action="{{ route('eggs.lay-out', $clutch) }}" data-module="once">@csrf<button class="button slim" type="submit">Lay out
                    the rest</button></form>@endif</div>@endif
                @if ($may && $tray->open() !== [])@include('clutches.egg-rows')@endif
                @if ($tray->goneUnnamed() > 0)<p class="soft small mb-0 mt-2">{{ $tray->goneUnnamed() }} more {{ $tray->goneUnnamed() === 1
                    ? 'is' : 'are' }} logged as out, given up or dead without a number: the box cannot show which.</p>@endif
            </section>
        </div>
        <div class="stack">
        <section class="sheet" id="egg">
            @if ($egg === null)
                <div class="head"><h2>One by one</h2></div>
                <ul class="plain lines">@foreach ($tray->eggs as $one)<li><a
                    href="{{ route('eggs', [$clutch, 'egg' => $one->id]) }}#egg">{{ $tray->words($one) }}</a></li>@endforeach</ul>
            @else
                <div class="head"><h2>Egg {{ $egg->number }}</h2><span class="soft small">{{ $egg->state()->words() }}</span></div>
                @foreach ($errors->get('kind') as $error)<x-field-error id="kind-error" :message="$error"/>@endforeach
                <ul class="plain lines">@forelse ($egg->events as $event)<li class="row-flow"><span>{{ $event->on?->format('j M Y')
                    ?? 'day not known' }}: {{ $event->kind->words() }}@if ($event->who) by {{ $event->who }}@endif
                    <span class="soft small">{{ implode('; ', array_filter([$event->saw === null ? null : "first guess: {$event->saw}",
                        $event->note])) }}</span></span>@if ($may)<x-take-out kind="event" :record="$event"
                        :label="$event->sentence()"/>@endif</li>@empty<li class="soft">Nothing has happened to it yet.</li>@endforelse</ul>
                @if ($may)
                <form method="post" action="{{ route('events.store', $clutch) }}" class="taps mt-3" data-module="event-taps"
                    data-about="{{ $clutch->dam->name }}, egg {{ $egg->number }}">@csrf<input type="hidden" name="form_token"
                    value="{{ Str::uuid() }}"><input type="hidden" name="egg" value="{{ $egg->id }}">
                    @foreach ($lists->eggEvents() as $kind)<button class="button slim" type="submit" name="kind"
                        value="{{ $kind->value }}">{{ ucfirst($kind->words()) }}</button>@endforeach
                    <details class="tap-more" @if ($errors->has('on') || $errors->has('note')) open @endif><summary>another day, or a
                        note</summary><div class="row-flow mt-2"><label>day <input class="input slim" type="date" name="on"
                        max="{{ now()->format('Y-m-d') }}" value="{{ old('on') }}"></label><input class="input slim" name="note"
                        maxlength="200" value="{{ old('note') }}" placeholder="stage, smell, what it looked like"
                        aria-label="Note"></div><x-field-error id="on-error" :message="$errors->first('on') ?: $errors->first('note')"/>
                        <p class="soft small mb-0">Then tap a button above.</p></details>
                </form>
                @if ($egg->state()->isOpen())
                <details class="mt-3" @if ($errors->has('sure') || old('kind') === 'opened') open @endif><summary>Opened</summary>
                    <form method="post" action="{{ route('events.store', $clutch) }}" class="stack mt-2" data-module="once">@csrf<input
                        type="hidden" name="form_token" value="{{ Str::uuid() }}"><input type="hidden" name="egg" value="{{ $egg->id }}">
                        @if ($tray->objectionToday())<p class="mb-0 field-error"><x-icon
                            name="exclamation-triangle"/><span>{{ $tray->objectionToday() }}</span></p>@endif
                        <div class="two"><x-field name="on" id="opened-on" label="Day" type="date"
                            :value="old('on', now()->format('Y-m-d'))"/><x-field name="who" label="Who opened it"
                            :value="old('who', auth()->user()?->name)" maxlength="80"/></div>
                        <x-field name="note" id="opened-note" label="Why, and what was seen" :value="old('note')" maxlength="200"/>
                        <x-field name="saw" label="First guess" :value="old('saw')" maxlength="400"
                            hint="What shows through the slit is a guess; it is kept as one, and changes no odds."/>
                        @if ($tray->objectionToday() || $errors->has('sure'))<label class="switch"><input type="checkbox" name="sure"
                            value="1"> Save anyway</label><x-field-error id="sure-error" :message="$errors->first('sure')"/>@endif
                        <div><button class="button" type="submit" name="kind" value="opened">Log it as opened</button></div>
                        <p class="soft small mb-0">Cut only the shell, on top, away from veins; leave the hatchling and its yolk be. If it
                            bleeds or looks ill, ask a reptile veterinarian.</p>
                    </form></details>
                @endif
                @if ($egg->state()->value === 'out')<p class="mt-3 mb-0"><a class="button slim"
                    href="{{ route('clutches.show', [$clutch, 'egg' => $egg->number]) }}#hatchling-form">Keep it as an animal</a></p>@endif
                @if ($egg->state()->value === 'dead')<p class="mt-3 mb-0 soft small">What it looked like says something about its parents:
                    <a href="{{ route('clutches.show', [$clutch, 'dead' => 1]) }}#count-form">count it by look</a>.</p>@endif
                <form method="post" action="{{ route('eggs.update', $egg) }}" class="stack mt-3" data-module="once">@csrf @method('put')
                    <div class="row-flow"><label class="switch"><input type="hidden" name="marked" value="0"><input type="checkbox"
                        name="marked" value="1" @checked(old('marked', $egg->marked))> top marked</label><label class="switch"><input
                        type="hidden" name="apart" value="0"><input type="checkbox" name="apart" value="1"
                        @checked(old('apart', $egg->apart))> lay apart</label><label class="switch"><input type="hidden" name="slug"
                        value="0"><input type="checkbox" name="slug" value="1" @checked(old('slug', $egg->slug))> slug when
                        laid</label></div>
                    <div class="four"><x-field name="grams" label="Weight" unit="g" :value="old('grams', $egg->grams)"
                        inputmode="numeric"/><x-field name="clump" label="Clump" :value="old('clump', $egg->clump)"
                        inputmode="numeric"/><x-field name="across" label="Across" unit="%" :value="old('across', $egg->across)"
                        inputmode="numeric"/><x-field name="down" label="Down" unit="%" :value="old('down', $egg->down)"
                        inputmode="numeric"/></div>
                    <x-field name="note" id="egg-note" label="Note" :value="old('note', $egg->note)" maxlength="200"/>
                    <div class="row-flow"><button class="button" type="submit">Save</button></div>
                </form>
                @endif
                <div class="row-flow mt-3"><a href="{{ route('eggs', $clutch) }}">All eggs</a>@if ($may)<x-take-out kind="egg"
                    :record="$egg" :label="$egg->sentence()"/>@endif</div>
            @endif
        </section>
        @include('clutches.still')
        </div>
    </div>
    @endif
</x-station>
