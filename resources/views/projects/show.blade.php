<x-station :title="$project->name" station="projects" crumb="Projects" :crumb-link="route('projects.index')">
    <x-slot:actions><a class="button" href="{{ route('projects.story', $project) }}"><x-icon name="book"/>Story</a>@can('manage', $project)<a class="button" href="{{ route('projects.edit', $project) }}"><x-icon name="pencil"/>Change</a><form method="post" action="{{ route('projects.replan', $project) }}" data-module="once">@csrf<button class="button main" type="submit">Plan again</button></form>@endcan</x-slot:actions>
    <div class="stack">
    <section class="sheet">
        <p class="soft mb-1">{{ $project->target }}{{ ['pair' => ', a breeding pair', 'sure' => ', a pair that gives it in every egg'][$project->wanted] ?? '' }}{{ $project->most_inbreeding === null ? '' : ', F at most '.$project->most_inbreeding }}, {{ $project->horizon }} seasons ahead{{ ! $seesMoney || $project->budget === null ? '' : ', budget '.$house->money($project->budget * 100) }}</p>
        <p class="answer mb-0">{{ $page->answer() }}</p>
        @if ($plan?->isOpen())
            <div class="row-flow mt-2" data-module="plan-progress" data-address="{{ route('plans.progress', $plan) }}" role="status"><span>A first answer; the whole one is being worked out.</span> <progress max="100" value="{{ $plan->progress }}" data-bar>{{ $plan->progress }} %</progress>@can('manage', $project)<form method="post" action="{{ route('plans.cancel', $plan) }}">@csrf<button class="quiet" type="submit">stop</button></form>@endcan</div>
        @elseif ($page->isOutdated())
            <p class="field-error mt-2"><x-icon name="info-circle"/><span>Your animals have changed since this plan: {{ implode('; ', $page->since()) }}. {{ $page->isFollowed() ? 'A new plan is being worked out.' : 'It will be updated soon.' }}@can('manage', $project) Plan again to update it now.@endcan</span></p>
        @elseif ($page->updated() !== '')
            <p class="soft small mb-0 mt-2">{{ $page->updated() }}</p>
        @endif
    </section>
    @if (($now = $page->now()) !== null)
        <section class="sheet">
            <div class="head"><h2>What to do now</h2><span class="soft small">this season, as far as it is known today</span></div>
            <x-project-now :$now :$house :$project/>
            @if (($gone = $page->goneOffers()) !== [])<p class="soft small mb-0 mt-2">No longer to be had, and left out: {{ implode('; ', $gone) }}.</p>@endif
            @can('manage', $project)
                <form method="post" action="{{ route('projects.try', $project) }}" class="row-flow why-not no-print mt-3" id="why-not" data-module="once">@csrf
                    <span class="soft">Why not</span>
                    <select class="input slim" name="sire" aria-label="Sire" required><option value="">a male …</option>@foreach ($animals['male'] as $id => $name)<option value="{{ $id }}" @selected((string) old('sire') === (string) $id)>{{ $name }}</option>@endforeach</select>
                    <span aria-hidden="true">×</span>
                    <select class="input slim" name="dam" aria-label="Dam" required><option value="">a female …</option>@foreach ($animals['female'] as $id => $name)<option value="{{ $id }}" @selected((string) old('dam') === (string) $id)>{{ $name }}</option>@endforeach</select>
                    <button class="button slim" type="submit">Try it</button>
                    <x-field-error id="why-not-error" :message="$errors->first('sire') ?: $errors->first('dam')"/>
                </form>
            @endcan
            @if ($page->tried() !== [])<ul class="plain mt-2">@foreach ($page->tried() as $one)<li><strong>{{ $one['pair'] }}</strong> <span class="soft">{{ $one['says'] }}</span></li>@endforeach</ul>@endif
        </section>
    @endif
    @if ($page->policy() !== null)
        <section class="sheet">
            <div class="head"><h2>The chance by year</h2><span class="soft small">{{ number_format($page->policy()['runs']) }} simulated keepers who decide each season by what hatched; the shade is the band in which the chance lies with 95 %</span></div>
            <svg @class(['plan-curves', 'has-money' => $money['most'] > 0]) viewBox="-16 0 {{ $chart::WIDTH + 16 }} {{ $chart::HEIGHT + ($money['most'] > 0 ? 92 : 0) }}" role="img" aria-label="Chance of having the target by year{{ $money['most'] > 0 ? ', and money spent' : '' }}">
                @foreach ([0, .25, .5, .75, 1] as $share)<path class="grid" d="M44 {{ $chart->y($share) }} H{{ $chart::WIDTH - 24 }}"/><text x="38" y="{{ $chart->y($share) + 4 }}" text-anchor="end">{{ 100 * $share }} %</text>@endforeach
                @for ($season = 1; $season <= $project->horizon; $season++)<text x="{{ $chart->x($season) }}" y="{{ $chart::HEIGHT - 6 }}" text-anchor="middle">{{ $page->year($season) }}</text>@endfor
                @foreach ($chart->curves() as $i => $curve)<polygon class="band tone-{{ $i }}" points="{{ $curve['band'] }}"/><polyline class="curve-line tone-{{ $i }}" points="{{ $curve['points'] }}" @if ($curve['dash']) stroke-dasharray="{{ $curve['dash'] }}" @endif/><text class="curve-name" x="{{ $curve['end'][0] + 6 }}" y="{{ $curve['end'][1] + 4 }}">{{ $i === 0 ? 'all' : chr(64 + $i) }}</text>@endforeach
                @if ($money['most'] > 0)
                    <g transform="translate(0 {{ $chart::HEIGHT + 18 }})"><text x="48" y="3">money spent up to each year</text><path class="grid" d="M44 64 H{{ $chart::WIDTH - 24 }}"/><path class="grid" d="M44 10 H{{ $chart::WIDTH - 24 }}"/><text x="38" y="68" text-anchor="end">{{ $house->money(0) }}</text><text x="38" y="14" text-anchor="end">{{ $house->money((int) round(100 * $money['most'])) }}</text>
                        @foreach ($money['curves'] as $i => $curve)<polyline class="curve-line tone-{{ $i }}" points="{{ $curve['points'] }}" @if ($curve['dash']) stroke-dasharray="{{ $curve['dash'] }}" @endif/>@endforeach</g>
                @endif
            </svg>
            <div class="scroll" tabindex="0" role="region" aria-label="Ways compared"><table class="list stacked"><thead><tr><th>Way</th><th class="num">Half have it by</th><th class="num">1 in 10 by</th><th class="num">9 in 10 by</th><th class="num">Eggs</th><th class="num">Young kept</th><th class="num">Money</th><th class="num">F</th><th>Main risk</th></tr></thead><tbody>
                <tr><td data-label="Way"><strong>all</strong> what you can reach, deciding as you go</td>@foreach (['median', 'p10', 'p90'] as $key)<td class="num" data-label="{{ ['median' => 'Half by', 'p10' => '1 in 10 by', 'p90' => '9 in 10 by'][$key] }}">{{ $page->policy()['season'][$key] === null ? 'later' : $page->year($page->policy()['season'][$key]) }}</td>@endforeach<td class="num" data-label="Eggs">{{ $page->policy()['eggs'] }}</td><td class="num" data-label="Young kept">{{ $page->policy()['kept'] }}</td><td class="num" data-label="Money">{{ $seesMoney ? $house->money((int) round(100 * $page->policy()['money'])) : '' }}</td><td class="num" data-label="F"></td><td data-label="Main risk">{{ $page->policy()['risk'] ?? 'none stands out' }}</td></tr>
                @foreach ($routes as $i => $route)<tr><td data-label="Way"><a href="#route-{{ $i }}"><strong>{{ chr(65 + $i) }}</strong> {{ $route['name'] }}</a></td>@foreach (['median', 'p10', 'p90'] as $key)<td class="num" data-label="{{ ['median' => 'Half by', 'p10' => '1 in 10 by', 'p90' => '9 in 10 by'][$key] }}">{{ $route['season'][$key] === null ? 'later' : $page->year($route['season'][$key]) }}</td>@endforeach<td class="num" data-label="Eggs">{{ $route['eggs'] }}</td><td class="num" data-label="Young kept">{{ $route['kept'] }}</td><td class="num" data-label="Money">{{ $seesMoney ? $house->money((int) round(100 * $route['money'])) : '' }}</td><td class="num" data-label="F">{{ $route['inbreeding'] }}</td><td data-label="Main risk">{{ $route['risk'] ?? 'none stands out' }}</td></tr>@endforeach
            </tbody></table></div>
            <p class="soft small mb-0 mt-2">A, B and so on are single ways, held to whatever hatches: what the plan draws on. @if ($page->result->isCut())The search for them stopped before it was through.@endif</p>
        </section>
    @endif
    @if ($routes !== [])
        @foreach ($routes as $i => $route)
            <section class="sheet" id="route-{{ $i }}">
                <div class="head"><h2>{{ chr(65 + $i) }} {{ $route['name'] }}</h2><span class="soft small">{{ $route['why'] }}{{ $i > 0 ? ' Against A: '.$page->against($i).'.' : '' }}</span></div>
                @if ($page->closeness($route['inbreeding'], $house->relatednessLimit()) !== null)<p class="field-error mt-0"><x-icon name="diagram-3"/><span>{{ $page->closeness($route['inbreeding'], $house->relatednessLimit()) }}</span></p>@endif
                <x-river :river="$page->river($route)" :label="$route['name']" :letter="chr(65 + $i)"/>
                <ol class="steps mt-2">@foreach ($route['steps'] as $step)<li>{{ $page->named($step['sire']) }} × {{ $page->named($step['dam']) }}, from {{ $page->year($step['season']) }}: {{ $step['keep'][0]['genes'] }}, <strong>{{ $step['probability'] }}</strong> an egg; {{ $step['key'] === 'target' ? 'the target' : 'keep '.$step['keep'][0]['count'].' '.($step['keep'][0]['sex'] ?? 'of either sex') }}@foreach ($step['buy'] as $buy); to buy: {{ $buy['sex'] }} {{ $buy['genes'] }}{{ $seesMoney ? ', '.$house->money((int) round(100 * $buy['price'])) : '' }}@endforeach
                    @foreach ($step['cautions'] ?? [] as $caution)<span class="d-block soft small"><x-icon name="exclamation-triangle"/> {{ $caution }}</span>@endforeach
                    @can('manage', $project)<span class="row-flow no-print">
                        @if ($step['key'] !== 'target' && isset($step['keep'][0]['young']))<form method="post" action="{{ route('projects.keep', $project) }}" class="row-flow">@csrf<input type="hidden" name="step" value="{{ $step['keep'][0]['young'] ?? '' }}"><label class="small soft" for="keep-{{ $i }}-{{ $loop->index }}">keep</label><select class="input slim" id="keep-{{ $i }}-{{ $loop->index }}" name="count"><option value="">as planned</option>@foreach (range(1, 6) as $count)<option value="{{ $count }}" @selected(($project->keep[$step['keep'][0]['young'] ?? ''] ?? null) === $count)>{{ $count }}</option>@endforeach</select><button class="button slim" type="submit">Plan with it</button></form>@endif
                        @foreach ([...$page->animalsOf($step['sire']), ...$page->animalsOf($step['dam'])] as $animal)@unless (in_array($animal, $project->pinned, true))<form method="post" action="{{ route('projects.pin', $project) }}">@csrf<input type="hidden" name="animal" value="{{ $animal }}"><button class="quiet" type="submit">pin {{ $page->named("a{$animal}") }}</button></form>@endunless @endforeach
                        @if ($page->pairsOf($step) !== [])<form method="post" action="{{ route('projects.forbid', $project) }}">@csrf @foreach ($page->pairsOf($step) as $pair)<input type="hidden" name="pairs[]" value="{{ $pair }}">@endforeach<button class="quiet" type="submit">leave this cross out</button></form>@endif
                    </span>@endcan</li>@endforeach</ol>
            </section>
        @endforeach
    @endif
    @if ($project->pinned !== [] || $project->forbidden !== [])
        <div class="two">
        @if ($project->pinned !== [])
            <section class="sheet"><div class="head"><h2>Pinned</h2><span class="soft small">every way uses them</span></div><ul class="plain">@foreach ($page->pinned() as [$id, $name])<li class="row-flow">{{ $name }} @can('manage', $project)<form class="ms-auto" method="post" action="{{ route('projects.pin', $project) }}">@csrf<input type="hidden" name="animal" value="{{ $id }}"><button class="quiet" type="submit" aria-label="take the pin out of {{ $name }}">take the pin out</button></form>@endcan</li>@endforeach</ul></section>
        @endif
        @if ($project->forbidden !== [])
            <section class="sheet"><div class="head"><h2>Crosses left out</h2></div><ul class="plain">@foreach ($page->forbidden() as [$pair, $words])<li class="row-flow">{{ $words }} @can('manage', $project)<form class="ms-auto" method="post" action="{{ route('projects.forbid', $project) }}">@csrf<input type="hidden" name="pairs[]" value="{{ $pair }}"><button class="quiet" type="submit" aria-label="allow again: {{ $words }}">allow again</button></form>@endcan</li>@endforeach</ul></section>
        @endif
        </div>
    @endif
    <div class="stack">
        @if ($page->result->pairs !== [])
            <section class="sheet"><div class="head"><h2>Every pairing you could make</h2><span class="soft small">the best {{ count($page->result->pairs) }}: the target now, or a young that carries all of it</span></div>
                <div class="scroll" tabindex="0" role="region" aria-label="Every pairing you could make"><table class="list"><thead><tr><th>Pairing</th><th class="num">Target, an egg</th><th class="num">Carries all, an egg</th><th class="num">Ready</th><th class="num">F</th><th>House rules</th><th>Serves as well</th></tr></thead><tbody>@foreach ($page->result->pairs as $pair)<tr><td><a href="{{ route('pair', ['sire_id' => ltrim($pair['sire'], 'a'), 'dam_id' => ltrim($pair['dam'], 'a'), 'target' => $project->target]) }}">{{ $page->named($pair['sire']) }} × {{ $page->named($pair['dam']) }}</a></td><td class="num">{{ $page->odds($pair['now']) }}</td><td class="num">{{ $page->odds($pair['next']) }}</td><td class="num">{{ ($pair['ready'] ?? 1) === 1 ? 'now' : $page->year($pair['ready']) }}</td><td class="num">{{ $pair['inbreeding'] ?? '' }}</td><td>@if (($pair['stance'] ?? 'inform') !== 'inform')<span @class(['tag', 'dead' => $pair['stance'] === 'refuse', 'doubt' => $pair['stance'] === 'warn'])>{{ $pair['stance'] }}</span>@endif</td><td class="small">{{ implode(', ', $pair['serves'] ?? []) }}</td></tr>@endforeach</tbody></table></div></section>
        @endif
        <div class="two">
        @if ($page->notes()->dilemmas() !== [])
            <section class="sheet"><div class="head"><h2>If you decide otherwise</h2><span class="soft small">the same plan under each choice</span></div>
                <div class="scroll" tabindex="0" role="region" aria-label="If you decide otherwise"><table class="list"><thead><tr><th>Choice</th><th class="num">Half have it by</th><th class="num">By {{ $page->year($project->horizon) }}</th><th class="num">Money</th></tr></thead><tbody>@foreach ($page->notes()->dilemmas() as $one)<tr @class(['soft' => $one['same']])><td>@if ($one['question'])<span class="soft small d-block">{{ $one['question'] }}</span>@endif<strong>{{ $one['choice'] }}</strong></td><td class="num">{{ match (true) { $one['same'] => 'no difference', $one['by_horizon'] === null => 'no way', $one['median'] === null => 'later', default => $page->year($one['median']) } }}</td><td class="num">{{ $one['by_horizon'] === null ? '' : $say->share($one['by_horizon']) }}</td><td class="num">{{ $seesMoney ? $house->money((int) round(100 * $one['money'])) : '' }}</td></tr>@endforeach</tbody></table></div></section>
        @endif
        @if ($page->result->tubs !== null)
            <section class="sheet"><div class="head"><h2>Tubs for young</h2><span class="soft small">chance by {{ $page->year($project->horizon) }} with so many</span></div>
                <table class="list"><thead><tr>@foreach ($page->result->tubs['chances'] as $count => $chance)<th class="num">{{ $count }}</th>@endforeach</tr></thead><tbody><tr>@foreach ($page->result->tubs['chances'] as $count => $chance)<td class="num">@if ((int) $count === $page->result->tubs['advised'])<strong>{{ $say->share($chance) }} ✓</strong>@else{{ $say->share($chance) }}@endif</td>@endforeach</tr></tbody></table><p class="soft small mb-0 mt-2">✓ the fewest that come within two in a hundred of the best.</p></section>
        @endif
        @if ($page->notes()->influence() !== [])
            <section class="sheet"><div class="head"><h2>What moves the result most</h2><span class="soft small">half of those who try have it by, with a low and a high figure</span></div>
                <div class="scroll" tabindex="0" role="region" aria-label="What moves the result most"><table class="list"><thead><tr><th>Assumption</th><th class="num">With a low figure</th><th class="num">With a high one</th></tr></thead><tbody>@foreach ($page->notes()->influence() as $one)<tr><td>{{ $one['label'] }}</td>@foreach ([$one['low'], $one['high']] as $end)<td class="num"><strong>{{ $end['gives'] }}</strong><span class="soft small d-block text-wrap">{{ $end['figure'] }}</span></td>@endforeach</tr>@endforeach</tbody></table></div></section>
        @endif
        </div>
    </div>
    <div class="two">
        <section class="sheet"><div class="head"><h2>What this rests on</h2>@if ($plan?->given)<a class="small" href="{{ route('plans.given', $plan) }}" title="destino-project/1: bin/destino plan makes the same plan of it">as a document</a>@endif</div><ul class="plain">@foreach ($page->notes()->assumptions() as $one)<li>{{ $one['label'] }}: <strong>{{ $one['figure'] }}</strong> <span class="soft small">{{ $one['source'] }}</span></li>@endforeach</ul><p class="soft small mb-0 mt-2">A season is a year: pairing in its winter, hatching in its summer. Young are kept by what is seen, never by genotype; an uncertain founder is one animal all along. What a white or dark form hides is not read: young in which it hides something that differs are not built on. House rules: crosses that they refuse are not planned.</p></section>
        <section class="sheet"><div class="head"><h2>Plan against what happened</h2></div>
            <ul class="plain">@forelse ($clutches as $clutch)<li><a href="{{ route('clutches.show', $clutch) }}">{{ $clutch->title() }}</a> <span class="soft small">{{ $clutch->stage() }}{{ $clutch->hatched === null ? '' : ', '.$clutch->hatched.' hatched' }}{{ $clutch->hatchlings->isEmpty() ? '' : ', kept '.$clutch->hatchlings->pluck('name')->implode(', ') }}</span></li>@empty<li class="soft">No clutch of these animals is recorded yet.</li>@endforelse</ul>
            @if ($luck !== [])<h3 class="mt-3 mb-2">Luck so far</h3><ul class="plain">@foreach ($luck as $one)<li @class(['text-odd' => $one['isOdd']])><strong>{{ $one['pair'] }}</strong>: {{ $one['hits'] }} of {{ $one['known'] }} young {{ $one['hits'] === 1 ? 'is' : 'are' }} {{ $one['hope'] }}, {{ $one['expected'] }} expected at {{ $one['chance'] }}. <span class="soft">{{ $one['sentence'] }}</span></li>@endforeach</ul>@endif
            @if ($earlier !== [])<h3 class="mt-3 mb-2">Earlier plans</h3><ul class="plain">@foreach ($earlier as $one)<li><span class="soft small">{{ $one['made'] }}</span> {{ $one['answer'] }} @if ($one['given'])<a class="small" href="{{ $one['given'] }}">what it was made from</a>@endif</li>@endforeach</ul>@endif
        </section>
    </div>
    </div>
</x-station>
