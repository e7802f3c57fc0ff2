<svg class="pedigree" width="{{ $tree->width() }}" height="{{ $tree->height() }}" viewBox="0 0 {{ $tree->width() }} {{ $tree->height() }}"
    role="group" aria-label="Descendants of {{ $name }}">
    @foreach ($tree->lines as [$x1, $y1, $x2, $y2])<path class="line"
        d="M{{ $x1 }} {{ $y1 }} C {{ $x1 + 20 }} {{ $y1 }}, {{ $x2 - 20 }} {{ $y2 }}, {{ $x2 }} {{ $y2 }}"/>@endforeach
    @foreach ($tree->nodes as $node)
        <g transform="translate({{ $node['x'] }} {{ $node['y'] }})">
            <rect class="node" x="1" y="1" width="{{ $tree::WIDTH - 2 }}" height="{{ $tree::HEIGHT - 2 }}"
                rx="{{ $node['card']->animal->isMale() ? 6 : 22 }}"/>
            <a href="{{ route('animals.show', $node['card']->animal) }}"><text class="name" x="14"
                y="20">{{ Str::limit($node['card']->animal->name, $node['with'] === '' ? 24 : 13) }}</text></a>
            @if ($node['with'] !== '')<text class="role" x="{{ $tree::WIDTH - 12 }}" y="20"
                text-anchor="end">with {{ Str::limit($node['with'], 12) }}</text>@endif
            @foreach (array_slice($node['card']->beads(), 0, 6) as $i => $bead)
                <svg x="{{ 12 + 35 * $i }}" y="30" width="31" height="17" viewBox="0 0 42 22">{!! $bead->svg() !!}</svg>
            @endforeach
        </g>
    @endforeach
</svg>
