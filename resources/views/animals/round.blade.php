<x-station :title="$isWeight ? 'Weighing round' : 'Feeding round'" station="animals" crumb="Animals" :crumb-link="route('animals.index')">
    @if ($rows->count() === 0)
        <section class="sheet empty"><p class="answer">No animals yet.</p><p><a class="button main" href="{{ route('animals.create') }}">Add
            an animal</a></p></section>
    @else
    <form class="sheet stack round measure" method="post" action="{{ route('round.store', $kind->value) }}" data-module="once round">
        @csrf
        <input type="hidden" name="form_token" value="{{ old('form_token', $token) }}">
        <p class="soft mb-0"><span data-without-script>Fill in the animals you reach. Empty rows do not change.</span><span
            data-with-script hidden>Each tap saves at once. Tap again to undo it.</span> @if ($racks->count() > 1)Only
            one rack: @foreach ($racks as $one)<a href="{{ route('round.create', [$kind->value, 'rack' => $one->id]) }}"
            @if ((string) $rack === (string) $one->id) aria-current="true" @endif>{{ $one->name }}</a> @endforeach @if ($rack)<a
            href="{{ route('round.create', $kind->value) }}">all</a>@endif @endif</p>
        <div class="three">
            <div class="field"><label for="on">Day</label><input class="input" type="date" id="on" name="on"
                max="{{ now()->format('Y-m-d') }}" value="{{ old('on', now()->format('Y-m-d')) }}"
                aria-describedby="on-error"><x-field-error id="on-error" :message="$errors->first('on')"/></div>
            @unless ($isWeight)<div class="field"><label for="prey">Food <span class="soft">(empty: same as last time)</span></label><input
                class="input" id="prey" name="prey" maxlength="60" value="{{ old('prey') }}" placeholder="small rat"
                aria-describedby="prey-error"><x-field-error id="prey-error" :message="$errors->first('prey')"/></div>@endunless
            <div class="field" data-with-script hidden><label for="round-find">Find</label><input class="input" id="round-find"
                type="search" data-find placeholder="name, number or tub" autocomplete="off"></div>
        </div>
        @foreach ($rows->animals->groupBy(fn ($animal) => $animal->rack->name ?? '') as $rackName => $inRack)
        <section class="round-rack" data-rack="{{ $rackName }}">
            <div class="row-flow round-head"><h2>{{ $rackName === '' ? 'Without a tub' : $rackName }}</h2><span
                class="soft small" data-in-rack>{{ $inRack->count() }}</span>@unless ($isWeight)<button type="button"
                class="button slim ms-auto" data-all="taken" hidden>All ate</button>@endunless</div>
            @foreach ($inRack as $animal)
                @if ($isWeight)
                    <div class="round-row" data-row="{{ $animal->id }}">
                        <label for="row-{{ $animal->id }}"><strong>{{ $animal->name }}</strong>
                            <span class="soft small">{{ $animal->tagWords() }}</span><span
                            class="soft small d-block">{{ $rows->standings->of($animal->id)->lastWeight()
                            ? 'last '.$house->weight((int) $rows->standings->of($animal->id)->lastWeight()->grams).',
                                '.$rows->standings->of($animal->id)->lastWeight()->on->format('j M Y')
                            : 'not weighed yet' }}{{ $rows->standings->of($animal->id)->gain() === null ? ''
                            : ($rows->standings->of($animal->id)->gain() >= 0 ? ', gained '
                            : ', lost ').$house->weight(abs($rows->standings->of($animal->id)->gain())).' before that' }}</span></label>
                        <span class="row-flow"><input class="input" id="row-{{ $animal->id }}" name="rows[{{ $animal->id }}]"
                            inputmode="decimal" autocomplete="off" value="{{ old("rows.{$animal->id}") }}"
                            aria-describedby="row-{{ $animal->id }}-error" @if ($errors->has("rows.{$animal->id}")) aria-invalid="true"
                            @endif> <span data-unit>{{ $house->weightUnit() }}</span></span>
                        <x-field-error :id="'row-'.$animal->id.'-error'" :message="$errors->first('rows.'.$animal->id)"/><span
                            class="small round-said" data-said role="status"></span>
                    </div>
                @else
                    <fieldset class="round-row is-feed" data-row="{{ $animal->id }}">
                        <legend class="float-none mb-0"><strong>{{ $animal->name }}</strong>
                            <span class="soft small">{{ $animal->tagWords() }}</span><span
                            class="soft small d-block">{{ $rows->standings->of($animal->id)->mealWords() }}</span></legend>
                        <div class="row-flow taps">
                            @foreach ($lists->roundOutcomes() as $outcome)
                                <label class="tap"><input type="radio" name="rows[{{ $animal->id }}]" value="{{ $outcome->value }}"
                                    @checked(old("rows.{$animal->id}") === $outcome->value)> <span>{{ $outcome->value }}</span></label>
                            @endforeach
                        </div>
                        <x-field-error :id="'row-'.$animal->id.'-error'" :message="$errors->first('rows.'.$animal->id)"/><span
                            class="small round-said" data-said role="status"></span>
                    </fieldset>
                @endif
            @endforeach
        </section>
        @endforeach
        @if ($rows->left() > 0)<p class="mb-0" data-next><a
            href="{{ route('round.create', $rows->next($kind->value)) }}">{{ $rows->left() }} more</a></p>@endif
        <div class="round-foot row-flow"><button class="button main" type="submit" data-without-script>{{ $isWeight ? 'Log the weights'
            : 'Log the meals' }}</button><a class="button main" href="{{ route('today') }}" data-with-script hidden>Done</a><span
            class="soft small" data-count role="status"></span><x-field-error id="rows-error" :message="$errors->first('rows')"/></div>
    </form>
    @endif
</x-station>
