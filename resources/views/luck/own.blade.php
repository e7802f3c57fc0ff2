@if ($choices !== [] && ! $page->luck)
    <section class="sheet" aria-labelledby="own-title">
        <div class="head"><h2 id="own-title">From your own records</h2><span class="soft small">eggs and hits are counted for
            you</span></div>
        <form method="get" action="{{ route('luck') }}" class="ask-line">
            <div class="field"><label for="of">Clutch, pair or female</label><select class="input" id="of" name="of"
                @if (array_sum(array_map('count', $choices)) > 15) data-module="choice" @endif @if (isset($own->errors['of']))
                aria-invalid="true" aria-describedby="of-error" @endif>
                <option value="">choose</option>@foreach ($choices as $kind => $options)<optgroup
                label="{{ $kind }}">@foreach ($options as $key => $words)<option value="{{ $key }}"
                @selected($own->of === $key)>{{ $words }}</option>@endforeach</optgroup>@endforeach</select><x-field-error id="of-error"
                :message="$own->errors['of'] ?? null"/></div>
            <div class="field"><label for="luck-target">Target</label><input class="input" id="luck-target" name="target"
                value="{{ $own->target }}" maxlength="400" placeholder="Clown" spellcheck="false" autocapitalize="off"
                @if (isset($own->errors['target'])) aria-invalid="true" aria-describedby="luck-target-error" @endif><x-field-error
                id="luck-target-error" :message="$own->errors['target'] ?? null"/></div>
            <button class="button" type="submit">Check luck</button>
        </form>
        @if ($own->isAsked() && $own->errors === [])
            @if ($own->rows === [])
                <p class="mb-0 mt-3 soft">Nothing to compare: these parents do not give {{ $own->target }} by chance, the sire is
                    one of several, or of none of the young is it known whether it is a hit.</p>
            @else
                <p class="answer mt-3">{{ $all->hits }} {{ $all->hits === 1 ? 'hit' : 'hits' }} in {{ $all->eggs }} young,
                    {{ number_format($all->expected()->toFloat(), 1) }} expected.
                    <span class="soft">{{ $say->together($all, 'runs of eggs') }}</span></p>
                @if (count($own->rows) === 1)<x-luck-heap :luck="$own->rows[0]['luck']"/>@endif
                <x-luck-rows :rows="$own->rows" label="Luck by pairing"/>
                <p class="soft small mb-0 mt-2">Young of which it is known, alive. The odds are those of the parents as they are believed
                    now, with all that their young have said: extreme luck has moved them already.</p>
            @endif
        @endif
    </section>
@endif
