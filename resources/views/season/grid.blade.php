<div class="season-plan">
    <section class="sheet" aria-labelledby="grid-title">
        <h2 class="visually-hidden" id="grid-title">Females down, males across</h2>
        <table class="season-grid">
            <thead><tr><td class="soft small">Females down, males across</td>
                @foreach ($grid->males as $male)<th scope="col">{!! $prints->ofBelief($grid->card($male['sire'])->belief(),
                    $grid->card($male['sire'])->days(), $male['sire']->id) !!}<a
                    href="{{ route('animals.show', $male['sire']) }}">{{ $male['sire']->name }}</a>
                    <span class="slots" role="img"
                        aria-label="{{ $male['serves'] }} of at most {{ $male['most'] }} planned">@for ($i = 0;
                        $i < max($male['most'], $male['serves']); $i++)<i @class(['is-full' => $i < $male['serves'],
                        'is-over' => $i >= $male['most']])></i>@endfor</span></th>@endforeach</tr></thead>
            <tbody>
                @foreach ($grid->rows as $row)
                    <tr><th scope="row"><span class="dam">{!! $prints->ofBelief($grid->card($row['dam'])->belief(),
                        $grid->card($row['dam'])->days(), $row['dam']->id) !!}<span><a
                        href="{{ route('animals.show', $row['dam']) }}">{{ $row['dam']->name }}</a><span
                        class="soft small d-block">{{ ($row['isFree'] ? 'Ready. ' : '').$grid->card($row['dam'])->genotype() }}</span>
                        </span></span></th>
                        @foreach ($row['cells'] as $i => $place)
                            <td>@if ($place === null)<a class="cell is-empty" href="{{ route('pair', ['sire_id' =>
                                $grid->males[$i]['sire']->id, 'dam_id' => $row['dam']->id]) }}"
                                aria-label="Odds of {{ $grid->males[$i]['sire']->name }} × {{ $row['dam']->name }}"></a>
                            @else<a @class(['cell', "is-{$place['stage']}", 'is-chosen' => $grid->isChosen($i, $place)])
                                href="{{ route('season.board', ['sire' => $grid->males[$i]['sire']->id, 'dam' => $row['dam']->id]) }}#pair">
                                <span class="visually-hidden">{{ $grid->males[$i]['sire']->name }} × {{ $row['dam']->name }},
                                {{ $place['stage'] === 'suggested' ? 'suggested' : '' }}</span>
                                <span>{{ $place['stage'] === 'suggested' ? ($place['egg'] === null || $place['egg']->isZero() ? 'for later'
                                    : $say->outOf($place['egg'])) : $place['stage'] }}</span>
                                @if ($place['ready'] !== [] || $place['stance']->value !== 'inform')<x-icon
                                name="exclamation-triangle"/>@endif</a>@endif</td>
                        @endforeach</tr>
                @endforeach
            </tbody>
        </table>
        <ul class="season-key soft small"><li><i class="cell is-suggested"></i> suggested, target per egg</li><li><i
            class="cell is-planned"></i> planned</li><li><i class="cell is-paired"></i> paired, locked</li><li><i
            class="cell is-gravid"></i> gravid</li><li><x-icon name="exclamation-triangle"/> look first</li></ul>
    </section>
    @if ($grid->chosen)
    <section class="sheet" id="pair" aria-labelledby="pair-title">
        <div class="pair-heads" aria-hidden="true">{!! $prints->ofBelief($grid->card($grid->chosen['male']['sire'])->belief(),
            $grid->card($grid->chosen['male']['sire'])->days(), $grid->chosen['male']['sire']->id) !!}<span>×</span>{!! $prints->ofBelief(
            $grid->card($grid->chosen['place']['dam'])->belief(), $grid->card($grid->chosen['place']['dam'])->days(),
            $grid->chosen['place']['dam']->id) !!}</div>
        <h2 id="pair-title">{{ $grid->chosen['male']['sire']->name }} × {{ $grid->chosen['place']['dam']->name }}</h2>
        @include('season.place', ['sire' => $grid->chosen['male']['sire'], 'place' => $grid->chosen['place'], 'isFull' => true])
        @if ($grid->chosen['isAboveMost'])<p class="field-error mb-2"><x-icon name="exclamation-triangle"/><span>More females than
            {{ $grid->chosen['male']['sire']->name }} serves in a season ({{ $grid->chosen['male']['most'] }}).</span></p>@endif
        <ul class="plain pair-looks">@foreach ($grid->looks() as $look)<li @class(['is-hit' => $look['isHit']])>{!!
            $prints->ofForms($look['outcome']->forms) !!}<span>{{ $look['outcome']->label }}</span>
            <strong>{{ $say->outOf($look['outcome']->probability) }}</strong></li>@endforeach</ul>
        <p class="mb-0"><a href="{{ route('pair', array_filter(['sire_id' => $grid->chosen['male']['sire']->id,
            'dam_id' => $grid->chosen['place']['dam']->id, 'target' => $grid->chosen['place']['hope']])) }}">All odds of this
            pairing</a></p>
    </section>
    @endif
</div>
