@unless ($now->isBusy())
    <p class="mb-0">Nothing to mate this season: the animals here are too young, or wait for young of another.
        The plan goes on by itself.</p>
@endunless
<div class="two">
<div>
@if ($now->purchases() !== [])
    <h3 class="mb-2">Buy</h3>
    <ul class="plain">
        @foreach ($now->purchases() as $buy)
            <li class="drawn-row"><span class="drawn" aria-hidden="true">{{ $drawings->ofGenes($buy['genes']) }}</span>
                <span><strong>{{ $buy['sex'] }} {{ $buy['genes'] }}</strong>
                <span class="soft d-block">@can('money')for
                    {{ $house->money($buy['cents']) }}@endcan{{ $when($buy['from']) }}</span></span></li>
        @endforeach
    </ul>
@endif
@if ($now->matings() !== [])
    <h3 class="mb-2">Pair</h3>
    <ul class="plain">
        @foreach ($now->matings() as $mating)
            <li class="drawn-row">
                <span class="drawn is-pair"
                    aria-hidden="true">{{ $drawings->ofAnimal($mating['sire']) }}{{ $drawings->ofAnimal($mating['dam']) }}</span>
                <span>
                    @if ($mating['link'])
                        <a href="{{ $mating['link'] }}"><strong>{{ $mating['pair'] }}</strong></a>
                    @else
                        <strong>{{ $mating['pair'] }}</strong>
                    @endif
                    <span class="soft d-block">{{ $mating['why'] }}{{ $mating['worth'] === '' ? '' : '; '.$mating['worth'] }}</span>
                    @if ($mating['warns'] !== '')
                        <span class="field-error"><x-icon name="exclamation-triangle"/> <span>{{ $mating['warns'] }}</span></span>
                    @endif
                    @if ($mating['before'] !== '')
                        <span class="field-error"><x-icon name="exclamation-triangle"/>
                            <span>{{ ucfirst($mating['before']) }}: think before repeating it.</span></span>
                    @endif
                </span>
                @can('manage', $project)
                    @if ($mating['forbid'])
                        <form class="ms-auto no-print" method="post" action="{{ route('projects.forbid', $project) }}">
                            @csrf
                            <input type="hidden" name="pairs[]" value="{{ $mating['forbid'] }}">
                            <button class="quiet" type="submit" aria-label="Skip this pair, {{ $mating['pair'] }}">Skip this pair</button>
                        </form>
                    @endif
                @endcan
            </li>
        @endforeach
    </ul>
    @if ($now->spare() !== '')<p class="soft small mb-0">{{ $now->spare() }}</p>@endif
@endif
@if ($now->later() !== [])
    <h3 class="mt-3 mb-2">Perhaps buy next season</h3>
    <ul class="plain">
        @foreach ($now->later() as $buy)
            <li class="drawn-row"><span class="drawn" aria-hidden="true">{{ $drawings->ofGenes($buy['genes']) }}</span>
                <span><strong>{{ $buy['sex'] }} {{ $buy['genes'] }}</strong>
                <span class="soft d-block">only if no {{ $buy['sex'] }} as good has hatched by then @can('money')
                    (for {{ $house->money($buy['cents']) }}) @endcan</span></span></li>
        @endforeach
    </ul>
@endif
</div>
@if ($now->young() !== [])
    <div>
    <h3 class="mb-1">Keep, in this order</h3>
    <p class="soft small mb-2">{{ $now->howMany() }}</p>
    <ol class="plain">
        @foreach ($now->young() as $young)
            <li @class(['drawn-row', 'soft' => ! $young['keep']])>
                <span class="drawn" aria-hidden="true">{{ $drawings->ofGenes($young['genes']) }}</span>
                <span class="drawn-words">{{ $young['sex'] }} <strong>{{ $young['genes'] }}</strong>
                    <span class="chance-bar" aria-hidden="true"><span style="inline-size:{{ $young['share'] }}%"></span></span></span>
                <span class="drawn-chance"><strong>{{ $young['expected'] }}</strong></span></li>
        @endforeach
    </ol>
    @if ($now->others() !== '')<p class="soft small mt-2 mb-0">{{ $now->others() }}</p>@endif
    </div>
@endif
</div>
