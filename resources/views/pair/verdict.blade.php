{{-- what the house rules say of this pairing, and the way to plan it --}}
@if ($both || $verdict->stance->value !== 'inform')
<section @class(['sheet', 'verdict', 'is-'.$verdict->stance->value]) aria-labelledby="verdict-title">
    <div class="head"><h2 id="verdict-title">@if ($verdict->stance->value === 'refuse')<x-icon name="x-octagon"/> Your house rules block
        this pairing @elseif ($verdict->stance->value === 'warn')<x-icon name="exclamation-triangle"/> Give a reason to plan
        this pairing @else<x-icon name="check-circle"/> Your house rules allow this pairing @endif</h2><a class="small"
        href="{{ route('house') }}">House rules</a></div>
    @if ($verdict->because !== [])<x-advice-list :advice="$verdict->because"/><p class="soft small mt-1 mb-2">Not veterinary
        advice.</p>@endif
    @if ($both && $verdict->stance->value !== 'refuse' && Gate::allows('log'))
        <form method="post" action="{{ route('clutches.store') }}" class="row-flow no-print" data-module="once">
            @csrf
            <input type="hidden" name="form_token" value="{{ Str::uuid() }}"><input type="hidden" name="dam_id"
                value="{{ $inquiry->damAnimal->id }}"><input type="hidden" name="sires[]"
                value="{{ $inquiry->sireAnimal->id }}">@if ($inquiry->target !== '' && ! isset($inquiry->errors['target']))<input
                type="hidden" name="target" value="{{ $inquiry->target }}">@endif
            @if ($verdict->stance->value === 'warn')<div class="field grows"><label for="why">Reason</label><input class="input"
                id="why" name="reason" maxlength="2000" required></div>@endif
            <button class="button align-end" type="submit">Plan this pairing</button>
        </form>
    @elseif ($both && $verdict->stance->value === 'refuse')
        <p class="soft mb-0">The odds above stay true. To plan this pairing, change the rule; a clutch that has been laid is recorded in
            any case.</p>
    @endif
</section>
@endif
