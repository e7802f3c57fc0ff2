<form class="{{ $class }}" method="get" action="{{ route('pair') }}#answer" aria-label="The pairing" data-module="live-answer">
    <div class="parents">
        <x-parent-field role="sire" sex="male" :inquiry="$inquiry" :candidates="$candidates" :beliefs="$beliefs"/>
        <div class="cross" aria-hidden="true">×</div>
        <x-parent-field role="dam" sex="female" :inquiry="$inquiry" :candidates="$candidates" :beliefs="$beliefs"/>
    </div>
    <x-field-error id="pairing-error" :message="$inquiry->errors['pairing'] ?? null"/>
    <div class="ask">
        <div class="field" data-module="reading-lines" data-address="{{ route('read', ['school' => $inquiry->schools]) }}">
            <label for="target">Wanted <span class="soft">(leave empty for all)</span></label>
            <input class="input" id="target" name="target" value="{{ $inquiry->target }}" data-reads="choices" spellcheck="false"
                autocapitalize="off" placeholder="Clown + Pastel, female" aria-describedby="target-hint target-error target-reading"
                @if (isset($inquiry->errors['target'])) aria-invalid="true" @endif>
            <span class="hint" id="target-hint">Also “Pastel or Enchi”, “at least two of Pastel, Enchi, Fire”, “any Clown with two
                co-dominants”, brackets.</span>
            <x-field-error id="target-error" :message="$inquiry->errors['target'] ?? null"/>
            <div class="reading flat" id="target-reading" data-reading aria-live="polite"></div>
        </div>
        <div class="field">
            <label for="eggs">Eggs</label>
            <input class="input" id="eggs" name="eggs" inputmode="numeric" value="{{ $inquiry->eggs }}" aria-describedby="eggs-error"
                @if (isset($inquiry->errors['eggs'])) aria-invalid="true" @endif>
            <x-field-error id="eggs-error" :message="$inquiry->errors['eggs'] ?? null"/>
        </div>
        <input type="hidden" name="by" value="{{ $inquiry->by->value }}">
        @foreach (['sexed', 'hatched', 'alike'] as $option) @if ($inquiry->$option) <input type="hidden" name="{{ $option }}"
            value="1"> @endif @endforeach
        @foreach ($inquiry->schools as $claim => $choice) <input type="hidden" name="school[{{ $claim }}]" value="{{ $choice }}">
            @endforeach
        <button class="button main" type="submit">Show the odds</button>
    </div>
</form>
