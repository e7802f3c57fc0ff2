@php($isWeight = $kind === App\Models\Enums\CareKind::Weight)
<x-station :title="$isWeight ? 'Weighing round' : 'Feeding round'" station="animals" crumb="Animals" :crumb-link="route('animals.index')">
    @if ($animals->isEmpty())
        <section class="sheet empty"><p class="answer">No animals yet.</p><p><a class="button main" href="{{ route('animals.create') }}">Add an animal</a></p></section>
    @else
    <form class="sheet stack" style="max-width:44rem" method="post" action="{{ route('round.store', $kind->value) }}" data-module="once">
        @csrf
        <input type="hidden" name="form_token" value="{{ old('form_token', $token) }}">
        <p class="soft mb-0">Fill in whom you come by; rows left empty are left alone. @if ($racks->count() > 1)Only one rack: @foreach ($racks as $one)<a href="{{ route('round.create', [$kind->value, 'rack' => $one->id]) }}" @if ((string) $rack === (string) $one->id) aria-current="true" @endif>{{ $one->name }}</a> @endforeach @if ($rack)<a href="{{ route('round.create', $kind->value) }}">all</a>@endif @endif</p>
        <div class="two">
            <div class="field"><label for="on">Day</label><input class="input" type="date" id="on" name="on" value="{{ old('on', now()->format('Y-m-d')) }}" aria-describedby="on-error"><x-field-error id="on-error" :message="$errors->first('on')"/></div>
            @unless ($isWeight)<div class="field"><label for="prey">What was offered</label><input class="input" id="prey" name="prey" maxlength="60" value="{{ old('prey') }}" placeholder="small rat"><x-field-error id="prey-error" :message="$errors->first('prey')"/></div>@endunless
        </div>
        <div>
            @foreach ($animals as $animal)
                @php($error = $errors->first("rows.{$animal->id}"))
                @if ($isWeight)
                    <div class="round-row">
                        <label for="row-{{ $animal->id }}"><strong>{{ $animal->name }}</strong> <span class="soft small">{{ $animal->latestWeight ? 'last '.$house->weight((int) $animal->latestWeight->grams).', '.$animal->latestWeight->on->format('j M Y') : 'not weighed yet' }}</span></label>
                        <span class="row-flow"><input class="input" id="row-{{ $animal->id }}" name="rows[{{ $animal->id }}]" inputmode="numeric" autocomplete="off" value="{{ old("rows.{$animal->id}") }}" aria-describedby="row-{{ $animal->id }}-error" @if ($error) aria-invalid="true" @endif> g</span>
                        <x-field-error :id="'row-'.$animal->id.'-error'" :message="$error"/>
                    </div>
                @else
                    <fieldset class="round-row is-feed">
                        <legend class="float-none mb-0" style="font-size:1rem"><strong>{{ $animal->name }}</strong></legend>
                        <div class="row-flow taps">
                            @foreach (App\Models\Enums\FeedOutcome::cases() as $outcome)
                                <label class="tap"><input type="radio" name="rows[{{ $animal->id }}]" value="{{ $outcome->value }}" @checked(old("rows.{$animal->id}") === $outcome->value)> <span>{{ $outcome->value }}</span></label>
                            @endforeach
                        </div>
                        <x-field-error :id="'row-'.$animal->id.'-error'" :message="$error"/>
                    </fieldset>
                @endif
            @endforeach
        </div>
        <div class="round-foot row-flow"><button class="button main" type="submit">{{ $isWeight ? 'Log the weights' : 'Log the meals' }}</button><x-field-error id="rows-error" :message="$errors->first('rows')"/></div>
    </form>
    @endif
</x-station>
