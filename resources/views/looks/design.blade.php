<x-station title="Design" station="genes" crumb="Genes" :crumb-link="route('genes.index')">
    <x-gene-tabs here="design"/>
    <div class="two wide-right">
    <form method="get" class="sheet" action="{{ route('looks.design') }}">
        <div class="field"><label for="base">What you have</label><input class="input" id="base" name="base" value="{{ $page->base }}"
            maxlength="300" placeholder="Ultramel" spellcheck="false" autocapitalize="off" @if ($page->error) aria-invalid="true"
            aria-describedby="base-error" @endif><x-field-error id="base-error" :message="$page->error"/></div>
        <details class="mt-3" id="wishes" data-module="fold-narrow" open><summary>What should change{{ $page->wishes === [] ? ''
            : ': '.count($page->wishes) }}</summary><fieldset class="plain-set mt-2"><legend class="visually-hidden">What should
            change</legend>
            <ul class="wishes">
                @foreach ($lists->wishes() as $key => $wish)
                    <li><label for="wish-{{ $key }}">{{ $wish->words }}</label><select class="input slim" id="wish-{{ $key }}"
                        name="wish[{{ $key }}]"><option value="">as it comes</option>@foreach (['more' => 'more', 'less' => 'less',
                        'keep' => 'keep as it is'] as $value => $words)<option value="{{ $value }}"
                        @selected(($page->wishes[$key] ?? null)?->value === $value)>{{ $words }}</option>@endforeach</select></li>
                @endforeach
            </ul>
        </fieldset></details>
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
                <ol class="proposals">@foreach (array_slice($page->proposals, 0, 4) as $proposal)@include('looks.proposal')@endforeach</ol>
                @if (count($page->proposals) > 4)<details><summary>{{ count($page->proposals) - 4 }} more</summary><ol class="proposals"
                    start="5">@foreach (array_slice($page->proposals, 4) as $proposal)@include('looks.proposal')@endforeach</ol>
                    </details>@endif
            </section>
        @endif
    </div>
    </div>
</x-station>
