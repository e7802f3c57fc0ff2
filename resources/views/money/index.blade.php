<x-station title="Money" station="house">
    <x-house-tabs here="money"/>
    <nav class="choices mb-3" aria-label="Year">@foreach (array_slice($ledger->years(), 0, 6) as $year)<a
        href="{{ route('money', ['year' => $year]) }}" @if ($year === $ledger->year) aria-current="true"
        @endif>{{ $year }}</a>@endforeach</nav>
    <div class="two">
        <div class="stack">
            <section class="sheet">
                <p class="answer">Balance {{ $ledger->year }}: {{ $ledger->result()->words() }}</p>
                <x-money-months :ledger="$ledger"/>
                <table class="list"><caption class="visually-hidden">The account of {{ $ledger->year }}</caption><tbody>
                    <tr><td>Animals sold <span class="soft small">{{ $ledger->sold->count() }}{{ $ledger->unpriced() > 0
                        ? ", {$ledger->unpriced()} without a price" : '' }}</span></td>
                        <td class="num">{{ $ledger->sales()->words() }}</td></tr>
                    @foreach ($lists->bookingKinds() as $kind)@if ($kind->isIncome() && $ledger->of($kind)->minor > 0)<tr>
                        <td>{{ ucfirst($kind->words()) }}</td><td class="num">{{ $ledger->of($kind)->words() }}</td></tr>@endif @endforeach
                    <tr><td>Animals bought <span class="soft small">{{ $ledger->bought->count() }}</span></td>
                        <td class="num">{{ $ledger->purchases()->negated()->words() }}</td></tr>
                    @foreach ($lists->bookingKinds() as $kind)@if (! $kind->isIncome() && $ledger->of($kind)->minor > 0)<tr>
                        <td>{{ ucfirst($kind->words()) }}@if ($kind->value === 'feed' && $ledger->perMeal())
                        <span class="soft small">{{ $ledger->perMeal()->words() }} a meal, of {{ number_format($ledger->meals()) }}
                        taken</span>@endif</td><td class="num">{{ $ledger->of($kind)->negated()->words() }}</td></tr>@endif @endforeach
                </tbody><tfoot><tr><th scope="row">Balance</th>
                    <td class="num"><strong>{{ $ledger->result()->words() }}</strong></td></tr></tfoot></table>
                @if ($ledger->deposits->isNotEmpty())<p class="mb-0 mt-2">Held as deposits: {{ $ledger->held()->words() }}
                    <span class="soft small">for {{ $ledger->deposits->pluck('name')->implode(', ') }}; counted when they are
                    sold</span></p>@endif
                @if ($ledger->undated() > 0)<p class="soft small mb-0 mt-2">{{ $ledger->undated() }}
                    {{ Str::plural('animal', $ledger->undated()) }} with a price paid {{ $ledger->undated() === 1 ? 'has' : 'have' }} no day
                    of purchase, and {{ $ledger->undated() === 1 ? 'stands' : 'stand' }} in no year.</p>@endif
                @foreach ($ledger->byProject() as $one)<p class="small mb-0 mt-2">{{ $one['name'] }}: {{ $one['spent']->words() }}
                    spent{{ $one['earned']->minor > 0 ? ", {$one['earned']->words()} earned" : '' }}</p>@endforeach
            </section>
            <section class="sheet">
                <div class="head"><h2>Other income and costs</h2><span class="soft small">purchases and sales of animals are added from
                    the animals</span></div>
                <ul class="plain lines">@forelse ($ledger->bookings as $one)<li
                    class="row-flow"><span><strong>{{ $house->money($one->amount) }}</strong> {{ $one->kind->words() }}
                    <span class="soft small">{{ $one->on->format('j M Y') }}{{ $one->note ? ', '.$one->note : '' }}{{ $one->animal
                    ? ', '.$one->animal->name : '' }}{{ $one->project ? ', for '.$one->project->name : '' }}</span></span><x-take-out
                    kind="booking" :record="$one" :label="$one->sentence()"/></li>@empty<li class="soft">Nothing in
                    {{ $ledger->year }}.</li>@endforelse</ul>
                @foreach ($ledger->sold as $animal)<p class="mb-0 small"><a
                    href="{{ route('animals.show', $animal) }}#sale">{{ $animal->name }}</a> sold
                    {{ $ledger->soldOn($animal) }}{{ $animal->sale?->price !== null ? ' for '.$house->money($animal->sale->price)
                    : ', without a price' }}{{ $animal->sale?->buyer ? ' to '.$animal->sale->buyer : '' }}</p>@endforeach
                @foreach ($ledger->bought as $animal)<p class="mb-0 small"><a
                    href="{{ route('animals.show', $animal) }}">{{ $animal->name }}</a> bought for
                    {{ $house->money($animal->price_cents) }}</p>@endforeach
            </section>
        </div>
        <div class="stack">
            <section class="sheet"><div class="head"><h2>Add income or a cost</h2></div>
                <form method="post" action="{{ route('money.book') }}" class="stack" data-module="once">@csrf<input type="hidden"
                    name="form_token" value="{{ $token }}">
                    <div class="three"><x-choice name="kind" bag="booking" label="For" :value="old('kind', 'feed')"
                        :options="array_combine(array_column($lists->bookingKinds(), 'value'), array_map(fn ($kind) => $kind->words(),
                        $lists->bookingKinds()))"/><x-field name="amount" bag="booking" label="Amount" :unit="$house->currency()"
                        :value="old('amount')" inputmode="decimal" maxlength="30"/><x-field name="on" bag="booking" label="Day" type="date"
                        :value="old('on', now()->format('Y-m-d'))"/></div>
                    <x-field name="note" bag="booking" id="booking-note" label="Note" :value="old('note')" maxlength="200"/>
                    <details @if ($errors->booking->hasAny(['animal_id', 'project_id'])) open @endif><summary>for one animal or
                        project</summary><div class="two mt-2"><x-choice name="animal_id" bag="booking" label="Animal" blank="none"
                        :value="old('animal_id')" :options="$animals"/><x-choice name="project_id" bag="booking" label="Project"
                        blank="none" :value="old('project_id')" :options="$projects"/></div></details>
                    <div><button class="button main" type="submit">Save</button></div>
                </form>
            </section>
            <section class="sheet" id="prices"><div class="head"><h2>Price book</h2><span class="soft small">Each animal gets the highest
                price whose genes are certain</span></div>
                <ul class="plain lines">@forelse ($prices as $price)<li class="row-flow"><span><strong>{{ $price->target }}</strong>:
                    {{ $house->money($price->low) }}{{ $price->high > $price->low ? ' to '.$house->money($price->high) : '' }}
                    <span class="soft small">{{ $price->note }}@if (isset($own[$price->id])) own sales: {{ count($own[$price->id]) }},
                    {{ $house->money(min($own[$price->id])) }}{{ count(array_unique($own[$price->id])) > 1
                    ? ' to '.$house->money(max($own[$price->id])) : '' }}@endif</span>@if (in_array($price->id, array_column($book->unread,
                    'id'), true))<span class="field-error">No longer read by the gene facts; it counts for
                    nothing.</span>@endif</span><x-take-out kind="price" :record="$price" :label="$price->target"/></li>@empty<li
                    class="soft">Empty. With a few lines, clutches and hatchlings have a worth.</li>@endforelse</ul>
                <form method="post" action="{{ route('prices.store') }}" class="stack mt-3" data-module="once">@csrf<input type="hidden"
                    name="form_token" value="{{ Str::uuid() }}">
                    <div class="field" data-module="reading-lines" data-address="{{ route('read') }}"><label for="price-target">Look, and
                        sex if it matters</label><input class="input" id="price-target" name="target" value="{{ old('target') }}"
                        maxlength="400" data-reads="target" placeholder="Clown + Pastel, female" spellcheck="false" autocapitalize="off"
                        @if ($errors->price->has('target')) aria-invalid="true" @endif><x-field-error id="price-target-error"
                        :message="$errors->price->first('target')"/><div class="reading flat" data-reading aria-live="polite"></div></div>
                    <div class="two"><x-field name="low" bag="price" label="From" :unit="$house->currency()" :value="old('low')"
                        inputmode="decimal" maxlength="30"/><x-field name="high" bag="price" label="to" :unit="$house->currency()"
                        :value="old('high')" inputmode="decimal" maxlength="30"/></div>
                    <x-field name="note" bag="price" id="price-note" label="Note" :value="old('note')" maxlength="200"/>
                    <div><button class="button" type="submit">Add price</button></div>
                </form>
            </section>
            <p class="soft small mb-0">Selling live animals is regulated in many places: licences, papers and how they are sent. Ask your
                authority.</p>
        </div>
    </div>
</x-station>
