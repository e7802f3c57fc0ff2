<x-station title="This could not be read.">
    <section class="sheet empty"><p class="answer">{{ $exception->getMessage() !== '' ? $exception->getMessage()
        : 'What arrived is not what a page of Destino sends. Nothing was kept.' }}</p><p><a class="button main" href="/animals">To the
        animals</a></p></section>
</x-station>
