<x-station :title="$question->words()" station="prove" crumb="Prove" :crumb-link="route('prove')">
    <x-slot:actions><a class="button" href="{{ route('prove.animal', $animal) }}">Evidence so far</a></x-slot:actions>
    <div class="stack">
    <section class="sheet">
        <p class="answer mb-2">@if (count($answers) < 2){{ array_key_first($answers) }}, for sure: there is nothing to
            prove.@elseif ($animal->sex === null)Find out the sex first; then the mates can be
            ranked.@elseif (($mates[0]['eggs95'] ?? null) === null)No mate of the collection can settle it{{ $sons ? '; sons held back can.'
            : '. A visual mate could.' }}@else{{ $mates[0]['mate']->name }} gives the fastest test: {{ $mates[0]['eggs95'] }} hatchlings
                for 95
            %{{ $mates[0]['eggs99'] ? ', '.$mates[0]['eggs99'].' for 99 %' : '' }}, about {{ $mates[0]['seasons'] }}
            {{ $mates[0]['seasons'] > 1 ? 'seasons' : 'season' }}.@endif</p>
        <x-shares :shares="$answers"/><p class="small soft mb-0 mt-1">{{ $say->shares($answers) }}</p>
    </section>
    @if ($mates !== [] && count($answers) > 1)
        <section class="sheet">
            <div class="head"><h2>Test pairings</h2><span class="soft small">hatchlings needed for a 95 or 99 % answer (in 19 of 20
                cases)</span></div>
            <svg class="plan-curves" viewBox="-18 0 738 190" role="img"
                aria-label="Chance to know after each number of eggs, for the first three mates">
                @foreach ([0, .5, 1] as $share)<path class="grid" d="M44 {{ 14 + 140 * (1 - $share) }} H690"/><text x="38"
                    y="{{ 18 + 140 * (1 - $share) }}" text-anchor="end">{{ 100 * $share }} %</text>@endforeach
                @foreach ([1, 4, 8, 12, 16] as $eggs)<text x="{{ 60 + ($eggs - 1) * 40 }}" y="176" text-anchor="middle">{{ $eggs }}
                    {{ $eggs === 1 ? 'egg' : '' }}</text>@endforeach
                @foreach (array_slice($mates, 0, 3) as $i => $mate)<polyline class="curve-line tone-{{ $i }}"
                    points="{{ implode(' ', array_map(fn ($chance, $at) => (60 + $at * 40).','.round(14 + 140 * (1 - $chance), 1),
                    $mate['curve'], array_keys($mate['curve']))) }}" @if ($i) stroke-dasharray="{{ ['', '7 4', '2 3'][$i] }}"
                    @endif/><text class="curve-name" x="{{ 668 + 9 * $i }}"
                    y="{{ 18 + 140 * (1 - $mate['curve'][15]) }}">{{ chr(65 + $i) }}</text>@endforeach
            </svg>
            <div class="scroll" tabindex="0" role="region" aria-label="Mates compared"><table class="list stacked"><thead><tr><th>Mate</th>
                <th>Carries</th><th class="num">95 %</th><th class="num">99 %</th><th class="num">Seasons</th><th>Ready</th>
                <th>Worth besides</th></tr></thead><tbody>
                @foreach ($mates as $i => $mate)<tr><td data-label="Mate"><a href="{{ route('pair', $animal->sex->value === 'male'
                    ? ['sire_id' => $animal->id, 'dam_id' => $mate['mate']->id] : ['sire_id' => $mate['mate']->id,
                    'dam_id' => $animal->id]) }}">@if ($i < 3)<strong>{{ chr(65 + $i) }}</strong> @endif{{ $mate['mate']->name }}</a></td>
                    <td data-label="Carries">{{ $mate['carries'] }}</td><td class="num"
                    data-label="95 %">{{ $mate['eggs95'] ? $mate['eggs95'].' eggs' : 'never' }}</td><td class="num"
                    data-label="99 %">{{ $mate['eggs99'] ? $mate['eggs99'].' eggs' : 'never' }}</td><td class="num"
                    data-label="Seasons">{{ $mate['seasons'] ?? '' }}</td><td data-label="Ready" class="small">{{ $mate['ready'] }}</td>
                    <td data-label="Worth besides" class="small">{{ $mate['besides'] }}</td></tr>@endforeach
            </tbody></table></div>
            <p class="soft small mb-0 mt-2">Seasons: a clutch of 6 eggs of which 85 % hatch, laid in 70 % of seasons. “Never”: too uncertain
                a mate, or more than 40 eggs.</p>
        </section>
    @endif
    @if ($sons !== null && count($answers) > 1)
        <section class="sheet">
            <div class="head"><h2>Or breed her sons back to her</h2><span class="soft small">sons by a male without the gene, each bred
                back to her</span></div>
            <div class="scroll" tabindex="0" role="region" aria-label="Sons held back"><table class="list"><thead><tr><th>Sons kept</th>
                <th class="num">One of them carries it, if she does</th><th class="num">A visual hatches, 10 eggs of each
                son</th></tr></thead><tbody>@foreach ($sons as $one)<tr><td>{{ $one['sons'] }}</td>
                <td class="num">{{ $one['carries'] }}</td><td class="num">{{ $one['proves'] }}</td></tr>@endforeach</tbody></table></div>
            <p class="soft small mb-0 mt-2">Parent to young gives F = 1/4 in these young; see your limit of relatedness in the house
                rules.</p>
        </section>
    @endif
    </div>
</x-station>
