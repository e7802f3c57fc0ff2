<x-station title="Compare" station="genes" crumb="Genes" :crumb-link="route('genes.index')">
    <x-gene-tabs here="compare"/>
    <form method="get" class="sheet" action="{{ route('looks.compare') }}">
        <div class="compare-fields">
            @foreach (range(0, max(1, min(5, count($comparison->texts)))) as $i)
                <div class="field"><label for="genes-{{ $i }}">{{ $i === 0 ? 'Genotype' : 'and' }}</label><input class="input"
                    id="genes-{{ $i }}" name="genes[]" value="{{ $comparison->texts[$i] ?? '' }}" maxlength="300" spellcheck="false"
                    autocapitalize="off" placeholder="{{ ['Pastel', 'Pastel Enchi', 'Super Pastel', 'Clown', 'Pastel Clown',
                    'Normal'][$i] }}" @if (isset($comparison->errors[$i])) aria-invalid="true" aria-describedby="genes-{{ $i }}-error"
                    @endif><x-field-error :id="'genes-'.$i.'-error'" :message="$comparison->errors[$i] ?? null"/></div>
            @endforeach
        </div>
        <x-field-error id="genes-error" :message="$comparison->errors[6] ?? null"/>
        <div class="row-flow mt-2">
            <label>as <select class="input slim" name="age">@foreach (['' => 'grown animals', 'yearling' => 'yearlings',
                'hatchling' => 'hatchlings'] as $value => $words)<option value="{{ $value }}"
                @selected(($comparison->query()['age'] ?? '') === $value)>{{ $words }}</option>@endforeach</select></label>
            <label>individual <select class="input slim" name="individual">@foreach (['' => 'the typical one', '1' => 'one',
                '2' => 'another', '3' => 'a third', '4' => 'a fourth'] as $value => $words)<option value="{{ $value }}"
                @selected((string) ($comparison->query()['individual']
                ?? '') === (string) $value)>{{ $words }}</option>@endforeach</select></label>
            <button class="button main" type="submit">Compare</button>
            <span class="soft small">Two to six. “Normal” is the wild type.</span>
        </div>
    </form>
    @if ($comparison->looks() === [])
        <section class="mt-3"><p class="soft">Type genotypes as you say them; each is drawn and held against the first, in words. Or begin
            with one of these:</p>
            <div class="compare-examples">
            @foreach ($comparison->examples() as $words => $texts)<a class="sheet compare-example"
                href="{{ route('looks.compare', ['genes' => $texts]) }}"><strong>{{ $words }}</strong>
                <span class="compare-pictures">@foreach ($texts as $text)<span>{!! $prints->of($gallery->ofText($text)) !!}<span
                    class="soft small">{{ $text }}</span></span>@endforeach</span></a>@endforeach
            </div>
            {!! $prints->symbols() !!}</section>
    @else
        <section class="sheet mt-3 edge-to-edge" aria-label="Side by side">
            @foreach ($comparison->looks() as $i => $look)
                <figure>
                    <div class="two-views">@snake($look, $comparison->texts[$i], 'card')
                    @snake($look, $comparison->texts[$i].', the skin laid flat', 'flat')</div>
                    <figcaption><strong>{{ $comparison->texts[$i] }}</strong>
                        @if ($i === $comparison->first())<span class="soft">the others are held against this one</span>
                        @elseif (($words = $comparison->against($i)) !== [])<span>{{ implode('; ', $words) }}</span>
                        @else<span class="soft">the same to the eye, as far as we know</span>@endif
                        @if ($comparison->isHardToTell($i))<span class="tag doubt">hard to tell apart</span>@endif
                        @if ($look->hidden !== [])<span class="soft small">Hidden in it: {{ implode(', ', $look->hidden) }}.</span>@endif
                        @if ($look->sureness->value !== 'known')<span class="soft small">{{ $look->sureness->value === 'unknown'
                            ? 'We know of no description: drawn from its genes.' : 'No description of this combination is known.
                                Drawn from its single genes.' }}</span>@endif
                        @foreach ($comparison->without($i) as [$gene, $query])<a class="quiet small"
                            href="{{ route('looks.compare', $query) }}">without {{ $gene }}</a>@endforeach
                    </figcaption>
                </figure>
            @endforeach
            <p class="soft small mb-0">A scheme: the skin laid flat, the back in the middle, the belly edges outside, the head at the left.
                Real animals vary; choose another individual above.</p>
        </section>
    @endif
</x-station>
