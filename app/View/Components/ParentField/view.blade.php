<div class="parent" data-module="reading-lines parent-field" data-address="{{ route('read', ['school' => $inquiry->schools]) }}">
    <input type="hidden" name="{{ $role }}_was" value="{{ $chosen?->id }}">
    <h2><x-icon :name="'gender-'.$sex"/> {{ ucfirst($role) }}</h2>
    <div class="stack close">
        <div class="field">
            <label for="{{ $role }}_id">From the collection</label>
            <select class="input" @if ($isLong()) data-module="choice" data-from="{{ route('animals.names', ['sex' => $sex]) }}" @endif
                id="{{ $role }}_id" name="{{ $role }}_id">
                <option value="">none, typed below</option>
                @foreach ($offered() as $animal)
                    <option value="{{ $animal->id }}" data-genotype="{{ $beliefs->text($animal->id) }}"
                        @selected($chosen?->id === $animal->id)>
                        {{ $candidates->label($animal) }}
                    </option>
                @endforeach
            </select>
            @if ($isLong())
                <noscript><span class="hint">Open the animal’s own page and tap Pair, or type below what it carries.</span></noscript>
            @endif
        </div>
        <div class="field">
            <label for="{{ $role }}">What {{ $sex === 'male' ? 'he' : 'she' }} carries</label>
            <textarea class="input lines-two" rows="2" id="{{ $role }}" name="{{ $role }}" data-reads="{{ $sex }}" spellcheck="false"
                autocapitalize="off" placeholder="{{ $sex === 'male' ? 'Pastel het Clown' : 'Mojave/Mystic 66% het Clown' }}"
                aria-describedby="{{ $role }}-reading {{ $role }}-error"
                @if ($error) aria-invalid="true" @endif>{{ $typed() }}</textarea>
            <x-field-error :id="$role.'-error'" :message="$error"/>
            <div class="reading" id="{{ $role }}-reading" data-reading aria-live="polite"></div>
        </div>
    </div>
</div>
