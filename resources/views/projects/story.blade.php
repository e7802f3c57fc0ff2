<x-station :title="$project->name" station="projects" :crumb="$project->name" :crumb-link="route('projects.show', $project)">
    <x-slot:actions><button type="button" class="button" data-module="print" hidden><x-icon name="printer"/>Print</button></x-slot:actions>
    <section class="sheet stack measure">
        <p class="answer mb-0">{{ $project->target }}{{ $project->begun_on ? ', begun in '.$project->begun_on->format('Y') : '' }}:
            {{ count($clutches) }} {{ Str::plural('clutch', count($clutches)) }},
            {{ array_sum(array_map(fn ($clutch) => (int) $clutch->eggs_good, $clutches)) }} good eggs,
            {{ array_sum(array_map(fn ($clutch) => (int) $clutch->hatched, $clutches)) }} hatched so far.</p>
        @if ($project->notes)<p class="mb-0 as-typed">{{ $project->notes }}</p>@endif
        <ol class="story">
            @foreach ($clutches as $clutch)<li>@if ($clutch->label !== null)<strong>{{ $clutch->season() }}</strong>
                @endif{{ $clutch->title() }}: {{ $clutch->eggs_good ?? '?' }} good eggs, {{ $clutch->hatched ?? '?' }}
                hatched.@foreach ($clutch->hatchlings as $young) <a href="{{ route('animals.show', $young) }}">{{ $young->name }}</a> was
                kept.@endforeach @foreach ($clutch->counts as $count) {{ ucfirst($count->sentence()) }}.@endforeach
                {{ $clutch->notes }}</li>@endforeach
        </ol>
        <p class="mb-0">{{ $page->answer() }}</p>
    </section>
</x-station>
