{{-- what has come of the eggs, and what the rest still gives --}}
<section class="sheet">
    <div class="head"><h2>Chances in the remaining eggs</h2></div>
    @if ($still->target !== null)
        <p class="answer mb-2">@if ($so['known'] + $so['open'] > 0){{ $so['hits'] }} {{ $so['hits'] === 1 ? 'hit' : 'hits' }} among
            {{ $so['known'] + $so['open'] }} kept{{ $so['open'] > 0 ? ", {$so['open']} still open" : '' }};
            @endif{{ $left === null ? 'the number of eggs is not recorded' : ($left === 0 ? 'no egg is left' : "{$left} ".($left === 1
            ? 'egg is' : 'eggs are').' left') }}.</p>
        <ul class="plain lines">@foreach ($still->bySire() as $odds)<li>@if (count($still->clutch->sires) > 1)<strong>If {{ $odds['name'] }}
            is the sire:</strong> @endif
            @if ($odds['egg'] === null)<span class="soft">{{ $odds['why'] ?? 'not known' }}</span>
            @elseif ($odds['egg']->isZero())<span>never</span>
            @else {{ ucfirst($say->perEgg($odds['egg'])) }}.{{ $odds['still'] === null || $left === 0 ? ''
                : ' At least one in '.($left === 1 ? 'the last egg'
                : "{$left} eggs").': '.$say->percent($odds['still']).'.' }}@if ($odds['clutch'] !== null
                && $left !== $still->clutch->eggs_good)<span class="soft small d-block">For all {{ $still->clutch->eggs_good }} eggs
                laid: {{ $say->percent($odds['clutch']) }}.</span>@endif
                @endif</li>@endforeach</ul>
        @if (count($still->clutch->sires) === 0)<p class="soft mb-0">Add the sire to see the chances.</p>@endif
    @elseif ($still->error === null)
        <p class="soft">No project has a target for this pair. Type a target to see its chance.</p>
    @endif
    <form method="get" action="{{ url()->current() }}" class="ask-line mt-2">
        @if (request()->query('egg'))<input type="hidden" name="egg" value="{{ request()->query('egg') }}">@endif
        <div class="field"><label for="still-target">Target</label><input class="input" id="still-target" name="target"
            value="{{ $still->asked }}" maxlength="400" spellcheck="false" autocapitalize="off" list="still-targets" @if ($still->error)
            aria-invalid="true" aria-describedby="still-error" @endif><datalist
            id="still-targets">@foreach ($still->targets() as $text => $from)<option
            value="{{ $text }}">{{ $from }}</option>@endforeach</datalist><x-field-error id="still-error" :message="$still->error"/></div>
        <button class="button" type="submit">Show the odds</button>
    </form>
</section>
