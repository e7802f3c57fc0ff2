<section id="route-{{ $i }}">
    <h3>{{ chr(65 + $i) }} {{ $route['name'] }}</h3>
    <p class="soft small">{{ $route['why'] }}{{ $i > 0 ? ' Compared with A: '.$page->against($i).'.' : '' }}</p>
    @if ($page->closeness($route['inbreeding'], $house->relatednessLimit()) !== null)
        <p class="field-error mt-0"><x-icon name="diagram-3"/><span>{{ $page->closeness($route['inbreeding'],
            $house->relatednessLimit()) }}</span></p>
    @endif
    @if ($i !== $path)<x-river :river="$page->river($route)" :label="$route['name']" :letter="chr(65 + $i)" :$drawings/>@endif
    <ol class="steps mt-2">
        @foreach ($route['steps'] as $step)
            <li>{{ $page->named($step['sire']) }} × {{ $page->named($step['dam']) }}, from {{ $page->year($step['season']) }}:
                {{ $step['keep'][0]['genes'] }}, <strong>{{ $step['probability'] }}</strong> per egg;
                {{ $step['key'] === 'target' ? 'the target' : 'keep '.$step['keep'][0]['count'].' '.($step['keep'][0]['sex']
                    ?? 'of either sex') }}
                @foreach ($step['buy'] as $buy)
                    ; to buy: {{ $buy['sex'] }} {{ $buy['genes'] }}{{ $seesMoney ? ', '.$house->money((int) round(100 * $buy['price']))
                        : '' }}
                @endforeach
                @foreach ($step['cautions'] ?? [] as $caution)
                    <span class="d-block soft small"><x-icon name="exclamation-triangle"/> {{ $caution }}</span>
                @endforeach
                @can('manage', $project)
                    <span class="row-flow no-print">
                        @if ($step['key'] !== 'target' && isset($step['keep'][0]['young']))
                            <form method="post" action="{{ route('projects.keep', $project) }}" class="row-flow">
                                @csrf<input type="hidden" name="step" value="{{ $step['keep'][0]['young'] }}">
                                <label class="small soft" for="keep-{{ $i }}-{{ $loop->index }}">keep</label>
                                <select class="input slim" id="keep-{{ $i }}-{{ $loop->index }}" name="count">
                                    <option value="">as planned</option>
                                    @foreach (range(1, 6) as $count)
                                        <option value="{{ $count }}"
                                            @selected(($project->keep[$step['keep'][0]['young']] ?? null) === $count)>{{ $count }}</option>
                                    @endforeach
                                </select>
                                <button class="button slim" type="submit">Apply</button>
                            </form>
                        @endif
                        @foreach ([...$page->animalsOf($step['sire']), ...$page->animalsOf($step['dam'])] as $animal)
                            @unless (in_array($animal, $project->pinned, true))
                                <form method="post" action="{{ route('projects.pin', $project) }}">@csrf
                                    <input type="hidden" name="animal" value="{{ $animal }}">
                                    <button class="quiet" type="submit">Always use {{ $page->named("a{$animal}") }}</button></form>
                            @endunless
                        @endforeach
                        @if ($page->pairsOf($step) !== [])
                            <form method="post" action="{{ route('projects.forbid', $project) }}">@csrf
                                @foreach ($page->pairsOf($step) as $pair)<input type="hidden" name="pairs[]" value="{{ $pair }}">@endforeach
                                <button class="quiet" type="submit">Skip this pairing</button></form>
                        @endif
                    </span>
                @endcan
            </li>
        @endforeach
    </ol>
</section>
