<form method="post" action="{{ $incubator ? route('incubators.update', $incubator) : route('incubators.store') }}" class="stack"
    data-module="once">
    @csrf
    @if ($incubator) @method('put') @else<input type="hidden" name="form_token" value="{{ old('form_token', $token) }}">@endif
    <div class="two">
        <x-field name="name" label="Name" :value="old('name', $incubator->name ?? '')" maxlength="60"/>
        <x-field name="place" label="Probe name" :value="old('place', $incubator->place ?? $place)" maxlength="60"
            hint="If it has one; else its name."/>
    </div>
    <div class="three">
        <x-field name="celsius" label="Target temperature" :unit="$unit" :value="old('celsius', $typed($incubator->celsius ?? 31.5))"
            inputmode="decimal"/>
        <x-field name="low" label="Alarm below" :unit="$unit" :value="old('low', $typed($incubator->low ?? 31))" inputmode="decimal"/>
        <x-field name="high" label="Alarm above" :unit="$unit" :value="old('high', $typed($incubator->high ?? 32))" inputmode="decimal"/>
    </div>
    <div class="two">
        <x-field name="humid_low" label="Humidity right from" unit="%" :value="old('humid_low', $incubator->humid_low ?? '')"
            inputmode="numeric"/>
        <x-field name="humid_high" label="to" unit="%" :value="old('humid_high', $incubator->humid_high ?? '')" inputmode="numeric"/>
    </div>
    <x-field name="notes" label="Notes" :value="old('notes', $incubator->notes ?? '')" maxlength="1000"
        hint="Medium, water, how the probe lies."/>
    <div><button class="button {{ $incubator ? '' : 'main' }}" type="submit">{{ $incubator ? 'Save' : 'Add incubator' }}</button></div>
</form>
