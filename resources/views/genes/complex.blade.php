<x-station :title="$locus->name" station="genes" crumb="Genes" :crumb-link="route('genes.index')">
    <div class="stack">
        <section class="sheet">
            <p class="answer">An animal carries at most two of these {{ count($locus->alleles) }} alleles, one from each parent, and passes
                exactly one of the two to each egg.</p>
            <p class="soft mb-0 mt-2">{{ $locus->note }}</p>
        </section>
        <section class="sheet">
            <div class="head"><h2>Every pair</h2></div>
            <div class="scroll" tabindex="0" role="region" aria-label="Table of pairs">
            <table class="list pairs">
                <thead><tr><td class="blank"></td>@foreach ($locus->alleles as $key)<th scope="col"><a
                    href="{{ route('genes.show', $key) }}">{{ $catalogue->allele($key)->name }}</a></th>@endforeach</tr></thead>
                <tbody>
                @foreach ($rows as $a => $forms)
                    <tr><th scope="row"><a href="{{ route('genes.show', $a) }}">{{ $catalogue->allele($a)->name }}</a></th>
                    @foreach ($forms as $form)
                        @if ($form === null)<td class="blank"></td>@else
                        <td><x-bead :bead="$bead($form)" aria-hidden="true"/><br><strong>{!! str_replace('/', '/<wbr>',
                            e($form->knownAs ?? $form->text)) !!}</strong>
                            @if ($form->isLethal())<span class="tag dead">does not live</span>@elseif ($form->isExtrapolated)<span
                                class="tag doubt">inferred</span>@endif
                            <br>{{ $form->looks }}</td>
                        @endif
                    @endforeach
                    </tr>
                @endforeach
                </tbody>
            </table>
            </div>
            <p class="small soft mb-0 mt-2">“Inferred”: estimated from related pairs. We know of no description.</p>
        </section>
    </div>
</x-station>
