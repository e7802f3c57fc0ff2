<x-station title="House rules" station="house">
    <x-house-tabs here="rules"/>
    @unless ($may)<p class="soft">Only the owner changes these; every answer follows them.</p>@endunless
    <form method="post" action="{{ route('house.update') }}" class="stack" data-module="once">
        @csrf @method('put')
        <input type="hidden" name="version" value="{{ old('version', $house->version) }}">
        <x-field-error id="version-error" :message="$errors->first('version')"/>
        <fieldset class="bare" @disabled(! $may)>
        <div class="stack">
        <details class="sheet folded" @if ($errors->any()) open @endif data-module="fold-narrow">
            <summary><h2>When a pairing can bring one of these</h2><span class="soft small">Inform: show a note. Warn: ask for a
                reason. Refuse: block planning.</span></summary>
            <div class="rule-grid">
                @foreach ($lists->houseStances($catalogue) as $key => $entry)
                    <fieldset class="rule">
                        <legend>{{ $entry['label'] }}</legend>
                        <div class="choices stances">
                            @foreach ($lists->stances() as $stance)
                                <label><input type="radio" name="stances[{{ $key }}]" value="{{ $stance === $entry['default'] ? ''
                                    : $stance->value }}" @checked(old("stances.{$key}", $stances[$key] === $entry['default'] ? ''
                                    : $stances[$key]->value) === ($stance === $entry['default'] ? ''
                                    : $stance->value))><span>{{ $stance->value }}@if ($stance === $entry['default'])<small>
                                    default</small>@endif</span></label>
                            @endforeach
                        </div>
                        <p class="hint mb-0">{{ $entry['hint'] }}</p>
                        <x-field-error :id="'stance-'.$key" :message="$errors->first('stances.'.$key)"/>
                    </fieldset>
                @endforeach
            </div>
            <p class="soft small mb-0 mt-3">This is record keeping, not veterinary advice. For an ailing or malformed animal ask a reptile
                veterinarian, and mind your local law on keeping, breeding and selling.</p>
        </details>
        <details class="sheet folded" open>
            <summary><h2>Ready to breed</h2></summary>
            <div class="four">
                @foreach ($lists->houseNumbers() as $key => $number)
                    @continue(str_starts_with($key, 'error_'))
                    <x-field :name="$key" :label="$number['label']" :unit="$number['unit']" :value="old($key, $house->number($key))"
                        :hint="$number['hint']" inputmode="numeric"/>
                @endforeach
            </div>
        </details>
        <details class="sheet folded" @if ($errors->any()) open @endif data-module="fold-narrow">
            <summary><h2>How often records are wrong</h2><span class="soft small">used when a hatchling does not fit what
                the records exclude</span></summary>
            <div class="four">
                @foreach ($lists->houseNumbers() as $key => $number)
                    @continue(! str_starts_with($key, 'error_'))
                    <x-field :name="$key" :label="$number['label']" :unit="$number['unit']" :value="old($key, $house->number($key))"
                        :hint="$number['hint']" inputmode="numeric"/>
                @endforeach
            </div>
        </details>
        <details class="sheet folded" @if ($errors->any()) open @endif data-module="fold-narrow">
            <summary><h2>Choices</h2></summary>
            <div class="rule-grid">
                @foreach ($lists->houseChoices() as $key => $choice)
                    <fieldset class="rule">
                        <legend>{{ $choice['label'] }}</legend>
                        @foreach ($choice['options'] as $value => [$words, $argument])
                            <label class="option"><input type="radio" name="{{ $key }}" value="{{ $value }}"
                                @checked(old($key, $house->simple($key)) === (string) $value)>
                                <span><strong>{{ $words }}</strong>@if ($value === $choice['default'])
                                <span class="tag">default</span>@endif
                                <span class="soft small d-block">{{ $argument }}</span></span></label>
                        @endforeach
                    </fieldset>
                @endforeach
                <div class="rule stack">
                    <x-field name="currency" label="Currency" :value="old('currency', $house->currency())" maxlength="6"/>
                    <x-field name="number_pattern" label="Numbers of animals" :value="old('number_pattern', $house->numberPattern())"
                        maxlength="30" hint="{000} counts with as many digits; {year} and {yy} are the year of hatching. For example
                            {yy}-{000}."/>
                </div>
            </div>
        </details>
        <details class="sheet folded" @if ($errors->any()) open @endif data-module="fold-narrow">
            <summary><h2>Disputed genetics</h2><span class="soft small">Your choice changes the odds everywhere. You can try
                another choice on a pairing.</span></summary>
            <div class="stack">
                @foreach ($catalogue->claims as $claim)
                    <div class="field">
                        <label for="school-{{ $claim->key }}">{{ $claim->question }}</label>
                        <select class="input" id="school-{{ $claim->key }}" name="schools[{{ $claim->key }}]">
                            @foreach ($claim->schools as $school)<option value="{{ $school->key === $claim->default ? '' : $school->key }}"
                                @selected(old("schools.{$claim->key}", $house->schools()[$claim->key]
                                ?? '') === ($school->key === $claim->default ? '' : $school->key))>{{ $school->name }}:
                                {{ $school->effect }}{{ $school->key === $claim->default ? ' (default)' : '' }}</option>@endforeach
                        </select>
                        <span class="hint">@foreach ($claim->schools as $school)<em>{{ $school->name }}:</em> {{ $school->argument }}
                            @endforeach</span>
                        <x-field-error :id="'claim-'.$claim->key" :message="$errors->first('schools.'.$claim->key)"/>
                    </div>
                @endforeach
            </div>
        </details>
        <details class="sheet folded" @if ($errors->any()) open @endif data-module="fold-narrow">
            <summary><h2>Names with several meanings</h2><span class="soft small">With no choice, Destino asks each
                time.</span></summary>
            <div class="four">
                @foreach ($catalogue->sharedLines() as $shared)
                    <x-choice name="lines[{{ $shared->name }}]" :label="'“'.$shared->name.'” means'" blank="ask me"
                        :value="old('lines.'.$shared->name, $house->lines()[$shared->name] ?? '')"
                        :options="array_combine($shared->choices, $shared->choices)"/>
                @endforeach
            </div>
        </details>
        @if ($may)<div class="save-foot"><button class="button main" type="submit">Save house rules</button></div>@endif
        </div>
        </fieldset>
    </form>
</x-station>
