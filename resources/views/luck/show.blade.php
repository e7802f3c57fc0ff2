<x-station title="Luck" station="prove">
    <x-prove-tabs here="luck"/>
    <div class="stack">
        @include('luck.own')
        <details class="sheet folded" id="figures" @if ($page->luck || $page->errors !== [] || $choices === []) open @endif>
            <summary><h2>Your own figures</h2><span class="soft small">chance per egg, eggs, hits</span></summary>
            <form class="luck-form mt-2" method="get" aria-label="Chance, eggs and hits">
                @foreach ([['chance', 'Chance per egg', '1/6, 6 % or 1 in 16', 'text'], ['eggs', 'Eggs in all', '40', 'numeric'],
                    ['hits', 'Hits among them', '0', 'numeric']] as [$field, $label, $example, $mode])
                    <div class="field">
                        <label for="{{ $field }}">{{ $label }}</label>
                        <input class="input" id="{{ $field }}" name="{{ $field }}" value="{{ $page->typed[$field] }}"
                            placeholder="{{ $example }}" inputmode="{{ $mode }}" aria-describedby="{{ $field }}-error"
                            @if (isset($page->errors[$field])) aria-invalid="true" @endif>
                        <x-field-error :id="$field.'-error'" :message="$page->errors[$field] ?? null"/>
                    </div>
                @endforeach
                <button class="button main" type="submit">Check luck</button>
                <details class="whole-line" @if (isset($page->errors['not_carried']) || isset($page->errors['hidden'])) open @endif>
                    <summary>Chance of other causes</summary><div class="two mt-2">
                    @foreach ([['not_carried', 'A parent does not carry it', '5%'],
                        ['hidden', 'Hits are overlooked', '5%']] as [$field, $label, $example])
                        <div class="field"><label for="{{ $field }}">{{ $label }}</label><input class="input" id="{{ $field }}"
                            name="{{ $field }}" value="{{ $page->typed[$field] }}" placeholder="{{ $example }}"
                            aria-describedby="{{ $field }}-error" @if (isset($page->errors[$field])) aria-invalid="true"
                            @endif><x-field-error :id="$field.'-error'" :message="$page->errors[$field] ?? null"/></div>
                    @endforeach
                </div></details>
            </form>
        </details>
        @if ($page->luck)
            <section class="sheet">
                <p class="answer">{{ $page->sentence() }}</p>
                <p class="mb-3 mt-1">{{ $page->verdict() }}</p>
                <x-luck-heap :luck="$page->luck"/>
                <dl class="facts mt-2">
                    <dt>Expected</dt><dd>{{ rtrim(rtrim(number_format($page->luck->expected()->toFloat(), 2), '0'), '.') }} hits</dd>
                    <dt>{{ $page->luck->hits }} or fewer</dt><dd>{{ $say->percent($page->luck->atMost()) }}</dd>
                    <dt>{{ $page->luck->hits }} or more</dt><dd>{{ $say->percent($page->luck->atLeast()) }}</dd>
                    <dt>Exactly {{ $page->luck->hits }}</dt><dd>{{ $say->percent($page->luck->probabilityOf($page->luck->hits)) }}</dd>
                </dl>
                <p class="soft small mb-0 mt-2">Assumes independent eggs with one and the same chance. If a parent may not carry the gene,
                    that doubt comes on top.</p>
            </section>
            @if ($alternatives !== [])
                <section class="sheet">
                    <div class="head"><h2>Luck, or something else?</h2><span class="soft small">odds now, with
                        {{ $page->typed['not_carried'] }} and {{ $page->typed['hidden'] }} before the eggs</span></div>
                    <ul class="plain odds-bars">@foreach ($alternatives as $one)<li>
                        <div class="row-flow"><strong>{{ $one['name'] }}</strong><span
                        class="ms-auto num">{{ $say->share($one['share']) }}</span></div><div class="bar" aria-hidden="true"><i
                        style="width:{{ round(100 * $one['share'], 1) }}%"></i></div>
                        <p class="soft small mb-0">{{ $one['text'] }}</p></li>@endforeach</ul>
                </section>
            @endif
            @if ($calm !== null)
                <section class="sheet">
                    <div class="head"><h2>How long to stay calm</h2><span class="soft small">if no hit comes at all</span></div>
                    <p class="mb-2">{{ $calm['calm'] === null
                        ? 'At this chance more eggs than anybody hatches are needed before silence means something.'
                        : "Up to {$calm['calm']} eggs without a hit happen to more than 1 in 20 keepers who have everything right." }}</p>
                    <svg class="plan-curves" viewBox="-24 0 950 196" role="img"
                        aria-label="Chance of no hit so far, by eggs, falling; and the odds that a parent does not carry it, rising">
                        @foreach ([0, .5, 1] as $share)<path class="grid" d="M40 {{ 14 + 150 * (1 - $share) }} H860"/><text x="34"
                            y="{{ 18 + 150 * (1 - $share) }}" text-anchor="end">{{ 100 * $share }} %</text>@endforeach
                        <path class="grid" stroke-dasharray="3 4" d="M40 {{ 14 + 150 * .95 }} H860"/><text x="866"
                            y="{{ 18 + 150 * .95 }}">1 in 20</text>
                        @foreach ([0, .25, .5, .75, 1] as $at)<text x="{{ 40 + 820 * $at }}" y="184"
                            text-anchor="middle">{{ round($at * $calm['most']) }} eggs</text>@endforeach
                        <polyline class="curve-line tone-0" points="{{ $calm['points'] }}"/><polyline class="curve-line tone-1"
                            stroke-dasharray="7 4" points="{{ $calm['doubt'] }}"/>
                    </svg>
                    <p class="soft small mb-0">Full line: no hit so far, if all is right. Broken line: a parent does not carry it, if none
                        has come.</p>
                </section>
            @endif
        @elseif ($page->errors === [] && ! $own->isAsked())
            <section class="empty is-low"><p class="answer">Bad luck, or a wrong belief?</p><p class="soft">Choose a clutch and a target, or
                give the chance per egg, the eggs and the hits. You see how often chance alone does that.</p></section>
        @endif
    </div>
</x-station>
