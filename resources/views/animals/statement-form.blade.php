<form method="post" action="{{ $statement ? route('statements.update', $statement) : route('statements.store', $animal) }}"
    class="stack mt-2" data-module="once">
    @csrf
    @if ($statement) @method('put') <input type="hidden" name="version" value="{{ $statement->version }}"><x-field-error id="version-error"
        :message="implode(' ', $errors->statement->get('version'))"/> @else <input type="hidden" name="form_token" value="{{ $token }}">
        @endif
    <div class="field" data-module="reading-lines" data-address="{{ route('read') }}">
        <label for="text">Genetics</label>
        <textarea class="input" id="text" name="text" rows="2" spellcheck="false" autocapitalize="off"
            data-reads="{{ $animal->sex?->value ?? 'female' }}" aria-describedby="text-error text-reading"
            @if ($errors->statement->has('text')) aria-invalid="true" @endif>{{ old('text', $statement?->text) }}</textarea>
        <x-field-error id="text-error" :message="implode(' ', $errors->statement->get('text'))"/>
        <div class="reading" id="text-reading" data-reading aria-live="polite"></div>
    </div>
    <div class="two">
        <x-choice name="source" bag="statement" label="Source" :value="old('source', $statement?->source->value ?? 'own')"
            :options="['own' => 'own identification', 'seller' => 'the seller', 'laboratory' => 'a laboratory',
            'parents' => 'what the parents were said to be', 'offspring' => 'what offspring showed']"/>
        <x-field name="who" bag="statement" label="Name of source" :value="old('who', $statement?->who)" maxlength="80"/>
        <x-field name="on" bag="statement" id="statement-on" label="On" type="date" :value="old('on', $statement?->on?->format('Y-m-d'))"/>
        <x-field name="certainty" bag="statement" label="Certainty" unit="%" :value="old('certainty', $statement?->certainty ?? 100)"
            inputmode="numeric"/>
    </div>
    <label class="switch"><input type="checkbox" name="names_all" value="1"
        @checked(old('_token') ? old('names_all') : ($statement?->names_all ?? true))> This lists every visible gene (a gene not listed is
            not there)</label>
    <x-field name="note" bag="statement" label="Note" :value="old('note', $statement?->note)" maxlength="2000"/>
    <div><button @class(['button', 'main' => $statement]) type="submit">{{ $statement ? 'Save' : 'Add it' }}</button></div>
</form>
