<div class="scroll" tabindex="0" role="region" aria-label="Route {{ $letter }} as a river">
<svg class="river" width="{{ $river->width() }}" height="{{ $river->height() }}" viewBox="0 0 {{ $river->width() }} {{ $river->height() }}"
    role="group" aria-label="{{ $label }}, generation by generation">
    @foreach ($river->lines as $line)<path @class(['water', 'is-past' => $line['isPast']]) style="stroke-width:{{ $line['wide'] }}"
        d="{{ $bend($line) }}"/>@endforeach
    @foreach ($river->nodes() as $node)
        <g transform="translate({{ $node['x'] }} {{ $node['y'] }})">
            <title>{{ $node['full'] }}</title>
            <rect class="node is-{{ $node['kind'] }}" width="{{ $river::NODE_WIDTH }}" height="{{ $river::NODE_HEIGHT }}"
                rx="{{ $node['kind'] === 'founder' ? 8 : 20 }}"/>
            <svg x="14" y="9" width="212" height="34">{{ $drawings->inRiver($node['animal'], $node['genes']) }}</svg>
            <g transform="translate(0 {{ $river::DRAWN }})">
                @foreach ($node['title'] as $at => $line)<text class="name" x="14" y="{{ 23 + 17 * $at }}">{{ $line }}</text>@endforeach
                <text class="role" x="14" y="{{ 25 + 17 * count($node['title']) }}">{{ $node['text'] }}</text>
                <text class="role" x="14" y="{{ 42 + 17 * count($node['title']) }}">{{ $node['note'] }}</text>
            </g>
            @if ($node['done'])<text class="done" x="14" y="{{ $river::NODE_HEIGHT - 8 }}">✓ {{ $node['done'] }}</text>@endif
        </g>
    @endforeach
</svg></div>
