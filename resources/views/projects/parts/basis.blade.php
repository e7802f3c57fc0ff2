@if ($project->pinned !== [])
    <h3>Pinned</h3>
    <p class="soft small mb-1">every way uses them</p>
    <ul class="plain">
        @foreach ($page->pinned() as [$id, $name])
            <li class="row-flow">{{ $name }}
                @can('manage', $project)
                    <form class="ms-auto" method="post" action="{{ route('projects.pin', $project) }}">@csrf
                        <input type="hidden" name="animal" value="{{ $id }}">
                        <button class="quiet" type="submit" aria-label="Stop always using {{ $name }}">Stop always using</button></form>
                @endcan
            </li>
        @endforeach
    </ul>
@endif
@if ($project->forbidden !== [])
    <h3>Crosses left out</h3>
    <ul class="plain">
        @foreach ($page->forbidden() as [$pair, $words])
            <li class="row-flow">{{ $words }}
                @can('manage', $project)
                    <form class="ms-auto" method="post" action="{{ route('projects.forbid', $project) }}">@csrf
                        <input type="hidden" name="pairs[]" value="{{ $pair }}">
                        <button class="quiet" type="submit" aria-label="allow again: {{ $words }}">Allow again</button></form>
                @endcan
            </li>
        @endforeach
    </ul>
@endif
<h3>Assumptions</h3>
<ul class="plain">
    @foreach ($page->notes()->assumptions() as $one)
        <li>{{ $one['label'] }}: <strong>{{ $one['figure'] }}</strong> <span class="soft small">{{ $one['source'] }}</span></li>
    @endforeach
</ul>
<p class="soft small mb-0 mt-2">A season is a year: pairing in its winter, hatching in its summer. Young are kept by what is seen, never by
    genotype;
    an uncertain founder is one animal all along. What a white or dark form hides is not read: young in which it hides something that
        differs are
    not built on. Crosses that your house rules refuse are not planned.
    @if ($plan?->given)<a href="{{ route('plans.given', $plan) }}"
        title="destino-project/1: bin/destino plan makes the same plan of it">The plan as a document</a>@endif</p>
