<div>
    <h3 class="mb-1">{{ $title }}{{ $square->group->holdsSex() ? ' and sex' : '' }}</h3>
    <div class="scroll">
    <table class="square">
        <caption class="visually-hidden">{{ $title }}: gametes of the sire in the rows, of the dam in the columns</caption>
        <tr><td class="soft small corner">sire ↓ dam →</td>
            @foreach ($square->maternal as [$haplotype, $odds])
                <th scope="col">{{ $names($haplotype) }}<span class="odds">{{ $say->fraction($odds) }}</span></th>
            @endforeach
        </tr>
        @foreach ($square->paternal as $i => [$haplotype, $odds])
            <tr><th scope="row">{{ $names($haplotype) }}<span class="odds">{{ $say->fraction($odds) }}</span></th>
                @foreach ($square->maternal as $k => $maternal)
                    <td @class(['dead' => $dies($square->forms($i, $k))])>
                        @foreach ($beads($square->forms($i, $k), $haplotype) as $bead)<x-bead :bead="$bead" aria-hidden="true"/> @endforeach
                        <br>{{ $words($square->forms($i, $k), $square->sex($i, $k)) }}
                        <span class="odds">{{ $say->fraction($square->probability($i, $k)) }}</span>
                    </td>
                @endforeach
            </tr>
        @endforeach
    </table>
    </div>
    @foreach ($told() as $text)
        <p class="small soft mb-0 mt-1">{{ $text }}</p>
    @endforeach
</div>
