<x-station title="A new odd look" station="prove" crumb="Prove" :crumb-link="route('prove')">
    <form class="sheet stack measure" method="post" action="{{ route('traits.store') }}" data-module="once">@csrf<input type="hidden"
        name="form_token" value="{{ old('form_token', $token) }}">
        <p class="mb-0">An odd animal may be nothing, or the first of something. Keep it, breed it, and write down what comes: the odds of
            what it is follow.</p>
        <div class="two"><x-field name="name" label="What you call the look" :value="old('name')" maxlength="80"/><x-field name="first"
            label="The animal that looks so" :value="old('first')" maxlength="80"/></div>
        <div class="two"><x-choice name="sex" label="Its sex" :value="old('sex', 'male')"
            :options="['male' => 'male', 'female' => 'female']"/><x-field name="on" label="Seen first on" type="date"
            :value="old('on', now()->format('Y-m-d'))"/></div>
        <x-choice name="gene" label="Could it belong to a known gene?" :value="old('gene')" :options="['' => 'nothing in mind'] + $genes"/>
        <x-field name="notes" label="Notes" type="textarea" rows="3" :value="old('notes')"/>
        <div class="row-flow"><button class="button main" type="submit">Add odd look</button><a
            href="{{ route('prove') }}">Cancel</a></div>
    </form>
</x-station>
