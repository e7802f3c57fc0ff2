<div class="scroll" tabindex="0" role="region" aria-label="{{ $label }}"><table class="list stacked">
    <thead>
        <tr>
            <th scope="col">Pairing</th>
            <th scope="col">Hoped for</th>
            <th scope="col" class="num">An egg</th>
            <th scope="col" class="num">Hits</th>
            <th scope="col" class="num">Expected</th>
            <th scope="col">Luck</th>
        </tr>
    </thead>
    <tbody>
    @foreach ($rows as $row)
        <tr>
            <td data-label="Pairing"><strong>{{ $row['pair'] }}</strong></td>
            <td data-label="Hoped for">{{ $row['hope'] }}</td>
            <td class="num" data-label="An egg">{!! $say->exact($row['luck']->chance) !!}</td>
            <td class="num" data-label="Hits">
            <a href="{{ $address($row) }}"><strong>{{ $row['hits'] }}</strong> of {{ $row['known'] }}</a></td>
            <td class="num" data-label="Expected">{{ number_format($row['expected'], 1) }}</td>
            <td data-label="Luck" @class(['text-odd' => $row['isOdd']])>{{ $row['sentence'] }}</td>
        </tr>
    @endforeach
    </tbody></table></div>
