<div class="scroll">
<table class="list stacked">
    <caption class="visually-hidden">Outcomes, most likely first</caption>
    <thead><tr>
        <th scope="col" data-sort>Outcome</th>
        <th scope="col">Beads</th>
        @if ($hasSex)<th scope="col" data-sort>Sex</th>@endif
        @if ($page->prediction->question->by->value === 'look')<th scope="col" class="num" data-sort>Genotypes</th>@endif
        <th scope="col" class="num" data-sort>Chance</th>
        <th scope="col" class="num">Percent</th>
        <th scope="col" class="num">In words</th>
    </tr></thead>
    <tbody>
    @foreach ($page->rows as $row)
        <tr id="outcome-{{ $row->number }}" @class(['is-hit' => $row->isHit()])>
            <td data-value="{{ $row->outcome->label }}">{!! $row->outcome->isLethal ? ''
                : $prints->ofForms($row->outcome->forms) !!}{{ $row->outcome->label }}
                @if ($row->knownAs() !== '')<span class="soft">({{ $row->knownAs() }})</span>@endif
                @if ($row->outcome->isLethal)<span class="tag dead">does not live</span>@endif
                @if ($hasTarget && $row->share->isOne())<span class="tag hit">★ hit</span>@elseif ($hasTarget && $row->isHit())<span
                    class="tag doubt">hit in {{ $say->percent($row->share) }}</span>@endif
            </td>
            <td><x-beads :beads="$row->beads"/></td>
            @if ($hasSex)<td data-label="Sex">{{ $row->outcome->sex?->value }}</td>@endif
            @if ($page->prediction->question->by->value === 'look')<td class="num" data-label="Genotypes that look like this"
                data-value="{{ $row->outcome->genotypes }}">{{ $row->outcome->genotypes }}</td>@endif
            <td class="num" data-label="Chance"
                data-value="{{ $row->outcome->probability->toFloat() }}"><strong>{!! $say->exact($row->outcome->probability,
                'exact') !!}</strong></td>
            <td class="num">{{ $row->percent() }}</td>
            <td class="num soft">{{ $row->oneIn() }}</td>
        </tr>
    @endforeach
    </tbody>
</table>
</div>
