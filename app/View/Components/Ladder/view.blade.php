<section class="sheet ladder" data-module="ladder" aria-labelledby="ladder-title">
    <div class="head"><h2 id="ladder-title">In one clutch</h2><span class="soft small">{{ $target->target->text }}</span></div>
    @foreach ($rungs as $rung)
        <div data-rung="{{ $rung['eggs'] }}" @if ($rung['eggs'] !== $eggs) hidden @endif>
            <output>{{ $say->percent($rung['one']) }}</output>
            <span>at least one in {{ $rung['eggs'] }} {{ Str::plural($unit, $rung['eggs']) }}</span><br>
            <span class="soft small">at least two {{ $say->percent($rung['two']) }} · expected {{ $number($rung['expected']) }}</span>
        </div>
    @endforeach
    @if ($eggs > $columns())
        <div>
            <output>{{ $say->percent($chance->atLeastOne($eggs)) }}</output>
            <span>at least one in {{ $eggs }} {{ Str::plural($unit, $eggs) }}</span><br>
            <span class="soft small">at least two {{ $say->percent($chance->atLeastTwo($eggs)) }}</span>
        </div>
    @else
        <div data-slider hidden>
            <label class="small soft" for="ladder-eggs">Move for more or fewer {{ Str::plural($unit) }}</label>
            <input type="range" id="ladder-eggs" min="1" max="{{ $columns() }}" value="{{ $eggs }}"
                aria-label="{{ ucfirst(Str::plural($unit)) }} in the clutch">
        </div>
        <svg class="curve" viewBox="0 0 300 96" role="img"
            aria-label="Chance of at least one, from 1 to {{ $columns() }} {{ Str::plural($unit) }}">
            <line x1="0" x2="300" y1="12" y2="12"/><text x="300" y="9" text-anchor="end">100 %</text>
            @foreach ($bars() as $bar)
                <rect @class(['column', 'on' => $bar['isOn']]) data-column="{{ $bar['eggs'] }}" x="{{ $bar['x'] }}" y="{{ $bar['y'] }}"
                    width="{{ $bar['width'] }}" height="{{ $bar['height'] }}" rx="2"/>
                @if ($bar['label'] !== null)<text x="{{ $bar['label'] }}" y="93" text-anchor="middle">{{ $bar['eggs'] }}</text>@endif
            @endforeach
        </svg>
    @endif
    <ul class="rungs" aria-label="{{ ucfirst(Str::plural($unit)) }} needed">
        @foreach ($needed as $level => $eggsNeeded)
            <li>
                <span>{{ $level }} %</span>
                <span @class(['bar', 'is-never' => $eggsNeeded === null])>
                    @if ($eggsNeeded !== null)<i style="width:{{ $length($eggsNeeded) }}%"></i>@endif
                </span>
                <span class="needed">
                    {{ $eggsNeeded === null ? 'never' : number_format($eggsNeeded).' '.Str::plural($unit, $eggsNeeded) }}
                </span>
            </li>
        @endforeach
    </ul>
    @if ($chance->isUncertain() && ! $chance->ceiling()->isOne())
        <p class="small soft mb-0 mt-2">A parent may not carry what is needed:
            no number of eggs passes {{ $say->percent($chance->ceiling()) }}.</p>
    @endif
    @if ($target->target->sex === null)
        <ul class="by-sex">
            @foreach ($lists->sexes() as $sex)
                <li><x-icon :name="'gender-'.$sex->value" class="slight"/> {{ $sex->value }}:
                    <strong>{{ $say->fraction($ofSex($sex)->perEgg()) }}</strong>,
                    {{ $say->percent($ofSex($sex)->atLeastOne($eggs)) }} in {{ $eggs }}</li>
            @endforeach
        </ul>
    @endif
</section>
