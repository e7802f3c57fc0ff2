<x-station title="Photograph of the box" station="season" :crumb="$clutch->title()" :crumb-link="route('clutches.show', $clutch)">
    @if ($hatchlings->isEmpty())
        <section class="sheet empty"><p class="answer">No hatchlings yet.</p><p class="soft">Add them first; then one
            photograph of the box gives each of them a picture.</p><p><a class="button main"
            href="{{ route('clutches.show', $clutch) }}">Add hatchlings</a></p></section>
    @else
        <form method="post" action="{{ route('box.store', $clutch) }}" enctype="multipart/form-data" class="box-photo stack"
            data-module="box-photo once">@csrf<input type="hidden" name="form_token" value="{{ $token }}">
            <section class="sheet">
                <p class="mb-2">One photograph for the whole clutch: choose it, then tap the head of each hatchling.</p>
                @if ($of)<input type="hidden" name="of" value="{{ $of->id }}"><p class="soft small">Taken on
                    {{ $of->on->format('j F Y') }}. Tap again for those that stand in another place.
                    <a href="{{ route('box', $clutch) }}">Choose another</a></p>
                @else<div class="two"><x-field name="photo" label="JPEG, PNG or WebP" type="file"
                    accept="image/jpeg,image/png,image/webp"/><x-field name="on" label="Taken on" type="date"
                    :value="old('on', now()->format('Y-m-d'))"/></div>
                    @if ($photos !== [])<p class="soft small mb-0 mt-2">Or go on with one that is here: @foreach ($photos as $one)<a
                        href="{{ route('box', [$clutch, 'of' => $one->id]) }}">{{ $one->on->format('j M Y') }}</a>{{ $loop->last ? ''
                        : ', ' }}@endforeach</p>@endif
                @endif
                <x-field-error id="heads-error" :message="$errors->first('heads') ?: $errors->first('heads.*')"/>
            </section>
            <div class="box-stage" data-stage @unless ($of) hidden @endunless><img data-picture
                @if ($of) src="{{ route('photos.show', [$of, 'whole' => 1]) }}" width="{{ $of->width }}" height="{{ $of->height }}" @endif
                alt="The photograph of the box"></div>
            <section class="sheet">
                <p class="mb-2" role="status" data-now hidden></p>
                <div class="box-heads" data-with-script hidden>@foreach ($hatchlings as $animal)<button class="button slim" type="button"
                    data-choose="{{ $animal->id }}"><span class="box-number">{{ $loop->iteration }}</span>{{ $animal->name }}</button>
                    @endforeach</div>
                <details class="mt-2" data-by-number open><summary>Places by number</summary><div class="box-places mt-2">
                    @foreach ($hatchlings as $animal)<fieldset class="plain-set" data-head="{{ $animal->id }}"
                    data-name="{{ $animal->name }}"><legend class="small">{{ $animal->name }}</legend><span
                    class="row-flow">@foreach (['across', 'down'] as $i => $way)<label class="small"
                    for="{{ $way }}-{{ $animal->id }}">{{ ucfirst($way) }} (%)</label><input class="input slim"
                    id="{{ $way }}-{{ $animal->id }}" name="heads[{{ $animal->id }}][{{ $way }}]"
                    inputmode="decimal" size="5" value="{{ old("heads.{$animal->id}.{$way}", isset($heads[$animal->id])
                    ? $heads[$animal->id][$i] / 10 : '') }}">@endforeach</span></fieldset>@endforeach</div></details>
                <p class="soft small mt-2">Each gets the part of the photograph around its head; the whole stays too. Location and camera
                    data are removed.</p>
                <div class="row-flow"><button class="button main" type="submit">Save photographs</button></div>
            </section>
        </form>
    @endif
</x-station>
