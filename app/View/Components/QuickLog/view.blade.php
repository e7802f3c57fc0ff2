<div class="quick-log no-print" aria-label="Log for today" role="group">
    <details data-module="quick-fold"><summary class="button">Weight</summary>
        <form method="post" action="{{ route('care.store', $animal) }}" data-module="event-taps" data-about="{{ $animal->name }}"
            class="row-flow">@csrf<input type="hidden" name="form_token" value="{{ Str::uuid() }}"><input type="hidden" name="from"
            value="top"><input type="hidden" name="kind" value="weight"><input type="hidden" name="on"
            value="{{ now()->format('Y-m-d') }}"><label>Weight today ({{ $unit() }}) <input class="input slim" name="grams"
            inputmode="decimal" autocomplete="off" size="6" required></label><button class="button" type="submit">Save
            weight</button></form>
    </details>
    @foreach ($taps() as $words => $fields)<form method="post" action="{{ route('care.store', $animal) }}" data-module="event-taps"
        data-about="{{ $animal->name }}">@csrf<input type="hidden" name="form_token" value="{{ Str::uuid() }}"><input type="hidden"
        name="from" value="top">@foreach ($fields as $name => $value)<input type="hidden" name="{{ $name }}"
        value="{{ $value }}">@endforeach<input type="hidden" name="on" value="{{ now()->format('Y-m-d') }}"><button class="button"
        type="submit">{{ $words }}</button></form>@endforeach
    <details data-module="quick-fold"><summary class="button">Note</summary>
        <form method="post" action="{{ route('care.store', $animal) }}" data-module="event-taps" data-about="{{ $animal->name }}"
            class="row-flow">@csrf<input type="hidden" name="form_token" value="{{ Str::uuid() }}"><input type="hidden" name="from"
            value="top"><input type="hidden" name="kind" value="note"><input type="hidden" name="on"
            value="{{ now()->format('Y-m-d') }}"><label>Note of today <input class="input slim" name="words" maxlength="2000"
            required></label><button class="button" type="submit">Save note</button></form>
    </details>
    <a class="button" href="#photos">Photograph</a>
</div>
