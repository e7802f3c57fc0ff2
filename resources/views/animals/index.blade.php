<x-station title="Animals" station="animals">
    <x-slot:actions>@if ($all > 0 && $may)<a class="button"
        href="{{ route('round.create', ['weight'] + array_filter(['rack' => $search->rack])) }}">Weighing round</a><a class="button"
        href="{{ route('round.create', ['feed'] + array_filter(['rack' => $search->rack])) }}">Feeding round</a>@endif @can('manage')<a
        class="button main" href="{{ route('animals.create') }}"><x-icon name="plus-lg"/>Add an animal</a>@endcan</x-slot:actions>
    @if ($all === 0)
        <section class="sheet empty">
            <p class="answer">No animals yet.</p>
            <p class="soft">Add the first one: a name, its sex and what it carries are enough. Or import a list from a spreadsheet.</p>
            @can('manage')<p class="row-flow centred"><a class="button main" href="{{ route('animals.create') }}"><x-icon
                name="plus-lg"/>Add an animal</a><a class="button" href="{{ route('exchange') }}"><x-icon name="upload"/>Import
                a list</a></p>@endcan
        </section>
    @else
        <form @class(['find mb-2', 'is-folded' => ! $search->isNarrowed() && ! $search->error]) method="get" role="search"
            data-module="filters">
            <div class="field"><label for="find">Name or note</label><input class="input" id="find" type="search" name="find"
                value="{{ $search->words }}"></div>
            <div class="field" data-module="reading-lines" data-address="{{ route('read') }}"><label for="genes">Genes</label>
                <input class="input" id="genes" name="genes" value="{{ $search->genes }}" data-reads="search" spellcheck="false"
                    autocapitalize="off" placeholder="carries Clown, female, ready" aria-describedby="genes-error genes-reading"
                    @if ($search->error) aria-invalid="true" @endif>
                <x-field-error id="genes-error" :message="$search->error"/>
                <div class="reading flat" id="genes-reading" data-reading aria-live="polite"></div></div>
            <x-choice name="status" label="Status" blank="all that are here" :value="$search->status?->value"
                :options="$lists->statusOptions()"/>
            @if ($racks->isNotEmpty())<x-choice name="rack" label="Rack" blank="any" :value="$search->rack"
                :options="$racks->pluck('name', 'id')->all()"/>@endif
            <input type="hidden" name="view" value="{{ $search->view }}">
            <div><button class="button high"><x-icon name="search"/>Find</button></div>
            <button class="button filters-button" type="button" data-filters aria-expanded="false">Filters</button>
        </form>
        <div class="row-flow mb-3 under-find">
            <nav class="choices" aria-label="View">@foreach ($search::VIEWS as $view => $words)<a
                href="{{ route('animals.index', ['view' => $view] + $search->query()) }}" @if ($search->view === $view) aria-current="true"
                @endif>{{ $words }}</a>@endforeach</nav>
            <span class="soft small">@unless ($search->error){{ $pages->total() }} of @endunless{{ $all }}
                {{ Str::plural('animal', $all) }}{{ $search->isNarrowed() && ! $search->error ? ' fit. ' : '.' }}
                @if (! $search->open && $open > 0)<a href="{{ route('animals.index', ['open' => 1]) }}">{{ $open }} with genes to read</a>
                @endif @if ($search->isNarrowed())<a href="{{ route('animals.index', ['view' => $search->view]) }}">Show all</a>@endif
                @if (! $search->gone && $pages->total() < $all)<a href="{{ route('animals.index', ['gone' => 1] + $search->query())
                    }}">Include
                sold and dead</a>@endif</span>
            @if ($cards !== [])<a class="small" href="{{ route('papers.labels', $search->query()) }}"
                title="The codes open the records under {{ request()->getHttpHost() }}: print from the address that your telephone
                    uses.">Labels
                to print</a>@if (in_array($search->status, $offered, true)) <span class="small">Offers as
                <a href="{{ route('papers.sale', ['format' => 'csv'] + $search->query()) }}">CSV</a> or
                <a href="{{ route('papers.sale', ['format' => 'xlsx'] + $search->query()) }}">workbook</a></span>@endif @endif
            @foreach ($saved as $one)
                <span class="saved"><a href="{{ route('animals.index') }}?{{ $one->query }}">{{ $one->name }}</a>@if ($may)<form
                    method="post" action="{{ route('searches.destroy', $one) }}">@csrf @method('delete')<button class="quiet" type="submit"
                    aria-label="Forget the search {{ $one->name }}">×</button></form>@endif</span>
            @endforeach
            @if ($search->isNarrowed() && $may)
                <details class="keep-search"><summary>Save this search</summary><form method="post" action="{{ route('searches.store') }}"
                    class="row-flow mt-2">@csrf<input type="hidden" name="query" value="{{ http_build_query($search->query()) }}"><label
                    class="visually-hidden" for="search-name">Name</label><input class="input slim" id="search-name" name="name"
                    maxlength="60" placeholder="Clown females"><button class="button slim" type="submit">Save</button></form></details>
            @endif
        </div>
        @if ($cards === [] && ! $search->error)<section class="sheet empty"><p class="answer">No animal fits all of
            that.</p></section>@endif
        @if ($rackView)
            @include('animals.racks')
        @elseif ($search->view === 'list')
            @if ($may)<form method="post" action="{{ route('bulk.store') }}" data-module="chosen" id="chosen-form">@csrf
                <div class="sheet row-flow chosen-bar mb-2 no-print"><strong data-count>Select animals, then choose an action:</strong>
                    <label class="visually-hidden" for="bulk-do">What to do</label><select class="input slim" id="bulk-do"
                        name="do">@can('manage')<option value="status" @selected(old('do') === 'status')>set a status</option>@endcan<option
                        value="rack" @selected(old('do') === 'rack')>move to a rack</option>@can('manage')<option value="out"
                        @selected(old('do') === 'out')>remove from the records</option>@endcan</select>
                    @can('manage')<span class="row-flow" data-for="status"><label class="visually-hidden"
                        for="bulk-status">Status</label><select class="input slim" id="bulk-status"
                        name="status">@foreach ($lists->statuses() as $status)<option value="{{ $status->value }}"
                        @selected(old('status', 'for sale') === $status->value)>{{ $status->value }}</option>@endforeach</select><label
                        class="visually-hidden" for="bulk-reason">Reason</label><input class="input slim" id="bulk-reason" name="reason"
                        maxlength="400" value="{{ old('reason') }}" placeholder="reason"></span>@endcan
                    <span data-for="rack"><label class="visually-hidden" for="bulk-rack">Rack</label><select class="input slim"
                        id="bulk-rack" name="rack_id"><option value="">which rack</option>@foreach ($racks as $one)<option
                        value="{{ $one->id }}" @selected(old('rack_id') == $one->id)>{{ $one->name }}</option>@endforeach</select></span>
                    <button class="button slim" type="submit">Apply</button>
                    @if ($errors->bulk->any())<x-field-error id="bulk-error" :message="$errors->bulk->first()"/>@endif</div></form>@endif
            <div class="sheet scroll" tabindex="0" role="region" aria-label="List of animals" data-module="rows" data-remembers>
                <table class="list stacked herd">
                <thead><tr>@if ($may)<th><span class="visually-hidden">Chosen</span></th>@endif<th data-sort>Number</th>
                    <th data-sort>Name</th><th data-sort>Sex</th><th data-sort>Carries</th><th data-sort>Status</th>
                    <th data-sort>Hatched</th><th data-sort class="num">Weight</th><th data-sort>Last food</th>
                    <th data-sort>Place</th></tr></thead>
                <tbody>
                    @foreach ($cards as $card)
                        <tr>@if ($may)<td><input type="checkbox" form="chosen-form" name="chosen[]" value="{{ $card->animal->id }}"
                            aria-label="Choose {{ $card->animal->name }}"
                            @checked(in_array((string) $card->animal->id, array_map(strval(...), (array) old('chosen', [])),
                            true))></td>@endif<td data-label="Number">{{ $card->animal->number }}</td><td data-label="Name"><a
                            href="{{ route('animals.show', $card->animal) }}">{{ $card->animal->name }}</a>@if ($card->hasConflict())
                            <x-clash-mark :animal="$card->animal"/>@endif</td><td data-label="Sex">{{ $card->animal->sex?->value
                            ?? 'not known' }}</td>
                            <td data-label="Carries">{{ $card->genotype() }}@if ($card->chance() && ! $card->chance()->isOne())
                                <span class="tag doubt">{{ $say->percent($card->chance()) }} chance it fits</span>@endif</td>
                            <td data-label="Status">{{ $card->status()->value }}</td><td data-label="Hatched"
                                data-value="{{ $card->animal->hatched_on?->format('Y-m-d') }}">{{ $card->animal->hatchedWords() }}</td>
                                <td class="num" data-label="Weight"
                                data-value="{{ $card->animal->latestWeight?->grams }}">{{ $card->animal->latestWeight
                                ? $house->weight((int) $card->animal->latestWeight->grams) : '' }}</td>
                            <td data-label="Last food"
                                data-value="{{ $card->animal->latestFeed?->on->format('Y-m-d') }}">{{ $card->animal->latestFeed
                                ? $card->animal->latestFeed->on->format('j M').', '.$card->animal->latestFeed->outcome?->value : '' }}</td>
                                <td data-label="Place">{{ $card->animal->placeWords() }}</td></tr>
                    @endforeach
                </tbody>
            </table></div>
        @else
            <ul class="cards animal-rows">
                @foreach ($cards as $card)
                    <li><a class="card-link" href="{{ route('animals.show', $card->animal) }}">
                        <span class="title"><span>{{ $card->animal->name }} <span class="number">{{ $card->animal->number }}</span></span>
                            @sexsign($card->animal->sex)</span>
                        @if ($photo = $card->animal->latestPhoto)<img class="card-photo" src="{{ route('photos.show', $photo) }}" alt=""
                            loading="lazy" width="{{ $photo->width }}"
                            height="{{ $photo->height }}">@else{!! $prints->ofBelief($card->belief(), $card->days(),
                            $card->animal->id) !!}@endif
                        <span>{{ $card->genotype() }}</span>
                        @if ($card->chance() && ! $card->chance()->isOne())<span><span class="tag doubt">{{ $say->percent($card->chance())
                            }} chance
                            it fits</span></span>@endif
                        @if ($card->isUnreadable())<span class="tag dead">a statement cannot be read any more</span>@endif
                        @beads($card->beads())
                        <span class="soft small">{{ implode(' · ', array_filter([$card->age(), $card->status()->value === 'growing' ? null
                            : $card->status()->value, $card->readiness($house)->isReady ? 'ready' : null,
                            $card->animal->placeWords()])) }}</span>
                    </a>@if ($card->hasConflict())<x-clash-mark :animal="$card->animal" words="Records conflict. See why"/>@endif</li>
                @endforeach
            </ul>
        @endif
        @unless ($rackView)
            <div class="mt-3">{{ $pages->links() }}</div>
            @if ($search->view === 'cards')<div class="mt-3"><x-bead-key :sides="false"/></div>{!! $prints->symbols() !!}@endif
        @endunless
    @endif
</x-station>
