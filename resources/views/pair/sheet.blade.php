<x-station :title="($inquiry->nameOf('sire') ?: 'Male').' × '.($inquiry->nameOf('dam') ?: 'Female')" station="pair" crumb="Pair"
    :crumb-link="route('pair', $inquiry->query())">
    <x-slot:actions><button type="button" class="button main no-print" data-module="print"
        hidden><x-icon name="printer"/>Print</button></x-slot:actions>
    <div class="stack">
        <section class="sheet">
            <dl class="facts">
                <dt>Sire</dt><dd>{{ $inquiry->sire }}</dd>
                <dt>Dam</dt><dd>{{ $inquiry->dam }}</dd>
                @if ($inquiry->target !== '')<dt>Wanted</dt><dd>{{ $inquiry->target }}</dd>@endif
                <dt>Eggs</dt><dd>{{ $inquiry->eggs }}</dd>
            </dl>
            @if ($page->targetSentence() !== '')<p class="answer mt-3">{{ $page->targetSentence() }}</p>@endif
            <p class="answer second mt-2">{{ $page->headline() }}</p>
            @if ($page->relatedness)<p>{{ $page->relatedness->sentence() }}</p>@endif
            @if ($page->prediction->target && ! $page->isImpossible())
                <p class="mb-0">In {{ $inquiry->eggs }} eggs: at least one {{ $say->percent($chance->atLeastOne((int) $inquiry->eggs)) }},
                    at least two {{ $say->percent($chance->atLeastTwo((int) $inquiry->eggs)) }}.
                @foreach ($page->eggsFor($chance) as $level => $needed) {{ $level }} %: {{ $needed === null ? 'never'
                    : $needed.' eggs' }}{{ $loop->last ? '.' : ',' }} @endforeach</p>
            @endif
        </section>
        <section class="sheet"><h2 class="mb-2">Outcomes</h2>@include('pair.rows')
            <p class="small soft mb-0 mt-1">{{ count($page->rows) }} of {{ number_format((float) (string) $page->space->total()) }}
                outcomes, {{ $say->percent($page->covered) }} of the {{ Str::plural($page->unit()) }}.</p></section>
        @if ($page->advice !== [])<section class="sheet"><h2 class="mb-2">To know</h2><x-advice-list
            :advice="$page->advice"/></section>@endif
        <section class="sheet"><h2 class="mb-2">Squares</h2><div class="squares">@foreach ($page->squares() as $square)<x-square
            :square="$square" :page="$page"/>@endforeach</div></section>
    </div>
    {!! $prints->symbols() !!}
</x-station>
