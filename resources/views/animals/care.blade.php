<section class="sheet mt-3" id="care">
    <div class="head"><h2>Care</h2><span class="soft small">{{ count($log->entries) }}
        {{ Str::plural('entry', count($log->entries)) }}</span></div>
    <p class="mb-1"><strong>{{ $log->readinessSentence($readiness) }}</strong> @foreach ($readiness->reasons as $reason)<span
        class="soft">{{ $reason }}</span> @endforeach</p>
    <div class="two mt-2">
        @if ($mayLog)
        <form class="stack log-form" method="post" action="{{ route('care.store', $animal) }}" data-module="once care-kind"
            aria-label="Log care">
            @csrf
            <input type="hidden" name="form_token" value="{{ $token }}">
            <fieldset class="field">
                <legend class="legend mb-1">Log</legend>
                <div class="row-flow taps">
                    @foreach ($lists->careKinds() as $kind)
                        <label class="tap"><input type="radio" name="kind" value="{{ $kind->value }}"
                            @checked(old('kind', 'weight') === $kind->value)> <span>{{ $kind->value }}</span></label>
                    @endforeach
                </div>
                <x-field-error id="kind-error" :message="$errors->care->first('kind')"/>
            </fieldset>
            <div class="field" data-for="weight"><label for="grams">Weight in {{ $house->weightUnit() === 'g' ? 'grams'
                : 'ounces' }}</label><input class="input" id="grams" name="grams" inputmode="numeric" value="{{ old('grams') }}"
                autocomplete="off" aria-describedby="grams-error"><x-field-error id="grams-error"
                :message="$errors->care->first('grams')"/></div>
            <fieldset class="field" data-for="feed">
                <legend class="legend mb-1">Food</legend>
                <div class="row-flow taps">
                    @foreach ($lists->feedOutcomes() as $outcome)
                        <label class="tap"><input type="radio" name="outcome" value="{{ $outcome->value }}"
                            @checked(old('outcome') === $outcome->value)> <span>{{ $outcome->value }}</span></label>
                    @endforeach
                </div>
                <x-field-error id="outcome-error" :message="$errors->care->first('outcome')"/>
                <label for="prey">What was offered</label><input class="input" id="prey" name="prey" maxlength="60"
                    value="{{ old('prey') }}" placeholder="small rat">
                <x-field-error id="prey-error" :message="$errors->care->first('prey')"/>
            </fieldset>
            <div class="field"><label for="words">Note</label><input class="input"
                id="words" name="words" maxlength="2000" value="{{ old('words') }}" aria-describedby="words-error"><x-field-error
                id="words-error" :message="$errors->care->first('words')"/></div>
            <div class="field"><label for="on">Day</label><input class="input" type="date" id="on" name="on"
                value="{{ old('on', now()->format('Y-m-d')) }}" aria-describedby="on-error"><x-field-error id="on-error"
                :message="$errors->care->first('on')"/></div>
            <div><button class="button" type="submit">Log it</button></div>
        </form>
        @else<p class="soft mb-0">You read here; helpers and the owner log.</p>@endif
        <div class="stack">
            @if ($log->chart())
                <svg class="weights" viewBox="0 0 {{ $chart::WIDTH }} {{ $chart::HEIGHT }}" role="img"
                    aria-label="Weights from {{ $chart->days()[0] }} to {{ $chart->days()[1] }}">
                    @foreach ($chart->grid() as $line)<path class="grid" d="M84 {{ $line['y'] }} H628"/><text x="76"
                        y="{{ $line['y'] + 4 }}" text-anchor="end">{{ $line['label'] }}</text>@endforeach
                    <polyline points="@foreach ($points as $point){{ $point['x'] }},{{ $point['y'] }} @endforeach"/>
                    @foreach ($points as $point)<circle cx="{{ $point['x'] }}" cy="{{ $point['y'] }}"
                        r="4"><title>{{ $point['label'] }}</title></circle>@endforeach
                    <text x="84" y="196">{{ $chart->days()[0] }}</text><text x="628" y="196"
                        text-anchor="end">{{ $chart->days()[1] }}</text>
                </svg>
            @endif
            @if ($log->entries === [])<p class="soft mb-0">Nothing logged yet. Start with a weight: two of them make a curve, and tell when
                {{ $animal->pronoun() }} is likely to be ready.</p>@endif
            <ul class="plain">
                @foreach ($log->latest() as $entry)
                    <li class="row-flow"><span class="soft small">{{ $entry->on->format('j M Y') }}</span>
                        <span class="tag">{{ $entry->kind->value }}</span> <span class="breaks">{{ $entry->sentence() }}</span>
                        @if ($mayLog)<x-take-out kind="care" :record="$entry"
                            :label="$entry->on->format('j F Y').', '.$entry->sentence()"/>@endif</li>
                @endforeach
            </ul>
            @if ($log->more() > 0)<p class="soft small mb-0">{{ $log->more() }} older {{ Str::plural('entry', $log->more()) }} not shown
                here.</p>@endif
        </div>
    </div>
</section>
