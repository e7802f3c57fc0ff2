<div class="scroll" tabindex="0" role="region" aria-label="{{ $label }}"><table class="list stacked">
    <thead>
        <tr>
            <th scope="col">Pairing</th>
            <th scope="col">Target</th>
            <th scope="col" class="num">Per egg</th>
            <th scope="col" class="num">Hits</th>
            <th scope="col" class="num">Expected</th>
            <th scope="col">Luck</th>
        </tr>
    </thead>
    <tbody>
    @foreach ($rows as $row)
        <tr>
            <td data-label="Pairing"><strong>{{ $row['pair'] }}</strong></td>
            <td data-label="Target">{{ $row['hope'] }}</td>
            <td class="num" data-label="Per egg">{!! $say->exact($row['luck']->chance) !!}</td>
            <td class="num" data-label="Hits">
            @if ($row['known'] <= 20)<svg class="egg-hits" viewBox="0 0 {{ 15 * $row['known'] }} 19"
                style="width: {{ .8 * $row['known'] }}rem" aria-hidden="true">@for ($i = 0; $i < $row['known']; $i++)<ellipse
                @class(['is-hit' => $i < $row['hits']]) cx="{{ 7.5 + 15 * $i }}" cy="9.5" rx="6" ry="8"/>@endfor</svg>@endif
            <a href="{{ $address($row) }}"><strong>{{ $row['hits'] }}</strong> of {{ $row['known'] }}</a></td>
            <td class="num" data-label="Expected">{{ number_format($row['expected'], 1) }}</td>
            <td data-label="Luck" @class(['text-odd' => $row['isOdd']])>{{ $row['sentence'] }}</td>
        </tr>
    @endforeach
    </tbody></table></div>
