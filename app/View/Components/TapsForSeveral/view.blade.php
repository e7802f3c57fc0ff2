<form class="taps row-flow mt-2" id="{{ $id }}" method="post" action="{{ route('taps.several') }}" data-module="event-taps"
    data-about="those ticked">
    @csrf
    <input type="hidden" name="form_token" value="{{ Str::uuid() }}">
    <span class="small soft">For the ticked animals:</span>
    <button class="button slim" name="what" value="shed" type="submit">Shed</button>
    <button class="button slim" name="what" value="fed" type="submit">Fed</button>
    <button class="button slim" name="what" value="refused" type="submit">Refused</button>
    <label class="visually-hidden" for="{{ $id }}-on">On</label>
    <input class="input slim" type="date" id="{{ $id }}-on" name="on" max="{{ now()->format('Y-m-d') }}">
</form>
