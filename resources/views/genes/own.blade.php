<x-station title="Add a gene of your own" station="genes" crumb="Genes" :crumb-link="route('genes.index')">
    <form class="sheet stack measure" method="post" action="{{ route('genes.change') }}" data-module="once">
        @csrf
        <input type="hidden" name="kind" value="gene"><input type="hidden" name="form_token" value="{{ old('form_token', $token) }}">
        <p class="soft mb-0">For a gene that the library does not know. It counts in every answer from now on; what is not known of it may
            stay open.</p>
        <x-field name="name" label="Name" :value="old('name')" maxlength="60" autocomplete="off"/>
        <x-choice name="inheritance" label="How it is inherited" :value="old('inheritance', 'unknown')"
            :options="['unknown' => 'not known (computed as showing in one copy)', 'recessive' => 'recessive: shows in two copies only',
            'incomplete-dominant' => $house->saysCoDominant() ? 'co-dominant: one copy shows, two show more'
            : 'incomplete dominant: one copy shows, two show more', 'dominant' => 'dominant: one copy and two look alike']"/>
        <x-choice name="locus" label="Allele of a complex" blank="a locus of its own" :value="old('locus')"
            :options="collect($catalogue->loci)->filter(fn ($locus) => $locus->key !== 'sex')->map(fn ($locus) => $locus->name)->all()"
            hint="Only where pairings have shown it; else a locus of its own."/>
        <x-choice name="effect" label="What it mainly does to the look" :value="old('effect', 'pattern')"
            :options="$lists->effectOptions()"/>
        <x-field name="note" label="What you know of it" type="textarea" rows="3" :value="old('note')"/>
        <details @if ($errors->hasAny(['two_name', 'two_looks', 'aliases', 'compounds', 'nicknames'])) open @endif>
            <summary>Two copies, compounds and other names</summary>
            <div class="stack mt-2">
                <x-field name="aliases" label="Other names" :value="old('aliases')" maxlength="300" hint="Separated by commas."/>
                <div class="two"><x-field name="two_name" label="Name of two copies" :value="old('two_name')" maxlength="60"
                    hint="Otherwise “Super” and the name."/><x-choice name="two_viability" label="Two copies" blank="not known"
                    :value="old('two_viability')" :options="['viable' => 'live', 'reduced' => 'are weaker',
                    'lethal' => 'die in the egg or soon after', 'unknown' => 'not known']"/></div>
                <x-field name="two_looks" label="How two copies look" :value="old('two_looks')" maxlength="500"/>
                <x-choice name="two_told_apart" label="Can two copies be told from one by eye?" blank="as the inheritance has it"
                    :value="old('two_told_apart')" :options="['yes' => 'yes', 'no' => 'no', 'unknown' => 'not known']"/>
                <x-field name="compounds" label="Compounds with other alleles of the complex" type="textarea" rows="3"
                    :value="old('compounds')" hint="A line for each: other allele = name of the compound, lives (or weak, or dies)."/>
                <x-field name="nicknames" label="Nicknames of combinations" type="textarea" rows="3" :value="old('nicknames')"
                    hint="A line for each: nickname = genes that it is short for."/>
            </div>
        </details>
        <details @if ($errors->hasAny(['effects', 'two_effects', 'cues'])) open @endif><summary>How it looks, for the drawing and for
            telling it apart</summary>
            <div class="stack mt-2">
                <div class="two"><x-field name="effects" label="What it changes" type="textarea" rows="4" :value="old('effects')"
                    hint="A line for each: what = how much, from -3 to 3. “yellow = 1”, “flames = 0.5”, “how much is dark = -1”."/><x-field
                    name="two_effects" label="Two copies, where they differ" type="textarea" rows="4" :value="old('two_effects')"/></div>
                <x-field name="cues" label="Cues" type="textarea" rows="3" :value="old('cues')"
                    hint="A line for each: cue = a percentage for each of its states. “Pale spots above the nostrils = 10, 20, 70” for none,
                        faint, clear."/>
            </div>
        </details>
        <div><button class="button main" type="submit">Add the gene</button></div>
    </form>
    <section class="sheet mt-3 measure" id="no-name">
        <div class="head"><h2>A recessive that nobody has named</h2></div>
        <p class="soft">For a het behind an odd look. Write it as “het” and its working name; Prove and projects calculate with it. When it
            gets a name, or turns out to be a known gene, every record follows.</p>
        <form class="stack" method="post" action="{{ route('genes.change') }}" data-module="once">@csrf<input type="hidden" name="kind"
            value="unnamed"><input type="hidden" name="form_token" value="{{ Str::uuid() }}">
            <x-field name="unnamed" label="Working name" :value="old('unnamed', $called)" maxlength="60" autocomplete="off"
                hint="Left empty it is “Unnamed 1”, or the next number."/>
            <x-field name="note" id="unnamed-note" label="What you have seen" type="textarea" rows="2" :value="old('note')"/>
            <div><button class="button" type="submit">Add working name</button></div></form>
    </section>
    <section class="sheet mt-3 measure" id="names">
        <div class="head"><h2>Your names for combinations</h2><span class="soft small">read everywhere you type genes</span></div>
        <ul class="plain">@foreach ($names as $one)<li class="row-flow"><strong>{{ $one->data['name'] }}</strong>
            <span>{{ $one->data['means'] }}</span> <x-take-out kind="gene" :record="$one" :label="$one->sentence()"/></li>@endforeach</ul>
        <form class="stack" method="post" action="{{ route('genes.change') }}" data-module="once">@csrf<input type="hidden" name="kind"
            value="nickname"><input type="hidden" name="form_token" value="{{ Str::uuid() }}">
            <div class="two"><x-field name="combination" label="Name" :value="old('combination')" maxlength="60" autocomplete="off"
                placeholder="Harbour Gold"/><x-field name="means" label="Genes" :value="old('means')" maxlength="400"
                placeholder="Pastel Enchi Clown" spellcheck="false" autocapitalize="off"/></div>
            <div><button class="button" type="submit">Add name</button></div></form>
    </section>
</x-station>
