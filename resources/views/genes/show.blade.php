@php([$allele, $catalogue, $two] = [$page->allele, $page->catalogue, $page->twoCopies])
<x-station :title="$allele->name" station="genes" crumb="Genes" :crumb-link="route('genes.index')">
    <x-slot:actions><a class="button" href="{{ route('pair', ['sire' => $catalogue->oneCopy($allele)->text, 'dam' => 'Normal']) }}"><x-icon name="grid-3x3"/>Pair it with a normal</a></x-slot:actions>
    <div class="two">
        <div class="stack">
            <section class="sheet">
                <p class="answer">{{ $allele->summary }}</p>
                @if ($allele->note !== '')<p class="soft mb-0 mt-2">{{ $allele->note }}</p>@endif
                <dl class="facts mt-3">
                    <dt>Also called</dt><dd>{{ $allele->aliases === [] ? 'no other name here' : implode(', ', $allele->aliases) }}</dd>
                    <dt>Inheritance</dt><dd>{{ $allele->inheritance->words() }}{{ $catalogue->groupOf($allele->locus)->holdsSex() ? ', linked to sex' : '' }}</dd>
                    <dt>Locus</dt><dd>@if ($page->locus->isComplex())<a href="{{ route('complexes.show', $page->locus->key) }}">{{ $page->locus->name }}</a>@else{{ $page->locus->name }}@endif<br><span class="small soft">{{ $page->locus->note }}</span></dd>
                    <dt>Changes</dt><dd>{{ $allele->effect->value }}</dd>
                    <dt>Evidence</dt><dd>{{ $allele->evidence }} <span class="soft">({{ $allele->source }})</span></dd>
                </dl>
            </section>
            <section class="sheet">
                <div class="head"><h2>One copy and two</h2></div>
                <ul class="plain">
                    @foreach ([$catalogue->oneCopy($allele), $two] as $form)
                        <li><span class="named-bead"><x-bead :bead="App\Drawing\Bead::ofForm($form, $catalogue)" class="large" aria-hidden="true"/> {{ $form->text }}</span>
                            @if ($form->isLethal())<span class="tag dead">does not live</span>@elseif ($form->viability->value !== 'viable')<span class="tag doubt">viability {{ $form->viability->value }}</span>@endif
                            <br><span class="small">{{ $form->kind->name === 'Het' ? 'Looks like a normal animal.' : $form->looks }}</span></li>
                    @endforeach
                </ul>
            </section>
            @if ($page->compounds() !== [])
                <section class="sheet">
                    <div class="head"><h2>With the other alleles of its locus</h2><a href="{{ route('complexes.show', $page->locus->key) }}">all pairs</a></div>
                    <ul class="plain">
                        @foreach ($page->compounds() as $form)
                            <li><strong>{{ $form->text }}</strong>{{ $form->knownAs ? " ({$form->knownAs})" : '' }} @if ($form->isExtrapolated)<span class="tag doubt">not described, inferred</span>@endif @if ($form->isLethal())<span class="tag dead">does not live</span>@endif<br><span class="small">{{ $form->looks }}</span></li>
                        @endforeach
                    </ul>
                </section>
            @endif
        </div>
        <div class="stack">
            @if ($page->conditions() !== [] || $page->warnings() !== [])
                <section class="sheet">
                    <div class="head"><h2>Health</h2><span class="soft small">For an affected animal ask a reptile veterinarian.</span></div>
                    <ul class="advice">
                        @foreach ($page->conditions() as $entry)
                            <li class="{{ $entry['condition']->severity->value }}"><x-icon name="exclamation-triangle"/><span><span class="grade">{{ $entry['condition']->name }}</span> in {{ $entry['form']->text }}{{ $entry['sex'] ? " ({$entry['sex']->value}s)" : '' }}. {{ $entry['condition']->text }} Evidence: {{ $entry['evidence'] }}.</span></li>
                        @endforeach
                        @foreach ($page->warnings() as $warning)
                            <li class="{{ $warning->condition->severity->value }}"><x-icon name="exclamation-triangle"/><span><span class="grade">With {{ $page->names(array_values(array_diff(array_keys($warning->pattern->copies), [$allele->key]))) }}.</span> {{ $warning->text }} Evidence: {{ $warning->evidence }}.</span></li>
                        @endforeach
                    </ul>
                </section>
            @endif
            <section class="sheet">
                <div class="head"><h2>How to recognise it</h2></div>
                <div class="scroll"><table class="list"><thead><tr><th scope="col">Where</th><th scope="col">Cue</th><th scope="col" class="num">with it</th><th scope="col" class="num">without</th></tr></thead><tbody>
                    @foreach ($allele->cues as $cue)
                        <tr><td>{{ $cue->where }}</td><td>{{ $cue->text }}{{ $cue->fromDays > 0 ? ", from {$cue->fromDays} days of age" : '' }}</td><td class="num">{{ round(100 * $cue->seenWithGene) }} %</td><td class="num">{{ round(100 * $cue->seenWithoutGene) }} %</td></tr>
                    @endforeach
                </tbody></table></div>
                <p class="small soft mb-0 mt-2">How often the cue is seen in animals with and without the gene: keepers' estimates, no counts.</p>
            </section>
            @if ($page->lookAlikes() !== [])
                <section class="sheet"><div class="head"><h2>Easily mixed up</h2></div><ul class="plain">
                    @foreach ($page->lookAlikes() as $set)<li><strong>{{ $page->names(array_values(array_diff($set->members, [$allele->key]))) }}</strong> <span class="soft small">{{ ['one' => 'one copy', 'two' => 'two copies', 'visual' => 'visuals'][$set->copies] ?? $set->copies }}, {{ $set->stage === 'all' ? 'at any age' : $set->stage }}</span><br><span class="small">{{ $set->text }}</span></li>@endforeach
                </ul></section>
            @endif
            @if ($page->masks() !== [] || $page->interactions() !== [])
                <section class="sheet"><div class="head"><h2>With other genes</h2></div><ul class="plain">
                    @foreach ($page->masks() as $mask)<li class="small"><span class="tag doubt">hides others</span> {{ $mask->text }}</li>@endforeach
                    @foreach ($page->interactions() as $interaction)<li class="small"><strong>{{ $page->names(array_values(array_diff($interaction->alleles, [$allele->key]))) }}</strong>: {{ $interaction->text }}</li>@endforeach
                </ul></section>
            @endif
            @foreach ($page->claims() as $claim)
                <section class="sheet">
                    <div class="head"><h2>{{ $claim->question }}</h2><span class="tag doubt">disputed</span></div>
                    <ul class="plain">
                        @foreach ($claim->schools as $school)<li><strong>{{ $school->name }}</strong>@if ($school->key === $claim->default) <span class="tag">shipped choice</span>@endif<br><span class="small">{{ $school->effect }} <span class="soft">{{ $school->argument }}</span></span></li>@endforeach
                    </ul>
                    <p class="small soft mb-0 mt-2">{{ $claim->whyDefault }} The choice stands on every pairing that it touches.</p>
                </section>
            @endforeach
        </div>
    </div>
</x-station>
