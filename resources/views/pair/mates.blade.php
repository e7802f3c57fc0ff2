<section class="sheet" id="answer">
    <div class="head"><h2>{{ $mates->headline() }}</h2><span class="soft small">{{ $mates->rows === [] ? ''
        : $mates->scope() }}</span></div>
    @if ($mates->rows === [])
        <p class="mb-0"><a class="button" href="{{ route('projects.create', ['target' => $inquiry->target]) }}">Make it a project</a></p>
    @else
        <div class="scroll" tabindex="0" role="region" aria-label="Pairings, the best first"><table class="list stacked">
            <thead><tr><th scope="col">Pairing</th><th scope="col" class="num">An egg</th><th scope="col" class="num">In
                {{ $inquiry->eggs }} eggs</th><th scope="col">Ready</th><th scope="col" class="num">F</th><th scope="col">Projects</th>
                <th scope="col">House rules</th></tr></thead>
            <tbody>@foreach ($mates->rows as $row)
                <tr><td data-label="Pairing"><a href="{{ route('pair', array_filter(['sire_id' => $row['sire']?->id, 'sire' => $row['sire']
                    ? null : $inquiry->sire, 'dam_id' => $row['dam']?->id, 'dam' => $row['dam'] ? null : $inquiry->dam,
                    'target' => $inquiry->target, 'eggs' => $inquiry->eggs])) }}"><strong>{{ $row['sire']->name ?? $inquiry->sire }} ×
                    {{ $row['dam']->name ?? $inquiry->dam }}</strong></a> <span class="soft small d-block">{{ Str::limit($row['else'],
                    110) }}</span></td>
                    <td class="num" data-label="An egg"><strong>{!! $say->exact($row['egg']) !!}</strong>
                        <span class="soft">{{ $say->percent($row['egg']) }}</span></td>
                    <td class="num" data-label="In a clutch">{{ $say->percent($row['clutch']) }}</td>
                    <td data-label="Ready" class="small">{{ implode('; ', array_unique($row['readiness'])) }}</td>
                    <td class="num" data-label="F">{{ $row['related'] }}</td>
                    <td data-label="Projects"
                        class="small">{{ implode('; ', $served['a'.($row['sire'] ?? $inquiry->sireAnimal)?->id.' a'.($row['dam']
                        ?? $inquiry->damAnimal)?->id] ?? []) }}</td>
                    <td data-label="House rules">@if ($row['stance'] && $row['stance']->value !== 'inform')<span
                        @class(['tag', 'dead' => $row['stance']->value === 'refuse',
                        'doubt' => $row['stance']->value === 'warn'])>{{ $row['stance']->value }}</span>@elseif ($row['stance'])<span
                        class="soft small">no objection</span>@endif</td></tr>
            @endforeach</tbody></table></div>
    @endif
</section>
