<x-station :title="$isNew ? 'Add a clutch' : 'Change '.$clutch->title()" station="season" crumb="Clutches"
    :crumb-link="route('clutches.index')">
    <form class="sheet stack measure wide" method="post" action="{{ $isNew ? route('clutches.store') : route('clutches.update', $clutch) }}"
        data-module="once">
        @csrf
        @unless ($isNew) @method('put') <input type="hidden" name="version" value="{{ $clutch->version }}"> @endunless
        @if ($isNew)<input type="hidden" name="form_token" value="{{ old('form_token', $token) }}">@endif
        <x-field-error id="version-error" :message="$errors->first('version')"/>
        <x-field-error id="house-error" :message="implode(' ', $errors->get('house'))"/>
        <p class="soft mb-0">Fill in what is known; the rest can follow. Until there is a day of laying, the pairing counts as planned and
            obeys the house rules.</p>
        <div class="two">
            <x-choice name="dam_id" label="Dam" blank="choose" :value="old('dam_id', $clutch->dam_id)"
                :options="collect($dams)->pluck('name', 'id')->all()"/>
            <div class="field">
                <label for="sires">Possible sires</label>
                <select class="input" @if (count($sires) > 15) data-module="choice" @endif id="sires" name="sires[]" multiple size="6"
                    aria-describedby="sires-hint sires-error">@foreach ($sires as $sire)<option value="{{ $sire->id }}"
                    @selected(in_array((string) $sire->id, $chosen, true))>{{ $sire->name }}</option>@endforeach</select>
                <span class="hint" id="sires-hint">All males that were with her this season.</span>
                <x-field-error id="sires-error" :message="$errors->first('sires') ?: $errors->first('sires.*')"/>
            </div>
            <x-field name="label" label="Label" :value="old('label', $clutch->label)" maxlength="60"
                hint="If you call it something; else the season and the parents name it."/>
            <div class="two"><x-choice name="kept_id" label="Stored sperm from an earlier male" blank="none"
                :value="old('kept_id', $kept?->animal_id)" :options="collect($sires)->pluck('name', 'id')->all()"/><x-field name="kept"
                label="Chance" unit="%" :value="old('kept', $kept?->kept)" inputmode="numeric" placeholder="5"/></div>
            <x-field name="sire_name" label="or a sire outside the collection, by name" :value="old('sire_name', $outside)" maxlength="80"/>
        </div>
        <div class="three">
            <x-field name="paired_on" label="Paired" type="date" :value="old('paired_on', $clutch->paired_on?->format('Y-m-d'))"/>
            <x-field name="laid_on" label="Laid" type="date" :value="old('laid_on', $clutch->laid_on?->format('Y-m-d'))"/>
            <x-field name="hatched_on" label="Hatched" type="date" :value="old('hatched_on', $clutch->hatched_on?->format('Y-m-d'))"/>
            <x-field name="eggs_good" label="Good eggs" :value="old('eggs_good', $clutch->eggs_good)" inputmode="numeric"/>
            <x-field name="eggs_infertile" label="Slugs" :value="old('eggs_infertile', $clutch->eggs_infertile)"
                inputmode="numeric"/>
            <x-field name="hatched" label="Hatched" unit="how many" :value="old('hatched', $clutch->hatched)" inputmode="numeric"/>
        </div>
        <div class="field" data-module="reading-lines" data-address="{{ route('read') }}"><label for="target">Made for</label><input
            class="input" id="target" name="target" value="{{ old('target', $clutch->target) }}" maxlength="400" data-reads="choices"
            spellcheck="false" autocapitalize="off" aria-describedby="target-hint target-error" @if ($errors->has('target'))
            aria-invalid="true" @endif><span class="hint" id="target-hint">The target, such as “Clown, female”: the page of the
            clutch then says what the eggs still give.</span><x-field-error id="target-error" :message="$errors->first('target')"/>
            <div class="reading flat" data-reading aria-live="polite"></div></div>
        <x-field name="reason" label="Reason" :value="old('reason', $clutch->reason)" maxlength="2000"
            hint="Needed where the house rules warn of the pairing."/>
        <x-field name="notes" label="Notes" type="textarea" rows="3" :value="old('notes', $clutch->notes)"/>
        <x-unlikely/>
        <div class="row-flow"><button class="button main" type="submit">{{ $isNew ? 'Save' : 'Save' }}</button><a
            href="{{ $isNew ? route('clutches.index') : route('clutches.show', $clutch) }}">Cancel</a></div>
    </form>
    @if (! $isNew && Gate::allows('manage', $clutch))<div class="mt-3"><x-take-out kind="clutch" :record="$clutch" :label="$clutch->title()"
        class=""/></div>@endif
</x-station>
