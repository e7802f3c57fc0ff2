<x-station :title="$isNew ? 'New project' : 'Change '.$project->name" station="projects" crumb="Projects"
    :crumb-link="route('projects.index')">
    <form class="sheet stack measure wide" method="post" action="{{ $isNew ? route('projects.store') : route('projects.update',
        $project) }}" data-module="once">
        @csrf
        @unless ($isNew) @method('put') <input type="hidden" name="version" value="{{ $project->version }}"> @endunless
        @if ($isNew)<input type="hidden" name="form_token" value="{{ old('form_token', $token) }}">@endif
        <x-field-error id="version-error" :message="$errors->first('version')"/>
        <div class="two">
            <x-field name="name" label="Name" :value="old('name', $project->name)" maxlength="80" autocomplete="off"/>
            <div class="field" data-module="reading-lines" data-address="{{ route('read') }}"><label for="target">What you want to
                hatch</label><input class="input" id="target" name="target" value="{{ old('target', $project->target) }}"
                data-reads="choices" spellcheck="false" autocapitalize="off" placeholder="Clown + Piebald" aria-describedby="target-error"
                @error('target') aria-invalid="true" @enderror><p class="soft small mb-0">Also: “Clown, no Pastel” takes a gene out alone,
                “Pastel, no Clown” clears one, “Super Pastel” asks for two copies, “at least three of Pastel, Enchi, Clown, Fire” or
                “Clown, Pastel or Enchi” leaves a choice.</p><x-field-error id="target-error"
                :message="$errors->first('target')"/><div class="reading flat" data-reading aria-live="polite"></div></div>
        </div>
        <div class="four">
            <x-field name="horizon" label="Look ahead" unit="seasons" :value="old('horizon', $project->horizon)" inputmode="numeric"/>
            <x-choice name="wanted" label="Wanted" :value="old('wanted', $project->wanted)"
                :options="['one' => 'one animal', 'two' => 'two of them',
                'three' => 'three of them', 'pair' => 'a breeding pair', 'sure' => 'a pair that gives it in every egg']"/>
            <x-choice name="first" label="What counts more" :value="old('first', ($project->aim['early'] ?? false) ? 'early' : 'surely')"
                :options="['surely' => 'to have it for sure', 'early' => 'to have it early']"/>
            <x-choice name="most_inbreeding" label="Relatedness: F of the target at most"
                :value="old('most_inbreeding', $project->most_inbreeding)" :options="['' => 'no limit', '0' => '0: unrelated parents',
                '1/16' => '1/16: cousins', '1/8' => '1/8: half siblings', '1/4' => '1/4: siblings, parent and young']"/>
            <x-field name="budget" label="Budget for buying" :unit="$house->currency()" :value="old('budget', $project->budget)"
                inputmode="numeric"/>
            <x-field name="tubs" label="Tubs for young of the plan" :value="old('tubs', $project->tubs)" inputmode="numeric"/>
            <x-field name="weight" label="Priority" unit="1 low to 9 high" :value="old('weight', $project->weight)"
                inputmode="numeric"/>
            <x-field name="begun_on" label="Begun on" type="date" :value="old('begun_on', $project->begun_on?->format('Y-m-d'))"/>
        </div>
        <x-field name="offers" label="Animals you could buy" type="textarea" rows="3" :value="old('offers', $project->offersAsTyped())"
            hint="One a line: female, Clown het Piebald, 24 months, 400. Add “from 2027-03” or “until 2027-01-31” where it is not to be had
                at any time."/>
        <p class="soft small mb-0">All animals of the collection that are here and of known sex count as founders, with what is believed of
            them.</p>
        <details @if ($errors->has('assumptions') || $errors->has('assumptions.*') || $project->assumptions !== []) open @endif>
            <summary>Assumptions of this project</summary>
            <x-field-error id="assumptions-error" :message="$errors->first('assumptions')"/>
            <div class="four mt-2">@foreach ($lists->assumptions() as $one)<x-field :name="'assumptions['.$one['name'].']'"
                :label="$one['label']" :unit="$one['unit']" :value="old('assumptions.'.$one['name'], $project->assumptions[$one['name']]
                ?? '')" :placeholder="(string) $one['default']" inputmode="decimal"/>@endforeach</div>
        </details>
        <x-field name="notes" label="Notes" type="textarea" rows="3" :value="old('notes', $project->notes)"/>
        <div class="row-flow"><button class="button main" type="submit">{{ $isNew ? 'Plan it' : 'Save and plan again' }}</button><a
            href="{{ $isNew ? route('projects.index') : route('projects.show', $project) }}">Cancel</a></div>
    </form>
    @unless ($isNew)<div class="mt-3"><x-take-out kind="project" :record="$project" :label="$project->name" class=""/></div>@endunless
</x-station>
