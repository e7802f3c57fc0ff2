<x-station title="Add a gene of your own" station="genes" crumb="Genes" :crumb-link="route('genes.index')">
    <form class="sheet stack" style="max-width:44rem" method="post" action="{{ route('genes.change') }}" data-module="once">
        @csrf
        <input type="hidden" name="kind" value="gene"><input type="hidden" name="form_token" value="{{ old('form_token', $token) }}">
        <p class="soft mb-0">For a gene that the library does not know. It counts in every answer from now on; what is not known of it may stay open.</p>
        <x-field name="name" label="Name" :value="old('name')" maxlength="60" autocomplete="off"/>
        <x-choice name="inheritance" label="How it is inherited" :value="old('inheritance', 'unknown')" :options="['unknown' => 'not known (computed as showing in one copy)', 'recessive' => 'recessive: shows in two copies only', 'incomplete-dominant' => $house->saysCoDominant() ? 'co-dominant: one copy shows, two show more' : 'incomplete dominant: one copy shows, two show more', 'dominant' => 'dominant: one copy and two look alike']"/>
        <x-choice name="locus" label="Allele of a complex" blank="a locus of its own" :value="old('locus')" :options="collect($catalogue->loci)->filter(fn ($locus) => $locus->key !== 'sex')->map(fn ($locus) => $locus->name)->all()" hint="Only where pairings have shown it; else a locus of its own."/>
        <x-choice name="effect" label="What it mainly does to the look" :value="old('effect', 'pattern')" :options="array_combine(array_column(Destino\Genome\Effect::cases(), 'value'), array_column(Destino\Genome\Effect::cases(), 'value'))"/>
        <x-field name="note" label="What you know of it" type="textarea" rows="3" :value="old('note')"/>
        <div><button class="button main" type="submit">Add the gene</button></div>
    </form>
</x-station>
