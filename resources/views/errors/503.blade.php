<x-station title="Destino is being looked after.">
    <section class="sheet empty"><p class="answer">{{ $exception->getStatusCode() === 403 && $exception->getMessage() !== ''
        ? $exception->getMessage() : 'Try again in a minute.' }}</p><p><a class="button main" href="/today">Go to Today</a></p></section>
</x-station>
