<div class="project-answer">
    <div class="project-target" aria-hidden="true">{{ $drawings->ofGenes($page->project->target) }}</div>
    <div class="project-words">
        <p class="soft mb-1">{{ $page->aim() }}@can('money'){{ $budget() }}@endcan</p>
        <p class="answer mb-0">{{ $page->answer() }}</p>
        <p class="soft small mb-0 mt-1">{{ $page->effort() }}</p>
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
@if ($tubs() !== [] || $clutches() !== [])
    <dl class="efforts">
        @foreach (['Young kept at one time' => $tubs(), 'Clutches a season' => $clutches()] as $name => $choices)
            @if ($choices !== [])
                <div><dt class="soft small">{{ $name }}</dt>
                    <dd>@foreach ($choices as $one)<span @class(['effort', 'is-plan' => $one['isPlan']])>{{ $one['name'] }}
                        <strong>{{ $one['told'] }}</strong>
                        @if ($one['isPlan'])<span class="visually-hidden">, as planned</span>@endif</span>@endforeach</dd></div>
            @endif
        @endforeach
    </dl>
@endif
