<x-station :title="$allele->name" station="genes" crumb="Genes" :crumb-link="route('genes.index')">
    <x-slot:actions><a class="button" href="{{ route('pair', ['sire' => $catalogue->oneCopy($allele)->text, 'dam' => 'Normal']) }}"><x-icon
        name="grid-3x3"/>Pair it with a normal</a></x-slot:actions>
    <ul class="gene-strip" aria-label="{{ $allele->name }} at a glance">
        @foreach ($strip as $picture)
            <li><a href="{{ route('pair', ['target' => $picture['label'] === 'Normal' ? null : $picture['label']]) }}">
                {!! $prints->loose($gallery->ofForms($picture['forms'])) !!}<strong>{{ $picture['label'] }}</strong>
                <span class="soft small">{{ $picture['says'] }}</span></a></li>
        @endforeach
    </ul>
    <div class="two">
        <div class="stack">
            <section class="sheet">
                <p class="answer">{{ $allele->summary }}</p>
                @if ($allele->note !== '')<p class="soft mb-0 mt-2">{{ $allele->note }}</p>@endif
                <dl class="facts mt-3">
                    <dt>Also called</dt><dd>{{ $allele->aliases === [] ? 'no other name here' : implode(', ', $allele->aliases) }}</dd>
                    @if ($changes->where('kind', 'alias')->isNotEmpty())<dt>Your names</dt>
                        <dd>@foreach ($changes->where('kind', 'alias') as $change)<span class="row-flow">{{ $change->data['name'] }}
                        @can('manage')<x-take-out kind="gene" :record="$change" :label="$change->sentence()"
                        class=""/>@endcan</span>@endforeach</dd>@endif
                    <dt>Inheritance</dt>
                        <dd>{{ $allele->inheritance->words($house->saysCoDominant()) }}{{ $catalogue->groupOf($allele->locus)->holdsSex()
                        ? ', linked to sex' : '' }}</dd>
                    <dt>Locus</dt><dd>@if ($page->locus->isComplex())<a href="{{ route('complexes.show',
                        $page->locus->key) }}">{{ $page->locus->name }}</a>@else{{ $page->locus->name }}@endif<br><span
                        class="small soft">{{ $page->locus->note }}</span></dd>
                    <dt>Changes</dt><dd>{{ $allele->effect->value }}</dd>
                    <dt>Evidence</dt><dd>{{ $allele->evidence }} <span class="soft">({{ $allele->source }})</span></dd>
                </dl>
                @foreach ($changes->where('kind', 'gene') as $change)
                @if ($change->data['unnamed'] ?? false)<p class="mt-3 mb-0"><a href="{{ route('animals.index', ['genes' => 'carries '
                    .$allele->name]) }}">Animals that carry it</a> · <a href="{{ route('projects.create', ['target' => $allele->name])
                    }}">Plan toward it</a></p>@endif
                @can('manage')<details class="mt-3" @if ($errors->hasAny(['new_name', 'same_as'])) open @endif><summary>{{
                    $change->data['unnamed'] ?? false ? 'It has a name now' : 'Rename it' }}</summary>
                    <form method="post" action="{{ route('genes.name', $allele->key) }}" class="stack mt-2" data-module="once">@csrf
                        <x-field name="new_name" label="New name" :value="old('new_name')" maxlength="60" autocomplete="off"/>
                        <x-choice name="same_as" label="Or it is a gene of the library" blank="no" :value="old('same_as')"
                            :options="$recessives"/>
                        <p class="soft small mb-0">What is recorded follows: the old name is still read.</p>
                        <div><button class="button" type="submit">Save</button></div></form></details>@endcan
                <div class="row-flow mt-3"><span class="soft small">Added by you.</span> @can('manage')<x-take-out kind="gene"
                    :record="$change" :label="$change->sentence()"
                    class=""/>@endcan</div>@endforeach
                @can('manage')
                    <details class="mt-3" @if ($errors->has('name')) open @endif><summary>Add a name or a line name</summary>
                        <form method="post" action="{{ route('genes.change') }}" class="row-flow mt-2" data-module="once">@csrf<input
                            type="hidden" name="kind" value="alias"><input type="hidden" name="gene" value="{{ $allele->key }}"><input
                            type="hidden" name="form_token" value="{{ Str::uuid() }}"><label class="visually-hidden"
                            for="alias">Name</label><input class="input slim brief" id="alias" name="name" value="{{ old('name') }}"
                            maxlength="60"><button class="button slim" type="submit">Add</button></form>
                        <x-field-error id="alias-error" :message="$errors->first('name')"/></details>
                @endcan
            </section>
            @if ($ages !== [])<section class="sheet" data-module="ages"><div class="head"><h2>From hatchling to adult</h2><span
                class="soft small" data-age role="status"></span></div>
                <input type="range" min="0" max="{{ count($ages) - 1 }}" value="{{ count($ages) - 1 }}" step="1" class="ages-range"
                    aria-label="Age" hidden>
                <ul class="row-of ages">@foreach ($ages as $one)<li data-at="{{ $one['age'] }}"><figure>@snake($one['look'],
                    $allele->name.', '.$one['age'], 'card')<figcaption class="soft small">{{ $one['age'] }}</figcaption></figure>
                    </li>@endforeach</ul></section>@endif
            <details class="sheet folded" id="copies" open data-module="fold-narrow"><summary><h2>One copy and two</h2>
                <span class="soft small">the skin laid flat</span></summary>
                <p class="mb-1"><a class="small"
                    href="{{ route('looks.compare',
                    ['genes' => array_values(array_filter(['Normal', $catalogue->oneCopy($allele)->kind->name === 'Het' ? null
                    : $catalogue->oneCopy($allele)->text, $two->isLethal() ? null : $two->text]))]) }}">against a normal</a></p>
                <ul class="plain">
                    @foreach ($catalogue->oneCopy($allele)->kind->name === 'Het' ? [$two, $catalogue->oneCopy($allele)]
                        : [$catalogue->oneCopy($allele), $two] as $form)
                        <li>@unless ($form->isLethal() || ($form->kind->name === 'Het'))@snake($gallery->ofForms([$form]),
                            $form->text.', the skin laid flat', 'flat')@endunless<span
                            class="named-bead"><x-bead :bead="$bead($form)" class="large" aria-hidden="true"/>
                            {{ $form->text }}</span>
                            @if ($form->isLethal())<span class="tag dead">does not
                                live</span>@elseif ($form->viability->value !== 'viable')<span class="tag doubt">viability
                                {{ $form->viability->value }}</span>@endif
                            <br><span class="small">{{ $form->kind->name === 'Het' ? 'Looks like a normal animal.'
                                : $form->looks }}</span></li>
                    @endforeach
                </ul>
            </details>
            @if ($page->compounds() !== [])
                <details class="sheet folded" id="compounds" open data-module="fold-narrow"><summary><h2>With the other alleles of its
                    locus</h2><span class="soft small">{{ count($page->compounds()) }} {{ Str::plural('compound', count($page->compounds()))
                    }}</span></summary>
                    <p class="mb-1"><a href="{{ route('complexes.show', $page->locus->key) }}">all pairs</a></p>
                    <ul class="plain">
                        @foreach ($page->compounds() as $form)
                            <li><strong>{{ $form->text }}</strong>{{ $form->knownAs ? " ({$form->knownAs})" : '' }}
                                @if ($form->isExtrapolated)<span class="tag doubt">not described, inferred</span>@endif
                                @if ($form->isLethal())<span class="tag dead">does not live</span>@endif<br><span
                                class="small">{{ $form->looks }}</span></li>
                        @endforeach
                    </ul>
                </details>
            @endif
        </div>
        <div class="stack">
            @if ($page->conditions() !== [] || $page->warnings() !== [])
                <section class="sheet">
                    <div class="head"><h2>Health</h2><span class="soft small">For an affected animal ask a reptile
                        veterinarian.</span></div>
                    <ul class="advice">
                        @foreach ($page->conditions() as $entry)
                            <li class="{{ $entry['condition']->severity->value }}"><x-icon name="exclamation-triangle"/><span><span
                                class="grade">{{ $entry['condition']->name }}</span> in {{ $entry['form']->text }}{{ $entry['sex']
                                ? " ({$entry['sex']->value}s)" : '' }}. {{ $entry['condition']->text }} Evidence:
                                {{ $entry['evidence'] }}.</span></li>
                        @endforeach
                    </ul>
                    @if ($page->warnings() !== [])<details class="mt-2" id="warnings" open data-module="fold-narrow"><summary>With {{
                        count($page->warnings()) }} other {{ Str::plural('gene', count($page->warnings())) }} in one animal</summary><ul
                        class="advice mt-2">@foreach ($page->warnings() as $warning)
                            <li class="{{ $warning->condition->severity->value }}"><x-icon name="exclamation-triangle"/><span><span
                                class="grade">With {{ $page->names(array_values(array_diff(array_keys($warning->pattern->copies),
                                [$allele->key]))) }}.</span> {{ $warning->text }} Evidence: {{ $warning->evidence }}.</span></li>
                        @endforeach</ul></details>@endif
                </section>
            @endif
            <section class="sheet">
                <div class="head"><h2>How to recognise it</h2></div>
                @if ($own === [])<p class="soft mb-0">{{ $isDescribed ? 'Hardly to be seen: nothing shows much oftener than in a normal.'
                    : 'We know of no description yet.' }}</p>@endif
                <ul class="plain cue-list" data-module="lift">
                    @foreach (array_slice($own, 0, $first) as $lines)@include('genes.sign', ['lines' => $lines])@endforeach
                </ul>
                @if (count($own) > $first)<details><summary>{{ count($own) - $first }} more</summary>
                    <ul class="plain cue-list mt-2" data-module="lift">
                        @foreach (array_slice($own, $first) as $lines)@include('genes.sign', ['lines' => $lines])@endforeach</ul>
                    </details>@endif
                @if ($together !== [])<h3 class="mt-3 mb-1">Beside other genes</h3><ul class="plain">@foreach ($together as $one)<li
                    class="small"><strong>{{ $one['with'] }}</strong>: {{ lcfirst($one['sign']->cue->name) }}
                    {{ $one['sign']->stateName() }} in {{ round(100 * $one['sign']->share) }}&nbsp;%, without it in
                    {{ round(100 * $one['sign']->otherwise) }}&nbsp;%</li>@endforeach</ul>@endif
                @if ($lessSure !== [])<p class="small mb-0 mt-2"><span class="soft">Fewer keepers tell of these:</span>
                    {{ implode(', ', $lessSure) }}.</p>@endif
                @foreach ($changes->where('kind', 'cue') as $change)<p class="row-flow small soft mb-0">Percentages of your own for a cue
                    are kept but not used any more: a cue is read from the look now. @can('manage')<x-take-out kind="gene"
                    :record="$change" label="your percentages" class=""/>@endcan</p>@endforeach
                <p class="small soft mb-0 mt-2">How often each is seen in grown animals: keepers' estimates, no counts. How you read them
                    yourself is under <a href="{{ route('looks.confusions') }}">Look-alikes</a>.</p>
            </section>
            @if ($page->lookAlikes() !== [])
                <details class="sheet folded" id="mixed" open data-module="fold-narrow"><summary><h2>Easily mixed up</h2><span
                    class="soft small">{{ count($page->lookAlikes()) }} {{ Str::plural('look-alike', count($page->lookAlikes()))
                    }}</span></summary><ul class="plain">
                    @foreach ($page->lookAlikes() as $set)<li><strong>{{ $page->names(array_values(array_diff($set->members,
                        [$allele->key]))) }}</strong> <span class="soft small">{{ ['one' => 'one copy', 'two' => 'two copies',
                        'visual' => 'visuals'][$set->copies] ?? $set->copies }}, {{ $set->stage === 'all' ? 'at any age'
                        : $set->stage }}</span><br><span class="small">{{ $set->text }} {{ $apart($set) }}</span></li>@endforeach
                </ul></details>
            @endif
            @if ($page->masks() !== [] || $page->interactions() !== [])
                <details class="sheet folded" id="with-others" open data-module="fold-narrow"><summary><h2>With other genes</h2><span
                    class="soft small">{{ count($page->masks()) + count($page->interactions()) }} known</span></summary><ul
                    class="plain">
                    @foreach ($page->masks() as $mask)<li class="small"><span class="tag doubt">hides others</span>
                        {{ $mask->text }}</li>@endforeach
                    @foreach ($page->interactions() as $interaction)<li
                        class="small"><strong>{{ $page->names(array_values(array_diff($interaction->alleles, [$allele->key]))) }}</strong>:
                        {{ $interaction->text }}</li>@endforeach
                </ul></details>
            @endif
            @foreach ($page->claims() as $claim)
                <details class="sheet folded" id="claim-{{ $claim->key }}" open data-module="fold-narrow"><summary><h2>{{ $claim->question
                    }}</h2><span class="tag doubt">disputed</span></summary>
                    <ul class="plain">
                        @foreach ($claim->schools as $school)<li><strong>{{ $school->name }}</strong>@if ($school->key === $claim->default)
                            <span class="tag">default choice</span>@endif<br><span class="small">{{ $school->effect }}
                            <span class="soft">{{ $school->argument }}</span></span></li>@endforeach
                    </ul>
                    <p class="small soft mb-0 mt-2">{{ $claim->whyDefault }} The choice stands on every pairing that it touches.</p>
                    @if ($evidence = $disputed->about($claim)) @include('prove.disputed') @endif
                </details>
            @endforeach
        </div>
    </div>
</x-station>
