<x-station title="Page not found.">
    <section class="sheet empty"><p class="answer">{{ $exception->getStatusCode() === 403 && $exception->getMessage() !== ''
        ? $exception->getMessage() : 'The address is wrong, or what it named is not in your collection.' }}</p><p><a class="button main"
        href="/today">Go to Today</a></p></section>
</x-station>
