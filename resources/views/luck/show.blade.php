<x-station title="Luck" station="luck">
    <div class="stack">
        <form class="sheet luck-form" method="get" aria-label="Chance, eggs and hits">
            @foreach ([['chance', 'Chance per egg', '1/6', 'text'], ['eggs', 'Eggs in all', '40', 'numeric'], ['hits', 'Hits among them', '0', 'numeric']] as [$field, $label, $example, $mode])
                <div class="field">
                    <label for="{{ $field }}">{{ $label }}</label>
                    <input class="input" id="{{ $field }}" name="{{ $field }}" value="{{ $page->typed[$field] }}" placeholder="{{ $example }}" inputmode="{{ $mode }}" aria-describedby="{{ $field }}-error" @if (isset($page->errors[$field])) aria-invalid="true" @endif>
                    <x-field-error :id="$field.'-error'" :message="$page->errors[$field] ?? null"/>
                </div>
            @endforeach
            <button class="button main" type="submit">How unlikely?</button>
        </form>
        @if ($page->luck)
            @php($bars = $page->bars())
            @php($peak = max(array_column($bars, 'chance')))
            <section class="sheet">
                <p class="answer">{{ $page->sentence() }}</p>
                <p class="mb-3 mt-1">{{ $page->verdict() }}</p>
                <svg class="law" viewBox="0 0 900 240" role="img" aria-label="Chance of each number of hits; the coloured part is as far out as what happened">
                    @foreach ($bars as $i => $bar)
                        @php([$w, $h] = [900 / count($bars), $peak > 0 ? 172 * $bar['chance'] / $peak : 0])
                        <rect @class(['tail' => $bar['inTail']]) x="{{ round($i * $w + $w * .08, 2) }}" y="{{ round(202 - max($h, 1), 2) }}" width="{{ round($w * .84, 2) }}" height="{{ round(max($h, 1), 2) }}" rx="{{ min(4, $w * .2) }}"/>
                        @if ($bar['hits'] === $page->luck->hits || $i % max(1, intdiv(count($bars), 12)) === 0)<text @class(['here' => $bar['hits'] === $page->luck->hits]) x="{{ round(($i + .5) * $w, 2) }}" y="220" text-anchor="middle">{{ $bar['hits'] }}</text>@endif
                        @if ($bar['hits'] === $page->luck->hits)<text class="here" x="{{ round(min(860, max(40, ($i + .5) * $w)), 2) }}" y="{{ round(192 - max($h, 1), 2) }}" text-anchor="middle">you: {{ $bar['hits'] }}</text>@endif
                    @endforeach
                    <text x="450" y="237" text-anchor="middle">hits in {{ $page->luck->eggs }} eggs at {{ $page->luck->chance->toString() }}</text>
                </svg>
                <dl class="facts mt-2">
                    <dt>Expected</dt><dd>{{ rtrim(rtrim(number_format($page->luck->expected()->toFloat(), 2), '0'), '.') }} hits</dd>
                    <dt>{{ $page->luck->hits }} or fewer</dt><dd>{{ App\Pairing\OddsWords::percent($page->luck->atMost()) }}</dd>
                    <dt>{{ $page->luck->hits }} or more</dt><dd>{{ App\Pairing\OddsWords::percent($page->luck->atLeast()) }}</dd>
                    <dt>Exactly {{ $page->luck->hits }}</dt><dd>{{ App\Pairing\OddsWords::percent($page->luck->probabilityOf($page->luck->hits)) }}</dd>
                </dl>
                <p class="soft small mb-0 mt-2">Assumes independent eggs with one and the same chance. If a parent may not carry the gene, that doubt comes on top.</p>
            </section>
        @elseif ($page->errors === [])
            <section class="empty"><p class="answer">Bad luck, or a wrong belief?</p><p class="soft">Give the chance per egg, how many eggs you have had, and how many were hits. You see how often chance alone does that.</p></section>
        @endif
    </div>
</x-station>
