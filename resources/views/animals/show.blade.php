<x-station :title="$animal->name" station="animals" crumb="Animals" :crumb-link="route('animals.index')">
    <x-slot:actions>
        <a class="button" href="{{ route('animals.history', $animal) }}"><x-icon name="clock-history"/>History</a>
        <a class="button" href="{{ route('papers.animal', $animal) }}"><x-icon name="printer"/>Print record</a>
        <a class="button" href="{{ route('papers.opinion', $animal) }}"><x-icon name="chat-quote"/>Get a second opinion</a>
        @if ($may)<a class="button" href="{{ route('animals.edit', $animal) }}"><x-icon name="pencil"/>Edit</a>@endif
        @if ($animal->sex)<a class="button main"
            href="{{ route('pair', [($animal->isMale() ? 'sire' : 'dam').'_id' => $animal->id]) }}"><x-icon name="grid-3x3"/>Pair
            {{ $animal->objectPronoun() }}</a>@endif
    </x-slot:actions>
    <p class="where row-flow">@if ($animal->number)<span class="tag">{{ $animal->number }}</span>@endif
        <span class="tag">{{ $animal->status()->value }}</span> @if ($animal->placeWords())<span
        class="tag">{{ $animal->placeWords() }}</span>@endif <x-sex :animal="$animal"/> <span>{{ $animal->sexWords() }}</span>
        @if ($card->age())<span class="soft">{{ $card->age() }} old</span>@endif</p>
    @if ($mayLog && $animal->status()->isHere())<x-quick-log :animal="$animal" :house="$house"/>@endif
    @if ($named !== [] && $may)
        <section class="asks mb-3" aria-label="A parent by name"><p class="mb-2"><strong>Is this the {{ $animal->name }} that
            {{ count($named) === 1 ? $named[0]->name.' names' : count($named).' animals name' }} as {{ count($named) === 1 ? 'its'
            : 'their' }} {{ $animal->isMale() ? 'sire' : 'dam' }}?</strong>
            <span class="soft small">{{ implode(', ', array_map(fn ($one) => $one->name, array_slice($named, 0, 6))) }}{{ count($named) > 6
            ? ' and '.(count($named) - 6).' more' : '' }}. So far it is a name only, and no kinship follows from it.</span></p>
            <form method="post" action="{{ route('animals.link', $animal) }}" data-module="once">@csrf<button class="button slim"
                type="submit">Yes, it is {{ $animal->objectPronoun() }}</button></form></section>
    @endif
    <div class="two">
        <div class="stack">
        <section class="sheet" id="knowledge">
            <div class="head"><h2>What {{ $animal->pronoun() }} carries</h2><span class="soft small">Based on statements, parents and
                relatives</span></div>
            <p class="answer mb-3">{{ $card->genotype() }}@if ($page->called !== '') <span class="tag">{{ $page->called }}</span>@endif</p>
            @if ($page->notTold !== '')<p class="soft"><x-icon name="info-circle"/> {{ $page->notTold }}.</p>@endif
            @if (($off = $page->off()) !== '')<p class="field-error"><x-icon name="info-circle"/><span>{{ $off }}</span></p>@endif
            @if ($animal->hasOpenGenes())<p class="field-error"><x-icon
                name="question-circle"/><span>{{ trim((string) $animal->genes_open) === ''
                ? 'Nothing is recorded of what '.$animal->pronoun().' carries.' : 'Written was “'.$animal->genes_open.'”, which could not
                    be read.' }}
                State it below, and it counts; until then it is not known, and no plan builds on it.</span></p>@endif
            <figure class="mb-3">@snake($look, $animal->name.': '.$card->genotype())<figcaption class="soft small">A drawing of the
                likeliest look, not of this very animal.
                <a href="{{ route('looks.compare', ['genes' => [$card->genotype(), 'Normal']]) }}">Compare</a></figcaption></figure>
            <x-beads :beads="$card->beads()" named/>
            @if ($card->hasConflict())<div id="puzzle">@include('prove.puzzle')</div>@endif
            @if ($reasons !== [])
                <details class="mt-3"><summary>Why, locus by locus</summary>
                    <div class="stack mt-2">@foreach ($reasons as $locus)<div><strong>{{ $locus['locus'] }}</strong>
                        <ol class="steps">@foreach ($locus['steps'] as $step)<li><span>{{ $step['text'] }}</span>
                        <span class="soft small">after {{ $step['by'] }}</span></li>@endforeach</ol></div>@endforeach</div>
                </details>
            @endif
            <p class="mt-3 mb-0 row-flow"><a class="button slim" href="{{ route('prove.animal', $animal) }}"><x-icon
                name="search"/>Evidence and test pairings</a> <a class="button slim" href="{{ route('prove.surer', $animal) }}">How sure is
                the label?</a></p>
            <div class="mt-3"><x-bead-key :sides="false"/></div>
        </section>
        <section class="sheet">
            <div class="head"><h2>Statements</h2></div>
            <ul class="plain">
                @forelse ($page->statements as $statement)
                    <li><div class="row-flow"><span class="breaks"><strong>{{ $statement->text }}</strong>
                        <span class="soft small">{{ $statement->byWhom() }}{{ $statement->names_all ? ''
                        : '; may leave out what shows' }}</span></span>
                        @if ($may)<span class="ms-auto row-flow"><a class="small"
                            href="{{ route('statements.edit', $statement) }}">Edit</a><x-take-out kind="statement" :record="$statement"
                            :label="$statement->text"/></span>@endif</div>
                        @if ($statement->note)<p class="soft small mb-0">{{ $statement->note }}</p>@endif
                        @foreach ($page->faultsOf($statement) as $fault)<p class="field-error"><x-icon
                            name="exclamation-triangle"/><span>{{ $fault }} This statement does not count until it is
                            corrected.</span></p>@endforeach</li>
                @empty
                    <li class="soft">Nothing stated: {{ $animal->pronoun() }} follows the parents.</li>
                @endforelse
                @if ($animal->clutch_id && ($read = $page->cuesRead()) > 0)<li><a
                    href="{{ route('bench', $animal->clutch_id) }}">{{ $read }} {{ Str::plural('cue', $read) }} read on the bench</a>
                    <span class="soft small">what was seen counts as evidence, here and for the parents; opinions of others do not. A cue
                    that depends on more open genes than can be gone through ({{ number_format($mostGenotypes) }} genotypes) is left
                    out</span></li>@endif
            </ul>
            @if ($may)
                <details class="mt-3" @if ($errors->statement->any()) open @endif>
                    <summary>Add a statement</summary>@include('animals.statement-form', ['statement' => null])</details>
            @endif
        </section>
        <section class="sheet">
            <div class="head"><h2>What {{ $animal->pronoun() }} passes on</h2><span class="soft small">chance per egg</span></div>
            @if ($card->passesOn() === [])<p class="soft mb-0">No gene: every egg gets the wild type from
                {{ $animal->objectPronoun() }}.</p>@endif
            <table class="list"><caption class="visually-hidden">Genes passed on, with the chance per egg</caption><tbody>
                @foreach ($card->passesOn() as [$allele, $chance])
                    <tr><td><a href="{{ route('genes.show', $allele->key) }}">{{ $allele->name }}</a></td>
                        <td class="num"><strong>{!! $say->exact($chance, 'exact') !!}</strong></td>
                        <td class="num soft">{{ $say->oneIn($chance) }}</td></tr>
                @endforeach
            </tbody></table>
        </section>
        @if ($worths !== [])
            <section class="sheet" id="worth"><div class="head"><h2>Value to your projects</h2><span class="soft small">the chance with
                {{ $animal->objectPronoun() }}, less that without</span></div>
                <ul class="plain">@foreach ($worths as $one)<li><a
                    href="{{ route('projects.show', $one['project']) }}"><strong>{{ $one['project']->name }}</strong></a>:
                    {{ $one['says'] }}@if ($one['now']) <span class="tag">this season</span>@endif</li>@endforeach</ul></section>
        @endif
        </div>
        <div class="stack">
        <section class="sheet">
            <div class="head"><h2>Record</h2></div>
            <dl class="facts">
                <dt>Sex</dt><dd>{{ $animal->sexWords() }}</dd>
                <dt>Hatched</dt><dd>{{ $animal->hatchedWords() ?? 'not known' }}{{ $card->age() === '' ? ''
                    : ', '.$card->age().' old' }}</dd>
                @if ($animal->clutch)<dt>Clutch</dt>
                    <dd><a href="{{ route('clutches.show', $animal->clutch) }}">{{ $animal->clutch->load('dam',
                    'sires.animal')->title() }}</a></dd>@endif
                @if ($animal->source || $animal->acquired_on)<dt>Came from</dt>
                    <dd>{{ implode(', ', array_filter([$animal->source, $animal->acquired_on?->format('j F Y')])) }}</dd>@endif
                @if ($seesMoney && $animal->price_cents !== null)<dt>Price paid</dt><dd>{{ $house->money($animal->price_cents) }}</dd>@endif
                <dt>Notes</dt><dd class="as-typed">{{ $animal->notes ?: 'none' }}</dd>
            </dl>
            @if ($mayLog && $page->racks !== [])
                <form method="post" action="{{ route('animals.place', $animal) }}" class="row-flow mt-3">@csrf @method('put')
                    <label for="to" class="small">Tub</label><select class="input slim brief" id="to" name="to">
                        <option value="">none</option>{!! $page->tubOptions() !!}</select>
                    <button class="button slim" type="submit">Move</button><x-field-error id="to-error"
                        :message="$errors->first('to')"/></form>
            @endif
        </section>
        <section class="sheet" id="status">
            <div class="head"><h2>Status</h2></div>
            <ul class="plain lines">
                @forelse ($page->statuses() as $event)<li class="row-flow"><span class="soft small">{{ $event->on->format('j M Y') }}</span>
                    <span class="breaks">{{ $seesMoney ? $event->wholeSentence() : $event->sentence() }}</span>@if ($may)<x-take-out
                    kind="status" :record="$event" :label="$event->sentence()"/>@endif</li>@empty<li class="soft">Growing
                        (default)</li>@endforelse
            </ul>
            @if ($may)
                <details class="mt-3" @if ($errors->status->any()) open @endif><summary>Change status</summary>
                    <form method="post" action="{{ route('status.store', $animal) }}" class="stack mt-2" data-module="once">@csrf<input
                        type="hidden" name="form_token" value="{{ $token }}">
                        <div class="two"><x-choice name="status" bag="status" id="status-now" label="Status"
                            :value="old('status', $animal->status()->value)" :options="$lists->statusOptions()"/>
                        <x-field name="on" bag="status" id="status-on" label="Since" type="date"
                            :value="old('on', now()->format('Y-m-d'))"/></div>
                        <x-field name="reason" bag="status" label="Reason" :value="old('reason')" maxlength="400"
                            hint="A hold-back needs one."/>
                        <x-field name="review_on" bag="status" label="Review on" type="date" :value="old('review_on')"/>
                        <div><button class="button" type="submit">Save</button></div>
                    </form></details>
            @endif
        </section>
        @if ($seesMoney)
        <section class="sheet" id="sale">
            <div class="head"><h2>Sale</h2>@if ($price)<span class="soft small">by your price book
                {{ $house->money($price->low) }}{{ $price->high > $price->low ? ' to '.$house->money($price->high)
                : '' }}</span>@endif</div>
            @if ($sale)<dl class="facts mb-0">@foreach (['asking' => 'Asking', 'deposit' => 'Deposit',
                'price' => 'Price'] as $field => $label)@if ($sale->{$field} !== null)<dt>{{ $label }}</dt>
                <dd>{{ $house->money($sale->{$field}) }}</dd>@endif @endforeach @if ($sale->buyer)<dt>Buyer</dt>
                <dd>{{ $sale->buyer }}</dd>@endif @if ($sale->sent_on)<dt>Sent</dt><dd>{{ $sale->sent_on->format('j F Y') }}</dd>@endif
                @if ($sale->note)<dt>Note</dt><dd>{{ $sale->note }}</dd>@endif</dl>@else<p class="soft mb-0">Not offered.</p>@endif
            <details class="mt-3" @if ($errors->sale->any()) open @endif>
                <summary>{{ $sale ? 'Change it' : 'Offer, reserve or sell' }}</summary>
                <form method="post" action="{{ route('sales.update', $animal) }}" class="stack mt-2" data-module="once">@csrf @method('put')
                    <input type="hidden" name="version" value="{{ $sale->version ?? 0 }}"><x-field-error id="sale-version-error"
                    :message="$errors->sale->first('version')"/>
                    <div class="two"><x-choice name="status" bag="sale" id="sale-status" label="Status" :value="old('status', $saleStatus)"
                        :options="['for sale' => 'for sale', 'reserved' => 'reserved', 'sold' => 'sold']"/><x-field name="on" bag="sale"
                        id="sale-on" label="Since" type="date" :value="old('on', now()->format('Y-m-d'))"/></div>
                    <div class="three"><x-field name="asking" bag="sale" label="Asking" :unit="$house->currency()"
                        :value="old('asking', $typed($sale?->asking))" inputmode="decimal" maxlength="30"/><x-field name="deposit"
                        bag="sale" label="Deposit" :unit="$house->currency()" :value="old('deposit', $typed($sale?->deposit))"
                        inputmode="decimal" maxlength="30"/><x-field name="price" bag="sale" id="sale-price" label="Price"
                        :unit="$house->currency()" :value="old('price', $typed($sale?->price))" inputmode="decimal" maxlength="30"/></div>
                    <div class="two"><x-field name="buyer" bag="sale" label="Buyer" :value="old('buyer', $sale?->buyer)"
                        maxlength="120"/><x-field name="sent_on" bag="sale" label="Sent on" type="date"
                        :value="old('sent_on', $sale?->sent_on?->format('Y-m-d'))"/></div>
                    <x-field name="note" bag="sale" id="sale-note" label="Note" :value="old('note', $sale?->note)" maxlength="400"/>
                    @if ($animal->sex === null)<label class="switch"><input type="checkbox" name="unsexed" value="1"
                        @checked(old('unsexed'))> as unsexed</label><x-field-error id="unsexed-error"
                        :message="$errors->sale->first('unsexed')"/>@endif
                    <div><button class="button" type="submit">Save</button></div>
                </form></details>
        </section>
        @endif
        <details class="sheet folded" id="conditions" open data-module="fold-narrow">
            <summary><h2>Health checks</h2></summary>
            <ul class="plain lines">
                @forelse ($page->observations() as $seen)<li class="row-flow"><span
                    class="soft small">{{ $seen->on->format('j M Y') }}</span>
                    <span class="breaks">{{ $seen->sentence() }}</span>@if ($mayLog)<x-take-out kind="observation" :record="$seen"
                    :label="$seen->sentence()"/>@endif</li>@empty<li class="soft">None yet. Record good results too, such as “Wobble:
                        none”.</li>@endforelse
            </ul>
            @if ($mayLog)
                <details class="mt-3" @if ($errors->observation->any()) open @endif><summary>Note a condition</summary>
                    <form method="post" action="{{ route('observations.store', $animal) }}" class="stack mt-2"
                        data-module="once">@csrf<input type="hidden" name="form_token" value="{{ $token }}">
                        <div class="two"><x-field name="condition" bag="observation" label="Condition" :value="old('condition')"
                            maxlength="60" list="conditions-known" autocomplete="off"/>
                        <x-choice name="grade" bag="observation" label="Grade" :value="old('grade', 'none')"
                            :options="$lists->grades()"/></div>
                        <datalist id="conditions-known">@foreach ($page->knownConditions() as $name)<option
                            value="{{ $name }}"></option>@endforeach</datalist>
                        <div class="three"><x-field name="place" bag="observation" label="Where" :value="old('place')" maxlength="60"
                            placeholder="neck, left eye, tail"/><x-field name="on" bag="observation" id="observation-on" label="Seen on"
                            type="date" :value="old('on', now()->format('Y-m-d'))"/><x-choice name="decision" bag="observation"
                            label="Decision" blank="nothing" :value="old('decision')" :options="$lists->courses()"/></div>
                        <x-field name="note" bag="observation" id="observation-note" label="Note" :value="old('note')" maxlength="400"/>
                        <div><button class="button" type="submit">Save</button> <span class="soft small">For an ailing animal, and for
                            any humane end, ask a reptile veterinarian.</span></div>
                    </form></details>
            @endif
        </details>
        @if ($animal->sex)
        <details class="sheet folded" open data-module="fold-narrow">
            <summary><h2>Pair {{ $animal->objectPronoun() }} with</h2><span class="soft small">{{ $mates->count() }}
                {{ Str::plural($page->sexOfMates(), $mates->count()) }}</span></summary>
            @if ($mates->isEmpty())
                <p class="soft mb-0">No {{ $page->sexOfMates() ?: 'mate' }} in the collection yet.
                    <a href="{{ route('animals.create') }}">Add one</a>, or type one on the pairing page.</p>
            @else
                <form class="ask-line mb-3" method="get" action="{{ route('pair') }}">
                    <input type="hidden" name="{{ $own }}" value="{{ $animal->id }}">
                    <div class="field"><label for="mate-target">Find the best mate for</label>
                        <input class="input" id="mate-target" name="target" required maxlength="400" placeholder="Clown + Pastel"
                            spellcheck="false" autocapitalize="off"></div>
                    <button class="button" type="submit">Find mates</button></form>
            @endif
            @if ($page->candidates()->isLong($page->sexOfMates()))
                <form class="ask-line" method="get" action="{{ route('pair') }}">
                    <input type="hidden" name="{{ $own }}" value="{{ $animal->id }}">
                    <div class="field"><label for="mate">Or one that you have in mind</label>
                        <select class="input" id="mate" name="{{ $other }}" data-module="choice"
                            data-from="{{ route('animals.names', ['sex' => $page->sexOfMates()]) }}">
                            <option value=""></option></select></div>
                    <button class="button" type="submit">Pair</button></form>
            @else
                <ul class="plain mates">
                    @foreach ($mates as $mate)
                        <li><a href="{{ route('pair', [$own => $animal->id, $other => $mate->id]) }}">{{ $mate->name }}</a>
                            <span class="soft small">{{ $page->candidates()->genotype($mate) }}</span></li>
                    @endforeach
                </ul>
            @endif
        </details>
        @endif
        </div>
    </div>
    @include('animals.care')
    <details class="sheet folded mt-3" id="photos" open data-module="fold-narrow">
            <summary><h2>Photographs</h2><span class="soft small">{{ count($photos) }}</span></summary>
        @if ($photos !== [])
            <ul class="photos">@foreach ($photos as $photo)<li><figure><a
                href="{{ route('photos.show', [$photo, 'whole' => 1]) }}"><img src="{{ route('photos.show', $photo) }}"
                width="{{ $photo->shown()[0] }}" height="{{ $photo->shown()[1] }}" loading="lazy"
                alt="{{ $photo->caption ?? $animal->name.' on '.$photo->on->format('j F Y') }}"></a>
                <figcaption class="row-flow"><span>{{ $photo->on->format('j M Y') }}{{ $photo->caption ? ': '.$photo->caption
                : '' }}</span>@if ($mayLog)<x-take-out kind="photo" :record="$photo"
                :label="$photo->sentence()"/>@endif</figcaption></figure></li>@endforeach</ul>
        @endif
        @if ($mayLog)
            <details @if ($errors->photo->any() || $photos === []) open @endif><summary>Add a photograph</summary>
                <form method="post" action="{{ route('photos.store', $animal) }}" enctype="multipart/form-data" class="four mt-2"
                    data-module="once">@csrf<input type="hidden" name="form_token" value="{{ $token }}">
                    <x-field name="photo" bag="photo" label="JPEG, PNG or WebP" type="file" accept="image/jpeg,image/png,image/webp"/>
                    <x-field name="on" bag="photo" id="photo-on" label="Taken on" type="date" :value="old('on', now()->format('Y-m-d'))"/>
                    <x-field name="caption" bag="photo" label="Caption" :value="old('caption')" maxlength="200"/>
                    <div class="align-button"><button class="button" type="submit">Add photograph</button></div>
                </form>
                <p class="soft small mb-0 mt-2">Location and camera data are removed from the photograph.</p></details>
        @endif
    </details>
    @if ($clutches !== [])
        <details class="sheet folded mt-3" open data-module="fold-narrow">
            <summary><h2>Clutches</h2></summary>
            <ul class="plain">@foreach ($clutches as $clutch)<li><a href="{{ route('clutches.show', $clutch) }}">{{ $clutch->title() }}</a>
                <span class="soft small">{{ $clutch->stage() }}{{ $clutch->eggs_good === null ? ''
                : ', '.$clutch->eggs_good.' good eggs' }}{{ $clutch->hatched === null ? ''
                : ', '.$clutch->hatched.' hatched' }}</span></li>@endforeach</ul>
        </details>
    @endif
    <details class="sheet folded mt-3" id="family" open data-module="fold-narrow">
            <summary><h2>Family</h2><span class="soft small">{{ $page->tree->isKnown()
                ? 'Inbreeding coefficient F = '.$say->fraction($inbreeding).($inbreeding->isZero() ? ', as far as the records go'
                : ' ('.$say->percent($inbreeding).')') : 'No parents recorded' }}</span></summary>
        @if ($page->tree->isKnown())
            <h3 class="mb-2">Ancestors</h3>
            <div class="scroll" tabindex="0" role="region" aria-label="Ancestors"><x-pedigree :tree="$page->tree"/></div>
        @else
            <p class="soft mb-0">@if ($may)<a href="{{ route('animals.edit', $animal) }}">Record the parents</a> to see the pedigree, and to
                be told when a pair is closely related.@else No parents are recorded. @endif</p>
        @endif
        @unless ($page->descendants->isEmpty())
            <h3 class="mt-3 mb-2">Offspring</h3>
            <div class="scroll" tabindex="0" role="region" aria-label="Descendants"><x-descendants :tree="$page->descendants"
                :name="$animal->name"/></div>
            @if ($page->descendants->more > 0)<p class="soft small mb-0">{{ $page->descendants->more }} more are not drawn; they stand on
                the pages of their parents.</p>@endif
        @endunless
    </details>
</x-station>
