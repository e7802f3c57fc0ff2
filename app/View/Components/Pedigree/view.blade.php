<svg class="pedigree" width="{{ $tree->width() }}" height="{{ $tree->height() }}" viewBox="0 0 {{ $tree->width() }} {{ $tree->height() }}"
    role="group" aria-label="Ancestors">
    @foreach ($tree->lines as [$x1, $y1, $x2, $y2])<path class="line"
        d="M{{ $x1 }} {{ $y1 }} C {{ $x1 + 20 }} {{ $y1 }}, {{ $x2 - 20 }} {{ $y2 }}, {{ $x2 }} {{ $y2 }}"/>@endforeach
    @foreach ($tree->nodes as $node)
        <g transform="translate({{ $node['x'] }} {{ $node['y'] }})">
            <rect @class(['node', 'is-unknown' => $node['name'] === '']) x="1" y="1" width="{{ $tree::WIDTH - 2 }}"
                height="{{ $tree::HEIGHT - 2 }}" rx="{{ $node['card']?->animal->isMale() || $node['role'] === 'sire' ? 6 : 22 }}"/>
            <text class="role" x="14" y="20">
                {{ $node['role'] === 'self' ? '' : $node['role'] }}{{ $node['name'] === '' ? ' not known' : '' }}
            </text>
            @if ($node['card'] && $node['role'] !== 'self')
                <a href="{{ route('animals.show', $node['card']->animal) }}">
                    <text class="name" x="48" y="20">{{ Str::limit($node['name'], 22) }}</text>
                </a>
            @else
                <text class="name" x="{{ $node['role'] === 'self' ? 14 : 48 }}" y="20">{{ Str::limit($node['name'], 22) }}</text>
            @endif
            @if ($node['card'])
                @foreach (array_slice($node['card']->beads(), 0, 6) as $i => $bead)
                    <svg x="{{ 12 + 35 * $i }}" y="30" width="31" height="17" viewBox="0 0 42 22">{!! $bead->svg() !!}</svg>
                @endforeach
            @elseif ($node['name'] !== '')<text class="role" x="14" y="42">outside the collection</text>@endif
        </g>
    @endforeach
</svg>
