<x-station title="This was too much at once.">
    <section class="sheet empty"><p class="answer">{{ $exception->getMessage() !== '' ? $exception->getMessage()
        : 'What was sent is larger than this server takes ('.ini_get('post_max_size').'B in all). Nothing was saved. Send it in parts,
            or start Destino with bin/destino, which sets the limit higher.' }}</p>
        <p><a class="button main" href="/animals">To the animals</a></p></section>
</x-station>
