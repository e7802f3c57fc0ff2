@if ($page->notes()->dilemmas() !== [])
    <h3>Other choices</h3>
    <div class="scroll" tabindex="0" role="region" aria-label="Other choices">
        <table class="list">
            <thead><tr><th>Choice</th><th class="num">Half have it by</th><th class="num">By {{ $page->year($project->horizon) }}</th>
                <th class="num">Money</th></tr></thead>
            <tbody>
                @foreach ($folds->differing() as $one)
                    <tr>
                        <td>@if ($one['question'])<span
                            class="soft small d-block">{{ $one['question'] }}</span>@endif<strong>{{ $one['choice'] }}</strong></td>
                        <td class="num">{{ $one['median'] === null ? ($one['by_horizon'] === null ? 'no way' : 'later')
                            : $page->year($one['median']) }}</td>
                        <td class="num">{{ $one['by_horizon'] === null ? '' : $say->share($one['by_horizon']) }}</td>
                        <td class="num">{{ $seesMoney ? $house->money((int) round(100 * $one['money'])) : '' }}</td>
                    </tr>
                @endforeach
            </tbody>
        </table>
    </div>
    @if ($folds->same() !== [])<p class="soft small mt-2">No difference: {{ implode('; ', $folds->same()) }}.</p>@endif
@endif
@if ($page->result->pairs !== [])
    <h3>Best pairings</h3>
    <p class="soft small">The best {{ count($page->result->pairs) }}: the target now, or a young that carries all of it.</p>
    <div class="scroll" tabindex="0" role="region" aria-label="Best pairings">
        <table class="list stacked">
            <thead><tr><th>Pairing</th><th class="num">Target per egg</th><th class="num">All genes per egg</th><th class="num">Ready</th>
                <th class="num">F</th><th>House rules</th><th>Also helps</th></tr></thead>
            <tbody>
                @foreach ($page->result->pairs as $pair)
                    <tr>
                        <td data-label="Pairing"><a href="{{ $page->pairLink($pair) }}">{{ $page->named($pair['sire']) }} ×
                            {{ $page->named($pair['dam']) }}</a></td>
                        <td class="num" data-label="Target per egg">{{ $page->odds($pair['now']) }}</td>
                        <td class="num" data-label="All genes per egg">{{ $page->odds($pair['next']) }}</td>
                        <td class="num" data-label="Ready">{{ ($pair['ready'] ?? 1) === 1 ? 'now' : $page->year($pair['ready']) }}</td>
                        <td class="num" data-label="F">{{ $pair['inbreeding'] ?? '' }}</td>
                        <td data-label="House rules">@if (($pair['stance'] ?? 'inform') !== 'inform')<span
                            @class(['tag', 'dead' => $pair['stance'] === 'refuse',
                                'doubt' => $pair['stance'] === 'warn'])>{{ $pair['stance'] }}</span>@endif</td>
                        <td class="small" data-label="Also helps">{{ implode(', ', $pair['serves'] ?? []) }}</td>
                    </tr>
                @endforeach
            </tbody>
        </table>
    </div>
@endif
@if ($page->notes()->influence() !== [])
    <h3>What matters most</h3>
    <p class="soft small">Year of a 50 % chance, with a low and a high value.</p>
    <div class="scroll" tabindex="0" role="region" aria-label="What matters most">
        <table class="list">
            <thead><tr><th>Assumption</th><th class="num">With a low figure</th><th class="num">With a high one</th></tr></thead>
            <tbody>
                @foreach ($page->notes()->influence() as $one)
                    <tr><td>{{ $one['label'] }}</td>
                        @foreach ([$one['low'], $one['high']] as $end)
                            <td class="num"><strong>{{ $end['gives'] }}</strong><span
                                class="soft small d-block text-wrap">{{ $end['figure'] }}</span></td>
                        @endforeach
                    </tr>
                @endforeach
            </tbody>
        </table>
    </div>
@endif
