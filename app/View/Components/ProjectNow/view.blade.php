@unless ($now->isBusy())
    <p class="mb-0">Nothing is to be mated this season that would help: what is here is too young, or waits for young of another.
        The plan goes on by itself.</p>
@endunless
<div class="two">
<div>
@if ($now->purchases() !== [])
    <h3 class="mb-2">Buy</h3>
    <ul class="plain">
        @foreach ($now->purchases() as $buy)
            <li><strong>{{ $buy['sex'] }} {{ $buy['genes'] }}</strong>
                <span class="soft">@can('money')for {{ $house->money($buy['cents']) }}@endcan{{ $when($buy['from']) }}</span></li>
        @endforeach
    </ul>
@endif
@if ($now->matings() !== [])
    <h3 class="mb-2">Mate</h3>
    <ul class="plain">
        @foreach ($now->matings() as $mating)
            <li class="row-flow in-line">
                <span>
                    @if ($mating['link'])
                        <a href="{{ $mating['link'] }}"><strong>{{ $mating['pair'] }}</strong></a>
                    @else
                        <strong>{{ $mating['pair'] }}</strong>
                    @endif
                    <span class="soft">{{ $mating['why'] }}{{ $mating['worth'] === '' ? '' : '; '.$mating['worth'] }}</span>
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
                            <button class="quiet" type="submit" aria-label="leave out {{ $mating['pair'] }}">leave out</button>
                        </form>
                    @endif
                @endcan
            </li>
        @endforeach
    </ul>
@endif
</div>
@if ($now->young() !== [])
    <div>
    <h3 class="mb-2">Keep of what hatches</h3>
    <ol class="plain">
        @foreach ($now->young() as $young)
            <li @class(['soft' => ! $young['keep']])>{{ $young['sex'] }} <strong>{{ $young['genes'] }}</strong>
                <span class="soft small">{{ $young['expected'] }}{{ $young['keep'] ? '' : '; not needed for this' }}</span></li>
        @endforeach
    </ol>
    <p class="soft small mt-2 mb-0">Most useful first. If none of these hatch, repeat the pairs. The plan updates with each clutch.</p>
    </div>
@endif
</div>
