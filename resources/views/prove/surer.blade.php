<x-station :title="'How sure is the label of '.$animal->name.'?'" station="animals" :crumb="$animal->name"
    :crumb-link="route('animals.show', $animal)">
    <div class="stack measure">
    <section class="sheet"><p class="soft mb-1">The label says</p><p class="answer mb-1">{{ $label->genes }}</p>
        <p class="soft small mb-0">Where a chance stands, sell it as that chance. A buyer reads a name without one as sure.</p></section>
    @if (($season = $surer->season()) === [])
        <section class="sheet"><p class="mb-0">Everything on it is sure, as far as the records tell. Nothing would add to it.</p></section>
    @else
        <section class="sheet"><div class="head"><h2>One more look</h2><span class="soft small">now</span></div>
            <ul class="plain lines">@forelse ($surer->now() as $one)<li><a href="{{ route('identify', [$animal->clutch_id,
                $animal]) }}#cue-{{ $one['cue']->key }}">{{ $one['cue']->name }}</a>@if ($one['separates'] !== '') <span
                class="small">tells {{ $one['separates'] }}.</span>@endif <span class="soft small">{{ match (true) {
                $one['settles'] < .005 => 'It moves the odds and settles nothing by itself.',
                $one['settles'] > .995 => 'It settles it.', default => 'Chance that it settles it: '.$say->share($one['settles']).'.'
                } }}</span></li>@empty<li class="soft">{{ $animal->clutch_id === null ? 'Its clutch is not in the records, so nothing is
                    known of what its siblings can be.' : 'The eye can see nothing now that tells more.' }}</li>@endforelse</ul></section>
        @if (($later = $surer->later()) !== [])
        <section class="sheet"><div class="head"><h2>Waiting</h2><span class="soft small">what can be read when it is
            older</span></div><ul class="plain lines">@foreach ($later as $one)<li><strong>From {{ $one['day'] }}</strong>
            <span class="small">{{ implode(', ', array_slice($one['cues'], 0, 6)) }}{{ count($one['cues']) > 6 ? ' and '.(count(
            $one['cues']) - 6).' more' : '' }}</span></li>@endforeach</ul></section>
        @endif
        <section class="sheet"><div class="head"><h2>A season</h2><span class="soft small">what its young would tell</span></div>
            @if ($animal->sex === null)<p class="mb-0">Find out the sex first; then mates can be compared.</p>@else
            <ul class="plain lines">@foreach ($season as ['question' => $question, 'mate' => $mate])<li><a
                href="{{ route('prove.design', [$animal, $question->group->key]) }}">{{ $question->words() }}</a>
                <span class="small">@if ($mate === null)No mate here could settle it.@else{{ $mate['mate']->name }} would:
                {{ $mate['eggs95'] }} {{ Str::plural('hatchling', $mate['eggs95']) }} for an answer in 19 of 20 cases, about
                {{ $mate['seasons'] }} {{ $mate['seasons'] > 1 ? 'seasons' : 'season' }}.@endif</span></li>@endforeach</ul>@endif</section>
        <section class="sheet"><div class="head"><h2>A test</h2></div><p class="mb-0">A laboratory that offers the gene answers from a piece
            of shed skin. Enter its result as a statement, with “a laboratory” as the source.</p></section>
    @endif
    </div>
</x-station>
