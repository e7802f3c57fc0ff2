<x-station :title="$import->name" station="house" crumb="Import and export" :crumb-link="route('exchange')">
    <div class="stack">
    <section class="sheet">
        @if ($import->isOpen())
            <div data-module="plan-progress" data-address="{{ route('imports.progress', $import) }}" role="status">
                @if ($import->state === 'waiting')
                    <p class="answer">This list waits for its turn.</p>
                @else
                    <p class="answer">The list is being imported.</p>
                @endif
                <progress max="100" value="{{ $import->progress }}" data-bar>{{ $import->progress }} %</progress>
                <p class="soft small mt-2">You can leave this page.</p>
            </div>
            <div class="row-flow">
                <form method="post" action="{{ route('imports.stop', $import) }}" data-module="once">@csrf<button class="button"
                    type="submit">Stop</button></form>
            </div>
        @elseif ($import->state === 'taken back')
            <p class="answer">Import undone.</p>
            <form method="post" action="{{ route('imports.again', $import) }}" data-module="once">@csrf<button class="button"
                type="submit">Import again</button></form>
        @elseif ($import->state !== 'done')
            <p class="field-error"><x-icon name="exclamation-triangle"/><span>{{ $receipt['error']
                ?? 'The import stopped before its end.' }}</span></p>
            @if ($import->rows() !== null)<p>{{ number_format($count) }} of {{ number_format($import->rows()) }} rows are in the
                collection.</p>@endif
            <div class="row-flow">
                <form method="post" action="{{ route('imports.on', $import) }}" data-module="once">@csrf<button class="button main"
                    type="submit">Go on with the rest</button></form>
                <form method="post" action="{{ route('imports.back', $import) }}" data-module="once">@csrf @method('delete')<button
                    class="button" type="submit">Take back what came in</button></form>
            </div>
        @else
            <p class="answer mb-2">{{ number_format($count) }} {{ Str::plural('animal', $count) }} brought in.</p>
            <dl class="facts mb-0">
                <dt>Rows</dt><dd>{{ number_format($receipt['rows']) }}</dd>
                <dt>With a remark</dt><dd>{{ number_format(count($receipt['remarks'])) }}{{ $receipt['remarks'] === [] ? ''
                    : ': what is certain was taken, the text as written is in the notes' }}</dd>
                <dt>Left out</dt><dd>{{ number_format(count($receipt['left'])) }}</dd>
            </dl>
            <div class="row-flow mt-3"><a class="button main" href="{{ route('animals.index') }}">To the animals</a>
                @if ($receipt['left'] !== [] || $receipt['remarks'] !== [])<a class="button"
                    href="{{ route('imports.rest', $import) }}"><x-icon name="download"/>Download skipped rows</a>@endif
                <form method="post" action="{{ route('imports.back', $import) }}" data-module="once">@csrf @method('delete')<button
                    class="button" type="submit">Take this import back</button></form></div>
        @endif
    </section>
    @if ($offers !== [])
        <section class="sheet">
            <div class="head"><h2>Likely clutches</h2><span class="soft small">one dam, one sire, one day of hatching</span></div>
            <form method="post" action="{{ route('imports.clutches', $import) }}" data-module="once">@csrf
                <ul class="plain">@foreach ($offers as $key => $offer)<li><label class="switch"><input type="checkbox" name="offers[]"
                    value="{{ $key }}" checked> <span><strong>{{ $offer['dam']->name }} × {{ $offer['sire'] }}</strong>, hatched
                    {{ Illuminate\Support\Carbon::parse($offer['hatched'])->format('j F Y') }}
                    <span class="soft small">{{ implode(', ', array_map(fn ($young) => $young->name, array_slice($offer['young'], 0,
                    8))) }}{{ count($offer['young']) > 8 ? ' and '.(count($offer['young']) - 8).' more'
                    : '' }}</span></span></label></li>@endforeach</ul>
                <x-field-error id="offers-error" :message="$errors->first('offers')"/>
                <button class="button mt-2" type="submit">Note as clutches</button>
                <p class="soft small mb-0 mt-2">How many hatched stays open: a list holds those that were kept.</p>
            </form>
        </section>
    @endif
    @if ($outside !== [])
        <section class="sheet">
            <div class="head"><h2>Parents that are a name only</h2><span class="soft small">no kinship follows from a name</span></div>
            <ul class="plain">@foreach (array_slice($outside, 0, 30) as $one)<li><strong>{{ $one['name'] }}</strong>
                <span class="soft">{{ $one['role'] }} of {{ $one['count'] }}.</span>
                <a href="{{ route('animals.create', ['name' => $one['name'], 'sex' => $one['sex']]) }}">It is one animal: add
                it</a></li>@endforeach</ul>
            <p class="soft small mb-0 mt-2">Once it is there, its page asks whether it is the one they name. If it is elsewhere, set its
                status to sold.</p>
        </section>
    @endif
    @foreach (['left' => 'Left out', 'remarks' => 'Brought in with a remark'] as $kind => $title)
        @if ($import->state === 'done' && $receipt[$kind] !== [])
            <section class="sheet">
                <div class="head"><h2>{{ $title }}</h2></div>
                <div class="scroll" tabindex="0" role="region" aria-label="{{ $title }}"><table class="list stacked"><thead><tr>
                    <th scope="col" class="num">Row</th><th scope="col">As written</th><th scope="col">Why</th></tr></thead>
                    <tbody>@foreach (array_slice($receipt[$kind], 0, 200) as $row)
                    <tr><td class="num" data-label="Row">{{ $row['line'] }}</td>
                        <td data-label="As written">@if (isset($row['animal'], $import->animals[$row['animal']]))<a
                        href="{{ route('animals.show', $import->animals[$row['animal']]) }}">{{ Str::limit(implode(', ',
                        array_filter($row['cells'])), 120) }}</a>@else{{ Str::limit(implode(', ', array_filter($row['cells'])),
                        120) }}@endif</td><td data-label="Why" class="soft">{{ $row['why'] }}</td></tr>
                @endforeach</tbody></table></div>
                @if (count($receipt[$kind]) > 200)<p class="soft small mb-0 mt-2">And {{ count($receipt[$kind]) - 200 }} more, in the
                    file.</p>@endif
            </section>
        @endif
    @endforeach
    </div>
</x-station>
