<x-station title="History" station="animals" :crumb="$animal->name" :crumb-link="route('animals.show', $animal)">
    <section class="sheet">
        <div class="head"><h2>Changes: what, who and when</h2><span class="soft small">newest first{{ count($history) >= 300
            ? '; the last 300' : '' }}</span></div>
        @if ($history === [])<p class="soft mb-0">Nothing was changed since histories are kept.</p>@endif
        <ul class="plain history">
            @foreach ($history as $entry)
                <li><p class="mb-0"><strong>{{ $entry['what'] }}</strong> <span class="soft small">{{ $entry['who'] }},
                    {{ $entry['when']->format('j M Y, H:i') }}</span></p>
                    @if ($entry['changes'] !== [])<dl
                        class="facts small">@foreach ($entry['changes'] as $change)<dt>{{ $change['field'] }}</dt>
                        <dd>@if ($change['before'] !== '')<del>{{ Str::limit($change['before'], 300) }}</del> @endif
                        @if ($change['after'] !== '')<ins>{{ Str::limit($change['after'], 300) }}</ins>@elseif ($change['before'] !== '')
                        <span class="soft">nothing</span>@endif</dd>@endforeach</dl>@endif</li>
            @endforeach
        </ul>
    </section>
</x-station>
