<div class="project-answer">
    <div class="project-target" aria-hidden="true">{{ $drawings->ofGenes($page->project->target) }}</div>
    <div class="project-words">
        <p class="soft mb-1">{{ $page->aim() }}@can('money'){{ $budget() }}@endcan</p>
        <p class="answer mb-0">{{ $page->answer() }}</p>
        <p class="soft small mb-0 mt-1">{{ $page->effort() }} {{ $bound() }}</p>
    </div>
</div>
@if ($years() !== [])
    <ol class="year-boxes" aria-label="Chance of having the target by year">
        @foreach ($years() as $one)
            <li><span class="year-box"><span class="year-fill" style="block-size:{{ round(100 * $one['share'], 1) }}%"></span>
                <strong>{{ $one['told'] }}</strong></span><span class="soft small">{{ $one['year'] }}</span></li>
        @endforeach
    </ol>
@endif
@if ($efforts() !== [] || $isFixed())
    <dl class="efforts">
        @foreach ($efforts() as $field => [$name, $choices])
            <div><dt class="soft small">{{ $name }}</dt>
                <dd>@foreach ($choices as $one)
                    @if ($one['isPlan'] || ! Gate::allows('manage', $page->project))
                        <span @class(['effort', 'is-plan' => $one['isPlan']])>{{ $one['name'] }} <strong>{{ $one['told'] }}</strong>
                            @if ($one['isPlan'])<span class="visually-hidden">, as planned</span>@endif</span>
                    @else
                        <form method="post" action="{{ route('projects.effort', $page->project) }}">@csrf
                            <button class="effort" type="submit" name="{{ $field }}" value="{{ $one['count'] }}"
                                title="Plan with this">{{ $one['name'] }} <strong>{{ $one['told'] }}</strong></button></form>
                    @endif
                @endforeach</dd></div>
        @endforeach
        @if ($isFixed())
            @can('manage', $page->project)
                <div><dt class="soft small">You said how much you give</dt>
                    <dd><form method="post" action="{{ route('projects.effort', $page->project) }}">@csrf
                        <button class="effort" type="submit">Leave it to the plan</button></form></dd></div>
            @endcan
        @endif
    </dl>
@endif
