<x-station title="Too many at once.">
    <section class="sheet empty"><p class="answer">{{ $exception->getStatusCode() === 403 && $exception->getMessage() !== ''
        ? $exception->getMessage() : 'Wait a minute, then try again.' }}</p><p><a class="button main" href="/pair">Go to
            Today</a></p></section>
</x-station>
