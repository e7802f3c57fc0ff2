<x-station title="Import and export" station="house">
    <x-house-tabs here="exchange"/>
    <div class="two">
        <section class="sheet">
            <div class="head"><h2>Import</h2></div>
            <p class="soft">A list of animals from a spreadsheet (CSV or XLSX, one row an animal; headings help but are not
                needed), or an archive of a whole collection. You see first what was understood; nothing is saved until you import.</p>
            <form method="post" action="{{ route('exchange.upload') }}" enctype="multipart/form-data" class="stack" data-module="once">
                @csrf
                <x-field name="file" label="File" type="file" accept=".csv,.txt,.xlsx,.zip,.json"/>
                <div><button class="button main" type="submit">Check the file</button></div>
            </form>
            <details class="mt-3" id="paste" @if ($errors->paste->any()) open @endif><summary>Or paste a message, one animal a
                line</summary>
                <form method="post" action="{{ route('exchange.paste') }}" class="stack mt-2" data-module="once">@csrf
                    <x-field name="text" bag="paste" label="Animals" type="textarea" rows="6" :value="old('text')" spellcheck="false"
                        autocapitalize="off" placeholder="1.0 Pastel het Clown, 2024, 850 g" hint="Genes, sex, year and weight are read.
                            Prices and the rest stay in the notes."/>
                    <div><button class="button" type="submit">Check the lines</button></div></form></details>
            @if (count($imports) > 0)<h3 class="h6 mt-3 mb-1">Brought in before</h3><ul class="plain">@foreach ($imports as $import)<li><a
                href="{{ route('imports.show', $import) }}">{{ $import->name }}</a>
                <span class="soft small">{{ $import->created_at?->format('j M Y') }}, {{ $import->state === 'done'
                ? count($import->animals).' '.Str::plural('animal', count($import->animals))
                : $import->state }}</span></li>@endforeach</ul>@endif
            <p class="soft small mb-0 mt-3">Headings that are understood by themselves: name, number, sex, hatched, genes, said by, source,
                acquired, price, sire, dam, status, weight, rack, row, column, notes, and common words for them. Any other column is kept in
                the notes.</p>
        </section>
        <section class="sheet">
            <div class="head"><h2>Export</h2><span class="soft small">{{ $animals }} {{ Str::plural('animal', $animals) }}</span></div>
            <ul class="plain">
                @foreach (['zip' => ['Archive',
                    'Everything: animals, statements, care, clutches, photographs, rules, history. Read back by Destino.'],
                    'csv' => ['List', 'The animals as a table, as CSV.'], 'xlsx' => ['Workbook',
                    'The same table as XLSX for a spreadsheet.'], 'ped' => ['Pedigree', 'Linkage-format PED for programs of geneticists.'],
                    'ics' => ['Calendar', 'The season and the reviews as iCalendar.']] as $format => [$words, $what])
                    <li class="row-flow"><a class="button" href="{{ route('exchange.download', $format) }}"><x-icon
                        name="download"/>{{ $words }}</a> <span class="soft small">{{ $what }}</span></li>
                @endforeach
            </ul>
            <p class="soft small mb-0 mt-3">Accounts and passwords are in none of these.</p>
            @can('keep-installation')@if ($animals > 0)
            <details class="mt-3" @if ($errors->has('word')) open @endif><summary>Empty the collection</summary>
                <form method="post" action="{{ route('exchange.empty') }}" class="stack mt-2" data-module="once">@csrf @method('delete')
                    <p class="soft small mb-0">Everything goes: animals, clutches, projects, prices, house rules. A backup is made first;
                        people and their passwords stay.</p>
                    <x-field name="word" label="Type “empty”" :value="old('word')" maxlength="10" autocomplete="off" autocapitalize="off"/>
                    <div><button class="button" type="submit">Empty it</button></div>
                </form></details>
            @endif @endcan
        </section>
    </div>
</x-station>
