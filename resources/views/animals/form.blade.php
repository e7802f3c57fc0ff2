<x-station :title="$isNew ? 'Add an animal' : 'Change '.$animal->name" station="animals" crumb="{{ $isNew ? 'Animals' : $animal->name }}"
    :crumb-link="$isNew ? route('animals.index') : route('animals.show', $animal)">
    <form class="sheet stack measure" method="post" action="{{ $isNew ? route('animals.store') : route('animals.update', $animal) }}"
        data-module="once">
        @csrf
        @unless ($isNew) @method('put') <input type="hidden" name="version" value="{{ $animal->version }}"> @endunless
        @if ($isNew)<input type="hidden" name="form_token" value="{{ old('form_token', $token) }}">@endif
        <x-field-error id="version-error" :message="$errors->first('version')"/>
        <div class="two">
            <x-field name="name" label="Name" :value="old('name', $animal->name)" maxlength="80" autocomplete="off"/>
            <x-field name="number" label="Number" :value="old('number', $animal->number)" maxlength="40" autocomplete="off"
                :placeholder="$next" :hint="$isNew ? 'Left empty, the next free one: '.$next : null"/>
        </div>
        <fieldset class="field">
            <legend class="legend mb-1">Sex</legend>
            <div class="row-flow">
                @foreach (['male', 'female', 'unknown'] as $sex)
                    <label class="switch"><input type="radio" name="sex" value="{{ $sex }}"
                        @checked(old('sex', $animal->exists ? ($animal->sex?->value ?? 'unknown') : '') === $sex)> <x-icon class="slight"
                        :name="$sex === 'unknown' ? 'question-circle' : 'gender-'.$sex"/> {{ $sex === 'unknown' ? 'not known'
                        : $sex }}</label>
                @endforeach
            </div>
            <x-field-error id="sex-error" :message="$errors->first('sex')"/>
            <div class="two mt-1">
                <x-choice name="sex_found" label="How the sex was checked" blank="not recorded"
                    :value="old('sex_found', $animal->sex_found?->value)" :options="$lists->sexFound()"/>
                <x-field name="sex_certainty" label="Certainty" unit="%" :value="old('sex_certainty', $animal->sex_certainty)"
                    inputmode="numeric"/>
            </div>
        </fieldset>
        @if ($isNew)
            <div class="field" data-module="reading-lines" data-address="{{ route('read') }}">
                <label for="genotype">What it carries</label>
                <textarea class="input" id="genotype" name="genotype" rows="2" spellcheck="false" autocapitalize="off" data-reads="female"
                    data-sex-from="sex" aria-describedby="genotype-hint genotype-error genotype-reading" @error('genotype')
                    aria-invalid="true" @enderror>{{ old('genotype') }}</textarea>
                <span class="hint" id="genotype-hint">As you would say it: Pastel 66% het Clown, Mojave/Mystic, Yellow Belly or Gravel,
                    Normal.</span>
                <x-field-error id="genotype-error" :message="implode(' ', $errors->get('genotype'))"/>
                <div class="reading" id="genotype-reading" data-reading aria-live="polite"></div>
            </div>
            <x-choice name="said_by" label="Source" :value="old('said_by', 'own')"
                :options="['own' => 'own identification', 'seller' => 'the seller', 'laboratory' => 'a laboratory',
                'parents' => 'what the parents were said to be', 'offspring' => 'what offspring showed']"
                hint="More statements, from others, can be added to the record; what is believed follows from all of them and from the
                    parents."/>
        @endif
        <x-field name="hatched_on" label="Hatched" :value="old('hatched_on', $animal->hatched_on === null ? ''
            : $animal->hatched_precision->write($animal->hatched_on))" placeholder="2022-08-11"
            hint="As well as it is known: 2022-08-11, 2022-08 or 2022. Leave empty if not known." autocomplete="off"/>
        <div class="two">
            @foreach (['sire' => 'male', 'dam' => 'female'] as $parent => $sex)
                <fieldset class="field">
                    <legend class="legend mb-1">{{ ucfirst($parent) }} <span class="soft">(leave empty if not known)</span></legend>
                    <label class="small" for="{{ $parent }}_id">in the collection</label>
                    <select class="input" id="{{ $parent }}_id" name="{{ $parent }}_id" aria-describedby="{{ $parent }}-error"
                        @error("{$parent}_id") aria-invalid="true" @enderror>
                        <option value="">none</option>
                        @foreach ($candidates[$sex] as $candidate)<option value="{{ $candidate->id }}"
                            @selected((string) old("{$parent}_id",
                            $animal->{"{$parent}_id"}) === (string) $candidate->id)>{{ $candidate->name }}</option>@endforeach
                    </select>
                    <x-field-error :id="$parent.'-error'" :message="$errors->first($parent.'_id')"/>
                    <label class="small" for="{{ $parent }}_name">or outside it, by name</label>
                    <input class="input" id="{{ $parent }}_name" name="{{ $parent }}_name" maxlength="80" autocomplete="off"
                        value="{{ old("{$parent}_name", $animal->{"{$parent}_name"}) }}">
                    <x-field-error :id="$parent.'-name-error'" :message="$errors->first($parent.'_name')"/>
                </fieldset>
            @endforeach
        </div>
        @if ($isNew)
            <div class="two">
                <x-field name="weight" label="Weight today" :unit="$house->weightUnit()" :value="old('weight')" inputmode="decimal"
                    autocomplete="off"/>
                @if ($tubs !== [])<x-choice name="tub" label="Tub" blank="not in a tub" :value="old('tub')" :options="$tubs"/>@endif
            </div>
        @endif
        <div class="three">
            <x-field name="source" label="Came from" :value="old('source', $animal->source)" maxlength="120" autocomplete="off"/>
            <x-field name="acquired_on" label="On" type="date" :value="old('acquired_on', $animal->acquired_on?->format('Y-m-d'))"/>
            <x-field name="price" label="Price paid" :unit="$house->currency()" :value="old('price', $animal->price_cents === null ? ''
                : number_format($animal->price_cents / 100, 2, '.', ''))" inputmode="decimal"/>
        </div>
        <x-field name="notes" label="Notes" type="textarea" rows="4" :value="old('notes', $animal->notes)"/>
        <x-unlikely/>
        <div class="row-flow"><button class="button main" type="submit">{{ $isNew ? 'Add to the collection' : 'Save' }}</button><a
            href="{{ $isNew ? route('animals.index') : route('animals.show', $animal) }}">Cancel</a></div>
    </form>
    @unless ($isNew)
        <form class="mt-3" method="post" action="{{ route('records.destroy', ['animal', $animal->id]) }}">@csrf @method('delete')<button
            class="quiet" type="submit">Remove {{ $animal->name }}</button> <span class="soft small">for records made by
            mistake; for an animal that was sold or died, set its status. It can be undone.</span></form>
    @endunless
</x-station>
