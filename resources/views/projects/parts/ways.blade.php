@if ($page->policy() !== null)
    <h3>The chance by year</h3>
    <p class="soft small">From {{ number_format($page->policy()['runs']) }} simulated runs.
        The shade is the band in which the chance lies with 95 %.</p>
    @include('projects.parts.chart')
@endif
<div class="scroll" tabindex="0" role="region" aria-label="Ways compared">
    <table class="list stacked">
        <thead><tr><th>Way</th><th class="num">Half have it by</th><th class="num">1 in 10 by</th><th class="num">9 in 10 by</th>
            <th class="num">Eggs</th><th class="num">Young kept</th><th class="num">Money</th><th class="num">F</th>
                <th>Main risk</th></tr></thead>
        <tbody>
            @foreach ($folds->waysRows() as $row)
                <tr>
                    <td data-label="Way">@if ($row['link'])<a href="#{{ $row['link'] }}"><strong>{{ $row['letter'] }}</strong>
                        {{ $row['name'] }}</a>
                        @else<strong>{{ $row['letter'] }}</strong> {{ $row['name'] }}@endif</td>
                    @foreach (['median' => 'Half by', 'p10' => '1 in 10 by', 'p90' => '9 in 10 by'] as $key => $label)
                        <td class="num" data-label="{{ $label }}">{{ $row[$key] }}</td>
                    @endforeach
                    <td class="num" data-label="Eggs">{{ $row['eggs'] }}</td><td class="num" data-label="Young kept">{{ $row['kept'] }}</td>
                    <td class="num" data-label="Money">{{ $seesMoney ? $house->money((int) round(100 * $row['money'])) : '' }}</td>
                    <td class="num" data-label="F">{{ $row['inbreeding'] }}</td><td data-label="Main risk">{{ $row['risk'] }}</td>
                </tr>
            @endforeach
        </tbody>
    </table>
</div>
<p class="soft small mb-0 mt-2">Routes A to D stick to one plan whatever hatches. The best plan switches between them.
    @if ($page->result->isCut())The search for them stopped before it was through.@endif</p>
@foreach ($routes as $i => $route)
    @include('projects.parts.way')
@endforeach
