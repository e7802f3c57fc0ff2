<section class="sheet" id="answer" aria-label="The answer">
    <p class="answer">@if ($page->targetSentence() !== '')<span
        @class(['hit' => ! $page->isImpossible()])>{{ $page->targetSentence() }}</span>@else{{ $page->headline() }}@endif</p>
    @if ($page->hasUnreadableChance())<div class="small soft">{!! $say->exact($page->prediction->target->chance->perEgg(),
        'Exactly') !!}</div>@endif
    @if ($page->targetSentence() !== '')<p class="answer second soft mt-1">{{ $page->headline() }}</p>@endif
    @foreach ($readiness as [$parent, $now])
        @if ($now->isReady !== true)<p class="small mb-0 mt-1"><x-icon class="slight" name="hourglass-split"/> {{ $parent->animal->name }}
            {{ $now->isReady === false ? 'is not ready to breed' : 'may or may not be ready to breed' }}:
            <span class="soft">{{ implode(' ', $now->reasons) }}{{ $now->likely ? ' Likely from '.$now->likely->format('F Y').'.'
            : '' }}</span></p>@endif
    @endforeach
    @foreach ($parents as $parent)@if ($parent->animal->hasOpenGenes())<p class="field-error mb-0 mt-1"><x-icon
        name="exclamation-triangle"/><span>The genes of
        <a href="{{ route('animals.show', $parent->animal) }}">{{ $parent->animal->name }}</a> are not known: these odds take every gene
        that is not named as absent, which is a guess.</span></p>@endif @endforeach
    @foreach ($worths as $one)<p class="small mb-0 mt-1"><x-icon class="slight" name="signpost-split"/>
        <a href="{{ route('projects.show', $one['project']) }}">{{ $one['project']->name }}</a>:
        <span class="soft">{{ $one['says'] }}.</span></p>@endforeach
    @if ($malformed && $malformed->affected() !== [])<p class="field-error mb-0 mt-1"><x-icon name="exclamation-triangle"/><span>Of this
        pair before: {{ $malformed->words() }} were malformed or ailing. {{ $pattern }} Think before repeating it.</span></p>@endif
    @if ($page->relatedness)
        <p @class(['mb-0 mt-2 related', 'is-close' => $page->relatedness->isAboveLimit()])>@if ($page->relatedness->isAboveLimit())<x-icon
            name="exclamation-triangle"/> @endif{{ $page->relatedness->sentence() }}</p>
    @endif
</section>

<div @class(['result' => $page->prediction->target !== null && ! $page->isImpossible(), 'stack' => $page->prediction->target === null
    || $page->isImpossible()])>
    <section class="sheet" data-module="tray" aria-labelledby="tray-title">
        <div class="head">
            <h2 id="tray-title">What can hatch</h2>
            <form method="get" action="{{ route('pair') }}" class="row-flow no-print" data-module="autosend">
                @foreach ($inquiry->query(['by' => null, 'sexed' => null, 'hatched' => null, 'alike' => null,
                    'school' => null]) as $name => $value) <input type="hidden" name="{{ $name }}" value="{{ $value }}"> @endforeach
                @foreach ($inquiry->schools as $claim => $choice) <input type="hidden" name="school[{{ $claim }}]" value="{{ $choice }}">
                    @endforeach
                <label class="switch">Group by <select class="input in-words" name="by"><option value="look"
                    @selected($question->by->value === 'look')>look</option><option value="genotype"
                    @selected($question->by->value === 'genotype')>genotype</option></select></label>
                @if ($question->by->value === 'look')<label class="switch"><input type="checkbox" name="alike" value="1"
                    @checked($question->alike)> Merge look-alikes</label>@endif
                <label class="switch"><input type="checkbox" name="sexed" value="1" @checked($question->sexed)> Split by sex</label>
                <label class="switch"><input type="checkbox" name="hatched" value="1" @checked($question->hatched)> Count living
                    hatchlings only</label>
                <button class="button" data-without-script>Show</button>
            </form>
        </div>
        <x-tray :tray="$page->tray()" :prints="$prints" class="wide"/>
        <x-tray :tray="$page->narrowTray()" :prints="$prints" class="tall"/>
        <p class="tray-reading mb-2" data-tray-reading>The larger the piece, the likelier per
            {{ $page->unit() }}.{{ $page->prediction->target
            ? ' Outlined pieces, starred where there is room, meet the target or may meet it.' : '' }} Tap a piece to find it in
            the list.</p>
        <x-bead-key/>
    </section>
    @if ($page->prediction->target !== null && ! $page->isImpossible())
        <x-ladder :page="$page"/>
    @endif
</div>

@if ($looks !== [])
    <section class="sheet" aria-labelledby="looks-title">
        <div class="head"><h2 id="looks-title">The likeliest looks</h2><span class="soft small">drawn as grown animals; no two are
            quite alike</span></div>
        <ul class="looks">
            @foreach ($looks as [$row, $look])
                <li @class(['is-hit' => $row->isHit()])>{!! $prints->medium($look, $row->outcome->label) !!}
                    <p class="mb-0"><a href="#outcome-{{ $row->number }}"><strong>{{ $row->outcome->label }}</strong></a>
                        @if ($row->isHit())<span class="tag hit">★ {{ $row->share->isOne() ? 'hit' : 'may be a hit' }}</span>@endif
                        <span class="soft">{{ $say->fraction($row->outcome->probability) }}, {{ $row->percent() }}</span>
                    @if ($look->hidden !== [])<span class="d-block small soft">Not to be seen in it:
                        {{ implode(', ', $look->hidden) }}.</span>@elseif ($look->sureness->value !== 'known')<span
                        class="d-block small soft">{{ $look->sureness->value === 'unknown'
                        ? 'We know of no description: drawn from its genes.' : 'No description of this combination is known. Drawn
                            from its single genes.' }}</span>@endif</p></li>
            @endforeach
        </ul>
    </section>
@endif

@include('pair.verdict')

@if ($page->furtherAdvice() !== [])
    <section class="sheet" aria-labelledby="advice-title">
        <div class="head"><h2 id="advice-title">Before you pair them</h2><span class="soft small">What these genes are known for. Not
            veterinary advice.</span></div>
        <x-advice-list :advice="$page->furtherAdvice()"/>
        @if (($out = $page->leavingOut()) !== '')<p class="soft small mb-0 mt-2">{{ $out }}</p>@endif
    </section>
@endif

<section class="sheet" data-module="rows" aria-labelledby="list-title">
    <div class="head">
        <h2 id="list-title">All outcomes</h2>
        <span class="soft small">{{ count($page->rows) }} of {{ number_format((float) (string) $page->space->total()) }} listed:
            {{ $say->percent($page->covered) }} of the {{ Str::plural($page->unit()) }}.@if (! $page->covered->isOne())
            @if (count($page->rows) < config('destino.all_rows'))<a
            href="{{ route('pair',
            $inquiry->query() + ['rows' => 'all']) }}#list-title">{{ $page->space->total()->isGreaterThan(config('destino.all_rows'))
            ? 'List the '.number_format(config('destino.all_rows')).' most likely' : 'List all' }}</a>.@endif
            <a href="{{ route('pair.export', $inquiry->query()) }}">The whole list is in the CSV file.</a>@endif</span>
    </div>
    <div class="field narrow mb-2 no-print" hidden><label for="filter">Find in this list</label><input class="input" type="search"
        id="filter" placeholder="Mojave Clown"></div>
    <p class="small soft mb-1" data-count aria-live="polite"></p>
    @if (count($page->rows) > 5)<details class="all-rows" id="all-rows"
        @if (request()->query('rows')) open @elseif (count($page->rows) > 12) data-module="fold-hash" @else open data-module="fold-narrow"
        @endif><summary>Show all {{ count($page->rows) }}, most likely
        first</summary>@include('pair.rows')</details>@else @include('pair.rows') @endif
</section>

<details class="sheet folded">
            <summary><h2 id="squares-title">The square behind each locus</h2><span class="soft small">Multiply one cell of each square to
        get an outcome: loci are independent.</span></summary>
    <div class="squares">@foreach ($page->squares() as $square)<x-square :square="$square" :page="$page"/>@endforeach</div>
</details>

<details class="sheet folded">
            <summary><h2 id="rests-title">What this rests on</h2></summary>
    @include('pair.assumptions')
</details>
{!! $prints->symbols() !!}
