<x-station title="Projects" station="projects">
    <x-slot:actions>@can('manage')<a class="button main" href="{{ route('projects.create') }}"><x-icon name="plus-lg"/>New
        project</a>@endcan</x-slot:actions>
    @if ($projects->isEmpty())
        <section class="sheet empty"><p class="answer">No projects yet.</p><p class="soft">Say what you want to hatch one day. You get ways
            to it over the years, with the chance by each season, from the animals you have and those you could buy.</p>@can('manage')<p><a
            class="button main" href="{{ route('projects.create') }}">New project</a></p>@endcan</section>
    @else
        <ul class="cards">
            @foreach ($projects as $project)
                <li><a class="card-link" href="{{ route('projects.show', $project) }}"><span class="title">{{ $project->name }}
                    <span class="tag">priority {{ $project->weight }}</span></span><span>{{ $project->target }}</span><span
                    class="soft small">{{ $pages[$project->id]->answer() }}</span></a></li>
            @endforeach
        </ul>
        <section class="sheet mt-3" id="season">
            <div class="head"><h2>Best pairings this season</h2><span class="soft small">the matings that together do most for all
                projects; one
                mate a female, and no more females a male than your house rules give him</span></div>
            @if ($season->grants === [])<p class="soft mb-0">{{ $season->made === []
                ? 'No project gains by a pairing of animals that are ready now: what they need is too young, or has to be bought.'
                : 'What is together already is all that the projects need of this season.' }}</p>@endif
            <ul class="plain">
                @foreach ($season->grants as $grant)
                    <li class="row-flow in-line"><span><a href="{{ route('pair', ['sire_id' => ltrim($grant['sire'], 'a'),
                        'dam_id' => ltrim($grant['dam'], 'a')]) }}"><strong>{{ $season->name($grant['sire']) }} ×
                        {{ $season->name($grant['dam']) }}</strong></a>
                        <span class="soft">@foreach ($grant['serves'] as $one)<a
                            href="{{ route('projects.show', $one['project']) }}">{{ $one['project']->name }}</a>:
                            {{ $one['egg'] > 0 ? $say->share($one['egg']).' of hatchlings are the target'
                            : 'makes breeders for the next step' }}{{ $loop->last ? ''
                            : '; ' }}@endforeach</span>@if (($seen = $season->seenBefore($grant['sire'], $grant['dam'])) !== '')<span
                            class="field-error d-block"><x-icon name="exclamation-triangle"/><span>{{ $seen }}: counted for that much less
                            here.</span></span>@endif</span>
                        @can('log')<a class="quiet ms-auto no-print"
                            href="{{ route('clutches.create', ['sire_id' => ltrim($grant['sire'], 'a'), 'dam_id' => ltrim($grant['dam'],
                            'a'), 'target' => $grant['serves'][0]['project']->target ?? null]) }}">Plan this pairing</a>@endcan</li>
                @endforeach
            </ul>
            @foreach ($season->waiting as $one)<p class="field-error mt-2"><x-icon name="exclamation-triangle"/><span><a
                href="{{ route('projects.show', $one['project']) }}">{{ $one['project']->name }}</a> would have
                {{ $season->name($one['sire']) }} × {{ $season->name($one['dam']) }}: {{ $one['why'] }}.</span></p>@endforeach
            @if ($season->made !== [])<p class="soft small mt-2 mb-0">Already paired:
                @foreach ($season->made as $one)<a href="{{ route('clutches.show', $one['clutch']) }}">{{ $one['sires'] }} ×
                {{ $one['dam'] }}</a>{{ $loop->last ? '.' : ', ' }}@endforeach</p>@endif
        </section>
        <div class="two mt-3">
        <section class="sheet" id="buy">
            <div class="head"><h2>What to buy next</h2><span class="soft small">grown animals that would move a project most, whatever they
                cost</span></div>
            @if ($buys === [])<p class="soft mb-0">No purchase makes a clear difference to your projects.</p>@endif
            <ol class="plain">@foreach ($buys as $buy)<li><strong>{{ $buy['sex'] }} {{ $buy['genes'] }}</strong>
                <span class="soft">@foreach ($buy['serves'] as $one)<a
                href="{{ route('projects.show', $one['project']) }}">{{ $one['project']->name }}</a>: {{ $one['says'] }}{{ $loop->last ? ''
                : '; ' }}@endforeach</span></li>@endforeach</ol>
        </section>
        <section class="sheet" id="worth">
            <div class="head"><h2>Is this animal worth buying?</h2><span class="soft small">a gift, a find, an offer: the chance with it,
                less that without it</span></div>
            <form method="get" action="{{ route('projects.index') }}#worth" class="row-flow">
                <div class="field grow"><label for="worth-genes">Genes</label><input class="input" id="worth-genes" name="genes"
                    maxlength="400" value="{{ $question->genes }}" placeholder="Pastel het Clown" @if ($question->error())
                    aria-invalid="true" aria-describedby="worth-error" @endif></div>
                <div class="field"><label for="worth-sex">Sex</label><select class="input" id="worth-sex" name="sex"><option value="female"
                    @selected($question->sex->value === 'female')>female</option><option value="male"
                    @selected($question->sex->value === 'male')>male</option></select></div>
                <div class="field"><label for="worth-months">Age, months</label><input class="input slim" id="worth-months" name="months"
                    inputmode="numeric" maxlength="3" size="4" value="{{ $question->months }}" placeholder="grown"></div>
                <button class="button align-self-end" type="submit">Show the odds</button>
            </form>
            @if ($question->error())<p class="field-error" id="worth-error"><x-icon
                name="exclamation-triangle"/><span>{{ $question->error() }}</span></p>@endif
            @if ($worths !== [])<ul class="plain mt-2" aria-live="polite">@foreach ($worths as $one)<li><a
                href="{{ route('projects.show', $one['project']) }}"><strong>{{ $one['project']->name }}</strong></a>:
                {{ $one['says'] }}</li>@endforeach</ul>@endif
        </section>
        </div>
    @endif
</x-station>
