<x-station :title="$incubator->name" station="season" crumb="Incubators" :crumb-link="route('incubators.index')">
    <div class="two">
        <section class="sheet">
            <p class="answer mb-1">{{ $card->latest['temperature'] ? $house->temperature($card->latest['temperature']->value)
                : 'Not measured yet' }}{{ $card->latest['humidity'] ? ', '.number_format($card->latest['humidity']->value).' % humidity'
                : '' }}</p>
            <p class="soft small">{{ $card->latest['temperature'] ? 'Read '.$card->latest['temperature']->at->diffForHumans().'. '
                : '' }}Target {{ $house->temperature($incubator->celsius) }}, range {{ $house->temperature($incubator->low) }} to
                {{ $house->temperature($incubator->high) }}.</p>
            @foreach ($card->alarms as $alarm)<p class="field-error"><x-icon
                name="exclamation-triangle"/><span>{{ ucfirst($alarm) }}</span></p>@endforeach
            <nav class="choices mb-3" aria-label="Span of time">@foreach ($spans as $name)<a href="{{ route('incubators.show',
                [$incubator, 'span' => $name]) }}" @if ($name === $span) aria-current="true" @endif>{{ $name }}</a>@endforeach</nav>
            @foreach ($charts as $chart)@if ($chart->buckets !== [] || $chart->kind === 'temperature')<x-reading-chart
                :chart="$chart"/>@endif @endforeach
        </section>
        <div class="stack">
            <section class="sheet"><div class="head"><h2>Eggs in it</h2></div>
                <ul class="plain lines">@forelse ($eggs as [$clutch, $warmth])
                    <li><a href="{{ route('clutches.show', $clutch) }}"><strong>{{ $clutch->title() }}</strong></a>@if ($warmth)
                        <span class="d-block">day {{ (int) $warmth->passed }}, as far as day {{ number_format($warmth->grown, 1) }} at
                        {{ $standard }}</span><span class="soft small">{{ $warmth->mean === null
                        ? 'nothing measured; taken at what it is set to'
                        : 'on average '.$house->temperature($warmth->mean).', measured '.round(100 * $warmth->measured).' % of the time'
                            }}</span>@endif</li>
                @empty<li class="soft">None.</li>@endforelse</ul>
                @if ($may && $elsewhere->isNotEmpty())<form method="post" action="{{ route('incubators.place', $incubator) }}"
                    class="ask-line mt-3" data-module="once">@csrf<x-choice name="clutch" label="Add a clutch" blank="choose"
                    :options="$elsewhere->mapWithKeys(fn ($clutch) => [$clutch->id => $clutch->title()])->all()"/><button class="button"
                    type="submit">Add to this incubator</button></form>@endif
            </section>
            @if ($may)
            <section class="sheet"><div class="head"><h2>Add a reading</h2></div>
                <form method="post" action="{{ route('incubators.read', $incubator) }}" class="stack" data-module="once">@csrf<input
                    type="hidden" name="form_token" value="{{ $token }}">
                    <div class="two"><x-field name="temperature" bag="reading" label="Temperature" :unit="$unit" :value="old('temperature')"
                        inputmode="decimal"/><x-field name="humidity" bag="reading" label="Humidity" unit="%" :value="old('humidity')"
                        inputmode="decimal"/></div>
                    <details @if ($errors->reading->has('at')) open @endif><summary>another time</summary><x-field name="at" bag="reading"
                        label="When" type="datetime-local" :value="old('at')"/></details>
                    <div><button class="button" type="submit">Save</button></div>
                </form>
                <details class="mt-3" @if ($errors->file->any()) open @endif><summary>Import readings</summary>
                    <form method="post" action="{{ route('incubators.file', $incubator) }}" enctype="multipart/form-data" class="stack mt-2"
                        data-module="once">@csrf<x-field name="file" bag="file" label="Readings as CSV" type="file" accept=".csv,.txt"
                        hint="A first line that names the columns: at, temperature, humidity. What is there already is not taken twice."/>
                        <div><button class="button" type="submit">Import</button></div></form></details>
                <p class="soft small mb-0 mt-3">A probe sends by itself: docs/formats/api.md says how, and <code>bin/destino probe</code>
                    plays one.</p>
            </section>
            @endif
            @can('manage', $incubator)<section class="sheet"><details @if ($errors->default->any()) open @endif><summary>Change it</summary>
                <div class="mt-3"><x-incubator-form :incubator="$incubator" :house="$house"/><div class="mt-3"><x-take-out kind="incubator"
                :record="$incubator" :label="$incubator->name" class=""/></div></div></details></section>@endcan
        </div>
    </div>
</x-station>
