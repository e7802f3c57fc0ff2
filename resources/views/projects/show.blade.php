<x-station :title="$project->name" station="projects" crumb="Projects" :crumb-link="route('projects.index')">
    <x-slot:actions>
        <a class="button" href="{{ route('projects.story', $project) }}"><x-icon name="book"/>Story</a>
        @can('manage', $project)
            <a class="button" href="{{ route('projects.edit', $project) }}"><x-icon name="pencil"/>Edit</a>
            <form method="post" action="{{ route('projects.replan', $project) }}" data-module="once">
                @csrf<button class="button main" type="submit">Plan again</button>
            </form>
        @endcan
    </x-slot:actions>
    <div class="stack">
        <section class="sheet">
            <x-project-answer :$page :$drawings :$house/>
            @include('projects.parts.state')
        </section>
        @if ($now !== null)
            <section class="sheet">
                <div class="head"><h2>What to do now</h2><span class="soft small">this season, as far as it is known today</span></div>
                <x-project-now :$now :$house :$project :$drawings/>
                @include('projects.parts.why-not')
            </section>
        @endif
        @if ($path !== null)
            <section class="sheet">
                <div class="head"><h2>The path</h2><span class="soft small">the best single way with what the plan buys; the plan takes what
                    luck
                    brings besides</span></div>
                <x-river :river="$page->river($routes[$path])" :label="$routes[$path]['name']" :letter="chr(65 + $path)" :$drawings/>
            </section>
        @endif
        @if ($page->policy() !== null || $routes !== [])
            <x-fold name="Ways compared" :fact="$folds->waysFact()" id="ways">@include('projects.parts.ways')</x-fold>
        @endif
        @if ($folds->hasChoices())
            <x-fold name="Other choices" :fact="$folds->choicesFact()" id="choices">@include('projects.parts.choices')</x-fold>
        @endif
        <x-fold name="What happened so far" :fact="$folds->soFarFact()" id="so-far">@include('projects.parts.so-far')</x-fold>
        <x-fold name="What this rests on" :fact="$folds->basisFact()" id="basis"
            :open="$folds->isLimited()">@include('projects.parts.basis')</x-fold>
    </div>
    {{ $drawings->symbols() }}
</x-station>
