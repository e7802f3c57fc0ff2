@props(['square', 'page']) {{-- the gametes of each parent and what each pair of them gives --}}
@php
    $catalogue = $page->prediction->catalogue;
    $group = $square->group;
    $names = fn (array $haplotype) => implode(' ', array_filter(array_map(fn ($locus, $allele) => $locus === 'sex' ? $allele : ($allele === '+' ? '' : $catalogue->allele($allele)->name), $group->loci, $haplotype))) ?: 'wild type';
    $title = implode(', ', array_map(fn ($locus) => $catalogue->locus($locus)->name, array_filter($group->loci, fn ($locus) => $locus !== 'sex')));
@endphp
<div>
    <h3 class="mb-1">{{ $title }}{{ $group->holdsSex() ? ' and sex' : '' }}</h3>
    <div class="scroll">
    <table class="square">
        <caption class="visually-hidden">{{ $title }}: gametes of the sire in the rows, of the dam in the columns</caption>
        <tr><td class="soft small" style="background:none">sire ↓ dam →</td>
            @foreach ($square->maternal as [$haplotype, $odds])<th scope="col">{{ $names($haplotype) }}<span class="odds">{{ App\Words\OddsWords::fraction($odds) }}</span></th>@endforeach
        </tr>
        @foreach ($square->paternal as $i => [$haplotype, $odds])
            <tr><th scope="row">{{ $names($haplotype) }}<span class="odds">{{ App\Words\OddsWords::fraction($odds) }}</span></th>
                @foreach ($square->maternal as $k => $maternal)
                    @php($forms = $square->forms($i, $k))
                    <td @class(['dead' => collect($forms)->contains(fn ($form) => $form->isLethal())])>
                        @foreach ($forms as $form)<x-bead :bead="App\Drawing\Bead::ofForm($form, $catalogue, in_array($form->pair[0], $haplotype, true))" aria-hidden="true"/> @endforeach
                        <br>{{ $square->sex($i, $k)?->value }} {{ implode(' ', array_map($page->names(...), $forms)) }}
                        <span class="odds">{{ App\Words\OddsWords::fraction($square->probability($i, $k)) }}</span>
                    </td>
                @endforeach
            </tr>
        @endforeach
    </table>
    </div>
    @foreach (array_unique(array_merge(...array_map(fn ($locus) => array_map(fn ($advice) => $advice->text, array_filter($page->adviceOn($locus), fn ($advice) => in_array($advice->code, ['lethal-form', 'shared-complex', 'sex-linked'], true))), $group->loci))) as $text)
        <p class="small soft mb-0 mt-1">{{ $text }}</p>
    @endforeach
</div>
