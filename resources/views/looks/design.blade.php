<x-station title="Design" station="genes" crumb="Genes" :crumb-link="route('genes.index')">
    <x-gene-tabs here="design"/>
    <div class="two wide-right">
    <form method="get" class="sheet" action="{{ route('looks.design') }}">
        <div class="field"><label for="base">What you have</label><input class="input" id="base" name="base" value="{{ $page->base }}"
            maxlength="300" placeholder="Ultramel" spellcheck="false" autocapitalize="off" @if ($page->error) aria-invalid="true"
            aria-describedby="base-error" @endif><x-field-error id="base-error" :message="$page->error"/></div>
        <fieldset class="plain-set mt-3"><legend class="h6">What should change</legend>
            <ul class="wishes">
                @foreach ($lists->wishes() as $key => $wish)
                    <li><label for="wish-{{ $key }}">{{ $wish->words }}</label><select class="input slim" id="wish-{{ $key }}"
                        name="wish[{{ $key }}]"><option value="">as it comes</option>@foreach (['more' => 'more', 'less' => 'less',
                        'keep' => 'keep as it is'] as $value => $words)<option value="{{ $value }}"
                        @selected(($page->wishes[$key] ?? null)?->value === $value)>{{ $words }}</option>@endforeach</select></li>
                @endforeach
            </ul>
        </fieldset>
        <button class="button main mt-3" type="submit">Find genes</button>
    </form>
    <div class="stack">
        @if ($page->look)
            <section class="sheet"><div class="head"><h2>{{ $page->base === '' ? 'Normal' : $page->base }}</h2><span class="soft small">the
                base</span></div><div
                class="two-views">@snake($page->look, $page->base === '' ? 'Normal' : $page->base, 'card')
                @snake($page->look, 'The skin laid flat', 'flat')</div></section>
        @endif
        @if ($page->wishes === [])
            <section class="empty"><p class="answer">Say what should change.</p><p class="soft">For example
                <a href="{{ route('looks.design', ['base' => 'Ultramel', 'wish' => ['contrast' => 'more', 'stripe' => 'keep']]) }}">more
                contrast in Ultramel, keeping the stripe</a>, or
                <a href="{{ route('looks.design', ['base' => 'Clown', 'wish' => ['orange' => 'more', 'busy' => 'less']]) }}">a warmer,
                calmer Clown</a>. You get genes ranked by what they bring to this very base, and what they spoil.</p></section>
        @elseif ($page->error === null)
            <section class="sheet"><div class="head"><h2>What would bring it</h2></div><p class="soft">{{ $page->verdict() }}</p>
                <ol class="proposals">
                    @foreach ($page->proposals as $proposal)
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
                    @endforeach
                </ol>
            </section>
        @endif
    </div>
    </div>
</x-station>
