<x-station :title="$animal->name.': the evidence'" station="prove" crumb="Prove" :crumb-link="route('prove')">
    <x-slot:actions><a class="button" href="{{ route('animals.show', $animal) }}">Record</a></x-slot:actions>
    <div class="stack">
    <section class="sheet"><p class="soft mb-1">What is believed now, from statements, parents, young and all other relatives</p>
        <p class="answer mb-0">{{ $page->text() }}</p></section>
    @if (! $page->isWorkedOut())<p class="soft mb-0" role="status">What each clutch and each statement adds is being worked out.</p>@endif
    @forelse ($page->evidence() as $one)
        <section class="sheet">
            <div class="head"><h2>{{ count($one['question']->answers()) > 1 ? $one['question']->words()
                : array_key_first($one['question']->answers()).', for sure'
                    }}</h2>@if (count($one['question']->answers()) > 1
                && $animal->sex)<a class="button slim"
                href="{{ route('prove.design', [$animal, $one['question']->group->key]) }}">What would prove it</a>@endif</div>
            <ol class="waterfall">
                @foreach ($one['steps'] as $step)
                    <li><div class="row-flow"><strong>{{ $step['label'] }}</strong><span
                        class="soft small">{{ $step['note'] }}</span>@if ($step['without'])<span class="soft small ms-auto">without it:
                        {{ $step['without'] }}</span>@endif</div><x-shares :shares="$step['shares']"/><span
                        class="small">{{ $say->shares($step['shares']) }}</span></li>
                @endforeach
            </ol>
            @if ($one['statements'] !== [])<p class="soft small mb-0 mt-2">Based on its statements:
                @foreach ($one['statements'] as $statement){{ $statement['text'] }} (without it:
                {{ $statement['without'] }}){{ $loop->last ? '.' : '; ' }}@endforeach</p>@endif
        </section>
    @empty
        <section class="sheet"><p class="mb-0">Nothing here is in doubt, and no clutch has changed anything.</p></section>
    @endforelse
    </div>
</x-station>
