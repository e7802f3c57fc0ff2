@props(['page']) {{-- the odds of the target for a clutch, rung by rung --}}
@php
    $target = $page->prediction->target;
    $chance = $target->chance;
    $eggs = $page->prediction->question->eggs;
    $rungs = $page->rungs($chance);
    $unit = $page->unit();
    $columns = count($rungs);
@endphp
<section class="sheet ladder" data-module="ladder" aria-labelledby="ladder-title">
    <div class="head"><h2 id="ladder-title">In one clutch</h2><span class="soft small">{{ $target->target->text }}</span></div>
    @foreach ($rungs as $rung)
        <div data-rung="{{ $rung['eggs'] }}" @if ($rung['eggs'] !== $eggs) hidden @endif>
            <output>{{ App\Words\OddsWords::percent($rung['one']) }}</output>
            <span>at least one in {{ $rung['eggs'] }} {{ Str::plural($unit, $rung['eggs']) }}</span><br>
            <span class="soft small">at least two {{ App\Words\OddsWords::percent($rung['two']) }} · expected {{ rtrim(rtrim(number_format($rung['expected'], 2), '0'), '.') }}</span>
        </div>
    @endforeach
    @if ($eggs > $columns)
        <div>
            <output>{{ App\Words\OddsWords::percent($chance->atLeastOne($eggs)) }}</output>
            <span>at least one in {{ $eggs }} {{ Str::plural($unit, $eggs) }}</span><br>
            <span class="soft small">at least two {{ App\Words\OddsWords::percent($chance->atLeastTwo($eggs)) }}</span>
        </div>
    @else
        <div data-slider hidden>
            <label class="small soft" for="ladder-eggs">Move for more or fewer {{ Str::plural($unit) }}</label>
            <input type="range" id="ladder-eggs" min="1" max="{{ $columns }}" value="{{ $eggs }}" aria-label="{{ ucfirst(Str::plural($unit)) }} in the clutch">
        </div>
        <svg class="curve" viewBox="0 0 300 96" role="img" aria-label="Chance of at least one, from 1 to {{ $columns }} {{ Str::plural($unit) }}">
            <line x1="0" x2="300" y1="12" y2="12"/><text x="300" y="9" text-anchor="end">100 %</text>
            @foreach ($rungs as $i => $rung)
                @php([$w, $h] = [300 / $columns, 68 * $rung['one']->toFloat()])
                <rect @class(['column', 'on' => $rung['eggs'] === $eggs]) data-column="{{ $rung['eggs'] }}" x="{{ round($i * $w + .8, 2) }}" y="{{ round(80 - $h, 2) }}" width="{{ round($w - 1.6, 2) }}" height="{{ round($h, 2) }}" rx="2"/>
                @if ($rung['eggs'] === 1 || $rung['eggs'] % max(5, intdiv($columns, 4)) === 0)<text x="{{ round(($i + .5) * $w, 2) }}" y="93" text-anchor="middle">{{ $rung['eggs'] }}</text>@endif
            @endforeach
        </svg>
    @endif
    @php($most = max([1, ...array_filter($page->eggsFor($chance))]))
    <ul class="rungs" aria-label="{{ ucfirst(Str::plural($unit)) }} needed">
        @foreach ($page->eggsFor($chance) as $level => $needed)
            <li><span>{{ $level }} %</span><span @class(['bar', 'is-never' => $needed === null])>@if ($needed !== null)<i style="width:{{ round(100 * min(1, $needed / max(1, $most)), 1) }}%"></i>@endif</span><span class="needed">{{ $needed === null ? 'never' : number_format($needed).' '.Str::plural($unit, $needed) }}</span></li>
        @endforeach
    </ul>
    @if ($chance->isUncertain() && ! $chance->ceiling()->isOne())
        <p class="small soft mb-0 mt-2">A parent may not carry what is needed: no number of eggs passes {{ App\Words\OddsWords::percent($chance->ceiling()) }}.</p>
    @endif
    @if ($target->target->sex === null)
        <ul class="by-sex">
            @foreach (Destino\Genome\Sex::cases() as $sex)
                @php($own = $target->bySex($sex))
                <li><x-icon :name="'gender-'.$sex->value" style="width:.9rem"/> {{ $sex->value }}: <strong>{{ App\Words\OddsWords::fraction($own->perEgg()) }}</strong>, {{ App\Words\OddsWords::percent($own->atLeastOne($eggs)) }} in {{ $eggs }}</li>
            @endforeach
        </ul>
    @endif
</section>
