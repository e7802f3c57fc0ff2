<form method="post" action="{{ route('events.store', $clutch) }}" class="taps" data-module="event-taps"
    data-about="{{ $clutch->dam->name }}">
    @csrf
    <input type="hidden" name="from" value="{{ $from }}">
    <input type="hidden" name="form_token" value="{{ Str::uuid() }}">
    @foreach ($first() as $kind)<button @class(['button', 'slim' => ! $isLead, 'main' => $isLead && $loop->first]) type="submit" name="kind"
        value="{{ $kind->value }}">{{ ucfirst($kind->words()) }}</button>@endforeach
    <details class="tap-more">
        <summary>{{ $isShort ? 'Other event or day' : 'Other day or number' }}</summary>
        @if ($others() !== [])<div class="row-flow mt-2">@foreach ($others() as $kind)<button class="button slim" type="submit" name="kind"
            value="{{ $kind->value }}">{{ ucfirst($kind->words()) }}</button>@endforeach</div>@endif
        <div class="row-flow mt-2">
            <span class="row-flow day-of"><label>Day <input class="input slim" type="date" name="on"
                max="{{ now()->format('Y-m-d') }}"></label><button class="button slim" type="button" data-yesterday
                hidden>Yesterday</button></span>
            <label>Number <input class="input slim" name="count" inputmode="numeric" size="3" maxlength="2"></label>
            @if ($isLaying())
                <label>Slugs <input class="input slim" name="infertile" inputmode="numeric" size="3" maxlength="2"></label>
                <label>Clutch (g) <input class="input slim" name="grams" inputmode="numeric" size="4" maxlength="4"></label>
                <label>Dam after laying (g) <input class="input slim" name="dam_grams" inputmode="numeric" size="5" maxlength="5"></label>
            @endif
            <input class="input slim" name="note" maxlength="200" placeholder="note" aria-label="Note">
        </div>
        <p class="soft small mb-0">Then tap a button above.</p>
    </details>
</form>
