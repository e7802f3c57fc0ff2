@php($isNew = ! $animal->exists)
<x-station :title="$isNew ? 'Add an animal' : 'Change '.$animal->name" station="animals" crumb="{{ $isNew ? 'Animals' : $animal->name }}" :crumb-link="$isNew ? route('animals.index') : route('animals.show', $animal)">
    <form class="sheet stack" style="max-width:44rem" method="post" action="{{ $isNew ? route('animals.store') : route('animals.update', $animal) }}" data-module="once">
        @csrf
        @unless ($isNew) @method('put') <input type="hidden" name="version" value="{{ $animal->version }}"> @endunless
        @if ($isNew)<input type="hidden" name="form_token" value="{{ old('form_token', $token) }}">@endif
        <x-field-error id="version-error" :message="$errors->first('version')"/>
        <div class="field">
            <label for="name">Name or number</label>
            <input class="input" id="name" name="name" value="{{ old('name', $animal->name) }}" maxlength="80" autocomplete="off" aria-describedby="name-error" @error('name') aria-invalid="true" @enderror>
            <x-field-error id="name-error" :message="$errors->first('name')"/>
        </div>
        <fieldset class="field">
            <legend class="legend mb-1">Sex</legend>
            <div class="row-flow">
                @foreach (Destino\Genome\Sex::cases() as $sex)
                    <label class="switch"><input type="radio" name="sex" value="{{ $sex->value }}" @checked(old('sex', $animal->exists ? $animal->sex->value : '') === $sex->value)> <x-icon :name="'gender-'.$sex->value" style="width:1rem"/> {{ $sex->value }}</label>
                @endforeach
            </div>
            <x-field-error id="sex-error" :message="$errors->first('sex')"/>
        </fieldset>
        <div class="field" data-module="reading" data-address="{{ route('read') }}">
            <label for="genotype">What it carries</label>
            <textarea class="input" id="genotype" name="genotype" rows="2" spellcheck="false" autocapitalize="off" data-reads="female" data-sex-from="sex" aria-describedby="genotype-hint genotype-error genotype-reading" @error('genotype') aria-invalid="true" @enderror>{{ old('genotype', $animal->genotype) }}</textarea>
            <span class="hint" id="genotype-hint">As you would say it: Pastel 66% het Clown, Mojave/Mystic, Yellow Belly or Gravel, Normal.</span>
            <x-field-error id="genotype-error" :message="implode(' ', $errors->get('genotype'))"/>
            <div class="reading" id="genotype-reading" data-reading aria-live="polite"></div>
        </div>
        <div class="field">
            <label for="hatched_on">Hatched <span class="soft">(leave empty if not known)</span></label>
            <input class="input" type="date" id="hatched_on" name="hatched_on" value="{{ old('hatched_on', $animal->hatched_on?->format('Y-m-d')) }}" aria-describedby="hatched-error" @error('hatched_on') aria-invalid="true" @enderror>
            <x-field-error id="hatched-error" :message="$errors->first('hatched_on')"/>
        </div>
        <div class="two">
            @foreach (['sire' => 'male', 'dam' => 'female'] as $parent => $sex)
                <fieldset class="field">
                    <legend class="legend mb-1">{{ ucfirst($parent) }} <span class="soft">(leave empty if not known)</span></legend>
                    <label class="small" for="{{ $parent }}_id">in the collection</label>
                    <select class="input" id="{{ $parent }}_id" name="{{ $parent }}_id" aria-describedby="{{ $parent }}-error" @error("{$parent}_id") aria-invalid="true" @enderror>
                        <option value="">none</option>
                        @foreach ($candidates[$sex] as $candidate)<option value="{{ $candidate->id }}" @selected((string) old("{$parent}_id", $animal->{"{$parent}_id"}) === (string) $candidate->id)>{{ $candidate->name }}</option>@endforeach
                    </select>
                    <x-field-error :id="$parent.'-error'" :message="$errors->first($parent.'_id')"/>
                    <label class="small" for="{{ $parent }}_name">or outside it, by name</label>
                    <input class="input" id="{{ $parent }}_name" name="{{ $parent }}_name" maxlength="80" autocomplete="off" value="{{ old("{$parent}_name", $animal->{"{$parent}_name"}) }}">
                    <x-field-error :id="$parent.'-name-error'" :message="$errors->first($parent.'_name')"/>
                </fieldset>
            @endforeach
        </div>
        <div class="field">
            <label for="notes">Notes</label>
            <textarea class="input" id="notes" name="notes" rows="4" aria-describedby="notes-error">{{ old('notes', $animal->notes) }}</textarea>
            <x-field-error id="notes-error" :message="$errors->first('notes')"/>
        </div>
        <div class="row-flow"><button class="button main" type="submit">{{ $isNew ? 'Add to the collection' : 'Save' }}</button><a href="{{ $isNew ? route('animals.index') : route('animals.show', $animal) }}">Leave it</a></div>
    </form>
</x-station>
