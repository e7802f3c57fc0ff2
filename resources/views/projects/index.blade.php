<x-station title="Projects" station="projects">
    <x-slot:actions>@can('manage')<a class="button main" href="{{ route('projects.create') }}"><x-icon name="plus-lg"/>New project</a>@endcan</x-slot:actions>
    @if ($projects->isEmpty())
        <section class="sheet empty"><p class="answer">No projects yet.</p><p class="soft">Say what you want to hatch one day. You get ways to it over the years, with the chance by each season, from the animals you have and those you could buy.</p>@can('manage')<p><a class="button main" href="{{ route('projects.create') }}">New project</a></p>@endcan</section>
    @else
        <ul class="cards">
            @foreach ($projects as $project)
                <li><a class="card-link" href="{{ route('projects.show', $project) }}"><span class="title">{{ $project->name }} <span class="tag">weight {{ $project->weight }}</span></span><span>{{ $project->target }}</span><span class="soft small">{{ $pages[$project->id]->answer() }}</span></a></li>
            @endforeach
        </ul>
        <section class="sheet mt-3">
            <div class="head"><h2>The season that comes</h2><span class="soft small">what the best route of each project asks for, matched so that the weights granted are greatest</span></div>
            @if ($season->grants === [])<p class="soft mb-0">No project asks for a pairing of animals that are ready now.</p>@endif
            <ul class="plain">
                @foreach ($season->grants as $grant)
                    @php($wish = $season->wishes[$grant['wish']])
                    <li><strong>{{ $grant['sire'] }} × {{ $grant['dam'] }}</strong> for {{ $wish['keep'] }}, {{ $wish['odds'] }} an egg <span class="soft small"><a href="{{ route('projects.show', $wish['project']) }}">{{ $wish['project']->name }}</a></span></li>
                @endforeach
            </ul>
            @foreach ($season->conflicts as $conflict)<p class="field-error mt-2"><x-icon name="exclamation-triangle"/><span>{{ $conflict }}</span></p>@endforeach
        </section>
    @endif
</x-station>
