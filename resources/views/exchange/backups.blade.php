<x-station title="Backups" station="house">
    <x-slot:actions><form method="post" action="{{ route('backups.store') }}" data-module="once">@csrf<button class="button main"
        type="submit"><x-icon name="shield-check"/>Back up now</button></form></x-slot:actions>
    <x-house-tabs here="backups"/>
    <section class="sheet">
        <p class="answer mb-2">{{ $backups === [] ? 'No backup yet.'
            : 'The last backup is of '.$backups[0]['at']->format('j F Y, H:i').'.' }}</p>
        @if ($problem)<p class="field-error"><x-icon name="exclamation-triangle"/><span>{{ $problem }}</span></p>@endif
        <p class="soft">A copy of the database is made every night while Destino runs, and checked. The last {{ $keep }} are kept, and one a
            month for {{ $months }} months. Photographs are kept beside the copies, in a folder of their own, each once; the archive under
            “Import and export” holds everything in one file. Keep a copy on another disk.</p>
        <ul class="plain">
            @foreach ($backups as $backup)
                <li class="row-flow"><a href="{{ route('backups.download', $backup['file']) }}">{{ $backup['file'] }}</a>
                    <span class="soft small">{{ $backup['at']->format('j F Y, H:i') }}, {{ number_format($backup['bytes'] / 1e6, 1) }}
                    MB</span></li>
            @endforeach
        </ul>
        <p class="soft small mb-0 mt-3">To go back to one: <code>bin/destino {{ config('database.default') === 'pgsql' ? 'server restore'
            : 'restore' }} FILE</code>. What is there then is backed up first.</p>
    </section>
</x-station>
