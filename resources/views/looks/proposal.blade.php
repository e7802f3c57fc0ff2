<li>
    @snake($proposal->look, $page->target($proposal), 'card')
    <div><p class="mb-1"><strong>{{ implode(' + ', array_map(fn ($form) => $form->text,
        $proposal->forms)) }}</strong>
        @foreach ($proposal->brings as $word)<span class="tag hit">{{ $word }}</span> @endforeach
        @foreach ($proposal->spoils as $word)<span class="tag doubt">not with “{{ $word }}”</span> @endforeach</p>
        @foreach ($proposal->warnings as $warning)<p class="small mb-1"><x-icon name="exclamation-triangle"/>
            {{ $warning }}</p>@endforeach
        <p class="small soft mb-1">{{ $page->ownersWords($proposal) }}</p>
        <p class="row-flow mb-0 no-print"><a class="button slim"
            href="{{ route('looks.compare', ['genes' => [$page->base === '' ? 'Normal' : $page->base,
            $page->target($proposal)]]) }}">Compare</a>@can('manage')<a class="button slim"
            href="{{ route('projects.create', ['target' => $page->target($proposal)]) }}">Make it a
            project</a>@endcan<a class="button slim"
            href="{{ route('pair', ['target' => $page->target($proposal)]) }}">As a pairing’s target</a></p></div>
</li>
