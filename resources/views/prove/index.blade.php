<x-station title="Prove" station="prove">
    <x-slot:actions>@can('manage')<a class="button" href="{{ route('traits.create') }}"><x-icon name="plus-lg"/>New odd
        look</a>@endcan</x-slot:actions>
    <x-prove-tabs here="desk"/>
    <div class="stack">
    @foreach ($desk->faults() as $fault)<p class="field-error"><x-icon name="exclamation-triangle"/><span>{{ $fault }} Until it is mended,
        nothing is concluded of this family from its young.</span></p>@endforeach
    @if ($error > 0)<p class="field-error"><x-icon name="info-circle"/><span>A family is too tangled to calculate exactly. Its odds are
        sampled, within about {{ $say->share($error) }}.</span></p>@endif
    @include('prove.puzzles', ['puzzles' => $open])
    @foreach ($unlikely as $one)
        <section class="sheet">
            <div class="head"><h2><a href="{{ $one['link'] }}">{{ $one['subject'] }}</a>: possible, and hardly so</h2><span
                class="soft small">{{ $one['about'] }}: looks like these, or less likely ones, come about once in
                {{ $one['chance'] }}</span></div>
            <p class="mb-2">Nothing is decided by it. If it is not plain luck, one of these is behind it:</p>
            <ul class="plain odds-bars">@foreach (array_slice($one['explanations'], 0, 5) as $why)<li>
                <div class="d-flex justify-content-between gap-3"><span>{{ $why['text'] }}</span>
                <strong class="num flex-shrink-0 text-nowrap">{{ $why['share'] }}</strong></div><div class="bar" aria-hidden="true"><i
                style="width:{{ $why['width'] }}%"></i></div></li>@endforeach</ul>
        </section>
    @endforeach
    <div class="two wide-left">
        <section class="sheet">
            <div class="head"><h2>Open questions</h2><span class="soft small">Most useful for your projects and sales first</span></div>
            @if (! $hasAnimals)<p>Here stands what you do not know of your animals, which mate would tell it soonest, and what their young
                have shown. It begins with the first animal.</p>@can('manage')<p class="mb-0"><a class="button main"
                href="{{ route('animals.create') }}">Add an animal</a></p>@endcan
            @elseif ($questions === [])<p class="mb-0">Nothing is open: of every animal here you know what it carries, as far as it is
                recorded.</p>@endif
            <ul class="plain">
                @foreach ($questions as $one)
                    <li><div class="row-flow"><a href="{{ route('prove.design', [$one['question']->animal,
                        $one['question']->group->key]) }}"><strong>{{ $one['question']->words() }}</strong></a> @if ($one['why'])<span
                        class="soft small">{{ $one['why'] }}</span>@endif <a class="small ms-auto"
                        href="{{ route('prove.animal', $one['question']->animal) }}">evidence</a></div><x-shares
                        :shares="$one['question']->answers()"/></li>
                @endforeach
            </ul>
        </section>
        <div class="stack">
        <section class="sheet">
            <div class="head"><h2>What changed</h2>@if ($digest->lastRead())<span class="soft small">since
                {{ $digest->lastRead() }}</span>@endif</div>
            @if ($changes === null)<p>See what new evidence changes, from today on.</p>
            @elseif ($changes === [])<p class="mb-2">Nothing is believed otherwise than then.</p>
            @else<ul class="plain">@foreach ($changes as $change)<li><a
                href="{{ route('animals.show', $change['id']) }}"><strong>{{ $change['name'] }}</strong></a>
                @if ($change['before'] !== null)<s class="soft">{{ $change['before'] }}</s> → @endif{{ $change['after'] }}
                <span class="soft small d-block">{{ $change['why'] }}</span></li>@endforeach</ul>@endif
            @can('manage')<form method="post" action="{{ route('prove.read') }}" class="mt-2">@csrf<button class="button"
                type="submit">{{ $changes === null ? 'Start tracking changes' : 'Read; count from today' }}</button></form>@endcan
        </section>
        <section class="sheet">
            <div class="head"><h2>Odd looks</h2></div>
            <ul class="plain">@forelse ($traits as $trait)<li><a
                href="{{ route('traits.show', $trait) }}"><strong>{{ $trait->name }}</strong></a>
                <span class="soft small">{{ $trait->entries_count }} {{ Str::plural('entry', $trait->entries_count) }}</span></li>@empty<li
                class="soft">An odd animal that nobody can name: keep it, breed it, and write down here what comes. The odds of what it is
                follow.</li>@endforelse</ul>
        </section>
        @if ($facts !== [])
            <section class="sheet"><div class="head"><h2>What keepers dispute</h2><span class="soft small">and your young tell something
                of</span></div><ul class="plain">@foreach ($facts as ['claim' => $claim, 'evidence' => $evidence])<li><a
                href="{{ route('genes.show', $claim->alleles()[0]) }}#claim-{{ $claim->key }}"><strong>{{ $claim->question }}</strong></a>
                @include('prove.disputed')</li>@endforeach</ul></section>
        @endif
        @if ($decided !== [])
            <section class="sheet"><div class="head"><h2>What you decided</h2></div><ul class="plain">@foreach ($decided as $one)<li>
                <div class="row-flow"><span>{{ $one['text'] }}</span>@can('manage')<x-take-out kind="decision" :record="$one['decision']"
                :label="$one['text']"/>@endcan</div><span class="soft small">{{ $one['decision']->on->format('j M Y') }}:
                {{ $one['decision']->reason }}</span></li>@endforeach</ul></section>
        @endif
        </div>
    </div>
    </div>
</x-station>
