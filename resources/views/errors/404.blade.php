<x-station title="There is nothing here.">
    <section class="sheet empty"><p class="answer">{{ $exception->getStatusCode() === 403 && $exception->getMessage() !== ''
        ? $exception->getMessage() : 'The address is wrong, or what it named is not in your collection.' }}</p><p><a class="button main"
        href="/pair">To the pairings</a></p></section>
</x-station>
