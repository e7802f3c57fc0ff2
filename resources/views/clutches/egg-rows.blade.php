<details class="mt-3" id="weigh-eggs" @if ($errors->has('rows.*')) open @endif>
    <summary>Weigh the eggs <span class="soft small">{{ $tray->weighed() }} of {{ $tray->eggs->count() }} weighed</span></summary>
    <form class="egg-rows mt-2" method="post" action="{{ route('eggs.weights', $clutch) }}" data-module="once round">
        @csrf
        @foreach ($tray->eggs as $one)
            <div class="egg-row" data-row="{{ $one->id }}"><label for="egg-grams-{{ $one->id }}"><strong>Egg
                {{ $one->number }}</strong></label><span class="row-flow"><input class="input slim" id="egg-grams-{{ $one->id }}"
                name="rows[{{ $one->id }}]" inputmode="decimal" autocomplete="off" size="4" maxlength="4"
                value="{{ old("rows.{$one->id}", $one->grams) }}" aria-describedby="egg-grams-{{ $one->id }}-error"
                @if ($errors->has("rows.{$one->id}")) aria-invalid="true" @endif> <span data-unit>g</span></span><x-field-error
                :id="'egg-grams-'.$one->id.'-error'" :message="$errors->first('rows.'.$one->id)"/><span class="small round-said"
                data-said role="status"></span></div>
        @endforeach
        <p class="soft small mb-0" data-with-script hidden>Enter goes to the next egg. Each weight saves at once.
            <span data-count role="status"></span></p>
        <div data-without-script><button class="button" type="submit">Save weights</button></div>
    </form></details>
<details class="mt-2" id="candle" @if ($errors->candling->any()) open @endif>
    <summary>Candle all <span class="soft small">{{ count($tray->open()) }} {{ Str::plural('egg', count($tray->open())) }}</span></summary>
    <form class="mt-2 stack" method="post" action="{{ route('eggs.candled', $clutch) }}" data-module="event-taps"
        data-about="{{ $clutch->dam->name }}">@csrf<input type="hidden" name="form_token" value="{{ Str::uuid() }}">
        <fieldset><legend class="legend mb-1">No veins in</legend><div class="row-flow taps">@foreach ($tray->open() as $one)<label
            class="tap"><input type="checkbox" name="none[]" value="{{ $one->id }}"
            @checked(in_array((string) $one->id, (array) old('none', []), true))>
            <span>egg {{ $one->number }}</span></label>@endforeach</div></fieldset>
        <div class="row-flow"><label>Day <input class="input slim" type="date" name="on" max="{{ now()->format('Y-m-d') }}"
            value="{{ old('on') }}"></label><button class="button" type="submit">Log candling</button></div>
        <x-field-error id="candling-error" :message="$errors->candling->first()"/>
        <p class="soft small mb-0">Every egg that is not ticked is logged with veins. Left empty, the day is today.</p>
    </form></details>
