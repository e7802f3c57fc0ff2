<x-station title="This is not open to you.">
    <section class="sheet empty"><p class="answer">{{ $exception->getStatusCode() === 403 && $exception->getMessage() !== ''
        ? $exception->getMessage() : 'You may not see or do this.' }}</p><p><a class="button main" href="/pair">Go to
            Today</a></p></section>
</x-station>
