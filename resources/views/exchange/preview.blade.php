<x-station :title="$upload->name" station="house" crumb="Import and export" :crumb-link="route('exchange')">
    <x-field-error id="file-error" :message="$errors->first('file')"/>
    @if ($archive)
        <section class="sheet stack measure">
            <p class="answer">An archive of {{ count($document['animals']) }} animals, {{ count($document['clutches']) }} clutches and
                {{ count($photos) }} photographs.</p>
            @if ($animals > 0)
                <p class="field-error"><x-icon name="exclamation-triangle"/><span>{{ $refusal }}</span></p>
            @else
                <form method="post" action="{{ route('exchange.store', $upload->id) }}" data-module="once">@csrf<button class="button main"
                    type="submit">Import</button> <a href="{{ route('exchange') }}">Cancel</a></form>
            @endif
        </section>
    @else
        <div class="stack">
        <section class="sheet">
            <p class="answer mb-2">{{ $counts['ready'] }} of {{ $counts['rows'] }} rows can be brought in as they stand.</p>
            <p class="soft mb-0">@if ($counts['remarks']){{ $counts['remarks'] }} {{ $counts['remarks'] === 1 ? 'has a cell'
                : 'have cells' }} that cannot be taken as written: what is certain is taken, the text stays with the animal. @endif
                @if ($counts['unread']){{ $counts['unread'] }} {{ $counts['unread'] === 1 ? 'comes' : 'come' }} in with genes to read: not
                known, never Normal. @endif @if ($counts['repeated']){{ $counts['repeated'] }} {{ $counts['repeated'] === 1 ? 'repeats'
                : 'repeat' }} an animal. @endif @if ($counts['wrong']){{ $counts['wrong'] }} {{ $counts['wrong'] === 1 ? 'row says'
                : 'rows say' }} nothing of an animal. @endif Nothing is written yet.</p>
            @if ($plan->hasUnclearDates)<p class="field-error mt-2"><x-icon name="info-circle"/><span>Some dates can be read in two ways.
                Choose below whether the day or the month comes first, once for the whole list, and look again; otherwise they stay as they
                are written.</span></p>@endif
            <form method="post" action="{{ route('exchange.store', [$upload->id] + request()->query()) }}" class="row-flow mt-3"
                data-module="once">
                @csrf
                @if ($counts['repeated'])<label class="switch"><input type="checkbox" name="repeated" value="1"> also rows that repeat an
                    animal</label>@endif
                <button class="button main" type="submit" @disabled($counts['rows'] === $counts['wrong'])>Import</button><a
                    href="{{ route('exchange') }}">Cancel</a>
            </form>
        </section>
        <form class="sheet" method="get" action="{{ route('exchange.preview', $upload->id) }}">
            <div class="head"><h2>What each column means</h2><span class="soft small">Change a meaning and look again.</span></div>
            <div class="four">
                @foreach ($plan->table->headings as $i => $heading)
                    <x-choice :name="'columns['.$i.']'" :label="$heading === '' ? 'column '.($i + 1).' (no heading)' : $heading"
                        blank="keep in the notes" :value="$plan->columns[$i]?->value" :options="$lists->importFields()"/>
                @endforeach
                <x-choice name="dates" label="Dates like 03/04/2022" blank="not chosen" :value="request('dates')"
                    :options="['day-first' => 'day first: 3 April', 'month-first' => 'month first: March 4']"/>
                @if ($plan->hasWeights())<x-field name="weighed" label="Weighed when?" type="date"
                    :value="request('weighed')" hint="The day of weights that have none. Without it they stay in the notes."/>@endif
            </div>
            <div class="mt-3"><button class="button" type="submit">Look again</button></div>
        </form>
        @if (($problems = $plan->problems()) !== [])
            <section class="sheet" id="problems">
                <div class="head"><h2>Questions about this list</h2><span class="soft small">equal cells are answered once; where only one
                    name comes near, it is filled in: look, and read again. Unanswered cells stay in the notes</span></div>
                <form method="post" action="{{ route('exchange.answer', [$upload->id] + request()->query()) }}" data-module="once">@csrf
                    <ul class="plain problems">
                        @foreach (array_slice($problems, 0, 120) as $i => $one)
                            <li><label for="answer-{{ $i }}"><strong>{{ $one['text'] }}</strong>
                                <span class="soft small">{{ $one['field'] }}, {{ count($one['rows']) === 1 ? 'row '.$one['rows'][0]
                                : count($one['rows']).' rows: '.implode(', ', array_slice($one['rows'], 0, 6)).(count($one['rows']) > 6
                                ? ' …' : '') }}</span></label>
                                <span class="d-block small soft">{{ $one['message'] }}</span>
                                <input class="input" id="answer-{{ $i }}" name="answers[{{ $one['key'] }}]" maxlength="500"
                                    value="{{ count($one['choices']) === 1 ? $one['choices'][0] : '' }}" list="choices-{{ $i }}"
                                    placeholder="{{ $one['choices'][0] ?? "Type the {$one['field']}, or leave it" }}" spellcheck="false"
                                    autocapitalize="off">
                                @if ($one['choices'] !== [])<datalist id="choices-{{ $i }}">@foreach ($one['choices'] as $choice)<option
                                    value="{{ $choice }}"></option>@endforeach</datalist>@endif</li>
                        @endforeach
                    </ul>
                    @if (count($problems) > 120)<p class="soft small">And {{ count($problems) - 120 }} more, after these.</p>@endif
                    <button class="button main mt-2" type="submit">Check again</button>
                    @if ($upload->answers() !== [])<span class="soft small">{{ count($upload->answers()) }} answered so far; kept for a
                        day.</span>@endif
                </form>
            </section>
        @endif
        <section class="sheet" data-module="rows">
            <div class="head"><h2>Row by row</h2>@if (count($shown) < $counts['rows'])<span class="soft small">{{ count($shown) }} of
                {{ number_format($counts['rows']) }} rows: those that need a look first</span>@endif</div>
            <div class="field narrow mb-2 no-print" hidden><label for="filter">Find in this list</label><input class="input" type="search"
                id="filter" placeholder="repeats"></div>
            <p class="small soft mb-1" data-count aria-live="polite"></p>
            <div class="scroll" tabindex="0" role="region" aria-label="Rows of the list"><table class="list stacked">
                <thead><tr><th data-sort>Row</th><th data-sort>Name</th><th data-sort>State</th><th>What was understood</th>
                    <th>What was not, or was assumed</th></tr></thead>
                <tbody>
                    @foreach ($shown as $row)
                        <tr><td data-label="Row" data-value="{{ $row->line }}">{{ $row->line }}</td>
                            <td data-label="Name">{{ $row->values['name'] }} @if ($row->values['number'])<span
                            class="soft small">{{ $row->values['number'] }}</span>@endif</td>
                            <td data-label="State"><span
                                @class(['tag', 'dead' => $row->isNone(), 'doubt' => $row->wantsALook()])>{{ $row->state() }}</span></td>
                            <td data-label="Understood">{{ $row->read }}
                                <span class="soft small">{{ implode(', ', array_filter([$row->values['sex']?->value ?? 'sex not known',
                                $row->values['hatched_on'] ? 'hatched '.substr($row->values['hatched_on'], 0, ['day' => 10, 'month' => 7,
                                'year' => 4][$row->values['hatched_precision']]) : null, $row->sire ? "sire {$row->sire}" : null, $row->dam
                                ? "dam {$row->dam}" : null, $row->grams ? "{$row->grams} g" : null, $row->rack,
                                $row->status])) }}</span></td>
                            <td data-label="Not understood or assumed">@foreach ($row->errors as $error)<span
                                class="field-error">{{ $error['field'] }}: {{ $error['message'] }}</span>@endforeach
                                @if ($row->repeats !== '')<span class="d-block">Repeats: {{ $row->repeats }}.</span>@endif
                                @foreach ($row->notes as $note)<span class="soft small d-block">{{ $note }}</span>@endforeach</td></tr>
                    @endforeach
                </tbody>
            </table></div>
        </section>
        </div>
    @endif
</x-station>
