<x-station title="Look-alikes" station="genes" crumb="Genes" :crumb-link="route('genes.index')">
    <x-gene-tabs here="confusions"/>
    <div class="stack">
    <section class="sheet">
        <div class="head"><h2>Looks that are easy to mix up</h2><span class="soft small">of the genes that are in your collection; what your
            plans can give this season first</span></div>
        @if ($pairs === [])<p class="soft mb-0">Nothing in this collection looks alike enough to be mixed up. Add animals, and this page
            looks through their genes.</p>@endif
        <ul class="pairs">
            @foreach ($pairs as $pair)
                <li><div class="pair-looks">
                    <figure>{!! $prints->of($pair['looks'][0]) !!}
                        @if ($pair['sign']){{ $pictures->image($pair['sign']->cue->key, $pair['sign']->otherState, $mark) }}@endif
                        <figcaption>{{ $pair['one'] }}</figcaption></figure>
                    <figure>{!! $prints->of($pair['looks'][1]) !!}
                        @if ($pair['sign']){{ $pictures->image($pair['sign']->cue->key, $pair['sign']->state, $mark) }}@endif
                        <figcaption>{{ $pair['other'] }}</figcaption></figure></div>
                    <div><p class="mb-1">{{ $pair['tells'] }}</p>@if ($pair['says'])<p class="small soft mb-1">{{ $pair['says'] }}</p>@endif
                    <p class="small mb-0">@if ($pair['planned'] > 0)<span class="tag doubt">in {{ $pair['planned'] }}
                        {{ Str::plural('pairing', $pair['planned']) }} of this season</span> @endif <a class="quiet"
                        href="{{ route('looks.compare', ['genes' => [$pair['one'], $pair['other']]]) }}">side by side</a></p></div></li>
            @endforeach
        </ul>
    </section>
    <section class="sheet">
        <div class="head"><h2>What hides what</h2><span class="soft small">forms that can come of the genes here</span></div>
        @if ($masks === [])<p class="soft mb-0">Nothing that can come of the genes here hides another.</p>@endif
        <ul class="plain">@foreach ($masks as $mask)<li><strong>{{ $mask['form'] }}</strong>:
            {{ $mask['hides'] }}@if ($mask['shows'] !== '') <span class="soft small">Shows through:
            {{ $mask['shows'] }}.</span>@endif</li>@endforeach</ul>
    </section>
    <section class="sheet">
        <div class="head"><h2>How you read cues</h2><span class="soft small">from animals that a laboratory, their young or their grown look
            confirmed</span></div>
        @if ($eyes === [])<p class="soft mb-2">From {{ $enough }} confirmed readings of a cue on, this says how your eye differs from the
            usual figures.</p>@endif
        <ul class="plain">@foreach ($eyes as $line)<li><strong>{{ $line['cue']->name }}</strong>
            <span class="soft small">{{ $line['readings'] }} readings</span><span class="d-block">{{ $line['words'] }}</span>
            <span class="d-block small">In a normal, by your readings: {{ $shares($line['cue'], $line['own']) }}. The usual figures:
            {{ $shares($line['cue'], $line['shipped']) }}.</span>
            @can('manage')@if ($line['used'] === null)<form method="post" action="{{ route('genes.change') }}" class="d-inline"
                data-module="once">@csrf<input type="hidden" name="kind" value="eye"><input type="hidden" name="gene"
                value="{{ $line['cue']->key }}"><input type="hidden" name="form_token" value="{{ Str::uuid() }}"><button class="button slim"
                type="submit">Use my own figures</button></form>
            @else<span class="row-flow small">Your own figures are used.
                <x-take-out kind="gene" :record="$line['used']" label="your own figures" class=""/></span>@endif
            @endcan</li>@endforeach</ul>
        @error('gene')<p class="field-error">{{ $message }}</p>@enderror
        @foreach ($friends as $friend)<p class="row-flow small mb-1">{{ count($friend->data['readings'] ?? []) }} readings
            @if (($friend->data['animals'] ?? []) !== []) and {{ count($friend->data['animals']) }} animals @endif of
            {{ $friend->data['from'] ?? '' }} count for {{ round(100 * ($friend->data['weight'] ?? 0)) }}&nbsp;% each.
            @can('manage')<x-take-out kind="gene" :record="$friend" label="these counts" class=""/>@endcan</p>@endforeach
        <p class="mb-2"><a class="quiet" href="{{ route('looks.counts') }}">Save your counts for a friend</a>
            <span class="soft small">what was seen, the genes and the age, and crosses that tell something of a disputed fact; no
            names</span></p>
        @can('manage')<details @if ($errors->hasAny('from', 'weight', 'file')) open @endif><summary>Take in a friend's counts</summary>
            <form method="post" action="{{ route('genes.change') }}" enctype="multipart/form-data" class="mt-2" data-module="once">@csrf
                <input type="hidden" name="kind" value="counts"><input type="hidden" name="form_token" value="{{ Str::uuid() }}">
                <x-field name="from" label="Whose they are" :value="old('from')" maxlength="60"/>
                <x-field name="weight" label="What each counts for against one of yours, in %" type="number" :value="old('weight', '50')"/>
                <x-field name="file" label="File of counts" type="file" accept=".json,application/json"/>
                <div class="mt-2"><button class="button" type="submit">Take in</button></div></form></details>@endcan
    </section>
    </div>
    {!! $prints->symbols() !!}
</x-station>
