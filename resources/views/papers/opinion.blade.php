<x-station :title="'Get a second opinion about '.$of->animal->name" station="animals" :crumb="$of->animal->name"
    :crumb-link="route('animals.show', $of->animal)">
    <div class="two wide-left">
        <section class="sheet paper" aria-label="The page as it is sent">@include('papers.opinion-body', ['title' => 'h2'])</section>
        <div class="stack no-print">
            <section class="sheet">
                <div class="head"><h2>Send it</h2></div>
                <form method="get" action="{{ route('papers.opinion.file', $of->animal) }}" class="stack">
                    <div class="field"><label for="question">What you want to know</label><textarea class="input" id="question"
                        name="question" rows="3" maxlength="1000"
                        placeholder="Do you see Spotnose in her? I cannot make up my mind about the head."
                        >{{ $of->question }}</textarea></div>
                    <div class="row-flow"><button class="button main" type="submit"><x-icon name="download"/>One page as a
                        file</button><button class="button" type="button" data-module="print" hidden>Print, or save as PDF</button></div>
                    <p class="soft small mb-0">The file holds everything on the left, pictures and all, and opens in any browser without
                        Destino. No price, no buyer and no note of yours is in it.</p>
                </form>
            </section>
            @can('manage', $of->animal)
                <section class="sheet">
                    <div class="head"><h2>Their answer</h2></div>
                    <form method="post" action="{{ route('statements.store', $of->animal) }}" class="stack" data-module="once">@csrf<input
                        type="hidden" name="form_token" value="{{ old('form_token', (string) Illuminate\Support\Str::uuid()) }}"><input
                        type="hidden" name="source" value="own">
                        <x-field name="who" bag="statement" label="Who" :value="old('who')" maxlength="80"/>
                        <div class="field" data-module="reading-lines" data-address="{{ route('read') }}"><label for="text">What they
                            see</label><input class="input" id="text" name="text" value="{{ old('text') }}"
                            data-reads="{{ $of->animal->sex->value ?? 'female' }}" spellcheck="false" autocapitalize="off"
                            aria-describedby="text-error" @if ($errors->statement->has('text')) aria-invalid="true" @endif><x-field-error
                            id="text-error" :message="implode(' ', $errors->statement->get('text'))"/><div class="reading flat" data-reading
                            aria-live="polite"></div></div>
                        <x-field name="certainty" bag="statement" label="Certainty" unit="%" :value="old('certainty', 60)"
                            inputmode="numeric" hint="As much as you trust it: it counts with that weight, under their name, and can be
                                corrected."/>
                        <x-field name="note" bag="statement" label="In their words" type="textarea" rows="2" :value="old('note')"
                            maxlength="2000"/>
                        <div><button class="button" type="submit">Save opinion</button></div>
                    </form>
                    @if ($of->animal->clutch_id)<p class="soft small mb-0 mt-2">Cues that they read are noted on
                        <a href="{{ route('bench', $of->animal->clutch_id) }}">the bench</a>, under their name; there they stand beside
                        yours and count for nothing.</p>@endif
                </section>
            @endcan
        </div>
    </div>
</x-station>
