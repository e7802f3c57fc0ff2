<h3>Plan against what happened</h3>
<ul class="plain">
    @forelse ($clutches as $clutch)
        <li><a href="{{ route('clutches.show', $clutch) }}">{{ $clutch->title() }}</a>
            <span class="soft small">{{ $clutch->stage() }}{{ $clutch->hatched === null ? '' : ', '.$clutch->hatched.' hatched' }}{{
                $clutch->hatchlings->isEmpty() ? '' : ', kept '.$clutch->hatchlings->pluck('name')->implode(', ') }}</span></li>
    @empty
        <li class="soft">No clutch of these animals is recorded yet.</li>
    @endforelse
</ul>
@if ($folds->roadsNotTaken() !== [])
    <h3>Looking back</h3>
    <ul class="plain">
        @foreach ($folds->roadsNotTaken() as $one)<li><strong>{{ $one['season'] }}</strong>: {{ $one['told'] }}</li>@endforeach
    </ul>
    <p class="soft small">Worked out with what you know of your animals today; not all of it could be known then.</p>
@endif
@if ($luck !== [])
    <h3>Luck so far</h3>
    <ul class="plain">
        @foreach ($luck as $one)
            <li @class(['text-odd' => $one['isOdd']])><strong>{{ $one['pair'] }}</strong>: {{ $one['told'] }}
                <span class="soft">{{ $one['sentence'] }}</span></li>
        @endforeach
    </ul>
@endif
@if ($earlier !== [])
    <h3>Earlier plans</h3>
    <ul class="plain">
        @foreach ($earlier as $one)
            <li><span class="soft small">{{ $one['made'] }}</span> {{ $one['answer'] }}
                @if ($one['given'])<a class="small" href="{{ $one['given'] }}">what it was made from</a>@endif</li>
        @endforeach
    </ul>
@endif
