<x-station :title="$trait->name" station="prove" crumb="Prove" :crumb-link="route('prove')">
    <div class="stack">
    <section class="sheet">
        <div class="head"><h2>What it may be</h2><span class="soft small">after each thing that was written
            down{{ $trait->gene ? '; the gene in mind is '.$page->geneName() : '' }}</span></div>
        @if ($trait->notes)<p class="as-typed">{{ $trait->notes }}</p>@endif
        <ol class="waterfall">@foreach ($history as $step)<li><div class="row-flow"><strong>{{ $step['on'] }}</strong><span
            class="soft small">{{ $step['what'] }}</span></div><x-shares :shares="$step['shares']"/></li>@endforeach</ol>
        @if ($history !== [])<table class="list mt-2"><caption class="visually-hidden">The hypotheses now</caption>
            <tbody>@foreach (collect($history)->last()['shares'] as $words => $share)<tr><td><i class="swatch tone-{{ $loop->index % 5 }}"
            aria-hidden="true"></i> {{ $words }}</td>
            <td class="num"><strong>{{ $say->share($share) }}</strong></td></tr>@endforeach</tbody></table>@endif
        @if ($may)<p class="mt-2 mb-0"><a href="{{ route('genes.own', ['called' => $trait->name]) }}#no-name">Make it a recessive
            gene under a working name</a></p>@endif
        <p class="soft small mb-0 mt-2">Before anything was bred: not inherited 40 %, recessive 25 %, incomplete dominant 22 %, dominant 8
            %, the rest for sex and known genes; one look in fifty is taken to be mistaken. Assumed figures.</p>
    </section>
    <div class="two">
        <section class="sheet">
            <div class="head"><h2>Best test pairing</h2><span class="soft small">chance of a 95 % answer after this many eggs</span></div>
            @if ($next === [])<p class="mb-0">Add a mate of the other sex, or young of two animals of the notebook: then test pairings can
                be
                compared.</p>@else
            <div class="scroll" tabindex="0" role="region" aria-label="Crosses compared"><table class="list stacked"><thead><tr>
                <th>Cross</th><th class="num">tells</th>@foreach ([4, 6, 8, 12] as $eggs)<th class="num">{{ $eggs }}
                eggs</th>@endforeach</tr></thead><tbody>@foreach ($next as $cross)<tr><td data-label="Cross">{{ $cross['sire'] }} ×
                {{ $cross['dam'] }}</td><td class="num" data-label="tells">{{ number_format($cross['bits'], 2) }}
                bits</td>@foreach ($cross['curve'] as $at => $chance)<td class="num"
                data-label="{{ [4, 6, 8, 12][$at] }} eggs">{{ $say->share($chance) }}</td>@endforeach</tr>@endforeach</tbody></table></div>
            <p class="soft small mb-0 mt-2">A clutch of six is one season; the first line tells most in it.</p>@endif
        </section>
        <section class="sheet">
            <div class="head"><h2>Written down</h2></div>
            <ul class="plain">@foreach ($page->entries as $entry)<li class="row-flow"><span
                class="soft small">{{ $entry->on->format('j M Y') }}</span>
                <span>{{ $entry->sentence() }}</span>@if ($may && ! $loop->first)<x-take-out kind="trait-entry" :record="$entry"
                :label="$entry->sentence()"/>@endif</li>@endforeach</ul>
            @if ($may)
                <details class="mt-3" @if ($errors->any()) open @endif><summary>Add an animal, or young of a clutch</summary>
                    <form method="post" action="{{ route('traits.add', $trait) }}" class="stack mt-2" data-module="once">@csrf<input
                        type="hidden" name="form_token" value="{{ old('form_token', $token) }}">
                        <div class="two"><x-field name="name" label="Name, or “young of 2026”" :value="old('name')" maxlength="80"/><x-field
                            name="count" label="How many alike" :value="old('count', 1)" inputmode="numeric"/></div>
                        <div class="two"><x-choice name="sex" label="Sex" :value="old('sex', 'female')"
                            :options="['male' => 'male', 'female' => 'female']"/><x-choice name="look" label="Looks"
                            :value="old('look', 'normal')" :options="$lists->traitLooks((bool) $trait->gene)"/></div>
                        <div class="two"><x-choice name="sire_id" label="Sire" :value="old('sire_id')"
                            :options="$page->singles('male')"/><x-choice name="dam_id" label="Dam" :value="old('dam_id')"
                            :options="$page->singles('female')"/></div>
                        <x-field name="on" label="On" type="date" :value="old('on', now()->format('Y-m-d'))"/>
                        <div><button class="button" type="submit">Add</button></div>
                    </form></details>
            @endif
        </section>
    </div>
    @if ($may)<x-take-out kind="trait" :record="$trait" :label="$trait->name" class=""/>@endif
    </div>
</x-station>
